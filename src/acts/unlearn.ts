import { sql } from "drizzle-orm";
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
