import { findDates } from "../time/dates-in-words";
import type { WorkingCalendar } from "../time/day";
import { instantOf, type Moment } from "../time/moment";

/** How a line that puts something by was understood. */
export type ReadPutBy =
  | { readonly kind: "shelf" }
  | { readonly kind: "until"; readonly at: number }
  | { readonly kind: "not understood" };

/** The hour at which something comes back on a day without a time. */
const MORNING = "08:00";

const SOON = /^\s*(?:in\s+)?(an?|\d{1,3})\s*(hours?|h|minutes?|min)\s*$/i;

/**
 * Reads until when something is put by: "thursday", "monday 14:00", "in two hours", or "shelf" for no date at all. A day
 * without a time means its morning.
 */
export function readPutBy(line: string, from: Moment, calendar: WorkingCalendar, order: "dmy" | "mdy"): ReadPutBy {
  if (/^\s*(?:on |onto )?(?:the )?shelf\s*$/i.test(line)) return { kind: "shelf" };
  const soon = SOON.exec(line);
  if (soon) {
    const count = /^an?$/i.test(soon[1]!) ? 1 : Number(soon[1]);
    return { kind: "until", at: from.at + count * (/^h/i.test(soon[2]!) ? 3_600_000 : 60_000) };
  }
  const date = findDates(line, from, calendar, order)[0];
  if (!date) return { kind: "not understood" };
  return { kind: "until", at: instantOf(date.day, date.time ?? MORNING, from.zone) };
}
