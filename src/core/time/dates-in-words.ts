import { parse as chronoParse } from "chrono-node/en";
import { countOf, type DateGround, type DateReading, type DateRule, MONTH, WEEKDAY, weekdayNumber } from "./date-rule";
import { addDays, type Day, dayFrom, daysBetween, type WorkingCalendar, weekdayOf } from "./day";
import { dayOf, type Moment, timeOf } from "./moment";
import { endOfQuarter, endOfYear } from "./rules/ends";
import { dayMonth, dayOfMonth, figures, isoDate, monthDay, weekdayOfMonth } from "./rules/explicit-date";
import { feastDay } from "./rules/feast-days";
import {
  dayAfterTomorrow,
  endOfMonth,
  firstThing,
  fromNow,
  haste,
  inHours,
  inSoMany,
  today,
  tomorrow,
  weekday,
  weekFromNear,
} from "./rules/near-days";
import { ordinalWeekday } from "./rules/ordinal-weekday";
import { findTimes } from "./rules/time-of-day";
import { endOfWeek, isoWeek, nextMonth, nextWeek, partOfMonth, weekAfterNext, weekend, weekOf } from "./rules/weeks";

/** A day found in a text: where, which, what else it could mean, and the rule that found it. */
export interface FoundDate {
  readonly start: number;
  readonly end: number;
  readonly words: string;
  readonly day: Day;
  readonly time: string | null;
  readonly others: readonly Day[];
  readonly rule: string;
  /** Why the words contradict themselves: "Friday the 14th" where the 14th is a Monday; both days are then given. */
  readonly conflict?: string;
}

/** In the order in which they are asked. Where two find words that overlap, the longer find wins, then the earlier rule. */
const RULES: readonly DateRule[] = [
  isoDate, // before figures, which would take a part of it
  dayMonth,
  monthDay,
  figures,
  weekdayOfMonth, // before the weekday and the day of the month that it names
  dayOfMonth,
  feastDay, // before weekday, which knows only “Friday” of “Good Friday”
  weekFromNear, // before today and tomorrow
  dayAfterTomorrow, // before tomorrow
  tomorrow,
  today,
  nextWeek, // before weekday and endOfWeek, which know only their half of the words
  endOfWeek,
  weekOf,
  weekAfterNext,
  weekend,
  endOfMonth,
  endOfQuarter,
  endOfYear,
  ordinalWeekday, // before weekday
  partOfMonth,
  nextMonth,
  isoWeek,
  weekday,
  inSoMany,
  inHours,
  fromNow,
  haste,
  firstThing, // where no day is named with it
];

/** Something that every way of saying a day has: most clauses have none of it, and are not looked at any further. */
const MAY_NAME_A_DAY =
  /\d|day|week|month|year|quarter|fortnight|hour|morrow|tmr?w|night|morning|noon|evening|lunch|close of|cob|eod|asap|a\.s\.a|soon|away|immediate|once|forthwith|urgent|first thing|instant|minute|christmas|easter|eve\b|epiphany|candlemas|hallow|mas\b|ascension|whit|pentecost|corpus|\b(?:mon|tue|wed|thu|fri|sat|sun|jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)/i;

/** Words before a day that move it: "before the 3rd" means the 2nd at the latest. */
const BEFORE =
  /\b(?:(two|three|four|five|six|seven|ten|a|one|\d{1,2}) (days?|weeks?) )?(before|ahead of|prior to) (?:the |our |your )?(?:\w+ (?:on|of) )?(?:the )?$/i;

function groundOf(from: Moment, calendar: WorkingCalendar, order: "dmy" | "mdy"): DateGround {
  // All clauses of a letter count from one moment.
  if (lastFrom.at !== from.at || lastFrom.zone !== from.zone)
    lastFrom = { at: from.at, zone: from.zone, day: dayOf(from), time: timeOf(from) };
  return { day: lastFrom.day, time: lastFrom.time, calendar, figures: order };
}

let lastFrom = { at: Number.NaN, zone: "", day: "", time: "" };

/**
 * What chrono-node finds beyond our own rules. It is given the writer's wall clock as if it were the machine's (its
 * "this week" reads the machine's zone whatever it is told), at noon, where no zone has a gap; only days are taken from it.
 */
function byLibrary(text: string, ground: DateGround): { start: number; end: number; reading: DateReading }[] {
  const [year, month, date] = ground.day.split("-").map(Number) as [number, number, number];
  return chronoParse(text, new Date(year, month - 1, date, 12), { forwardDate: true }).flatMap((result) => {
    if (!result.start.isCertain("day") && !result.start.isCertain("weekday")) return [];
    const day = dayFrom(
      result.start.get("year") ?? year,
      result.start.get("month") ?? month,
      result.start.get("day") ?? date,
    );
    if (!day || day < ground.day) return [];
    return [{ start: result.index, end: result.index + result.text.length, reading: { day } }];
  });
}

