import { addDays, type WorkingCalendar, workingDayFrom } from "../time/day";
import { dayOf, instantOf, type Moment, timeOf } from "../time/moment";

/** A pause longer than this is not counted to the work of a round. */
const LONGEST_PAUSE_MS = 15 * 60_000;

/**
 * Minutes of work that lie between acts: pauses of more than a quarter of an hour are not counted, and each stretch counts as
 * a minute at the least.
 * @param times instants of the acts, in any order
 */
export function minutesOf(times: readonly number[]): number {
  const sorted = [...times].sort((a, b) => a - b);
  const worked = sorted.reduce((sum, at, i) => {
    const gap = i === 0 ? 60_000 : at - sorted[i - 1]!;
    return sum + (gap > LONGEST_PAUSE_MS ? 60_000 : gap);
  }, 0);
  return Math.round(worked / 60_000);
}

const NAMES: readonly (readonly string[])[] = [
  ["The round of the day"],
  ["Morning round", "Round at the end of the day"],
  ["Morning round", "Round after lunch", "Round at the end of the day"],
];

/**
 * The round that belongs to a moment: the last whose time has come; before the first it is the first one to come.
 * @param times wall times of the rounds, "08:00"
 */
export function roundAt(times: readonly string[], now: Moment): string {
  const sorted = [...times].sort();
  const time = timeOf(now);
  const index = Math.max(0, sorted.filter((one) => one <= time).length - 1);
  return NAMES[sorted.length - 1]?.[index] ?? `Round of ${sorted[index] ?? time}`;
}

/** When the first round of the next working day begins: until then a closed day is quiet. */
export function nextMorning(times: readonly string[], now: Moment, calendar: WorkingCalendar): number {
  const first = [...times].sort()[0] ?? "08:00";
  const day = workingDayFrom(addDays(dayOf(now), 1), calendar);
  return instantOf(day, first, now.zone);
}
