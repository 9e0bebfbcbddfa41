import {
  type DateGround,
  type DateReading,
  type DateRule,
  MONTH,
  monthNumber,
  WEEKDAY,
  weekdayNumber,
} from "../date-rule";
import { addDays, type Day, dayFrom, daysBetween, weekdayOf } from "../day";

/** A date without a year within this many days back is taken as past news, not as next year's. */
const STILL_THIS_YEAR_DAYS = 90;

/**
 * The years a writer who gave none can have meant. A day that lies a little back is taken as said of the past, with the
 * coming one offered beside it ("3 December", written on the 31st).
 */
function withoutYear(month: number, date: number, ground: DateGround): DateReading | null {
  const year = Number(ground.day.slice(0, 4));
  const [before, here, next] = [year - 1, year, year + 1].map((one) => dayFrom(one, month, date)) as [
    Day | null,
    Day | null,
    Day | null,
  ];
  const isRecent = (day: Day | null) =>
    day !== null && day < ground.day && daysBetween(day, ground.day) <= STILL_THIS_YEAR_DAYS;
  if (here && here >= ground.day) return isRecent(before) ? { day: before!, others: [here] } : { day: here };
  if (here && isRecent(here)) return { day: here, others: next ? [next] : [] };
  return next ? { day: next } : null;
}

function fullYear(text: string): number {
  const year = Number(text);
  return text.length === 2 ? 2000 + year : year;
}

/** "27 November", "Fri 27 Nov 2026", "the 3rd of December". */
export const dayMonth: DateRule = {
  name: "day and month",
  pattern: new RegExp(
    `(?:(?:${WEEKDAY})\\.?,?\\s+(?:the\\s+)?)?(\\d{1,2})(?:st|nd|rd|th)?(?:\\s+of)?\\s+(${MONTH})\\b\\.?(?:,?\\s+(\\d{4}))?`,
    "gi",
  ),
  read(words, ground) {
    const [, date, month, year] = words;
    if (!year) return withoutYear(monthNumber(month!), Number(date), ground);
    const day = dayFrom(Number(year), monthNumber(month!), Number(date));
    return day ? { day } : null;
  },
};

/** "November 27", "Dec 3rd, 2026". */
export const monthDay: DateRule = {
  name: "month and day",
  pattern: new RegExp(
    `(?:(?:${WEEKDAY})\\.?,?\\s+)?\\b(${MONTH})\\b\\.?\\s+(\\d{1,2})(?:st|nd|rd|th)?(?!\\s*[:\\d])(?:,?\\s+(\\d{4}))?`,
    "gi",
  ),
  read(words, ground) {
    const [, month, date, year] = words;
    if (!year) return withoutYear(monthNumber(month!), Number(date), ground);
    const day = dayFrom(Number(year), monthNumber(month!), Number(date));
    return day ? { day } : null;
  },
};

/** "2026-11-27" (ISO 8601). */
export const isoDate: DateRule = {
  name: "ISO date",
  pattern: /(\d{4})-(\d{2})-(\d{2})/gi,
  read(words) {
    const day = dayFrom(Number(words[1]), Number(words[2]), Number(words[3]));
    return day ? { day } : null;
  },
};

/** Words before "14.12." that make it a day and not a version at the end of a sentence. */
const POINTED_LEAD = /(?:^|\b(?:on|by|until|till|before|from|am|bis|the|to|and|due)\s+)$/i;

/** "27/11", "27.11.2026", "3/4": in the writer's order; where the other order is a day too, it is offered. */
export const figures: DateRule = {
  name: "date in figures",
  pattern: /(?<![\d/.,-])(\d{1,2})([/.])(\d{1,2})(?:\2(\d{4}|\d{2})|(\.)(?!\d))?(?![\d/%]|\.\d)/gi,
  read(words, ground) {
    const [, first, sign, second, year, point] = words;
    // "3.5" is far more often a figure than a day: a point needs its year, or a second point ("14.12.").
    if (sign === "." && !year && !(point && POINTED_LEAD.test(words.input.slice(0, words.index)))) return null;
    const make = (month: number, date: number) =>
      year ? dayFrom(fullYear(year), month, date) : (withoutYear(month, date, ground)?.day ?? null);
    const dayFirst = make(Number(second), Number(first));
    const monthFirst = sign === "/" ? make(Number(first), Number(second)) : null;
    const [best, other] = ground.figures === "dmy" ? [dayFirst, monthFirst] : [monthFirst, dayFirst];
    if (best) return { day: best, others: other && other !== best ? [other] : [] };
    return other ? { day: other } : null;
  },
};

/** Days ahead in which a day of the month is looked for: two months have every one but the 31st at the least twice. */
const AHEAD_DAYS = 62;

/** Days back in which one was a while ago. */
const BACK_DAYS = 31;

/** The days of the month with a number, from so many days back on. */
function daysNumbered(date: number, ground: DateGround, back: number): Day[] {
  const days = Array.from({ length: back + AHEAD_DAYS + 1 }, (_, i) => addDays(ground.day, i - back));
  return days.filter((day) => Number(day.slice(8)) === date);
}

/** What may stand behind "Tuesday 17" so that it is a day, and not seventeen of something. */
const DAY_ENDS =
  /^\s*(?:$|[.,;:!?)]|(?:at|from|by|for|in|on|with|and|or|if|please|is|will|would|should|morning|afternoon|evening|noon)\b)/i;

/** "Friday 20th", "before Tuesday 17": the next such day of a month that is that weekday; with "th" also where none is, which is a conflict. */
export const weekdayOfMonth: DateRule = {
  name: "weekday and day of the month",
  pattern: new RegExp(
    `\\b(${WEEKDAY})\\.?,?\\s+(\\d{1,2})(st|nd|rd|th)?\\b(?!\\s*(?:[:/.-]\\s?\\d|[ap]\\.?m\\b|o['’]?clock|h\\b|hrs?\\b))`,
    "gi",
  ),
  read(words, ground) {
    const [all, named, date, suffix] = words;
    const days = daysNumbered(Number(date), ground, BACK_DAYS);
    const coming = days.filter((day) => day > ground.day);
    const isNamed = (day: Day) => weekdayOf(day) === weekdayNumber(named!);
    // "On Friday 13th we met" is news of the past, where no such day is to come.
    const day = coming.find(isNamed) ?? (suffix ? (days.findLast(isNamed) ?? coming[0]) : undefined);
    if (suffix) return day ? { day } : null;
    return day && DAY_ENDS.test(words.input.slice(words.index + all.length)) ? { day } : null;
  },
};

/** "the 14th", "by the 3rd": the next such day of a month. */
export const dayOfMonth: DateRule = {
  name: "day of the month",
  pattern:
    /(?:\b(?:(?:mon|tues|wednes|thurs|fri|satur|sun)day\s+)?the\s+)(\d{1,2})(?:st|nd|rd|th)\b(?!\s+(?:floor|time|edition|century|grade|year|version|set|one)\b)/gi,
  read(words, ground) {
    const day = daysNumbered(Number(words[1]), ground, 0).find((one) => one > ground.day);
    return day ? { day } : null;
  },
};
