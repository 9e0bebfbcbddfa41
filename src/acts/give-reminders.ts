import { sql } from "drizzle-orm";
import { reminderWords } from "../core/reminding/reminder-words";
import { dueDaysAround, type RemindedTask, type Reminder, remindersBetween } from "../core/reminding/reminders";
import type { Day } from "../core/time/day";
import { dayOf } from "../core/time/moment";
import type { Database } from "../data/engine/database";
import { newId } from "../data/ids";
import { insertRows } from "../data/insert-rows";
import { markChange } from "../data/queries/changes";
import { theOrganisation } from "../data/queries/people";
import { tellCovers } from "../data/queries/told-covers";
import { type InstantText, millis, rowsOf } from "../data/rows";
import { notice } from "../data/schema-hearing";
import { tellScreens } from "./tell-screens";

/** How far back reminders are still given after a long silence of the server. */
const LONGEST_BACK_MS = 21 * 86_400_000;

interface Row {
  id: string;
  ownerId: string | null;
  ownerZone: string | null;
  dueDay: Day | null;
  dueTime: string | null;
  dueZone: string | null;
  startDay: Day | null;
}

/** Open tasks that can have a reminder between two instants: dated near them, or with a time that somebody set. */
async function remindedTasks(db: Database, from: number, to: number, zone: string): Promise<RemindedTask[]> {
  const days = dueDaysAround(dayOf({ at: from, zone }), dayOf({ at: to, zone }));
  const own = await rowsOf<{ taskId: string; personId: string; at: InstantText }>(
    db,
    sql`select r.task_id as "taskId", r.person_id as "personId", r.at from reminder r where r.at > ${new Date(from)} and r.at <= ${new Date(to)}`,
  );
  const rows = await rowsOf<Row>(
    db,
    sql`select t.id, t.owner_id as "ownerId", p.zone as "ownerZone", t.due_day::text as "dueDay", t.due_time as "dueTime", t.due_zone as "dueZone", t.start_day::text as "startDay"
      from task t left join person p on p.id = t.owner_id where t.state in ('to begin', 'under way')
        and ((t.side = 'ours' and t.owner_id is not null and (t.due_day between ${days.first}::date and ${days.last}::date or t.start_day between ${days.first}::date and ${days.last}::date))
          or t.id = any(select jsonb_array_elements_text(${JSON.stringify(own.map((one) => one.taskId))}::jsonb)::uuid))`,
  );
  return rows.map((row) => ({
    id: row.id,
    due: row.dueDay ? { day: row.dueDay, time: row.dueTime, zone: row.dueZone ?? zone } : null,
    start: row.startDay,
    owner: row.ownerId ? { personId: row.ownerId, zone: row.ownerZone ?? zone } : null,
    own: own.filter((one) => one.taskId === row.id).map((one) => ({ personId: one.personId, at: millis(one.at) })),
  }));
}

/** Of several reminders of a task that a person has missed only the last is given. */
function lastOfEach(reminders: readonly Reminder[]): Reminder[] {
  return [...new Map(reminders.map((one) => [`${one.taskId} ${one.personId}`, one])).values()];
}

/**
 * Gives the reminders whose time has come since they were looked through last: each once, late and saying so where the server
 * was down at its minute. How far they have been looked through is kept in the same transaction.
 * @param now milliseconds since 1970 UTC
 */
export async function giveReminders(db: Database, now: number): Promise<number> {
  const organisation = await theOrganisation(db);
  if (!organisation) return 0;
  const given = await db.transaction(async (tx) => {
    await tx.execute(
      sql`insert into reminder_clock (id, up_to) values (1, ${new Date(now)}) on conflict (id) do nothing`,
    );
    const [clock] = await rowsOf<{ upTo: InstantText }>(
      tx,
      sql`select up_to as "upTo" from reminder_clock where id = 1 for update`,
    );
    const from = Math.max(millis(clock!.upTo), now - LONGEST_BACK_MS);
    if (now <= from) return 0;
    const tasks = await remindedTasks(tx, from, now, organisation.zone);
    const due = lastOfEach(remindersBetween(tasks, from, now, organisation));
    const rows = due.map((one) => {
      const task = tasks.find((each) => each.id === one.taskId)!;
      const zone = task.owner?.personId === one.personId ? task.owner.zone : organisation.zone;
      return {
        id: newId(now),
        personId: one.personId,
        taskId: one.taskId,
        entryId: newId(now),
        what: "reminder" as const,
        why: one.of === "own time" ? ("wanted to be reminded" as const) : ("owns it" as const),
        loudness: "at once" as const,
        words: reminderWords(task.due, one.at, { at: now, zone }, one.of),
        at: new Date(now),
      };
    });
    await insertRows(tx, notice, rows);
    await tellCovers(
      tx,
      rows.map((row) => row.entryId),
      "",
      now,
    );
    await tx.execute(sql`update reminder_clock set up_to = ${new Date(now)} where id = 1`);
    if (due.length > 0) await markChange(tx);
    return due.length;
  });
  if (given > 0) tellScreens();
  return given;
}
