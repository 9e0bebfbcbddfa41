import { sql } from "drizzle-orm";
import { tellingWords } from "../../core/finding/telling-words";
import { wordsIn } from "../../core/finding/words";
import type { Database } from "../engine/database";
import { maySeeTask, type Viewer } from "../need-to-know";
import { rowsOf } from "../rows";

/** Words of a title that are looked for. */
const MOST_WORDS = 12;

/** A slip that nobody is named in. */
interface Unowned {
  readonly id: string;
  readonly title: string;
  readonly fromAddress: string;
}

/**
 * Who had tasks with words of these titles before, from letters of the same writer or their firm: of each slip the one who
 * had most of them, by the slip's id. Nobody where nobody had. A guess, to be shown as one.
 */
export async function suggestedOwners(
  db: Database,
  viewer: Viewer,
  slips: readonly Unowned[],
): Promise<ReadonlyMap<string, string>> {
  const asked = slips.flatMap(({ id, title, fromAddress }) => {
    const words = [...wordsIn([...tellingWords(title)].join(" "))].slice(0, MOST_WORDS);
    return words.length > 0 && fromAddress !== ""
      ? [{ id, writer: fromAddress, words: words.map((word) => `${word}:*`).join(" | ") }]
      : [];
  });
  if (asked.length === 0) return new Map();
  const rows = await rowsOf<{ id: string; ownerId: string }>(
    db,
    sql`select a.id, had.owner_id as "ownerId" from jsonb_to_recordset(${JSON.stringify(asked)}::jsonb) as a(id uuid, writer text, words text)
      cross join lateral (
        select t.owner_id from task t join letter l on l.id = t.letter_id
        where t.side = 'ours' and t.owner_id is not null and t.search @@ a.words::tsquery and ${maySeeTask(viewer)}
          and (l.from_address = a.writer or l.from_address in (
            select other.address from correspondent who join correspondent other on other.firm_id = who.firm_id where who.address = a.writer))
        group by t.owner_id order by count(*) desc, max(t.number) desc limit 1) had`,
  );
  return new Map(rows.map(({ id, ownerId }) => [id, ownerId]));
}
