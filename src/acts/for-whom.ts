import { sql } from "drizzle-orm";
import type { Change } from "../core/tasks/outcome";
import type { Database } from "../data/engine/database";
import { actsFor, actsForConversation } from "../data/queries/cover";
import { rowsOf } from "../data/rows";
import type { Actor } from "./act";

/** Who owned a task before an act changed it. */
async function ownerBefore(db: Database, taskId: string, changes: readonly Change[]): Promise<string | null> {
  const change = changes.find((one) => one.row === "task" && one.id === taskId && one.after && "ownerId" in one.after);
  if (change) return (change.before?.ownerId as string | null | undefined) ?? null;
  const [row] = await rowsOf<{ ownerId: string | null }>(
    db,
    sql`select owner_id as "ownerId" from task where id = ${taskId}`,
  );
  return row?.ownerId ?? null;
}

/** The task or conversation that a changed row belongs to. */
function placeOf({ row, id, before, after }: Change): { task?: string; conversation?: string } {
  const values = { ...before, ...after };
  if (row === "task") return { task: id };
  if (row === "conversation") return { conversation: id };
  const place: { task?: string; conversation?: string } = {};
  if (typeof values.taskId === "string") place.task = values.taskId;
  if (typeof values.conversationId === "string") place.conversation = values.conversationId;
  return place;
}

/**
 * For whom an act was done: for the owner of the task, or of the mailbox, whose work the actor covers; null for themselves.
 * It stands in the history for good.
 */
export async function forWhom(db: Database, actor: Actor, changes: readonly Change[]): Promise<string | null> {
  const [covers] = await rowsOf<{ id: string }>(
    db,
    sql`select id from away where cover_id = ${actor.personId} and state = 'on' limit 1`,
  );
  if (!covers) return null;
  const places = changes.map(placeOf);
  for (const task of new Set(places.flatMap((place) => place.task ?? []))) {
    const forId = await actsFor(db, actor, await ownerBefore(db, task, changes));
    if (forId) return forId;
  }
  for (const conversation of new Set(places.flatMap((place) => place.conversation ?? []))) {
    const forId = await actsForConversation(db, actor, conversation);
    if (forId) return forId;
  }
  return null;
}
