import { type SQL, sql } from "drizzle-orm";
import type { OutgoingView } from "../../core/views/views";
import type { Database } from "../engine/database";
import type { Viewer } from "../need-to-know";
import { type InstantText, millis, rowsOf } from "../rows";

type Row = Omit<OutgoingView, "createdAt" | "nextTry"> & { createdAt: InstantText; nextTry: InstantText };

async function outgoingWhere(db: Database, where: SQL): Promise<OutgoingView[]> {
  const rows = await rowsOf<Row>(
    db,
    sql`select o.id, (select name from person where id = o.person_id) as by, o."to", o.cc, o.subject, o.text, o.state, o.tries, o.said, o.maybe_twice as "maybeTwice",
      o.created_at as "createdAt", o.next_try as "nextTry" from outgoing o
      where ${where} and not o.is_automatic and (o.state <> 'sent' or o.maybe_twice) order by o.created_at limit 20`,
  );
  return rows.map((row) => ({ ...row, createdAt: millis(row.createdAt), nextTry: millis(row.nextTry) }));
}

/** Letters of ours in a conversation that are not out yet. The caller has asked whether the conversation may be seen. */
export function outgoingOfConversation(db: Database, conversationId: string): Promise<OutgoingView[]> {
  return outgoingWhere(db, sql`o.conversation_id = ${conversationId}`);
}

/** Letters of one person that are not out yet. */
export function outgoingOfPerson(db: Database, viewer: Viewer): Promise<OutgoingView[]> {
  return outgoingWhere(db, sql`o.person_id = ${viewer.personId}`);
}

/** Letters of ours from a task that are not out yet. The caller has asked whether the task may be seen. */
export function outgoingOfTask(db: Database, taskId: string): Promise<OutgoingView[]> {
  return outgoingWhere(db, sql`(o.task_id = ${taskId} or o.id = (select outgoing_id from task where id = ${taskId}))`);
}
