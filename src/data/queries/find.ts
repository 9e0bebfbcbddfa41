import { sql } from "drizzle-orm";
import { searchQuery } from "../../core/finding/words";
import { readReference } from "../../core/tasks/reference";
import type { FoundView } from "../../core/views/find-view";
import type { Database } from "../engine/database";
import { maySeeConversation, maySeeCorrespondent, maySeeTask, type Viewer } from "../need-to-know";
import { type InstantText, millis, rowsOf } from "../rows";

/** Finds of each kind at the most. */
const MOST_FOUND = 8;

/** Letters (those named by the words before those that only hold them), tasks and people by the beginnings of words, accents folded; only what the viewer may see. */
export async function find(db: Database, viewer: Viewer, text: string): Promise<FoundView> {
  const asked = text.slice(0, 200);
  const query = searchQuery(asked);
  if (!query) return { letters: [], tasks: [], people: [] };
  const words = sql`to_tsquery('simple', unaccent(${query}))`;
  const number = readReference(text);
  const letters = await rowsOf<{ id: string; subject: string; from: string; sentAt: InstantText; place: string }>(
    db,
    sql`select l.id, l.subject, coalesce(nullif(l.from_name, ''), l.from_address) as "from", l.sent_at as "sentAt",
      case when c.place = 'sort' then 'in Sort' else coalesce(c.outcome, 'dealt with') end as place
      from (select * from letter x where x.search @@ ${query}::tsquery order by x.sent_at desc limit 400) l join conversation c on c.id = l.conversation_id
      where ${maySeeConversation(viewer)} order by (l.search @@ ${searchQuery(asked, true)}::tsquery) desc, l.sent_at desc limit ${MOST_FOUND}`,
  );
  const tasks = await rowsOf<FoundView["tasks"][number] & { fruit: string; number: number }>(
    db,
    sql`select t.fruit, t.number, t.title, t.state from (select * from task x where x.search @@ ${words} ${number === null ? sql`` : sql`or x.number = ${number}`} order by x.changed_at desc limit 400) t
      where ${maySeeTask(viewer)} order by t.number = ${number ?? -1} desc, t.state in ('done', 'called off'), t.changed_at desc limit ${MOST_FOUND}`,
  );
  const people = await rowsOf<FoundView["people"][number]>(
    db,
    sql`select * from (
        select id, name, address, null as firm, true as "isTeam" from person where jam_words(name || ' ' || address || ' ' || work) @@ ${words}
        union all select k.id, k.name, k.address, f.name as firm, false from correspondent k left join firm f on f.id = k.firm_id where jam_words(k.name || ' ' || k.address || ' ' || coalesce(f.name, '')) @@ ${words} and ${maySeeCorrespondent(viewer)}) p
      order by "isTeam" desc, name limit ${MOST_FOUND}`,
  );
  return {
    letters: letters.map((letter) => ({ ...letter, sentAt: millis(letter.sentAt) })),
    tasks: tasks.map(({ fruit, number: n, title, state }) => ({
      reference: `${fruit} ${n}`,
      slug: `${fruit}-${n}`,
      title,
      state,
    })),
    people,
  };
}
