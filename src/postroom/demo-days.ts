import { Temporal } from "temporal-polyfill";
import { addDays, addWorkingDays, type Day, PLAIN_WEEK, weekdayOf, workingDayFrom } from "../core/time/day";
import { dayInFull, WEEKDAYS_IN_FULL } from "../core/time/day-in-full";
import { dayOf, instantOf, timeOf } from "../core/time/moment";
import { DEMO_ZONE } from "./larkmoor/people";

const WEEKDAYS = ["mon", "tue", "wed", "thu", "fri", "sat", "sun"];
/** Time of day by which the demo's newest letters have all been written. */
const LETTERS_IN_BY = "11:00";

/**
 * The day that the demo's newest letters lie on: the latest working day on which they can all have arrived. Everything
 * else is placed from it, older letters by whole weeks, so that a weekday in a letter stays true.
 */
export function referenceDay(now: number): Day {
  const today = dayOf({ at: now, zone: DEMO_ZONE });
  const isIn = timeOf({ at: now, zone: DEMO_ZONE }) >= LETTERS_IN_BY;
  if (weekdayOf(today) <= 5 && isIn) return today;
  return addWorkingDays(today, -1, PLAIN_WEEK);
}

/** The day and instant that a script's "w-3 tue 09:12" or "d-1 09:12" stands for. */
export function placed(when: string, reference: Day, zone: string): { day: Day; at: number } {
  const [place, second, third] = when.split(" ") as [string, string, string?];
  const back = Number(place.slice(2));
  if (place.startsWith("d")) {
    const day = back === 0 ? reference : addWorkingDays(reference, -back, PLAIN_WEEK);
    return { day, at: instantOf(day, second, zone) };
  }
  const monday = addDays(reference, 1 - weekdayOf(reference));
  const day = addDays(monday, -7 * back + WEEKDAYS.indexOf(second));
  return { day, at: instantOf(day, third!, zone) };
}

/**
 * Fits the days of a script to the day of its letter: "{wd+5}" a day some days on, never at a weekend ("Friday 27
 * November"); "{w+2}" the weekday two working days on; "{week+3}" an ISO week; "{rfc-1}" a Date header of the day before.
 */
export function fitDays(text: string, day: Day): string {
  return text.replace(/\{(wd|w|week|rfc)([+-]\d+)\}/g, (_all, kind: string, offset: string) => {
    const count = Number(offset);
    switch (kind) {
      case "wd":
        return dayInFull(workingDayFrom(addDays(day, count), PLAIN_WEEK));
      case "w":
        return WEEKDAYS_IN_FULL[weekdayOf(addWorkingDays(day, count, PLAIN_WEEK)) - 1]!;
      case "week":
        return String(Temporal.PlainDate.from(addDays(day, 7 * count)).weekOfYear);
      default:
        return `${dayInFull(addDays(day, count))} ${day.slice(0, 4)} at 17:12`;
    }
  });
}
