import { sql } from "drizzle-orm";
import type { LikelyTask } from "../../core/views/views";
import type { Database } from "../engine/database";
import { maySeeConversation, maySeeTask, type Viewer } from "../need-to-know";
import { rowsOf } from "../rows";

/** Tasks that are offered at the most. */
const MOST_OFFERED = 8;

/** Words of a subject that tell conversations apart. */
function tellingWords(text: string): string {
  const words = text.toLowerCase().match(/[\p{L}\p{N}]{4,}/gu) ?? [];
  return [...new Set(words)]
    .slice(0, 12)
    .map((word) => `${word}:*`)
    .join(" | ");
}

/**
 * Open tasks that a conversation may belong to, the likeliest first: the same people wrote about them, they belong to the
 * same project, or they share words with its subject. With `typed`, those that these beginnings of words find.
 */
export async function likelyTasks(
  db: Database,
  viewer: Viewer,
  conversationId: string,
  typed: string,
): Promise<LikelyTask[]> {
  const [conversation] = await rowsOf<{ subject: string; projectId: string | null; people: string[] | null }>(
    db,
    sql`select c.subject, c.project_id as "projectId",
        (select jsonb_agg(distinct l.from_address) from letter l where l.conversation_id = c.id and not exists (select 1 from person p where p.address = l.from_address)) as people
      from conversation c where c.id = ${conversationId} and ${maySeeConversation(viewer)}`,
  );
  if (!conversation) return [];
  const wanted =
    typed.trim() === ""
      ? tellingWords(conversation.subject)
      : tellingWords(typed) ||
        `${typed
          .trim()
          .toLowerCase()
          .replace(/[^\p{L}\p{N}]/gu, "")}:*`;
  const words = sql`to_tsquery('simple', unaccent(${wanted === "" || wanted === ":*" ? "zzzzzz" : wanted}))`;
  const number = Number(/\d+$/.exec(typed)?.[0] ?? Number.NaN);
  const people = JSON.stringify(conversation.people ?? []);
  const samePeople = sql`exists (select 1 from letter tl where tl.conversation_id = t.conversation_id and tl.from_address in (select jsonb_array_elements_text(${people}::jsonb)))`;
  const rows = await rowsOf<Omit<LikelyTask, "reference"> & { fruit: string; number: number }>(
    db,
    sql`select t.id, t.fruit, t.number, t.title, t.project_id as "projectId", (select name from person where id = t.owner_id) as owner, ${samePeople} as "hasSamePeople",
        (t.project_id is not null and t.project_id = ${conversation.projectId}) as "isSameProject", t.search @@ ${words} as "hasSameWords"
      from task t where t.state in ('to begin', 'under way') and (t.conversation_id is null or t.conversation_id <> ${conversationId}) and ${maySeeTask(viewer)}
        and ${typed.trim() === "" ? sql`(${samePeople} or t.project_id = ${conversation.projectId} or t.search @@ ${words})` : sql`(t.search @@ ${words} or t.number = ${Number.isNaN(number) ? -1 : number})`}
      order by (t.search @@ ${words})::int * 3 + (${samePeople})::int * 2 + coalesce((t.project_id = ${conversation.projectId})::int, 0) desc, ts_rank(t.search, ${words}) desc, t.changed_at desc limit ${MOST_OFFERED}`,
  );
  return rows.map(({ fruit, number: n, ...row }) => ({ ...row, reference: `${fruit} ${n}` }));
}
