import { sql } from "drizzle-orm";
import { wordsIn } from "../../core/finding/words";
import { tellingWords } from "../../core/following/telling-words";
import type { Database } from "../engine/database";
import { maySeeTask, type Viewer } from "../need-to-know";
import { rowsOf } from "../rows";

/** Words of a title that are looked for. */
const MOST_WORDS = 12;

/**
 * Who had tasks with words of this title before, from letters of the same writer or their firm: the one who had most of
 * them. Null where nobody had. A guess, to be shown as one.
 */
export async function suggestedOwner(
  db: Database,
  viewer: Viewer,
  { title, fromAddress }: { title: string; fromAddress: string },
): Promise<string | null> {
  const words = [...wordsIn([...tellingWords(title)].join(" "))].slice(0, MOST_WORDS);
  if (words.length === 0 || fromAddress === "") return null;
  const query = words.map((word) => `${word}:*`).join(" | ");
  const [row] = await rowsOf<{ ownerId: string }>(
    db,
    sql`select t.owner_id as "ownerId" from task t join letter l on l.id = t.letter_id
      where t.side = 'ours' and t.owner_id is not null and t.search @@ ${query}::tsquery and ${maySeeTask(viewer)}
        and (l.from_address = ${fromAddress} or l.from_address in (
          select other.address from correspondent who join correspondent other on other.firm_id = who.firm_id where who.address = ${fromAddress}))
      group by t.owner_id order by count(*) desc, max(t.number) desc limit 1`,
  );
  return row?.ownerId ?? null;
}
