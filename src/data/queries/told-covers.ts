import { sql } from "drizzle-orm";
import { coversHear } from "../../core/hearing/covering";
import type { Happening, Loudness, Why } from "../../core/hearing/heard";
import type { Database } from "../engine/database";
import { newId } from "../ids";
import { maySeeTask } from "../need-to-know";
import { rowsOf } from "../rows";
import { notice } from "../schema-hearing";
import { awayNow } from "./cover";

/** Who covers, by the id of whoever is away now. */
export async function coversNow(db: Database): Promise<ReadonlyMap<string, string>> {
  const away = await awayNow(db);
  return new Map([...away].flatMap(([personId, { coverId }]) => (coverId ? [[personId, coverId] as const] : [])));
}

/**
 * Tells who covers for somebody away of what those were told, in their place, as far as they may see the task.
 * @param entryIds what was just told of
 * @param now milliseconds since 1970 UTC
 */
export async function tellCovers(
  db: Database,
  entryIds: readonly string[],
  actorId: string,
  now: number,
): Promise<void> {
  const covers = await coversNow(db);
  if (covers.size === 0 || entryIds.length === 0) return;
  const told = await rowsOf<{
    personId: string;
    what: Happening;
    why: Why;
    loudness: Loudness;
    taskId: string;
    entryId: string;
    words: string | null;
  }>(
    db,
    sql`select person_id as "personId", what, why, loudness, task_id as "taskId", entry_id as "entryId", words from notice where entry_id in ${[...entryIds]} and for_id is null`,
  );
  for (const key of new Set(told.map((one) => `${one.entryId} ${one.taskId}`))) {
    const of = told.filter((one) => `${one.entryId} ${one.taskId}` === key);
    const { taskId, entryId, words } = of[0]!;
    for (const heard of coversHear(of, covers, actorId)) {
      const [may] = await rowsOf<{ id: string }>(
        db,
        sql`select t.id from task t where t.id = ${taskId} and ${maySeeTask({ personId: heard.personId })}`,
      );
      if (!may) continue;
      const { personId, what, why, loudness, forId } = heard;
      await db
        .insert(notice)
        .values({ personId, what, why, loudness, forId, words, taskId, entryId, id: newId(now), at: new Date(now) })
        .onConflictDoNothing();
    }
  }
}
