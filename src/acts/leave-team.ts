import { sql } from "drizzle-orm";
import { dayOf } from "../core/time/moment";
import type { Database } from "../data/engine/database";
import { theOrganisation } from "../data/queries/people";
import { rowsOf } from "../data/rows";
import { revokeMailbox } from "./mailboxes";
import { perform } from "./perform";
import { tellScreens } from "./tell-screens";

/** What came of somebody leaving: how many of their tasks went back, or why nothing was done. */
export type Left =
  | { readonly ok: true; readonly name: string; readonly tasks: number }
  | { readonly ok: false; readonly why: string };

/** Rounds of giving tasks back: somebody may be given one while the others go back. */
const MOST_ROUNDS = 5;

interface OpenTask {
  readonly id: string;
  readonly reference: string;
  readonly isGiven: boolean;
  /** Somebody outside has to act; who leaves only waits for them. */
  readonly isWait: boolean;
}

function openTasksOf(db: Database, personId: string): Promise<OpenTask[]> {
  return rowsOf<OpenTask>(
    db,
    sql`select id, fruit || ' ' || number as reference, coalesce(chain->-1->>'to', '') = owner_id::text as "isGiven", side = 'theirs' as "isWait"
      from task where owner_id = ${personId} and state in ('to begin', 'under way') order by number`,
  );
}

/** Whoever leads and stays; where nobody does, another member who can sign in. */
async function whoStays(db: Database, personId: string): Promise<string | null> {
  const [row] = await rowsOf<{ id: string }>(
    db,
    sql`select id from person where id <> ${personId} and left_on is null order by is_lead desc, user_id is null, id limit 1`,
  );
  return row?.id ?? null;
}

/**
 * Gives a task of somebody who leaves back to who gave it; what nobody gave has no owner from then on. A wait needs somebody
 * who waits: it goes to whoever leads.
 */
async function giveBack(
  db: Database,
  personId: string,
  now: number,
  { id, isGiven, isWait }: OpenTask,
): Promise<string | null> {
  const actor = { personId, now };
  if (isWait) {
    const toId = await whoStays(db, personId);
    if (!toId) return "nobody is left who could wait for it.";
    const handed = await perform(db, actor, "hand over", { taskId: id, toIds: [toId], note: "I leave the team." });
    return handed.ok ? null : handed.says;
  }
  const done = isGiven
    ? await perform(db, actor, "hand back", { taskId: id, reason: "leaves the team" })
    : await perform(db, actor, "change task", {
        taskId: id,
        change: { field: "owner", to: { side: "ours", personId: null } },
        was: null,
      });
  return done.ok ? null : done.says;
}

/**
 * Somebody leaves the team. What they have goes back to who gave it, or stands without an owner, and what they wait for goes
 * to whoever leads, each with its entry in the history; their mailboxes are read no more, they cannot sign in, and nothing can be given to them. What they wrote stays.
 */
export async function leaveTeam(db: Database, address: string, now: number): Promise<Left> {
  const [who] = await rowsOf<{ id: string; name: string; userId: string | null; isLast: boolean; hasLeft: boolean }>(
    db,
    sql`select id, name, user_id as "userId", left_on is not null as "hasLeft",
        is_lead and not exists (select 1 from person o where o.id <> p.id and o.is_lead and o.left_on is null and o.user_id is not null) as "isLast"
      from person p where address = ${address.toLowerCase()}`,
  );
  if (!who) return { ok: false, why: `${address} is no member. Nothing was changed.` };
  if (who.hasLeft) return { ok: false, why: `${who.name} has left already. Nothing was changed.` };
  if (who.isLast)
    return { ok: false, why: `${who.name} is the only one who leads and can sign in. Nothing was changed.` };
  const organisation = await theOrganisation(db);
  const today = dayOf({ at: now, zone: organisation?.zone ?? "UTC" });
  let tasks = 0;
  for (let round = 0; round < MOST_ROUNDS; round += 1) {
    for (const task of await openTasksOf(db, who.id)) {
      const why = await giveBack(db, who.id, now, task);
      if (why)
        return { ok: false, why: `${task.reference} could not be given back: ${why} ${who.name} is still a member.` };
      tasks += 1;
    }
    const isOut = await db.transaction(async (tx) => {
      const rows = await rowsOf(
        tx,
        sql`update person p set left_on = ${today} where id = ${who.id}
          and not exists (select 1 from task t where t.owner_id = p.id and t.state in ('to begin', 'under way')) returning 1`,
      );
      if (rows.length === 0) return false;
      await tx.execute(sql`update away set cover_id = null where cover_id = ${who.id} and ended_at is null`);
      if (who.userId) {
        await tx.execute(sql`delete from session where user_id = ${who.userId}`);
        await tx.execute(sql`delete from account where user_id = ${who.userId}`);
      }
      return true;
    });
    if (isOut) {
      const own = await rowsOf<{ id: string }>(
        db,
        sql`select m.id from mailbox m join way_in w on w.id = m.way_in_id where w.owner_id = ${who.id} and not m.is_revoked`,
      );
      for (const { id } of own) await revokeMailbox(db, { personId: who.id }, id);
      tellScreens();
      return { ok: true, name: who.name, tasks };
    }
  }
  return { ok: false, why: `${who.name} is given new tasks all the time. Try again; they are still a member.` };
}
