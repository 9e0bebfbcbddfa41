import { countOf } from "../time/date-rule";
import { findDates } from "../time/dates-in-words";
import { type Day, monthEnd, type WorkingCalendar } from "../time/day";
import { dayOf, type Moment } from "../time/moment";
import type { RepeatRule } from "./rule";

const DAYS = ["MO", "TU", "WE", "TH", "FR", "SA", "SU"] as const;
const DAY_WORDS =
  "mon(?:days?)?|tue(?:s|sdays?)?|wed(?:nesdays?)?|thu(?:r|rs|rsdays?)?|fri(?:days?)?|sat(?:urdays?)?|sun(?:days?)?";
const MONTHS = ["jan", "feb", "mar", "apr", "may", "jun", "jul", "aug", "sep", "oct", "nov", "dec"];
const NTH: Readonly<Record<string, number>> = {
  first: 1,
  "1st": 1,
  second: 2,
  "2nd": 2,
  third: 3,
  "3rd": 3,
  fourth: 4,
  "4th": 4,
  last: -1,
};

/** What a line about repeating means, or why it cannot be. */
export type ReadRepeat =
  | { readonly ok: true; readonly rule: RepeatRule }
  | { readonly ok: false; readonly why: string };

const NOT_UNDERSTOOD: ReadRepeat = {
  ok: false,
  why: "Say it like “every first Monday”, “every other Friday”, “on the 15th of every month” or “two weeks after done”.",
};

function dayCode(word: string): string {
  return DAYS[["mo", "tu", "we", "th", "fr", "sa", "su"].indexOf(word.slice(0, 2).toLowerCase())]!;
}

function numberOf(word: string | undefined): number {
  if (!word) return 1;
  return countOf(word);
}

/** Days of a month in its longest year. */
function longest(month: number): number {
  return [31, 29, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31][month - 1]!;
}

/** The last day of a month that is named alone, the coming one: "March", "March 2028". */
function monthMeant(words: string, today: Day): Day | null {
  const named = new RegExp(`^(?:the end of )?(${MONTHS.join("|")})[a-z]*(?: (\\d{4}))?$`, "i").exec(words.trim());
  if (!named) return null;
  const month = String(MONTHS.indexOf(named[1]!.toLowerCase()) + 1).padStart(2, "0");
  const thisYear = Number(today.slice(0, 4));
  const end = monthEnd(`${named[2] ?? thisYear}-${month}-01`);
  return named[2] || end >= today ? end : monthEnd(`${thisYear + 1}-${month}-01`);
}

/** Takes the end of a series off its words: "until 31 March", "ten times". */
function endOf(
  words: string,
  from: Moment,
  calendar: WorkingCalendar,
  order: "dmy" | "mdy",
): { rest: string; end: string } {
  const times = /,?\s*(?:for\s+)?(\w+)\s+times$/i.exec(words);
  if (times && Number.isInteger(numberOf(times[1])))
    return { rest: words.slice(0, times.index), end: `;COUNT=${numberOf(times[1])}` };
  const until = /,?\s*(?:until|till|to)\s+(.+)$/i.exec(words);
  const month = until ? monthMeant(until[1]!, dayOf(from)) : null;
  if (until && month) return { rest: words.slice(0, until.index), end: `;UNTIL=${month.replaceAll("-", "")}` };
  const date = until ? findDates(until[1]!, from, calendar, order)[0] : undefined;
  return until && date
    ? { rest: words.slice(0, until.index), end: `;UNTIL=${date.day.replaceAll("-", "")}` }
    : { rest: words, end: "" };
}

