import { Temporal } from "temporal-polyfill";
import type { Day } from "./day";

export const WEEKDAYS_IN_FULL = ["Monday", "Tuesday", "Wednesday", "Thursday", "Friday", "Saturday", "Sunday"] as const;
export const MONTHS_IN_FULL = [
  "January",
  "February",
  "March",
  "April",
  "May",
  "June",
  "July",
  "August",
  "September",
  "October",
  "November",
  "December",
] as const;

/** A day in full, as it stands in a letter: "Wednesday 18 November". */
export function dayInFull(day: Day): string {
  const date = Temporal.PlainDate.from(day);
  return `${WEEKDAYS_IN_FULL[date.dayOfWeek - 1]} ${date.day} ${MONTHS_IN_FULL[date.month - 1]}`;
}
