import { sql } from "drizzle-orm";
import type { Database } from "../data/engine/database";
import { markChange } from "../data/queries/changes";
import { rowsOf } from "../data/rows";
import { tellScreens } from "./tell-screens";

/**
 * Brings back what was put by until now, marked as returned. Done again and again it happens once, also when nobody looked at
 * the minute itself.
 * @param now milliseconds since 1970 UTC
 */
export async function returnPutBy(db: Database, now: number): Promise<number> {
  const at = new Date(now);
  const conversations = await rowsOf<{ id: string }>(
    db,
    sql`update conversation set place = 'sort', put_until = null, returned_at = ${at}, came_at = ${at}, outcome = null, dealt_at = null, dealt_by = null
      where place = 'put by' and put_until <= ${at} returning id`,
  );
  const tasks = await rowsOf<{ id: string }>(
    db,
    sql`update task set put_until = null, returned_at = ${at} where put_until <= ${at} returning id`,
  );
  const count = conversations.length + tasks.length;
  if (count > 0) {
    await markChange(db);
    tellScreens();
  }
  return count;
}
