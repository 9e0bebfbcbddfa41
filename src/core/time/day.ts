import { Temporal } from "temporal-polyfill";

/** A day of the calendar, written as in ISO 8601: "2026-11-25". Text, so that it travels through JSON unchanged. */
export type Day = string;

/** The days an organisation works. `workingDays` are ISO weekday numbers (Monday 1 … Sunday 7). */
export interface WorkingCalendar {
  readonly workingDays: readonly number[];
  readonly holidays: readonly Day[];
}

/** Monday to Friday without holidays: what is assumed where an organisation has said nothing else. */
export const PLAIN_WEEK: WorkingCalendar = { workingDays: [1, 2, 3, 4, 5], holidays: [] };

/** Whether `text` names a day that exists. `isDay("2026-02-30")` is false. */
export function isDay(text: string): boolean {
  if (!/^\d{4}-\d{2}-\d{2}$/.test(text)) return false;
  try {
    Temporal.PlainDate.from(text, { overflow: "reject" });
    return true;
  } catch {
    return false;
  }
}

/** The day `count` calendar days after `day`; a negative count goes back. */
export function addDays(day: Day, count: number): Day {
  return Temporal.PlainDate.from(day).add({ days: count }).toString();
}

/** The same day of the month `count` months on; the last day where that month is shorter ("31 January" + 1 is 28 or 29 February). */
export function addMonths(day: Day, count: number): Day {
  return Temporal.PlainDate.from(day).add({ months: count }).toString();
}

/** ISO weekday number: Monday 1 … Sunday 7. */
export function weekdayOf(day: Day): number {
  return Temporal.PlainDate.from(day).dayOfWeek;
}

/** Calendar days from `from` to `to`; negative when `to` is earlier. */
export function daysBetween(from: Day, to: Day): number {
  return Temporal.PlainDate.from(from).until(Temporal.PlainDate.from(to), { largestUnit: "days" }).days;
}

/** Whether the organisation works on `day`. */
export function isWorkingDay(day: Day, calendar: WorkingCalendar): boolean {
  return calendar.workingDays.includes(weekdayOf(day)) && !calendar.holidays.includes(day);
}

/** Longest run of days without work that is looked through; a calendar that never works ends the search instead of hanging. */
const LONGEST_PAUSE_DAYS = 60;

/**
 * The day `count` working days after `day` (before it, when negative); `day` itself need not be one.
 * Friday + 1 is Monday; Saturday + 1 is Monday; Monday - 1 is Friday; count 0 is `day` unchanged.
 */
export function addWorkingDays(day: Day, count: number, calendar: WorkingCalendar): Day {
  const step = count < 0 ? -1 : 1;
  let left = Math.abs(count);
  let idle = 0;
  let current = day;
  while (left > 0 && idle < LONGEST_PAUSE_DAYS) {
    current = addDays(current, step);
    if (isWorkingDay(current, calendar)) {
      left -= 1;
      idle = 0;
    } else idle += 1;
  }
  return current;
}

/** The first working day on or after `day`. */
export function workingDayFrom(day: Day, calendar: WorkingCalendar): Day {
  return isWorkingDay(day, calendar) ? day : addWorkingDays(day, 1, calendar);
}

/** The last working day on or before `day`. */
export function workingDayUpTo(day: Day, calendar: WorkingCalendar): Day {
  return isWorkingDay(day, calendar) ? day : addWorkingDays(day, -1, calendar);
}

/**
 * Working days after `from` up to and including `to`: Monday to Friday of one week is 4, Friday to the next Monday 1,
 * a day to itself 0; backwards is negative. Counted week by week, so that far days cost nothing.
 */
export function workingDaysBetween(from: Day, to: Day, calendar: WorkingCalendar): number {
  if (to < from) return -workingDaysBetween(to, from, calendar);
  const days = daysBetween(from, to);
  const weeks = Math.floor(days / 7);
  let count = weeks * calendar.workingDays.length;
  for (let current = addDays(from, weeks * 7 + 1); current <= to; current = addDays(current, 1)) {
    if (calendar.workingDays.includes(weekdayOf(current))) count += 1;
  }
  const lost = calendar.holidays.filter((d) => d > from && d <= to && calendar.workingDays.includes(weekdayOf(d)));
  return count - new Set(lost).size;
}

/** The last calendar day of the month of `day`. */
export function monthEnd(day: Day): Day {
  const date = Temporal.PlainDate.from(day);
  return date.with({ day: date.daysInMonth }).toString();
}

/** The day with these figures, or null where there is none ("31 April"). */
export function dayFrom(year: number, month: number, date: number): Day | null {
  const text = `${String(year).padStart(4, "0")}-${String(month).padStart(2, "0")}-${String(date).padStart(2, "0")}`;
  return isDay(text) ? text : null;
}

/** The Monday of an ISO 8601 week: `isoWeekMonday(2026, 53)` is "2026-12-28". */
export function isoWeekMonday(year: number, week: number): Day {
  const fourth = `${String(year).padStart(4, "0")}-01-04`;
  return addDays(fourth, (week - 1) * 7 - (weekdayOf(fourth) - 1));
}
