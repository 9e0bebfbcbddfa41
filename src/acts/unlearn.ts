import { type SQL, sql } from "drizzle-orm";
import type { Priority, SlipKind } from "../core/reading/slip";
import type { Database } from "../data/engine/database";
import { maySeeConversation, type Viewer } from "../data/need-to-know";
import { rowsOf } from "../data/rows";
import { tellScreens } from "./tell-screens";

/** What is unlearnt, or learnt again: of which slips `s` of letters `l`, by which column of theirs, and of what was brought in. */
interface Turned {
  readonly isUnlearnt: boolean;
  readonly column: SQL;
  readonly slips: SQL;
  readonly table: SQL;
  readonly brought: SQL;
}

/** Turns lessons over. Gives back on how many slips that the viewer may see, and lessons brought in, they rested. */
async function turn(
  db: Database,
  viewer: Viewer,
  { isUnlearnt, column, slips, table, brought }: Turned,
): Promise<number> {
  const own = await rowsOf(
    db,
    sql`update slip s set ${column} = ${isUnlearnt} from letter l, conversation c where l.id = s.letter_id and c.id = s.conversation_id
      and ${slips} and ${maySeeConversation(viewer)} returning s.id`,
  );
  const elsewhere = await rowsOf(
    db,
    sql`update ${table} set is_unlearnt = ${isUnlearnt} where ${brought} returning id`,
  );
  const count = own.length + elsewhere.length;
  if (count > 0) tellScreens();
  return count;
}

/** Unlearns what was learnt of a writer's rule or phrase, or learns it again. */
export function setUnlearnt(
  db: Database,
  viewer: Viewer,
  {
    writer,
    rule,
    phrase,
    isMarked,
    isUnlearnt,
  }: { writer: string; rule: string | null; phrase: string | null; isMarked: boolean; isUnlearnt: boolean },
): Promise<number> {
  const which = phrase === null ? sql`s.rule = ${rule}` : sql`s.phrase = ${phrase}`;
  return turn(db, viewer, {
    isUnlearnt,
    column: sql`is_unlearnt`,
    slips: sql`l.from_address = ${writer} and ${which} and s.made_by = ${isMarked ? "person" : "reader"}`,
    table: sql`lesson_brought`,
    brought: sql`writer = ${writer} and rule is not distinct from ${rule} and phrase is not distinct from ${phrase} and is_marked = ${isMarked}`,
  });
}

/** The same for what haste of a writer was kept as. */
export function setHasteUnlearnt(
  db: Database,
  viewer: Viewer,
  { writer, haste, isUnlearnt }: { writer: string; haste: string; isUnlearnt: boolean },
): Promise<number> {
  return turn(db, viewer, {
    isUnlearnt,
    column: sql`is_haste_unlearnt`,
    slips: sql`l.from_address = ${writer} and s.haste = ${haste}`,
    table: sql`haste_brought`,
    brought: sql`writer = ${writer} and haste = ${haste}`,
  });
}

/** The same for the kind to which a phrase of a writer was set right. */
export function setKindUnlearnt(
  db: Database,
  viewer: Viewer,
  { writer, phrase, isUnlearnt }: { writer: string; phrase: string; isUnlearnt: boolean },
): Promise<number> {
  return turn(db, viewer, {
    isUnlearnt,
    column: sql`is_wording_unlearnt`,
    slips: sql`l.from_address = ${writer} and s.phrase = ${phrase} and s.kind <> s.read_kind and s.state <> 'proposed'`,
    table: sql`example_brought`,
    brought: sql`writer = ${writer} and phrase = ${phrase} and sense <> 'nothing' and sense is distinct from read`,
  });
}

/** The same for all that one rule took for a kind, whoever wrote it: brushed off, set right and kept. */
export function setWordingUnlearnt(
  db: Database,
  viewer: Viewer,
  { rule, read, isUnlearnt }: { rule: string; read: SlipKind; isUnlearnt: boolean },
): Promise<number> {
  return turn(db, viewer, {
    isUnlearnt,
    column: sql`is_wording_unlearnt`,
    slips: sql`s.rule = ${rule} and s.read_kind = ${read} and s.state <> 'proposed'`,
    table: sql`example_brought`,
    brought: sql`rule = ${rule} and read = ${read}`,
  });
}

/** The same for what a priority read in a writer's letters was kept as. */
export function setPriorityUnlearnt(
  db: Database,
  viewer: Viewer,
  { writer, read, isUnlearnt }: { writer: string; read: Priority; isUnlearnt: boolean },
): Promise<number> {
  return turn(db, viewer, {
    isUnlearnt,
    column: sql`is_priority_unlearnt`,
    slips: sql`l.from_address = ${writer} and s.read_priority = ${read} and s.state <> 'proposed'`,
    table: sql`priority_brought`,
    brought: sql`writer = ${writer} and read = ${read}`,
  });
}
