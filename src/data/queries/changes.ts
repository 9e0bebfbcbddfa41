import { sql } from "drizzle-orm";
import type { Database } from "../engine/database";
import { rowsOf } from "../rows";

/** A mark that differs after every act and every intake, in whichever process; two index look-ups, however much there is. */
export async function lastChange(db: Database): Promise<string> {
  const [row] = await rowsOf<{ mark: string }>(
    db,
    sql`select coalesce((select seq from history order by seq desc limit 1), 0) || '.' || (select count from intake where id = 1) as mark`,
  );
  return row!.mark;
}

/** Makes the mark differ after what is neither an act nor an intake: what came back by itself, was reminded of, or was seen. */
export async function markChange(db: Database): Promise<void> {
  await db.execute(sql`update intake set count = count + 1 where id = 1`);
}
