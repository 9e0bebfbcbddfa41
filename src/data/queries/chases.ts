import { sql } from "drizzle-orm";
import { addWorkingDays } from "../../core/time/day";
import { dayOf } from "../../core/time/moment";
import type { Database } from "../engine/database";
import { rowsOf } from "../rows";
import { theOrganisation } from "./people";

/**
 * Chases of the last five working days, by the address they went to.
 * @param now milliseconds since 1970 UTC
 */
export async function chasedLately(db: Database, now: number): Promise<ReadonlyMap<string, number>> {
  const calendar = await theOrganisation(db);
  if (!calendar) return new Map();
  const since = addWorkingDays(dayOf({ at: now, zone: calendar.zone }), -5, calendar);
  const rows = await rowsOf<{ address: string; n: number }>(
    db,
    sql`select lower(who->>'address') as address, count(*)::int as n from outgoing o cross join lateral jsonb_array_elements(o."to") who
      where o.is_chase and o.created_at >= ${since}::date group by 1`,
  );
  return new Map(rows.map((row) => [row.address, row.n]));
}
