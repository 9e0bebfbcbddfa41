import type { Day } from "../time/day";
import { dayOf, type Moment, timeOf } from "../time/moment";
import { sayDay, sayLateness } from "../time/say-day";
import type { Reminder } from "./reminders";

/** Milliseconds after which a reminder that comes late says so. */
const LATE_MS = 5 * 60_000;

/** What a reminder says, as of the moment it comes: the due with its weekday; that it comes late, where it does. */
export function reminderWords(
  due: { readonly day: Day; readonly time: string | null } | null,
  at: number,
  now: Moment,
  of: Reminder["of"] = "the day",
): string {
  const today = dayOf(now);
  const late =
    now.at - at > LATE_MS
      ? `; meant for ${sayDay(dayOf({ at, zone: now.zone }), today)}, ${timeOf({ at, zone: now.zone })}`
      : "";
  if (of === "the start") return `can begin ${late === "" ? "today" : "now"}${late}`;
  if (!due) return `you wanted to be reminded${late}`;
  const time = due.time ? `, ${due.time}` : "";
  const over = sayLateness(due.day, today);
  const when = over
    ? `was due ${sayDay(due.day, today)}, ${over}`
    : due.day === today
      ? `is due today${time}`
      : `is due ${sayDay(due.day, today)}${time}`;
  return `${when}${late}`;
}
