import * as rrule from "rrule";
import { addDays, addMonths, type Day, isDay } from "../time/day";

/**
 * How a task repeats, as text: a recurrence rule (RFC 5545 section 3.3.10) that is counted from a first day, or "AFTER=" with a
 * duration (section 3.3.6, whole days, weeks or months) counted from the day it was done.
 */
export type RepeatRule = string;

const AFTER = /^AFTER=P(\d{1,3})([DWM])$/;

// Node takes this library for CommonJS, whose exports are all in one; bundlers take its modules.
const { RRule } = "RRule" in rrule ? rrule : (rrule as unknown as { default: typeof rrule }).default;

/** Years ahead that a next day is looked for; a rule without one by then has ended. */
const YEARS_AHEAD = 12;

/** Whether text is a rule that `nextDay` can follow. */
export function isRule(text: string): boolean {
  if (AFTER.test(text)) return true;
  if (!/^FREQ=(?:DAILY|WEEKLY|MONTHLY|YEARLY)(?:;[A-Z]+=[A-Z0-9,+-]+)*$/.test(text) || text.length > 200) return false;
  try {
    RRule.parseString(text);
    return true;
  } catch {
    return false;
  }
}

function asDate(day: Day): Date {
  return new Date(`${day}T00:00:00Z`);
}

/**
 * The day on which the next one is due, or null where the series has ended.
 * @param from first day of the series, from which the rule counts
 * @param after the day after which the next one lies; for "AFTER=" the day on which it was done
 */
export function nextDay(rule: RepeatRule, from: Day, after: Day): Day | null {
  const counted = AFTER.exec(rule);
  if (counted) {
    const count = Number(counted[1]);
    if (counted[2] === "M") return addMonths(after, count);
    return addDays(after, counted[2] === "W" ? count * 7 : count);
  }
  const until = addDays(after, YEARS_AHEAD * 366);
  const options = RRule.parseString(rule);
  // Days alone, in a time without zones: a rule of whole days has no clock change.
  const series = new RRule({ ...options, dtstart: asDate(from), until: options.until ?? asDate(until) });
  const next = series.after(asDate(after), false)?.toISOString().slice(0, 10);
  return next && isDay(next) ? next : null;
}
