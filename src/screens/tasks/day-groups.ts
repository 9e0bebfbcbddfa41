import { type Day, daysBetween, type WorkingCalendar } from "../../core/time/day";
import { dayOf } from "../../core/time/moment";
import { sayDay, sayDistance } from "../../core/time/say-day";
import type { TaskRow } from "../../core/views/views";

/** A row of the list with what its day gutter says; `head` only at the first row of a group. */
export interface GroupedRow {
  readonly task: TaskRow;
  readonly look: "over" | "today" | "day" | "none";
  readonly head: { readonly name: string; readonly note: string } | null;
  readonly isLast: boolean;
}

function groupOf(
  task: TaskRow,
  today: Day,
  zone: string,
  isDoneList: boolean,
): { key: string; look: GroupedRow["look"] } {
  if (isDoneList) return { key: task.finishedAt === null ? "" : dayOf({ at: task.finishedAt, zone }), look: "day" };
  if (!task.due) return { key: "", look: "none" };
  if (task.due.day < today) return { key: "over", look: "over" };
  return { key: task.due.day, look: task.due.day === today ? "today" : "day" };
}

/**
 * Puts rows that come by due day under their days: those that are over together, then today, each coming day, and those
 * without a date. In the list of finished tasks the day is that of finishing.
 */
export function groupByDay(
  rows: readonly TaskRow[],
  today: Day,
  zone: string,
  calendar: WorkingCalendar,
  isDoneList: boolean,
): GroupedRow[] {
  const keyed = rows.map((task) => ({ task, ...groupOf(task, today, zone, isDoneList) }));
  return keyed.map(({ task, key, look }, i) => {
    const isFirst = keyed[i - 1]?.key !== key;
    const isLast = keyed[i + 1]?.key !== key;
    let head: GroupedRow["head"] = null;
    if (isFirst) {
      const size = keyed.filter((other) => other.key === key).length;
      if (look === "over") head = { name: "Over", note: `${size} ${size === 1 ? "task" : "tasks"}` };
      else if (look === "today") head = { name: "Today", note: sayDay(today, today) };
      else if (key === "") head = { name: "No date", note: "nobody is reminded" };
      else
        head = {
          name: sayDay(key, today),
          note: daysBetween(today, key) === 0 ? "today" : sayDistance(key, today, calendar),
        };
    }
    return { task, look, head, isLast };
  });
}

/** Puts rows that come person by person under whoever has them, with how many there are and how many are over. */
export function groupByPerson(rows: readonly TaskRow[], today: Day): GroupedRow[] {
  const keyOf = (task: TaskRow | undefined) => (task ? (task.theirs?.id ?? task.owner?.id ?? "nobody") : null);
  const isOver = (task: TaskRow) => task.due !== null && task.due.day < today;
  return rows.map((task, i) => {
    const isFirst = keyOf(rows[i - 1]) !== keyOf(task);
    const own = isFirst ? rows.filter((other) => keyOf(other) === keyOf(task)) : [];
    const over = own.filter(isOver).length;
    return {
      task,
      look: "none",
      head: isFirst
        ? {
            name: (task.theirs ?? task.owner)?.name ?? "Nobody",
            note: `${own.length} ${own.length === 1 ? "task" : "tasks"}${over > 0 ? `, ${over} over` : ""}`,
          }
        : null,
      isLast: keyOf(rows[i + 1]) !== keyOf(task),
    };
  });
}
