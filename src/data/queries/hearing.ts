import { sql } from "drizzle-orm";
import { type HearingWishes, isQuietHour } from "../../core/hearing/wishes";
import { timeOf } from "../../core/time/moment";
import type { Database } from "../engine/database";
import type { Viewer } from "../need-to-know";
import { type InstantText, millisOrNull, rowsOf } from "../rows";

/** How somebody wants to hear, beside the list in the application. */
export interface HearingSettings {
  readonly wishes: HearingWishes;
  readonly quietFrom: string | null;
  readonly quietUntil: string | null;
}

export async function hearingOf(db: Database, viewer: Viewer): Promise<HearingSettings> {
  const [row] = await rowsOf<HearingSettings>(
    db,
    sql`select hearing as wishes, quiet_from as "quietFrom", quiet_until as "quietUntil" from person where id = ${viewer.personId}`,
  );
  return row!;
}

/**
 * Whether nothing may interrupt somebody now: it is one of their quiet hours, they closed their day, or they are away.
 * @param now milliseconds since 1970 UTC
 */
export async function isQuietFor(db: Database, viewer: Viewer, now: number): Promise<boolean> {
  const [row] = await rowsOf<{
    quietFrom: string | null;
    quietUntil: string | null;
    closedUntil: InstantText | null;
    zone: string;
    isAway: boolean;
  }>(
    db,
    sql`select p.quiet_from as "quietFrom", p.quiet_until as "quietUntil", p.closed_until as "closedUntil", coalesce(p.zone, (select zone from organisation limit 1), 'UTC') as zone,
      exists (select 1 from away a where a.person_id = p.id and a.state = 'on') as "isAway" from person p where p.id = ${viewer.personId}`,
  );
  if (!row) return false;
  const closedUntil = millisOrNull(row.closedUntil);
  return (
    row.isAway ||
    (closedUntil !== null && now < closedUntil) ||
    isQuietHour(timeOf({ at: now, zone: row.zone }), row.quietFrom, row.quietUntil)
  );
}
