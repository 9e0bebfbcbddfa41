import { sql } from "drizzle-orm";
import { type PriorityLesson, priorityMeant } from "../../core/reading/priorities";
import type { LearntPriorityView } from "../../core/views/learnt-view";
import type { Database } from "../engine/database";
import { maySeeConversation, type Viewer } from "../need-to-know";
import { rowsOf } from "../rows";
import { FROM_SHARED_SLIPS } from "./shared-letters";

/** Priorities that are looked at for one batch of letters, shown, or taken along. */
const MOST = 2_000;

const kept = sql`s.made_by = 'reader' and s.state = 'kept' and s.change is null and s.read_priority is not null`;
const lesson = sql`l.from_address as writer, s.read_priority as read, s.priority as "keptAs"`;
const brought = sql`select writer, read, kept_as, kept from priority_brought where not is_unlearnt`;

/** Counts of our own with those brought in. */
const summed = sql`select writer, read, "keptAs", sum(kept)::int as kept from lessons group by 1, 2, 3 order by 1, 2, 3 limit ${MOST}`;

/** What priorities of these writers were kept as. It is counted from the slips themselves: undoing a keeping unlearns it. */
export function prioritiesFor(db: Database, writers: readonly string[]): Promise<PriorityLesson[]> {
  if (writers.length === 0) return Promise.resolve([]);
  const mine = sql`(select jsonb_array_elements_text(${JSON.stringify([...new Set(writers)])}::jsonb))`;
  return rowsOf(
    db,
    sql`with lessons as (select ${lesson}, count(*)::int as kept from letter l join slip s on s.letter_id = l.id where l.from_address in ${mine} and ${kept} and not s.is_priority_unlearnt group by 1, 2, 3
      union all ${brought} and writer in ${mine}) ${summed}`,
  );
}

/** What was learnt of priorities, and what was brought in, to be kept elsewhere. */
export function prioritiesToKeep(db: Database): Promise<PriorityLesson[]> {
  return rowsOf(
    db,
    sql`with lessons as (select ${lesson}, count(*)::int as kept ${FROM_SHARED_SLIPS} and ${kept} and not s.is_priority_unlearnt group by 1, 2, 3 union all ${brought}) ${summed}`,
  );
}

/** Priorities that were learnt to be others, from slips that a viewer may see. */
export async function prioritiesLearntFor(db: Database, viewer: Viewer): Promise<LearntPriorityView[]> {
  const rows = await rowsOf<
    PriorityLesson & { name: string | null; isUnlearnt: boolean; from: LearntPriorityView["from"] }
  >(
    db,
    sql`select ${lesson}, max(l.from_name) as name, count(*)::int as kept, s.is_priority_unlearnt as "isUnlearnt",
        jsonb_agg(distinct jsonb_build_object('id', c.id, 'subject', c.subject)) as "from"
      from letter l join slip s on s.letter_id = l.id join conversation c on c.id = s.conversation_id
      where ${kept} and ${maySeeConversation(viewer)} group by 1, 2, 3, s.is_priority_unlearnt
      union all select writer, read, kept_as, null, kept, is_unlearnt, '[]'::jsonb from priority_brought limit ${MOST}`,
  );
  const views: LearntPriorityView[] = [];
  for (const isUnlearnt of [false, true]) {
    const mine = rows.filter((row) => row.isUnlearnt === isUnlearnt);
    for (const { writer, read } of new Map(mine.map((row) => [`${row.writer}\n${row.read}`, row])).values()) {
      const meant = priorityMeant(writer, read, together(mine));
      const of = mine.filter((row) => row.writer === writer && row.read === read);
      if (!meant) continue;
      views.push({
        writer,
        name: of.find((row) => row.name)?.name ?? writer,
        read,
        keptAs: meant.keptAs,
        kept: meant.kept,
        of: of.reduce((sum, row) => sum + row.kept, 0),
        isUnlearnt,
        from: of
          .filter((row) => row.keptAs === meant.keptAs)
          .flatMap((row) => row.from)
          .slice(0, 3),
      });
    }
  }
  return views;
}

function together(rows: readonly PriorityLesson[]): PriorityLesson[] {
  const all = new Map<string, PriorityLesson>();
  for (const { writer, read, keptAs, kept: times } of rows) {
    const key = `${writer}\n${read}\n${keptAs}`;
    all.set(key, { writer, read, keptAs, kept: (all.get(key)?.kept ?? 0) + times });
  }
  return [...all.values()];
}
