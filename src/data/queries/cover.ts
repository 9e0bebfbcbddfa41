import { type SQL, sql } from "drizzle-orm";
import type { Absence, AwayState } from "../../core/days/away";
import type { Day } from "../../core/time/day";
import type { Database } from "../engine/database";
import type { Viewer } from "../need-to-know";
import { rowsOf } from "../rows";

/** Ids of those whose work a viewer looks after now. */
function coveredIds(viewer: Viewer): SQL {
  return sql`(select person_id from away where cover_id = ${viewer.personId} and state = 'on')`;
}

/** For whom somebody acts on what this person owns: for themselves, or for its owner, whose work they cover now. */
export async function actsFor(db: Database, viewer: Viewer, ownerId: string | null): Promise<string | null> {
  if (!ownerId || ownerId === viewer.personId) return null;
  const [row] = await rowsOf<{ id: string }>(
    db,
    sql`select p.id from person p where p.id = ${ownerId} and p.id in ${coveredIds(viewer)}`,
  );
  return row?.id ?? null;
}

/** Whose own letters a conversation is, where they came to the mailboxes of one alone whose work the viewer covers. */
export async function actsForConversation(
  db: Database,
  viewer: Viewer,
  conversationId: string,
): Promise<string | null> {
  const [row] = await rowsOf<{ id: string }>(
    db,
    sql`select w.owner_id as id from letter l join arrival a on a.letter_id = l.id join way_in w on w.id = a.way_in_id
      where l.conversation_id = ${conversationId} group by w.owner_id
      having w.owner_id in ${coveredIds(viewer)} and not exists (select 1 from letter ol join arrival oa on oa.letter_id = ol.id join way_in ow on ow.id = oa.way_in_id
        where ol.conversation_id = ${conversationId} and ow.owner_id is distinct from w.owner_id) limit 1`,
  );
  return row?.id ?? null;
}

/** All times away that are planned or now. */
export function knownAbsences(
  db: Database,
): Promise<(Absence & { id: string; state: AwayState; withMailboxes: boolean })[]> {
  return rowsOf(
    db,
    sql`select id, person_id as "personId", from_day::text as "fromDay", back_day::text as "backDay", cover_id as "coverId", state, with_mailboxes as "withMailboxes"
      from away where state <> 'over' order by from_day, id limit 400`,
  );
}

/** Who is away now: until when, and who covers; by their ids. */
export async function awayNow(
  db: Database,
): Promise<ReadonlyMap<string, { readonly fromDay: Day; readonly backDay: Day; readonly coverId: string | null }>> {
  const rows = await rowsOf<{ personId: string; fromDay: Day; backDay: Day; coverId: string | null }>(
    db,
    sql`select person_id as "personId", from_day::text as "fromDay", back_day::text as "backDay", cover_id as "coverId" from away where state = 'on'`,
  );
  return new Map(rows.map(({ personId, ...rest }) => [personId, rest]));
}
