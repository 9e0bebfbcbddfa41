import { sql } from "drizzle-orm";
import { effectOf, type Lesson } from "../../core/reading/lessons";
import type { LearntView } from "../../core/views/learnt-view";
import type { Database } from "../engine/database";
import { maySeeConversation, type Viewer } from "../need-to-know";
import { rowsOf } from "../rows";
import { FROM_SHARED_SLIPS } from "./shared-letters";

/** Lessons that are looked at for one batch of letters, and shown on one page. */
const MOST_LESSONS = 2_000;
const MOST_SHOWN = 200;

const counted = sql`count(*) filter (where s.state = 'brushed off')::int as "brushedOff", count(*) filter (where s.state = 'kept')::int as kept, false as "isMarked"`;
const marked = sql`count(*) filter (where s.state = 'brushed off')::int as "brushedOff", count(*) filter (where s.state <> 'brushed off')::int as kept, true as "isMarked"`;
/** A question that was answered, or an ask whose letter was put on its task, was read rightly. */
const isJudged = sql`coalesce(s.set_aside, 'nothing to do') = 'nothing to do'`;
const taught = sql`${isJudged} and s.made_by = 'reader' and s.rule is not null and s.state <> 'proposed' and not s.is_unlearnt`;

/**
 * What people have taught about the letters of these writers, and of phrases whoever writes them. It is counted from the
 * slips themselves: undoing a brushing off unlearns it.
 */
export async function lessonsFor(db: Database, writers: readonly string[]): Promise<Lesson[]> {
  if (writers.length === 0) return [];
  const addresses = JSON.stringify([...new Set(writers)]);
  return rowsOf<Lesson>(
    db,
    sql`with all_of_them as (with mine as (select s.*, l.from_address as writer from letter l join slip s on s.letter_id = l.id
          where l.from_address in (select jsonb_array_elements_text(${addresses}::jsonb)) and ${taught})
      select writer, null as rule, phrase, ${counted} from mine s where phrase is not null group by writer, phrase
      union all select writer, rule, null, ${counted} from mine s group by writer, rule
      union all select null, null, b.phrase, b.n, (select count(*) from slip k where k.phrase = b.phrase and k.state = 'kept')::int, false
        from (select phrase, count(*)::int as n from slip s where ${isJudged} and made_by = 'reader' and state = 'brushed off' and not is_unlearnt and phrase is not null group by phrase having count(*) > 2) b
      union all select l.from_address, null, s.phrase, ${marked} from letter l join slip s on s.letter_id = l.id
        where l.from_address in (select jsonb_array_elements_text(${addresses}::jsonb)) and s.made_by = 'person' and s.phrase is not null and not s.is_unlearnt
        group by l.from_address, s.phrase
      union all select writer, rule, phrase, brushed_off, kept, is_marked from lesson_brought
        where writer in (select jsonb_array_elements_text(${addresses}::jsonb)) and not is_unlearnt)
      select writer, rule, phrase, sum("brushedOff")::int as "brushedOff", sum(kept)::int as kept, "isMarked" from all_of_them
        group by writer, rule, phrase, "isMarked" limit ${MOST_LESSONS}`,
  );
}

/** What was learnt from slips that a viewer may see, by writer, with what it came from. */
export async function learntFor(db: Database, viewer: Viewer): Promise<LearntView[]> {
  const rows = await rowsOf<
    Lesson & { writer: string; name: string | null; isUnlearnt: boolean; from: LearntView["from"] }
  >(
    db,
    sql`with seen as (select s.*, l.from_address as writer, l.from_name as name, c.subject from slip s join letter l on l.id = s.letter_id join conversation c on c.id = s.conversation_id
          where ${isJudged} and ((s.made_by = 'reader' and s.rule is not null and s.state <> 'proposed') or (s.made_by = 'person' and s.phrase is not null)) and ${maySeeConversation(viewer)}),
        lessons as (
          select writer, max(name) as name, null as rule, phrase, is_unlearnt as "isUnlearnt", ${counted}, jsonb_agg(distinct jsonb_build_object('id', conversation_id, 'subject', subject)) as "from" from seen s where phrase is not null and made_by = 'reader' group by writer, phrase, is_unlearnt
          union all select writer, max(name), rule, null, is_unlearnt, ${counted}, jsonb_agg(distinct jsonb_build_object('id', conversation_id, 'subject', subject)) from seen s where made_by = 'reader' group by writer, rule, is_unlearnt
          union all select writer, max(name), null, phrase, is_unlearnt, ${marked}, jsonb_agg(distinct jsonb_build_object('id', conversation_id, 'subject', subject)) from seen s where made_by = 'person' group by writer, phrase, is_unlearnt
          union all select writer, null, rule, phrase, is_unlearnt, brushed_off, kept, is_marked, '[]'::jsonb from lesson_brought)
      select * from lessons where "brushedOff" > 0 or "isMarked" order by name, writer, phrase nulls first limit ${MOST_SHOWN}`,
  );
  return rows.flatMap(({ name, from, isUnlearnt, ...lesson }) => {
    const effect = effectOf(lesson);
    return effect === null
      ? []
      : [{ ...lesson, name: name || lesson.writer, effect, isUnlearnt, from: from.slice(0, 3) }];
  });
}

/**
 * What was learnt, to be kept elsewhere or brought into another house: of letters that everybody here may see, so that no
 * words of somebody's own mailbox or of a private project leave with it; and what was brought in before.
 */
export function lessonsToKeep(db: Database): Promise<Lesson[]> {
  return rowsOf<Lesson>(
    db,
    sql`with shared as (select s.*, l.from_address as writer ${FROM_SHARED_SLIPS} and ${isJudged} and s.phrase is not null and not s.is_unlearnt),
        lessons as (
          select writer, null as rule, phrase, ${counted} from shared s where made_by = 'reader' and rule is not null and state <> 'proposed' group by writer, phrase
          union all select writer, rule, null, ${counted} from shared s where made_by = 'reader' and rule is not null and state <> 'proposed' group by writer, rule
          union all select writer, null, phrase, ${marked} from shared s where made_by = 'person' group by writer, phrase
          union all select writer, rule, phrase, brushed_off, kept, is_marked from lesson_brought where not is_unlearnt)
      select writer, rule, phrase, sum("brushedOff")::int as "brushedOff", sum(kept)::int as kept, "isMarked" from lessons
        group by writer, rule, phrase, "isMarked" having sum("brushedOff") > 0 or "isMarked" order by writer, rule, phrase`,
  );
}
