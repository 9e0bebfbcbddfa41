import { namedIn } from "../reading/kind-rule";
import type { Person } from "../reading/slip";
import { findDates } from "../time/dates-in-words";
import { addDays, type Day, type WorkingCalendar, workingDayFrom } from "../time/day";
import { dayOf, type Moment } from "../time/moment";

/** A time away as it was typed. */
export interface ReadAway {
  readonly fromDay: Day | null;
  /** The first day on which they are back. */
  readonly backDay: Day | null;
  /** Who covers, as named; several where it is not clear. */
  readonly covers: readonly string[];
  /** Whether who covers may read one's own mailboxes. */
  readonly withMailboxes: boolean;
}

const BACK = /\bback\b(?:\s+(?:on|in|at))?\s*$/i;
const LAST = /(?:\b(?:until|till|to|through)|[-–])\s*$/i;
const MAIL = /\b(?:with|and)\s+(?:my\s+)?(?:own\s+)?(?:mail(?:box(?:es)?)?|letters)\b/i;

/**
 * Reads a time away in one line: "Monday until 4 December, Suki, with my mail". One day alone is that day; "until" a day
 * alone begins today; "back on" a day names the day itself, else one is back on the working day after the last.
 */
export function readAway(
  line: string,
  from: Moment,
  calendar: WorkingCalendar,
  order: "dmy" | "mdy",
  people: readonly Person[],
): ReadAway {
  const dates = findDates(line, from, calendar, order);
  const covers = namedIn(line, people).map(({ person }) => person.id);
  const rest = { covers: [...new Set(covers)], withMailboxes: MAIL.test(line) };
  const [first, second] = dates;
  if (!first) return { fromDay: null, backDay: null, ...rest };
  const before = (at: number) => line.slice(0, at);
  const back = (date: { start: number; day: Day }) =>
    BACK.test(before(date.start)) ? date.day : workingDayFrom(addDays(date.day, 1), calendar);
  if (second) return { fromDay: first.day, backDay: back(second), ...rest };
  const isEnd = LAST.test(before(first.start)) || BACK.test(before(first.start));
  return { fromDay: isEnd ? dayOf(from) : first.day, backDay: back(first), ...rest };
}
