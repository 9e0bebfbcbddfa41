import { findDates } from "../time/dates-in-words";
import type { Day, WorkingCalendar } from "../time/day";
import type { Moment } from "../time/moment";

/** How one line about a call was understood. */
export interface ReadCall {
  readonly isReached: boolean;
  readonly due: { readonly day: Day; readonly time: string | null } | null;
}

/** Ways of saying that nobody was reached. */
const NOT_REACHED =
  /\b(?:no (?:answer|reply|one there|luck)|nobody (?:there|answered|picked up)|not (?:there|in|reached|available)|did(?:n['’]t| not) (?:answer|pick up|reach)|engaged|busy line|voice ?mail|left (?:a )?(?:message|word)|only the machine|answering machine|out of (?:the )?office|could(?:n['’]t| not) reach|gone home)\b/i;

/**
 * Reads a line about a call: "rang, no answer", "will send on the 3rd". The day is the one they named; where nobody was
 * reached there is none, since "try again on Friday" is ours.
 */
export function readCall(text: string, from: Moment, calendar: WorkingCalendar, order: "dmy" | "mdy"): ReadCall {
  if (NOT_REACHED.test(text)) return { isReached: false, due: null };
  const date = findDates(text, from, calendar, order).at(-1);
  return { isReached: true, due: date ? { day: date.day, time: date.time } : null };
}
