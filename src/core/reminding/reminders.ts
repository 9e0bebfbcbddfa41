import { addDays, addWorkingDays, type Day, type WorkingCalendar } from "../time/day";
import { instantOf } from "../time/moment";

/** A dated task and its owner, as reminders look at it. */
export interface RemindedTask {
  readonly id: string;
  readonly due: { readonly day: Day; readonly time: string | null; readonly zone: string } | null;
  /** The day from which on it can be begun. */
  readonly start: Day | null;
  /** Who is reminded, and the zone they live in: their morning is meant. Null where nobody has it. */
  readonly owner: { readonly personId: string; readonly zone: string } | null;
  /** Times that somebody has set for themselves; milliseconds since 1970 UTC. */
  readonly own: readonly { readonly personId: string; readonly at: number }[];
}

/** One reminder: for whom, when, and of what. */
export interface Reminder {
  readonly taskId: string;
  readonly personId: string;
  /** Milliseconds since 1970 UTC. */
  readonly at: number;
  readonly of: "the start" | "the day before" | "the day" | "soon" | "own time";
}

/** The wall time at which a day's reminders come. */
const MORNING = "08:00";

/** Milliseconds before a due with a time. */
const SOON_MS = 2 * 3_600_000;

/**
 * The reminders of a task. Without any setting its owner is reminded in the morning of the day from which on it can be begun,
 * where there is one, of the working day before it is due and of the day itself, on their own clock; of a time also two hours before. A wall time that a clock change leaves out or
 * has twice is taken as `instantOf` has it. Without an owner only own times remind.
 */
export function remindersOf(task: RemindedTask, calendar: WorkingCalendar): Reminder[] {
  const own = task.own.map(({ personId, at }) => ({ taskId: task.id, personId, at, of: "own time" as const }));
  const { due, owner, start } = task;
  if (!owner) return own;
  const { personId } = owner;
  const morning = (day: Day, of: Reminder["of"]) => ({
    taskId: task.id,
    personId,
    at: instantOf(day, MORNING, owner.zone),
    of,
  });
  const reminders: Reminder[] = due
    ? [morning(addWorkingDays(due.day, -1, calendar), "the day before"), morning(due.day, "the day")]
    : [];
  if (due?.time) {
    const at = instantOf(due.day, due.time, due.zone) - SOON_MS;
    if (at > reminders[1]!.at) reminders.push({ taskId: task.id, personId, at, of: "soon" });
  }
  // In one morning one reminder is enough: that of the due says more.
  const begins = start ? morning(start, "the start") : null;
  if (begins && !reminders.some((one) => one.at === begins.at)) reminders.push(begins);
  return [...reminders, ...own].sort((a, b) => a.at - b.at);
}

/**
 * The reminders whose time lies after `from` and not after `to`. Looked through piece by piece, each piece beginning where the
 * one before ended, every reminder comes once: also when nobody looked at its minute.
 */
export function remindersBetween(
  tasks: readonly RemindedTask[],
  from: number,
  to: number,
  calendar: WorkingCalendar,
): Reminder[] {
  return tasks
    .flatMap((task) => remindersOf(task, calendar))
    .filter((reminder) => reminder.at > from && reminder.at <= to)
    .sort((a, b) => a.at - b.at);
}

/** Calendar days around a span in which tasks can be due that have a reminder in it. */
export function dueDaysAround(from: Day, to: Day): { first: Day; last: Day } {
  // The working day before may lie a long holiday earlier.
  return { first: addDays(from, -2), last: addDays(to, 21) };
}
