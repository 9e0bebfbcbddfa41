import { sql } from "drizzle-orm";

/**
 * Slips `s` of letters `l` that everybody here may see, so that no words of somebody's own mailbox or of a private project leave
 * with what is exported: joins and a condition, to be followed by further ones.
 */
export const FROM_SHARED_SLIPS = sql`from letter l join slip s on s.letter_id = l.id join conversation c on c.id = s.conversation_id left join project p on p.id = c.project_id
  where not coalesce(p.is_private, false) and exists (select 1 from arrival a join way_in w on w.id = a.way_in_id where a.letter_id = l.id and w.owner_id is null)`;
