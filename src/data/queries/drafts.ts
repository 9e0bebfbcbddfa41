import { sql } from "drizzle-orm";
import type { Database } from "../engine/database";
import type { Viewer } from "../need-to-know";
import { rowsOf } from "../rows";
import { draft } from "../schema-post";

/** What somebody has written about something and not sent; null where there is nothing. */
export async function draftOf(db: Database, viewer: Viewer, about: string): Promise<Record<string, unknown> | null> {
  const [row] = await rowsOf<{ values: Record<string, unknown> }>(
    db,
    sql`select "values" from draft where person_id = ${viewer.personId} and about = ${about}`,
  );
  return row?.values ?? null;
}

/** Keeps what somebody is writing, in the place of what was kept before; null throws it away. A draft is nobody else's. */
export async function keepDraft(
  db: Database,
  viewer: Viewer,
  about: string,
  values: Record<string, unknown> | null,
  now: number,
): Promise<void> {
  if (values === null) {
    await db.execute(sql`delete from draft where person_id = ${viewer.personId} and about = ${about}`);
    return;
  }
  const row = { personId: viewer.personId, about, values, changedAt: new Date(now) };
  await db
    .insert(draft)
    .values(row)
    .onConflictDoUpdate({ target: [draft.personId, draft.about], set: { values, changedAt: row.changedAt } });
}
