import { sql } from "drizzle-orm";
import { awayStateOn } from "../core/days/away";
import { backLetter, coverLetter } from "../core/hearing/back-letter";
import type { Day } from "../core/time/day";
import { dayOf } from "../core/time/moment";
import { sayDay } from "../core/time/say-day";
import type { Database } from "../data/engine/database";
import { markChange } from "../data/queries/changes";
import { knownAbsences } from "../data/queries/cover";
import { theOrganisation } from "../data/queries/people";
import { whileAwayOf } from "../data/queries/while-away";
import { rowsOf } from "../data/rows";
import { writeHouseLetter } from "./house-letter";
import { ourDomains } from "./own-addresses";
import { tellScreens } from "./tell-screens";

/** Begins and ends times away at midnight of whoever is away. */
async function turn(db: Database, now: number, zone: string): Promise<number> {
  const zones = new Map(
    (await rowsOf<{ id: string; zone: string | null }>(db, sql`select id, zone from person`)).map((one) => [
      one.id,
      one.zone ?? zone,
    ]),
  );
  let turned = 0;
  for (const { id, state, ...absence } of await knownAbsences(db)) {
    const next = awayStateOn(absence, dayOf({ at: now, zone: zones.get(absence.personId) ?? zone }));
    if (next === state) continue;
    const at = new Date(now);
    await db.execute(
      sql`update away set state = ${next}, began_at = coalesce(began_at, ${at}), ended_at = ${next === "over" ? at : null}, told_at = null where id = ${id} and state = ${state}`,
    );
    turned += 1;
  }
  return turned;
}

/** Tells whoever covers that they do: from when, until when, and what of. */
async function tellCover(db: Database, base: string | null, now: number): Promise<void> {
  const untold = await rowsOf<{
    id: string;
    name: string;
    fromDay: Day;
    backDay: Day;
    withMailboxes: boolean;
    coverId: string;
    coverName: string;
    address: string;
    zone: string | null;
  }>(
    db,
    sql`select a.id, p.name, a.from_day::text as "fromDay", a.back_day::text as "backDay", a.with_mailboxes as "withMailboxes", c.id as "coverId", c.name as "coverName", c.address, c.zone
      from away a join person p on p.id = a.person_id join person c on c.id = a.cover_id where a.cover_told_at is null and a.state <> 'over' for update of a`,
  );
  const organisation = await theOrganisation(db);
  const [domain] = ourDomains();
  for (const one of untold) {
    await db.execute(sql`update away set cover_told_at = ${new Date(now)} where id = ${one.id}`);
    if (base === null || !domain || !organisation) continue;
    const today = dayOf({ at: now, zone: one.zone ?? organisation.zone });
    const letter = coverLetter(one, (day) => sayDay(day, today), `${base}/cover`);
    const to = { id: one.coverId, name: one.coverName, address: one.address };
    const from = { name: organisation.name, domain };
    await writeHouseLetter(db, { ...letter, to, from, task: null, calendar: null }, now);
  }
}

/** Tells whoever is back what happened meanwhile, in one letter instead of all that would have come by mail. */
async function tellBack(db: Database, base: string | null, now: number): Promise<number> {
  const back = await rowsOf<{ id: string; personId: string; name: string; address: string; zone: string | null }>(
    db,
    sql`select a.id, p.id as "personId", p.name, p.address, p.zone from away a join person p on p.id = a.person_id where a.state = 'over' and a.told_at is null for update of a`,
  );
  const organisation = await theOrganisation(db);
  const [domain] = ourDomains();
  for (const one of back) {
    const happened = await whileAwayOf(db, one.id, now);
    if (happened && base !== null && domain && organisation) {
      const today = dayOf({ at: now, zone: one.zone ?? organisation.zone });
      const letter = backLetter(happened, (day) => sayDay(day, today), `${base}/cover`);
      const to = { id: one.personId, name: one.name, address: one.address };
      const from = { name: organisation.name, domain };
      await writeHouseLetter(db, { ...letter, to, from, task: null, calendar: null }, now);
    }
    await db.execute(sql`update away set told_at = ${new Date(now)} where id = ${one.id}`);
    await db.execute(
      sql`update notice set mailed_at = ${new Date(now)} where person_id = ${one.personId} and mailed_at is null and seen_at is null`,
    );
  }
  return back.length;
}

/**
 * Begins and ends the times away whose day has come, tells those who cover that they do, and those who are back what happened. Done again and again each
 * happens once.
 * @param base where our pages are; null where no letters go out
 * @param now milliseconds since 1970 UTC
 */
export async function turnAbsences(db: Database, base: string | null, now: number): Promise<number> {
  const count = await db.transaction(async (tx) => {
    const zone = (await theOrganisation(tx))?.zone ?? "UTC";
    await tellCover(tx, base, now);
    const turned = (await turn(tx, now, zone)) + (await tellBack(tx, base, now));
    if (turned > 0) await markChange(tx);
    return turned;
  });
  if (count > 0) tellScreens();
  return count;
}
