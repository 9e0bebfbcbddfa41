import { sql } from "drizzle-orm";
import { z } from "zod";
import type { AwayState } from "../../core/days/away";
import { type AwayFacts, comeBack, goAway } from "../../core/tasks/decisions/go-away";
import { dayOf } from "../../core/time/moment";
import type { Database } from "../../data/engine/database";
import { knownAbsences } from "../../data/queries/cover";
import { theOrganisation } from "../../data/queries/people";
import { rowsOf } from "../../data/rows";
import { type Actor, define } from "../act";
import { namesFor, takeIds } from "../facts";
import { day, id } from "../inputs";

async function isLead(db: Database, actor: Actor): Promise<boolean> {
  const [row] = await rowsOf<{ isLead: boolean }>(
    db,
    sql`select is_lead as "isLead" from person where id = ${actor.personId}`,
  );
  return row?.isLead ?? false;
}

/** Says that somebody is away, and who covers. */
export const goAwayAct = define({
  name: "go away",
  input: z.object({
    personId: id,
    fromDay: day,
    backDay: day,
    coverId: id.nullable(),
    withMailboxes: z.boolean().default(false),
  }),
  async load(db, actor, input): Promise<AwayFacts | null> {
    // One after the other, so that two cannot name each other at once.
    const [person] = await rowsOf<{ name: string; zone: string | null }>(
      db,
      sql`select name, zone from person where id = ${input.personId} for update`,
    );
    if (!person) return null;
    const names = await namesFor(db, actor, [input.coverId]);
    if (input.coverId && !names.has(input.coverId)) return null;
    const zone = person.zone ?? (await theOrganisation(db))?.zone ?? "UTC";
    return {
      newId: takeIds(1)[0]!,
      actorId: actor.personId,
      isLead: await isLead(db, actor),
      name: person.name,
      coverName: input.coverId ? (names.get(input.coverId) ?? null) : null,
      known: await knownAbsences(db),
      today: dayOf({ at: actor.now, zone }),
    };
  },
  decide: (facts, input, now) => goAway(facts, input, now),
});

/** Ends a time away, or calls it off. */
export const comeBackAct = define({
  name: "come back",
  input: z.object({ awayId: id }),
  async load(db, actor, input) {
    const [row] = await rowsOf<{ id: string; personId: string; state: AwayState }>(
      db,
      sql`select id, person_id as "personId", state from away where id = ${input.awayId} for update`,
    );
    return row ? { ...row, actorId: actor.personId, isLead: await isLead(db, actor) } : null;
  },
  decide: (facts, _input, now) => comeBack(facts, now),
});
