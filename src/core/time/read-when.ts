import { MONTH } from "./date-rule";
import { findDates } from "./dates-in-words";
import { addDays, type Day, type WorkingCalendar } from "./day";
import { figuresOf } from "./figures-order";
import { dayOf, type Moment, timeOf } from "./moment";
import { findTimes } from "./rules/time-of-day";

/** What words say of a day. `date` is null where they name none. */
export interface When {
  readonly date: Day | null;
  readonly time: string | null;
  readonly zone: string;
  /** Other days that a fair reader could take, the likeliest first. */
  readonly alternatives: readonly Day[];
  /** The rule that found it, or why there is none. */
  readonly reason: string;
}

const CORRECTION = /\b(?:scrap that|make (?:it|that)|or rather|rather|no,|sorry,|i mean|instead)\b/i;

const JOINED = /^\s*(?:,?\s*(?:or|and|to|till|until|[–—-]))\s*(?:by |on |the )*$/i;

/** "31 February": a day of a month that has no such day. */
const NO_SUCH_DAY = new RegExp(
  `\\b(?:(\\d{1,2})(?:st|nd|rd|th)?(?: of)? (${MONTH})|(${MONTH}) (\\d{1,2})(?:st|nd|rd|th)?)\\b`,
  "i",
);

function whyNone(phrase: string): string {
  const words = NO_SUCH_DAY.exec(phrase);
  return words ? `there is no ${words[0]}` : "no day is named";
}

/**
 * The day that a phrase means, counted from a moment in its writer's zone. Where a phrase names several, a correction
 * counts alone ("Thursday, no, make it Friday"), else the first; days that are joined to it ("or", "to") are offered. A
 * weekday that is not that of its date is a conflict: both are given. A time without a day is the next such time.
 */
export function readWhen(phrase: string, from: Moment, calendar: WorkingCalendar): When {
  const found = findDates(phrase, from, calendar, figuresOf(from.zone));
  const correction = CORRECTION.exec(phrase);
  const at = Math.max(0, correction ? found.findIndex((one) => one.start > correction.index) : 0);
  const date = found[at];
  if (!date) {
    const time = findTimes(phrase)[0]?.time ?? null;
    const base = { time, zone: from.zone, alternatives: [] };
    if (!time) return { ...base, date: null, reason: whyNone(phrase) };
    const today = dayOf(from);
    return { ...base, date: time > timeOf(from) ? today : addDays(today, 1), reason: "a time of day: the next such" };
  }
  const next = found[at + 1];
  const joined = next && JOINED.test(phrase.slice(date.end, next.start)) ? [next.day] : [];
  const alternatives = [...new Set([...date.others, ...joined])].filter((day) => day !== date.day);
  return { date: date.day, time: date.time, zone: from.zone, alternatives, reason: date.conflict ?? date.rule };
}
