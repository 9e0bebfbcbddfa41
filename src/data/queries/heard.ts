import { sql } from "drizzle-orm";
import type { Database } from "../engine/database";
import { newId } from "../ids";
import { insertRows } from "../insert-rows";
import type { Viewer } from "../need-to-know";
import { rowsOf } from "../rows";
import { notice } from "../schema-hearing";
import { tellCovers } from "./told-covers";

/**
 * Keeps when the last word of the other side came, from which silence counts: of a wait the newest letter of whoever owes it
 * in its conversation or a call that reached them, of a task handed over the last act of its owner, or its being given to them. A new task has been quiet since it was made.
 */
export async function noteHeard(
  db: Database,
  taskId: string,
  { isNew, isSpokenTo, isGiven }: { isNew: boolean; isSpokenTo: boolean; isGiven: boolean },
  actor: Viewer & { readonly now: number },
): Promise<void> {
  const now = new Date(actor.now);
  if (isNew)
    await db.execute(
      sql`update task t set heard_at = coalesce((select max(least(l.sent_at, l.received_at)) from letter l join correspondent k on k.address = l.from_address
        where l.conversation_id = t.conversation_id and k.id = t.theirs_id and l.automatic is null), t.created_at) where t.id = ${taskId}`,
    );
  else if (isSpokenTo)
    await db.execute(
      sql`update task set heard_at = greatest(heard_at, ${now}) where id = ${taskId} and side = 'theirs'`,
    );
  else
    await db.execute(
      sql`update task set heard_at = greatest(heard_at, ${now}) where id = ${taskId} and side = 'ours' and (owner_id = ${actor.personId} or ${isGiven})`,
    );
}

/**
 * Letters have come into conversations that were here: those who owe something there have been heard, and whoever has an open
 * task there is told.
 * @param now milliseconds since 1970 UTC
 */
export async function noteLettersHeard(
  db: Database,
  letters: readonly { readonly id: string; readonly conversationId: string }[],
  now: number,
): Promise<void> {
  if (letters.length === 0) return;
  const conversationIds = [...new Set(letters.map((one) => one.conversationId))];
  const tasks = await rowsOf(db, sql`select 1 from task where conversation_id in ${conversationIds} limit 1`);
  if (tasks.length === 0) return;
  const told = await rowsOf<{ taskId: string; personId: string; entryId: string }>(
    db,
    sql`select t.id as "taskId", t.owner_id as "personId", l.id as "entryId" from task t join letter l on l.conversation_id = t.conversation_id
      where l.id in ${letters.map((one) => one.id)} and t.state in ('to begin', 'under way') and t.owner_id is not null and l.automatic is null
        and not exists (select 1 from person p where p.address = l.from_address)
        and not exists (select 1 from posted n where n.task_id = t.id and n.person_id = t.owner_id and not n.hears)`,
  );
  const at = new Date(now);
  await insertRows(
    db,
    notice,
    told.map((one) => ({
      ...one,
      id: newId(now),
      what: "wrote again" as const,
      why: "owns it" as const,
      loudness: "at once" as const,
      at,
    })),
    sql`on conflict do nothing`,
  );
  await tellCovers(
    db,
    told.map((one) => one.entryId),
    "",
    now,
  );
  await db.execute(
    sql`update task set put_until = null, returned_at = ${at} where put_until is not null
      and conversation_id in (select conversation_id from letter where id in ${letters.map((one) => one.id)} and automatic is null)`,
  );
  await db.execute(
    sql`update task t set heard_at = x.at from (select o.id, max(least(l.sent_at, l.received_at)) as at from task o join correspondent k on k.id = o.theirs_id
        join letter l on l.conversation_id = o.conversation_id and l.from_address = k.address and l.automatic is null
        where o.conversation_id in ${[...conversationIds]} and o.side = 'theirs' group by o.id) x
      where x.id = t.id and x.at > t.heard_at`,
  );
}
