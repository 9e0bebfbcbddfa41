import { sql } from "drizzle-orm";
import type { OpenTask } from "../../core/following/task-changes";
import type { Database } from "../engine/database";
import { maySeeConversation, maySeeTask, type Viewer } from "../need-to-know";
import { rowsOf } from "../rows";

/** Tasks of one conversation that an answer is held against, the open and the newest first; more is a list, not a conversation. */
const MOST_TASKS = 60;

/** Tasks of the conversation of a letter that a viewer may see: what an answer to it is held against while it is written. */
export async function openTasksBeside(db: Database, viewer: Viewer, letterId: string): Promise<readonly OpenTask[]> {
  const [letter] = await rowsOf<{ messageId: string }>(
    db,
    sql`select l.message_id as "messageId" from letter l join conversation c on c.id = l.conversation_id where l.id = ${letterId} and l.message_id is not null and ${maySeeConversation(viewer)}`,
  );
  const open = letter ? (await openTasksAnswered(db, [letter.messageId], new Map())).get(letter.messageId) : undefined;
  if (!open) return [];
  const seen = await rowsOf<{ id: string }>(
    db,
    sql`select t.id from task t where t.id in ${open.map(({ id }) => id)} and ${maySeeTask(viewer)}`,
  );
  return open.filter(({ id }) => seen.some((one) => one.id === id));
}

/**
 * Tasks of the conversations of these Message-IDs, open or over, by Message-ID.
 * @param continued conversations of letters that name no other, by their own Message-ID
 */
export async function openTasksAnswered(
  db: Database,
  messageIds: readonly string[],
  continued: ReadonlyMap<string, string>,
): Promise<ReadonlyMap<string, readonly OpenTask[]>> {
  const ids = [...new Set(messageIds)];
  if (ids.length === 0) return new Map();
  const guessed = [...continued].map(([messageId, id]) => ({ message_id: messageId, id }));
  const rows = await rowsOf<
    Omit<OpenTask, "kind" | "passage"> & {
      messageId: string;
      kind: OpenTask["kind"] | null;
      upToEnd: string | null;
      start: number | null;
      end: number | null;
    }
  >(
    db,
    sql`with met as (
        select t.message_id, coalesce(h.merged_into, h.id) as id from thread t join conversation h on h.id = t.conversation_id
        where t.message_id in (select jsonb_array_elements_text(${JSON.stringify(ids)}::jsonb))
        union select g.message_id, g.id from jsonb_to_recordset(${JSON.stringify(guessed)}::jsonb) as g(message_id text, id uuid))
      select met.message_id as "messageId", k.id, k.conversation_id as "conversationId", k.title, k.kind, k.due_day as due, (extract(epoch from coalesce(l.sent_at, k.created_at)) * 1000)::float8 as "askedAt", k.state not in ('to begin', 'under way') as "isOver",
        case when k.side = 'theirs' then x.address else o.address end as owner,
        coalesce(case when k.kind = 'promise' then l."to"->0->>'address' else l.from_address end, by.address) as asker,
        left(l.text, k."end") as "upToEnd", k.start, k."end"
      from met cross join lateral (
          select * from task where conversation_id = met.id
          order by state in ('to begin', 'under way') desc, number desc limit ${MOST_TASKS}) k
        join person by on by.id = k.created_by
        left join person o on o.id = k.owner_id left join correspondent x on x.id = k.theirs_id
        left join letter l on l.id = k.letter_id
      order by k.number`,
  );
  const tasks = new Map<string, OpenTask[]>();
  for (const { messageId, kind, upToEnd, start, end, ...task } of rows) {
    // Places are characters of JavaScript; the database counts others where there are emoji.
    const passage = upToEnd !== null && start !== null && end !== null ? upToEnd.slice(start, end) : null;
    tasks.set(messageId, [...(tasks.get(messageId) ?? []), { ...task, passage, kind: kind ?? "ask" }]);
  }
  return tasks;
}
