import type { Day, WorkingCalendar } from "./day";

/** What a date in words is counted from: the writer's day and wall time, the calendar, and the order of "3/4". */
export interface DateGround {
  readonly day: Day;
  readonly time: string;
  readonly calendar: WorkingCalendar;
  /** How the writer's country orders figures: day first ("dmy") or month first ("mdy"). */
  readonly figures: "dmy" | "mdy";
}

/** One reading of the words. `others` are days a fair reader could also take, best first. */
export interface DateReading {
  readonly day: Day;
  readonly time?: string;
  readonly others?: readonly Day[];
}

/**
 * A rule finds one way of saying a day. `pattern` is matched without regard to case, at word boundaries;
 * `read` gives null where the words turn out to mean no day.
 */
export interface DateRule {
  readonly name: string;
  readonly pattern: RegExp;
  read(words: RegExpExecArray, ground: DateGround): DateReading | null;
}

const NUMBER_WORDS: Readonly<Record<string, number>> = {
  a: 1,
  an: 1,
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  seven: 7,
  eight: 8,
  nine: 9,
  ten: 10,
  eleven: 11,
  twelve: 12,
  fourteen: 14,
  fifteen: 15,
  twenty: 20,
  thirty: 30,
  "a couple of": 2,
  "a few": 3,
  another: 1,
};

/** Matches a count in figures or words, to be put into a rule's pattern. */
export const COUNT = `\\d{1,3}|${Object.keys(NUMBER_WORDS)
  .sort((a, b) => b.length - a.length)
  .join("|")}`;

/** The number a `COUNT` match stands for. */
export function countOf(words: string): number {
  return NUMBER_WORDS[words.toLowerCase()] ?? Number.parseInt(words, 10);
}

const WEEKDAY_STEMS = ["mon", "tue", "wed", "thu", "fri", "sat", "sun"] as const;

/** Matches a weekday, whole or cut short. */
export const WEEKDAY =
  "mon(?:day)?|tue(?:s(?:day)?)?|wed(?:s|nesday)?|thu(?:rs?(?:day)?)?|fri(?:day)?|sat(?:urday)?|sun(?:day)?";

/** ISO weekday number of a `WEEKDAY` match. */
export function weekdayNumber(words: string): number {
  return WEEKDAY_STEMS.indexOf(words.toLowerCase().slice(0, 3) as (typeof WEEKDAY_STEMS)[number]) + 1;
}

const MONTH_STEMS = ["jan", "feb", "mar", "apr", "may", "jun", "jul", "aug", "sep", "oct", "nov", "dec"] as const;

/** Matches a month's name, whole or cut short. */
export const MONTH =
  "jan(?:uary)?|feb(?:ruary)?|mar(?:ch)?|apr(?:il)?|may|june?|july?|aug(?:ust)?|sept?(?:ember)?|oct(?:ober)?|nov(?:ember)?|dec(?:ember)?";

/** Month number of a `MONTH` match. */
export function monthNumber(words: string): number {
  return MONTH_STEMS.indexOf(words.toLowerCase().slice(0, 3) as (typeof MONTH_STEMS)[number]) + 1;
}
