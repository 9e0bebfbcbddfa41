import { Temporal } from "temporal-polyfill";
import { type Day, daysBetween, isWorkingDay, type WorkingCalendar, weekdayOf, workingDaysBetween } from "./day";
import { dayOf, type Moment, timeOf } from "./moment";

const WEEKDAYS = ["Mon", "Tue", "Wed", "Thu", "Fri", "Sat", "Sun"] as const;
const MONTHS = ["Jan", "Feb", "Mar", "Apr", "May", "Jun", "Jul", "Aug", "Sep", "Oct", "Nov", "Dec"] as const;

/** Days within which the year goes without saying; beyond it is written, so that a wrong year is seen at once. */
const YEAR_GOES_WITHOUT_SAYING_DAYS = 300;

/** "Wed 25 Nov"; with the year where the day is more than 300 days from `today`: "Wed 25 Nov 2099". */
export function sayDay(day: Day, today: Day): string {
  const date = Temporal.PlainDate.from(day);
  const plain = `${WEEKDAYS[date.dayOfWeek - 1]} ${date.day} ${MONTHS[date.month - 1]}`;
  return Math.abs(daysBetween(today, day)) > YEAR_GOES_WITHOUT_SAYING_DAYS ? `${plain} ${date.year}` : plain;
}

function plural(count: number, unit: string): string {
  return `${count} ${unit}${count === 1 ? "" : "s"}`;
}

/**
 * How far a day is from today, in words: "today", "tomorrow", "yesterday", "in 4 working days", "on Saturday" (the coming
 * one, where nobody works), "in 9 weeks", "2 days ago". Near days are counted in working days, far ones in weeks or years.
 */
export function sayDistance(day: Day, today: Day, calendar: WorkingCalendar): string {
  const days = daysBetween(today, day);
  if (days === 0) return "today";
  if (days === 1) return "tomorrow";
  if (days === -1) return "yesterday";
  if (days < 0)
    return days > -60
      ? `${-days} days ago`
      : days > -700
        ? `${Math.round(-days / 7)} weeks ago`
        : `${Math.round(-days / 365.25)} years ago`;
  if (days < 7 && !isWorkingDay(day, calendar))
    return weekdayOf(day) === 6 ? "on Saturday" : weekdayOf(day) === 7 ? "on Sunday" : `in ${days} days`;
  if (days <= 42) return `in ${plural(workingDaysBetween(today, day, calendar), "working day")}`;
  return days < 700 ? `in ${Math.round(days / 7)} weeks` : `in ${Math.round(days / 365.25)} years`;
}

/** How late something due on `day` is: "1 day over", "3 days over", in calendar days; null when it is not. */
export function sayLateness(day: Day, today: Day): string | null {
  const days = daysBetween(day, today);
  return days > 0 ? `${plural(days, "day")} over` : null;
}

/** An instant for a list: its time when it is today ("08:12"), otherwise its day ("Mon 23 Nov"). */
export function sayMoment(at: number, now: Moment): string {
  const moment = { at, zone: now.zone };
  return dayOf(moment) === dayOf(now) ? timeOf(moment) : sayDay(dayOf(moment), dayOf(now));
}

/** An instant in full: "Tue 24 Nov, 08:12". */
export function sayMomentFully(at: number, zone: string, now: Moment): string {
  const moment = { at, zone };
  return `${sayDay(dayOf(moment), dayOf({ at: now.at, zone }))}, ${timeOf(moment)}`;
}
