import { COUNT, countOf, WEEKDAY, weekdayNumber } from "../time/date-rule";
import type { FoundDate } from "../time/dates-in-words";
import { addDays, addWorkingDays, type WorkingCalendar, weekdayOf } from "../time/day";
import type { DueFound } from "./slip";

/** "Two days before that", "one day earlier", "a week ahead of it": counted back from a day that was named before. */
const BACK = new RegExp(
  `\\b(${COUNT}|the)\\s+(days?|weeks?|fortnight|evening|night|morning|afternoon)\\s+(?:(?:before|ahead of|prior to|earlier than)\\s+(?:that|it|then)\\b|(?:before(?:hand)?|earlier|ahead|in advance)(?=\\s*(?:[.,;!?]|$)))`,
  "i",
);

const UNIT_DAYS = [
  ["week", 7],
  ["fortnight", 14],
] as const;

/** "On the day after", "two weeks later": counted on from it; "not a day later" is not. */
const ON = new RegExp(
  `(?<!\\b(?:not|no|or|and)\\s)\\b(?:(${COUNT})\\s+(days?|weeks?)\\s+(?:after(?:wards)?|later)|the day after|the (?:next|following) day)(?:\\s+(?:that|it|then)\\b)?(?=\\s*(?:[.,;!?]|$))`,
  "i",
);

/** "Four weeks before the first start": from the day on which that is, if it was named. */
const BACK_FROM_EVENT = new RegExp(
  `\\b(${COUNT})\\s+(days?|weeks?)\\s+(?:before|ahead of|prior to)\\s+(?:the|our|your|their) (?:[\\p{L}-]+ ){0,2}?([\\p{L}-]{4,})\\b(?!\\s+(?:on|of)\\b)`,
  "iu",
);

/**
 * The day that words count back from an event whose day was named in a sentence before; null where none do.
 * @param before what stands before the clause
 * @param earlier looks for the days named in it; asked only where something is counted back
 */
export function countedBackFromEvent(
  text: string,
  before: string,
  earlier: () => readonly FoundDate[],
): DueFound | null {
  const words = BACK_FROM_EVENT.exec(text);
  if (!words) return null;
  const event = words[3]!.toLowerCase();
  const from = earlier().findLast(({ start, end }) => {
    const sentence = before.slice(before.lastIndexOf(". ", start) + 1, end + before.slice(end).search(/[.!?]|$/));
    return sentence.toLowerCase().includes(event);
  });
  if (!from) return null;
  const days = countOf(words[1]!.toLowerCase()) * (words[2]!.toLowerCase().startsWith("week") ? 7 : 1);
  return { day: addDays(from.day, -days), time: null, others: [], words: words[0] };
}

/** "Ten working days before the event (Saturday 12 June)": from the day named with it. */
const BACK_FROM_NAMED = new RegExp(
  `\\b(${COUNT})\\s+(working |business )?(days?|weeks?)\\s+(?:before|ahead of|prior to)\\s+(?:the|our|your|their) [\\p{L}\\s-]{3,40}?\\s*\\(\\s*(?:on )?(?:the )?$`,
  "iu",
);

/** The day that words count back from an event whose day stands in brackets behind it; null where none do. */
export function countedBackFromNamed(
  text: string,
  dates: readonly FoundDate[],
  calendar: WorkingCalendar,
): DueFound | null {
  for (const { start, end, day } of dates) {
    const words = BACK_FROM_NAMED.exec(text.slice(0, start));
    if (!words) continue;
    const number = countOf(words[1]!.toLowerCase()) * (words[3]!.toLowerCase().startsWith("week") ? 7 : 1);
    const due = words[2] ? addWorkingDays(day, -number, calendar) : addDays(day, -number);
    return { day: due, time: null, others: [], words: text.slice(words.index, end) };
  }
  return null;
}

/**
 * The day that words count back or on from another one; null where none do, or no day was named before.
 * @param before days named in what stands before the clause, in the order of the text
 * @param own days named in the clause itself, which count before any that is counted on
 */
export function countedFromDay(
  text: string,
  before: readonly FoundDate[],
  own: readonly FoundDate[] = [],
): DueFound | null {
  const earlier = [...before, ...own];
  const weekday = WEEKDAY_BEFORE.exec(text);
  const event = weekday && earlier.findLast(({ words }) => !words.toLowerCase().endsWith(weekday[1]!.toLowerCase()));
  if (weekday && event) {
    const back = ((weekdayOf(event.day) - weekdayNumber(weekday[1]!) + 6) % 7) + 1;
    return { day: addDays(event.day, -back), time: null, others: [], words: weekday[0] };
  }
  const back = BACK.exec(text);
  const words = back ?? (own.length === 0 ? ON.exec(text) : null);
  const from = words && earlier.at(-1);
  if (!words || !from) return null;
  const [, count = "the", unit = "day"] = words;
  const number = count.toLowerCase() === "the" ? 1 : countOf(count);
  const days = number * (UNIT_DAYS.find(([start]) => unit.toLowerCase().startsWith(start))?.[1] ?? 1);
  return { day: addDays(from.day, back ? -days : days), time: null, others: [], words: words[0] };
}

/** "The Friday before that": the weekday before a day that was named. */
const WEEKDAY_BEFORE = new RegExp(`\\bthe (${WEEKDAY}) before (?:that|it|then)\\b`, "i");

/** Whether a text counts from another day at all, so that days need not be looked for in vain. */
export function countsFromDay(text: string): boolean {
  return BACK.test(text) || ON.test(text) || WEEKDAY_BEFORE.test(text);
}
