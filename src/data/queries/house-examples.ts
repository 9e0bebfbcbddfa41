import { sql } from "drizzle-orm";
import type { SlipKind } from "../../core/reading/slip";
import type { HouseExample } from "../../core/reading/weighing/house-example";
import type { LearntKindView, LearntWordingView } from "../../core/views/learnt-view";
import type { Database } from "../engine/database";
import { maySeeConversation, type Viewer } from "../need-to-know";
import { rowsOf } from "../rows";
import { FROM_SHARED_SLIPS } from "./shared-letters";

/** Slips that are learnt from, the newest first, and different passages among them. */
const MOST_SLIPS = 4_000;
const MOST_EXAMPLES = 2_000;
const MOST_SHOWN = 100;

const example = sql`l.from_address as writer, s.phrase, s.read_kind as read, s.rule, case when s.state = 'brushed off' then 'nothing' else s.kind end as sense`;
/** What changes a task says nothing of kinds, nor does a slip of one's own that one took back, or what was done with a whole letter. */
const dealtWith = sql`s.state <> 'proposed' and s.phrase is not null and s.change is null and s.set_aside is null and not (s.made_by = 'person' and s.state = 'brushed off')`;
const corrected = sql`s.made_by = 'reader' and (s.state = 'brushed off' or s.kind <> s.read_kind)`;
const fromWhere = sql`jsonb_agg(distinct jsonb_build_object('id', c.id, 'subject', c.subject)) filter (where ${corrected})`;

/** The same passage of the same writer, dealt with alike, is one example that counts as often. */
function together(rows: readonly HouseExample[]): HouseExample[] {
  const all = new Map<string, HouseExample>();
  for (const one of rows) {
    const key = [one.writer, one.phrase, one.read, one.rule, one.sense].join("\n");
    all.set(key, { ...one, times: (all.get(key)?.times ?? 0) + one.times });
  }
  return [...all.values()].slice(0, MOST_EXAMPLES);
}

/** What people here took passages for. It is read from the slips themselves: undoing a keeping or a brushing off unlearns it. */
export async function examplesOfHouse(db: Database): Promise<HouseExample[]> {
  const [own, brought] = await Promise.all([
    rowsOf<HouseExample>(
      db,
      sql`select ${example}, 1 as times from slip s join letter l on l.id = s.letter_id
        where ${dealtWith} and not s.is_wording_unlearnt and not s.is_unlearnt order by s.id desc limit ${MOST_SLIPS}`,
    ),
    rowsOf<HouseExample>(
      db,
      sql`select writer, phrase, read, rule, sense, times from example_brought where not is_unlearnt order by id limit ${MOST_EXAMPLES}`,
    ),
  ]);
  return together([...own, ...brought]);
}

/** Examples of letters that everybody here may see, and what was brought in, to be kept elsewhere. */
export async function examplesToKeep(db: Database): Promise<HouseExample[]> {
  const own = await rowsOf<HouseExample>(
    db,
    sql`select ${example}, 1 as times ${FROM_SHARED_SLIPS} and ${dealtWith} and not s.is_wording_unlearnt and not s.is_unlearnt order by s.id desc limit ${MOST_SLIPS}`,
  );
  const brought = await rowsOf<HouseExample>(
    db,
    sql`select writer, phrase, read, rule, sense, times from example_brought where not is_unlearnt order by id`,
  );
  return together([...own, ...brought]);
}

/** Kinds that were set right in letters that a viewer may see, by writer and phrase, and what was brought in. */
export async function kindsLearntFor(db: Database, viewer: Viewer): Promise<LearntKindView[]> {
  const rows = await rowsOf<
    Omit<LearntKindView, "from" | "name"> & { name: string | null; from: LearntKindView["from"] }
  >(
    db,
    sql`select l.from_address as writer, max(l.from_name) as name, s.phrase, s.read_kind as read, s.kind, count(*)::int as times, s.is_wording_unlearnt as "isUnlearnt", ${fromWhere} as "from"
        from slip s join letter l on l.id = s.letter_id join conversation c on c.id = s.conversation_id
        where ${dealtWith} and s.state = 'kept' and s.kind <> s.read_kind and ${maySeeConversation(viewer)} group by 1, 3, 4, 5, 7
      union all select writer, null, phrase, read, sense, times, is_unlearnt, '[]'::jsonb from example_brought where sense <> 'nothing' and read is not null and sense <> read
      order by 1, 3 limit ${MOST_SHOWN}`,
  );
  return rows.map((row) => ({ ...row, name: row.name || row.writer, from: row.from.slice(0, 3) }));
}

/** What was set right among all that one rule found, in letters that a viewer may see, where it was more than once. */
export async function wordingLearntFor(db: Database, viewer: Viewer): Promise<LearntWordingView[]> {
  const rows = await rowsOf<{
    rule: string;
    read: SlipKind;
    brushedOff: number;
    changed: number;
    kept: number;
    isUnlearnt: boolean;
    from: LearntWordingView["from"] | null;
  }>(
    db,
    sql`with dealt as (
        select s.rule, s.read_kind as read, count(*) filter (where s.state = 'brushed off')::int as "brushedOff", count(*) filter (where s.state = 'kept' and s.kind <> s.read_kind)::int as changed,
          count(*) filter (where s.state = 'kept' and s.kind = s.read_kind)::int as kept, s.is_wording_unlearnt as "isUnlearnt", ${fromWhere} as "from"
        from slip s join letter l on l.id = s.letter_id join conversation c on c.id = s.conversation_id
        where ${dealtWith} and s.made_by = 'reader' and s.rule is not null and not s.is_unlearnt and ${maySeeConversation(viewer)} group by s.rule, s.read_kind, s.is_wording_unlearnt
        union all select rule, read, sum(times) filter (where sense = 'nothing')::int, sum(times) filter (where sense <> 'nothing' and sense <> read)::int, sum(times) filter (where sense = read)::int, is_unlearnt, '[]'::jsonb
        from example_brought where rule is not null and read is not null group by rule, read, is_unlearnt)
      select rule, read, coalesce(sum("brushedOff"), 0)::int as "brushedOff", coalesce(sum(changed), 0)::int as changed, coalesce(sum(kept), 0)::int as kept, "isUnlearnt",
        jsonb_path_query_array(jsonb_agg("from"), '$[*][*]') as "from" from dealt
      group by rule, read, "isUnlearnt" having coalesce(sum("brushedOff"), 0) + coalesce(sum(changed), 0) > 1
      order by coalesce(sum("brushedOff"), 0) + coalesce(sum(changed), 0) desc limit ${MOST_SHOWN}`,
  );
  return rows.map((row) => ({ ...row, from: (row.from ?? []).filter(Boolean).slice(0, 3) }));
}
