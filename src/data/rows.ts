import type { SQL } from "drizzle-orm";
import type { Database } from "./engine/database";

/** Runs a written query and gives its rows; the caller names the shape it selects. */
export async function rowsOf<Row>(db: Database, query: SQL): Promise<Row[]> {
  return (await db.execute(query)).rows as Row[];
}

/** An instant as a written query gives it: PostgreSQL's own text, "2026-11-25 08:12:00.5+00". */
export type InstantText = string;

/** Milliseconds since 1970 UTC of an instant. */
export function millis(instant: InstantText): number {
  return Date.parse(instant.replace(" ", "T").replace(/([+-]\d{2})$/, "$1:00"));
}

export function millisOrNull(instant: InstantText | null): number | null {
  return instant === null ? null : millis(instant);
}
