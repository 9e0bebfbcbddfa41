import { sql } from "drizzle-orm";
import { type HasteLesson, hasteLessons, isUsual, type KeptHaste } from "../../core/reading/haste";
import type { WorkingCalendar } from "../../core/time/day";
import type { LearntHasteView } from "../../core/views/learnt-view";
import type { Database } from "../engine/database";
import { maySeeConversation, type Viewer } from "../need-to-know";
import { rowsOf } from "../rows";
import { FROM_SHARED_SLIPS } from "./shared-letters";

/** Kinds of haste that are looked at for one batch of letters, shown, or taken along. */
const MOST = 2_000;

const sentDay = sql`((l.sent_at at time zone 'UTC') + l."offset"::interval)::date::text`;
const kept = sql`s.haste is not null and s.state = 'kept'`;

/** What people kept haste of these writers as. It is counted from the slips themselves: undoing a keeping unlearns it. */
export async function hasteFor(
  db: Database,
  writers: readonly string[],
  calendar: WorkingCalendar,
): Promise<HasteLesson[]> {
  if (writers.length === 0) return [];
  const addresses = JSON.stringify([...new Set(writers)]);
  const mine = sql`(select jsonb_array_elements_text(${addresses}::jsonb))`;
  const [rows, brought] = await Promise.all([
    rowsOf<KeptHaste>(
      db,
      sql`select l.from_address as writer, s.haste, ${sentDay} as "sentDay", s.due_day::text as "dueDay", count(*)::int as times
        from letter l join slip s on s.letter_id = l.id where l.from_address in ${mine} and ${kept} and not s.is_haste_unlearnt group by 1, 2, 3, 4 limit ${MOST}`,
    ),
    rowsOf<HasteLesson>(
      db,
      sql`select writer, haste, days, kept from haste_brought where writer in ${mine} and not is_unlearnt limit ${MOST}`,
    ),
  ]);
  return together(hasteLessons(rows, calendar), brought);
}

/** Lessons of our own with those brought in; the same of both is one. */
function together(own: readonly HasteLesson[], brought: readonly HasteLesson[]): HasteLesson[] {
  const all = new Map<string, HasteLesson>();
  for (const one of [...own, ...brought]) {
    const key = `${one.writer}\n${one.haste}\n${one.days}`;
    all.set(key, { ...one, kept: (all.get(key)?.kept ?? 0) + one.kept });
  }
  return [...all.values()];
}

/** What was learnt of haste from slips that a viewer may see, with the conversations that it came from. */
export async function hasteLearntFor(
  db: Database,
  viewer: Viewer,
  calendar: WorkingCalendar,
): Promise<LearntHasteView[]> {
  const rows = await rowsOf<KeptHaste & { name: string; isUnlearnt: boolean; from: LearntHasteView["from"] }>(
    db,
    sql`select l.from_address as writer, max(l.from_name) as name, s.haste, ${sentDay} as "sentDay", s.due_day::text as "dueDay", s.is_haste_unlearnt as "isUnlearnt", count(*)::int as times,
        jsonb_agg(distinct jsonb_build_object('id', c.id, 'subject', c.subject)) as "from"
      from slip s join letter l on l.id = s.letter_id join conversation c on c.id = s.conversation_id
      where ${kept} and ${maySeeConversation(viewer)} group by l.from_address, s.haste, 4, 5, 6 limit ${MOST}`,
  );
  const brought = await rowsOf<HasteLesson & { isUnlearnt: boolean }>(
    db,
    sql`select writer, haste, days, kept, is_unlearnt as "isUnlearnt" from haste_brought limit ${MOST}`,
  );
  const views: LearntHasteView[] = [];
  for (const isUnlearnt of [false, true]) {
    const own = rows.filter((row) => row.isUnlearnt === isUnlearnt);
    const lessons = together(
      hasteLessons(own, calendar),
      brought.filter((one) => one.isUnlearnt === isUnlearnt),
    );
    for (const { writer, haste } of new Map(lessons.map((one) => [`${one.writer}\n${one.haste}`, one])).values()) {
      const means = lessons.filter((one) => one.writer === writer && one.haste === haste);
      // Kept as the reader proposes it anyway, haste teaches nothing.
      if (means.every(({ days }) => isUsual(haste, days))) continue;
      const of = own.filter((row) => row.writer === writer && row.haste === haste);
      const from = new Map(of.flatMap((row) => row.from).map((one) => [one.id, one]));
      views.push({
        writer,
        name: of[0]?.name || writer,
        haste,
        means: means.map(({ days, kept: times }) => ({ days, kept: times })).sort((a, b) => b.kept - a.kept),
        isUnlearnt,
        from: [...from.values()].slice(0, 3),
      });
    }
  }
  return views;
}

/** What was learnt of haste in letters that everybody here may see, and what was brought in, to be kept elsewhere. */
export async function hasteToKeep(db: Database, calendar: WorkingCalendar): Promise<HasteLesson[]> {
  const rows = await rowsOf<KeptHaste>(
    db,
    sql`select l.from_address as writer, s.haste, ${sentDay} as "sentDay", s.due_day::text as "dueDay", count(*)::int as times
      ${FROM_SHARED_SLIPS} and ${kept} and not s.is_haste_unlearnt
      group by 1, 2, 3, 4`,
  );
  const brought = await rowsOf<HasteLesson>(
    db,
    sql`select writer, haste, days, kept from haste_brought where not is_unlearnt`,
  );
  return together(hasteLessons(rows, calendar), brought);
}
