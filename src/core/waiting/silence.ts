import { addDays, type Day, type WorkingCalendar, workingDaysBetween } from "../time/day";

/**
 * Days of silence: working days after the last word from the other side, up to and including today. Days on which they said
 * they are away do not count: silence pauses until the day they are back.
 * @param heard day of the last word
 * @param awayUntil the day on which they said they are back, also when it is past; null where they said nothing
 * @param awaySaid day of the letter that said so
 */
export function daysOfSilence(
  heard: Day,
  today: Day,
  calendar: WorkingCalendar,
  awayUntil: Day | null = null,
  awaySaid: Day | null = null,
): number {
  if (heard >= today) return 0;
  const all = workingDaysBetween(heard, today, calendar);
  if (!awayUntil) return all;
  const from = awaySaid && awaySaid > heard ? awaySaid : heard;
  const lastAway = addDays(awayUntil, -1);
  const to = lastAway < today ? lastAway : today;
  return to <= from ? all : all - workingDaysBetween(from, to, calendar);
}

/** Working days within which an answer may come without anybody wondering, where nothing is known of how long they take. */
export const PATIENT_DAYS = 4;

/**
 * How many working days somebody usually takes to answer: the third quarter of their earlier answers, so that three of four
 * were quicker; at least one. Null with fewer than three answers: that says nothing yet.
 */
export function usualDays(answers: readonly number[]): number | null {
  if (answers.length < 3) return null;
  const sorted = [...answers].sort((a, b) => a - b);
  return Math.max(1, sorted[Math.ceil(sorted.length * 0.75) - 1]!);
}

/** From how many days on a silence is long: longer than is usual for them. */
export function longFrom(usual: number | null): number {
  return usual === null ? PATIENT_DAYS : usual + 1;
}
