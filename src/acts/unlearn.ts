import { sql } from "drizzle-orm";
import type { Database } from "../data/engine/database";
import { maySeeConversation, type Viewer } from "../data/need-to-know";
import { rowsOf } from "../data/rows";
import { tellScreens } from "./tell-screens";

/** Unlearns what was learnt of a writer's rule or phrase, or learns it again. Gives back how many slips it rested on. */
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
  if (rows.length > 0) tellScreens();
  return rows.length;
}
