import { sql } from "drizzle-orm";
import { remindersOf } from "../../core/reminding/reminders";
import type { TaskRow, TaskSheet } from "../../core/views/views";
import type { Database } from "../engine/database";
import type { Viewer } from "../need-to-know";
import { type InstantText, millis, rowsOf } from "../rows";
import { theOrganisation } from "./people";

/** The reminders of a task that a viewer is told of: its owner's, and the times they set for themselves. */
export async function remindersFor(db: Database, viewer: Viewer, task: TaskRow): Promise<TaskSheet["reminders"]> {
  const organisation = await theOrganisation(db);
  if (!organisation) return [];
  const own = await rowsOf<{ id: string; at: InstantText }>(
    db,
    sql`select id, at from reminder where task_id = ${task.id} and person_id = ${viewer.personId} order by at`,
  );
  const [owner] = task.owner
    ? await rowsOf<{ zone: string | null }>(db, sql`select zone from person where id = ${task.owner.id}`)
    : [];
  const isOpen = task.state === "to begin" || task.state === "under way";
  const reminders =
    isOpen && task.side === "ours"
      ? remindersOf(
          {
            id: task.id,
            due: task.due,
            start: task.startDay,
            owner: task.owner && { personId: task.owner.id, zone: owner?.zone ?? organisation.zone },
            own: [],
          },
          organisation,
        )
      : [];
  return [
    ...reminders.map(({ personId, at }) => ({ id: null, personId, at })),
    ...own.map(({ id, at }) => ({ id, personId: viewer.personId, at: millis(at) })),
  ].sort((a, b) => a.at - b.at);
}