/** What the library finds counts only where a day, week or month is named: it also takes "the minute" for a time. */
const NAMES_A_DAY = new RegExp(
  `\\b(?:${WEEKDAY}|${MONTH}|days?|weeks?|months?|fortnight)\\b|\\d[/.-]\\d{1,2}[/.-]\\d{2}`,
  "i",
);

/** Words that the library takes for a day and that are none: "May I", "propose a day", "on the day", "the day after". */
const NAMES_NONE =
  /^(?:may|march|sat|sun|mon|wed|(?:(?:on|in|for) )?(?:a|an|the|one|that|this) (?:day|week|month|fortnight)(?: (?:after|before))?)$/i;

/** "For three days": how long, not when. */
const DURATION = /^(?:for |about |some )?(?:\d+|[a-z]+) (?:days?|weeks?|fortnights?|months?)$/i;

/** "On Sunday nights": no one Sunday. */
const REPEATED = /^ (?:nights|mornings|afternoons|evenings)\b/i;

/** "Within ten days of its arrival": counted from something that is not on any calendar yet. */
const SPAN = /^(?:in|within|inside)\b/i;
const COUNTED_FROM = /^\s+(?:of|after|from|following)\b/i;

/** Words that put the day into the past: chrono's forward reading would turn them round. */
const PAST = /\b(?:last|ago|yesterday|since|previous|every|each)\b/i;

/**
 * Every day said in a text, in the order of the text.
 * `from` is when and where it was written; `order` how the writer orders "3/4". Days that lie in the past in plain words
 * ("last Friday", "two weeks ago") are left out. Sources: ISO 8601 for figures and weeks; the rest is common practice,
 * each rule with its own note.
 */
export function findDates(
  text: string,
  from: Moment,
  calendar: WorkingCalendar,
  order: "dmy" | "mdy" = "dmy",
): FoundDate[] {
  if (!MAY_NAME_A_DAY.test(text)) return [];
  const ground = groundOf(from, calendar, order);
  const finds: { start: number; end: number; reading: DateReading; rule: string; rank: number }[] = [];
  for (const [rank, rule] of RULES.entries()) {
    for (const words of text.matchAll(rule.pattern)) {
      const reading = rule.read(words as RegExpExecArray, ground);
      if (reading)
        finds.push({ start: words.index, end: words.index + words[0].length, reading, rule: rule.name, rank });
    }
  }
  // The library is slow: it is asked only where something it may find can be named.
  for (const found of NAMES_A_DAY.test(text) ? byLibrary(text, ground) : []) {
    const words = text.slice(found.start, found.end);
    if (PAST.test(words) || PAST.test(text.slice(Math.max(0, found.start - 8), found.start))) continue;
    if (!NAMES_A_DAY.test(words) || NAMES_NONE.test(words)) continue;
    const isAll = found.end - found.start === text.trim().length;
    if ((DURATION.test(words) && !isAll) || REPEATED.test(text.slice(found.end))) continue;
    if (SPAN.test(words) && COUNTED_FROM.test(text.slice(found.end))) continue;
    finds.push({ ...found, rule: "chrono", rank: RULES.length });
  }
  finds.sort(
    (a, b) =>
      Number(a.rank === RULES.length) - Number(b.rank === RULES.length) ||
      b.end - b.start - (a.end - a.start) ||
      a.rank - b.rank,
  );
  const kept: typeof finds = [];
  for (const find of finds) {
    if (!kept.some((other) => find.start < other.end && other.start < find.end)) kept.push(find);
  }
  kept.sort((a, b) => a.start - b.start);
  const times = findTimes(text);
  return kept.map((find, index) => {
    const near = times.find(
      (time) =>
        (time.start >= find.start && time.end <= find.end) ||
        (time.end <= find.start && /^[\s,]*(?:on|this)?\s*$/i.test(text.slice(time.end, find.start))) ||
        (time.start >= find.end &&
          /^[\s,]*(?:at|by|before|from)?\s*$/i.test(text.slice(find.end, time.start)) &&
          time.start < (kept[index + 1]?.start ?? Infinity)),
    );
    const said = near
      ? { start: Math.min(near.start, find.start), end: Math.max(near.end, find.end), time: near.time }
      : { start: find.start, end: find.end, time: null };
    // "Before tomorrow noon" is tomorrow.
    const moved = said.time === null ? movedBefore(text.slice(0, find.start), find.reading) : find.reading;
    const conflict = conflictOf(text.slice(Math.max(0, find.start - 12), find.end), find.reading.day, ground);
    const others = [...new Set([...(conflict?.days ?? []), ...(moved.others ?? [])])].filter(
      (day) => day !== moved.day,
    );
    return {
      start: said.start,
      end: said.end,
      words: text.slice(said.start, said.end),
      day: moved.day,
      time: said.time,
      others,
      rule: find.rule,
      ...(conflict ? { conflict: conflict.says } : {}),
    };
  });
}

