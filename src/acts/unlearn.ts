import { sql } from "drizzle-orm";
import type { Priority, SlipKind } from "../core/reading/slip";
import type { Database } from "../data/engine/database";
import { maySeeConversation, type Viewer } from "../data/need-to-know";
import { rowsOf } from "../data/rows";
import { tellScreens } from "./tell-screens";

/** Unlearns what was learnt of a writer's rule or phrase, or learns it again. Gives back on how many slips and lessons brought in it rested. */
export async function setUnlearnt(
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
  const rows = await rowsOf(
    db,
    sql`update slip s set is_unlearnt = ${isUnlearnt} from letter l, conversation c where l.id = s.letter_id and c.id = s.conversation_id and l.from_address = ${writer}
      and ${which} and s.made_by = ${isMarked ? "person" : "reader"} and ${maySeeConversation(viewer)} returning s.id`,
  );
  const brought = await rowsOf(
    db,
    sql`update lesson_brought set is_unlearnt = ${isUnlearnt} where writer = ${writer} and rule is not distinct from ${rule} and phrase is not distinct from ${phrase} and is_marked = ${isMarked} returning id`,
  );
  const count = rows.length + brought.length;
  if (count > 0) tellScreens();
  return count;
}

/** The same for what haste of a writer was kept as. */
export async function setHasteUnlearnt(
  db: Database,
  viewer: Viewer,
  { writer, haste, isUnlearnt }: { writer: string; haste: string; isUnlearnt: boolean },
): Promise<number> {
  const rows = await rowsOf(
    db,
    sql`update slip s set is_haste_unlearnt = ${isUnlearnt} from letter l, conversation c where l.id = s.letter_id and c.id = s.conversation_id and l.from_address = ${writer}
      and s.haste = ${haste} and ${maySeeConversation(viewer)} returning s.id`,
  );
  const brought = await rowsOf(
    db,
    sql`update haste_brought set is_unlearnt = ${isUnlearnt} where writer = ${writer} and haste = ${haste} returning id`,
  );
  const count = rows.length + brought.length;
  if (count > 0) tellScreens();
  return count;
}

/**
 * The same for what kinds were set right: of one phrase of a writer, or of all that one rule took for a kind, whoever wrote it; then
 * what was brushed off counts too.
 */
export async function setWordingUnlearnt(
  db: Database,
  viewer: Viewer,
  which:
    | { readonly writer: string; readonly phrase: string; readonly isUnlearnt: boolean }
    | { readonly rule: string; readonly read: SlipKind; readonly isUnlearnt: boolean },
): Promise<number> {
  const own =
    "phrase" in which
      ? sql`l.from_address = ${which.writer} and s.phrase = ${which.phrase} and s.kind <> s.read_kind`
      : sql`s.rule = ${which.rule} and s.read_kind = ${which.read}`;
  const theirs =
    "phrase" in which
      ? sql`writer = ${which.writer} and phrase = ${which.phrase} and sense <> 'nothing' and sense is distinct from read`
      : sql`rule = ${which.rule} and read = ${which.read}`;
  const rows = await rowsOf(
    db,
    sql`update slip s set is_wording_unlearnt = ${which.isUnlearnt} from letter l, conversation c where l.id = s.letter_id and c.id = s.conversation_id and s.state <> 'proposed'
      and ${own} and ${maySeeConversation(viewer)} returning s.id`,
  );
  const brought = await rowsOf(
    db,
    sql`update example_brought set is_unlearnt = ${which.isUnlearnt} where ${theirs} returning id`,
  );
  const count = rows.length + brought.length;
  if (count > 0) tellScreens();
  return count;
}

/** The same for what a priority read in a writer's letters was kept as. */
export async function setPriorityUnlearnt(
  db: Database,
  viewer: Viewer,
  { writer, read, isUnlearnt }: { writer: string; read: Priority; isUnlearnt: boolean },
): Promise<number> {
  const rows = await rowsOf(
    db,
    sql`update slip s set is_priority_unlearnt = ${isUnlearnt} from letter l, conversation c where l.id = s.letter_id and c.id = s.conversation_id and l.from_address = ${writer}
      and s.read_priority = ${read} and s.state <> 'proposed' and ${maySeeConversation(viewer)} returning s.id`,
  );
  const brought = await rowsOf(
    db,
    sql`update priority_brought set is_unlearnt = ${isUnlearnt} where writer = ${writer} and read = ${read} returning id`,
  );
  const count = rows.length + brought.length;
  if (count > 0) tellScreens();
  return count;
}
