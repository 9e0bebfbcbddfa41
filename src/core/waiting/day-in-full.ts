import { Temporal } from "temporal-polyfill";
import type { Day } from "../time/day";

const WEEKDAYS = ["Monday", "Tuesday", "Wednesday", "Thursday", "Friday", "Saturday", "Sunday"] as const;
const MONTHS = [
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
  return `${WEEKDAYS[date.dayOfWeek - 1]} ${date.day} ${MONTHS[date.month - 1]}`;
}