const NAMED_WEEKDAY = new RegExp(
  `\\b(${WEEKDAY})\\.?,?\\s+(?:the\\s+)?\\d{1,2}(?:st|nd|rd|th)?\\b|\\b(${WEEKDAY})\\.?,?\\s+(?:${MONTH})\\b`,
  "i",
);
const WEEKDAYS = ["Monday", "Tuesday", "Wednesday", "Thursday", "Friday", "Saturday", "Sunday"];

/** Where a weekday is named with a date that falls on another: the nearest such weekday, and the coming one. */
function conflictOf(words: string, day: Day, ground: DateGround): { says: string; days: Day[] } | null {
  const match = NAMED_WEEKDAY.exec(words);
  const named = match && weekdayNumber((match[1] ?? match[2])!);
  if (!named || named === weekdayOf(day)) return null;
  const ahead = (named - weekdayOf(day) + 7) % 7;
  const near = ahead <= 3 ? addDays(day, ahead) : addDays(day, ahead - 7);
  const coming = addDays(ground.day, ((named - weekdayOf(ground.day) + 6) % 7) + 1);
  return {
    says: `${WEEKDAYS[named - 1]} is named, but that day is a ${WEEKDAYS[weekdayOf(day) - 1]}`,
    days: [near, coming],
  };
}

function movedBefore(lead: string, reading: DateReading): DateReading {
  const before = BEFORE.exec(lead);
  // "Not before the 19th" is the 19th.
  if (!before || /\bnot\s+$/i.test(lead.slice(0, before.index))) return reading;
  const [, count, unit] = before;
  if (!unit) return { day: addDays(reading.day, -1), others: [reading.day] };
  const number = countOf(count ?? "one");
  return { day: addDays(reading.day, -number * (unit.startsWith("week") ? 7 : 1)) };
}

/** A due date as typed into a field: found, cleared on purpose, or not understood. */
export type TypedDate =
  | { readonly kind: "date"; readonly date: FoundDate }
  | { readonly kind: "none" }
  | { readonly kind: "unclear"; readonly why: string };

/** Longest text a date field reads; what is longer is no date. */
const LONGEST_TYPED_DATE = 80;

/** Days ahead beyond which a typed date is asked about instead of taken: a slip of the pen in the year. */
const FARTHEST_DUE_DAYS = 3660;

/**
 * Reads what was typed as a due date: "fri", "in two weeks", "3 dec 14:00", "none".
 * Words that are left over, and days that do not exist ("30 feb"), make it unclear, with a sentence that says so.
 */
export function readTypedDate(
  text: string,
  from: Moment,
  calendar: WorkingCalendar,
  order: "dmy" | "mdy" = "dmy",
): TypedDate {
  const trimmed = text.trim();
  if (trimmed === "" || /^(?:none|no date|never|-)$/i.test(trimmed)) return { kind: "none" };
  if (trimmed.length > LONGEST_TYPED_DATE) return { kind: "unclear", why: "That is too long for a date." };
  // A lone "the" makes "14th" the day of a month, as it does in a letter.
  const found = findDates(
    /^\d{1,2}(?:st|nd|rd|th)\b/i.test(trimmed) && findDates(trimmed, from, calendar, order).length === 0
      ? `the ${trimmed}`
      : trimmed,
    from,
    calendar,
    order,
  );
  const times = findTimes(trimmed);
  const first = found[0];
  if (!first) {
    if (times.length === 1 && times[0]) {
      const { time } = times[0];
      const day = time > timeOf(from) ? dayOf(from) : addDays(dayOf(from), 1);
      return {
        kind: "date",
        date: { start: 0, end: trimmed.length, words: trimmed, day, time, others: [], rule: "time of day" },
      };
    }
    return { kind: "unclear", why: `“${trimmed}” is not a day I know. Try “fri”, “in two weeks” or “3 dec 14:00”.` };
  }
  if (found.length > 1) return { kind: "unclear", why: `“${trimmed}” names more than one day.` };
  const rest = `${trimmed.slice(0, Math.max(0, first.start))} ${trimmed.slice(first.end)}`.replace(
    /\b(?:by|on|at|the|due|until|till|before|this)\b|[\s,.]/gi,
    "",
  );
  if (rest !== "" && !/^the /i.test(first.words))
    return { kind: "unclear", why: `I understood “${first.words}”, but not “${rest}”.` };
  if (Math.abs(daysBetween(dayOf(from), first.day)) > FARTHEST_DUE_DAYS) {
    return { kind: "unclear", why: `${first.day.slice(0, 4)} is more than ten years away: is the year right?` };
  }
  return { kind: "date", date: first };
}
