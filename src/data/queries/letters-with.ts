import { sql } from "drizzle-orm";
import type { LettersWith } from "../../core/views/find-view";
import type { Database } from "../engine/database";
import { maySeeConversation, maySeeCorrespondent, type Viewer } from "../need-to-know";
import { type InstantText, millis, rowsOf } from "../rows";

/** Letters that are listed at the most, the newest first. */
const MOST_LISTED = 200;

/** Every letter to and from somebody outside, whatever way it came; null where they are not here or not for this viewer. */
export async function lettersWith(db: Database, viewer: Viewer, correspondentId: string): Promise<LettersWith | null> {
  const [who] = await rowsOf<Omit<LettersWith, "letters">>(
    db,
    sql`select k.name, k.address, f.name as firm, k.away_until::text as "awayUntil" from correspondent k left join firm f on f.id = k.firm_id
      where k.id = ${correspondentId} and ${maySeeCorrespondent(viewer)}`,
  );
  if (!who) return null;
  const named = JSON.stringify([{ address: who.address }]);
  const rows = await rowsOf<Omit<LettersWith["letters"][number], "sentAt"> & { sentAt: InstantText }>(
    db,
    sql`select l.id, l.subject, coalesce(nullif(l.from_name, ''), l.from_address) as "from", (l.from_address = ${who.address}) as "isTheirs", l.sent_at as "sentAt",
        (select w.name from arrival a join way_in w on w.id = a.way_in_id where a.letter_id = l.id order by a.at limit 1) as "wayIn"
      from letter l join conversation c on c.id = l.conversation_id
      where (l.from_address = ${who.address} or (l."to" || l.cc) @> ${named}::jsonb) and ${maySeeConversation(viewer)}
      order by l.sent_at desc limit ${MOST_LISTED}`,
  );
  return { ...who, letters: rows.map((row) => ({ ...row, sentAt: millis(row.sentAt) })) };
}