function ruleOf(words: string): RepeatRule | { why: string } | null {
  const match = (pattern: string) => new RegExp(`^(?:${pattern})$`, "i").exec(words);
  const after = match(
    "(?:(\\w+)\\s+)?(days?|weeks?|months?)\\s+after(?:\\s+(?:it\\s+is\\s+)?(?:done|it|finish(?:ed|ing)?))?",
  );
  if (after) {
    const count = numberOf(after[1]);
    return Number.isInteger(count) && count > 0 && count < 1_000
      ? `AFTER=P${count}${after[2]!.charAt(0).toUpperCase()}`
      : null;
  }
  if (match("daily|every day|each day")) return "FREQ=DAILY";
  if (match("every (?:working|week)[ -]?day|on working days|weekdays")) return "FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR";
  if (match("weekly|every week|each week")) return "FREQ=WEEKLY";
  if (match("fortnightly|every fortnight")) return "FREQ=WEEKLY;INTERVAL=2";
  if (match("monthly|every month|each month")) return "FREQ=MONTHLY";
  if (match("quarterly|every quarter")) return "FREQ=MONTHLY;INTERVAL=3";
  if (match("yearly|annually|every year|each year")) return "FREQ=YEARLY";
  const nth = match(
    `(?:on )?(?:the |every |each )*(first|1st|second|2nd|third|3rd|fourth|4th|last) (${DAY_WORDS})(?: (?:of|in) (?:the|every|each|a) month)?`,
  );
  if (nth) return `FREQ=MONTHLY;BYDAY=${NTH[nth[1]!.toLowerCase()]}${dayCode(nth[2]!)}`;
  if (match("(?:on )?(?:the |every )*last day (?:of|in) (?:the|every|each|a) month|(?:every )?month[ -]end"))
    return "FREQ=MONTHLY;BYMONTHDAY=-1";
  const dated = match(
    "(?:on )?(?:the |every )*(\\d{1,2})(?:st|nd|rd|th)?(?: day)?(?: (?:of|in) (?:the|every|each|a) month)?",
  );
  if (dated) {
    const day = Number(dated[1]);
    return day >= 1 && day <= 31 ? `FREQ=MONTHLY;BYMONTHDAY=${day}` : { why: `No month has a ${day}th.` };
  }
  const yearly = match(
    `(?:on )?(?:the |every )*(\\d{1,2})(?:st|nd|rd|th)?(?: of)? (${MONTHS.join("|")})[a-z]*(?: (?:of )?every year)?`,
  );
  if (yearly) {
    const month = MONTHS.indexOf(yearly[2]!.toLowerCase()) + 1;
    const day = Number(yearly[1]);
    return day >= 1 && day <= longest(month)
      ? `FREQ=YEARLY;BYMONTH=${month};BYMONTHDAY=${day}`
      : { why: `There is no ${day} ${yearly[2]!.charAt(0).toUpperCase()}${yearly[2]!.slice(1)} in any year.` };
  }
  const units = match("every (\\w+) (days|weeks|months|years)");
  if (units) {
    const count = numberOf(units[1]);
    const freq = { days: "DAILY", weeks: "WEEKLY", months: "MONTHLY", years: "YEARLY" }[units[2]!.toLowerCase()];
    return Number.isInteger(count) && count > 0 && count < 1_000 ? `FREQ=${freq};INTERVAL=${count}` : null;
  }
  const other = match("every other (day|week|month|year)");
  if (other)
    return `FREQ=${{ day: "DAILY", week: "WEEKLY", month: "MONTHLY", year: "YEARLY" }[other[1]!.toLowerCase()]};INTERVAL=2`;
  const days = match(
    `(?:on |every |each )?(other )?((?:${DAY_WORDS})(?:(?:\\s*,\\s*|\\s+and\\s+|\\s*&\\s*)(?:${DAY_WORDS}))*)`,
  );
  if (days && /^(?:on |every |each )|s$/i.test(words)) {
    const codes = [...days[2]!.matchAll(new RegExp(DAY_WORDS, "gi"))].map((one) => dayCode(one[0]));
    const sorted = DAYS.filter((code) => codes.includes(code));
    return `FREQ=WEEKLY${days[1] ? ";INTERVAL=2" : ""};BYDAY=${sorted.join(",")}`;
  }
  return null;
}

/** Reads how a task repeats: "every first Monday", "every other Friday until March", "two weeks after done". */
export function readRepeat(line: string, from: Moment, calendar: WorkingCalendar, order: "dmy" | "mdy"): ReadRepeat {
  const words = line.replace(/\s+/g, " ").trim().replace(/[.]$/, "");
  const { rest, end } = endOf(words, from, calendar, order);
  const rule = ruleOf(rest.trim());
  if (rule === null) return NOT_UNDERSTOOD;
  if (typeof rule === "object") return { ok: false, why: rule.why };
  return { ok: true, rule: rule.startsWith("AFTER") ? rule : `${rule}${end}` };
}
