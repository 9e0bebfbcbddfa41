import type { SQL } from "drizzle-orm";
import type { Database } from "./engine/database";

/** Runs a written query and gives its rows; the caller names the shape it selects. */
export async function rowsOf<Row>(db: Database, query: SQL): Promise<Row[]> {
  return (await db.execute(query)).rows as Row[];
}

/** Milliseconds of an instant as the driver gives it. */
export function millis(instant: Date | string): number {
  return instant instanceof Date ? instant.getTime() : Date.parse(instant);
}

export function millisOrNull(instant: Date | string | null): number | null {
  return instant === null ? null : millis(instant);
}
