import { findDates } from "./dates-in-words";
import type { Day, WorkingCalendar } from "./day";
import { figuresOf } from "./figures-order";
import type { Moment } from "./moment";
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

/**
 * The day that a phrase means, counted from a moment in its writer's zone. Where a phrase names several, a correction
 * counts alone ("Thursday, no, make it Friday"), else the first.
 */
export function readWhen(phrase: string, from: Moment, calendar: WorkingCalendar): When {
  const found = findDates(phrase, from, calendar, figuresOf(from.zone));
  const correction = CORRECTION.exec(phrase);
  const date = (correction && found.find((one) => one.start > correction.index)) ?? found[0];
  if (!date) {
    const time = findTimes(phrase)[0]?.time ?? null;
    const reason = time ? "a time without a day" : "no day is named";
    return { date: null, time, zone: from.zone, alternatives: [], reason };
  }
  return { date: date.day, time: date.time, zone: from.zone, alternatives: date.others, reason: date.rule };
}
