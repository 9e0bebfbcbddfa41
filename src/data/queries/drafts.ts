import { sql } from "drizzle-orm";
import type { Database } from "../engine/database";
import { newId } from "../ids";
import type { Viewer } from "../need-to-know";
import { rowsOf } from "../rows";
import { draft, draftFile } from "../schema-post";

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

/** Keeps a file that goes along with a letter; gives back its id. */
export async function keepDraftFile(
  db: Database,
  viewer: Viewer,
  file: { readonly name: string; readonly type: string; readonly bytes: Buffer },
  now: number,
): Promise<string> {
  const id = newId(now);
  const type = /^[\w.+-]{1,80}\/[\w.+-]{1,80}$/.test(file.type) ? file.type : "application/octet-stream";
  const row = { id, personId: viewer.personId, name: file.name, type, bytes: file.bytes };
  await db.insert(draftFile).values({ ...row, size: file.bytes.length, madeAt: new Date(now) });
  return id;
}
