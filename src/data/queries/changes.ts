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
