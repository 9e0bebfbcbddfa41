import { sql } from "drizzle-orm";
import type { Database } from "./engine/database";

/**
 * Notes of these conversations whether their newest letter has still to be read: it counts as read once somebody of us has
 * read it in the mail program of a mailbox that it came by. Reading here changes nothing, so that no row moves under the reader.
 */
export async function noteUnread(db: Database, conversationIds: readonly string[]): Promise<void> {
  if (conversationIds.length === 0) return;
  await db.execute(
    sql`update conversation c set is_unread = not is_unread from (
        select u.id, not exists (select 1 from arrival a where a.letter_id = newest.id and (a.remote->>'isSeen')::boolean) as is
        from conversation u join lateral (select id from letter where conversation_id = u.id order by sent_at desc, id desc limit 1) newest on true
        where u.id in ${[...conversationIds]}) n
      where n.id = c.id and c.is_unread <> n.is`,
  );
}
