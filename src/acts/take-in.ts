import { sql } from "drizzle-orm";
import type { Database } from "../data/engine/database";
import { IntakeBatch, type TakenIn, type Way } from "./intake-batch";
import { intakeHouse } from "./intake-house";
import { type Incoming, readIncoming } from "./read-incoming";
import { tellScreens } from "./tell-screens";

/** Letters written in one transaction: enough to be quick, few enough that nobody waits long behind it. */
export const BATCH = 40;

/**
 * Takes raw messages in, at most `BATCH` at once: keeps the bytes, joins each to its conversation, reads it and proposes
 * slips; all that is written is written in one transaction. The same bytes are one letter, however often they come. What
 * cannot be read is kept raw.
 * @param way the way in by its id, or the several ways that these messages came at once
 * @param isOurs whether they were written here: then nothing is proposed, and nothing comes into Sort
 * @param now the instant of arrival, milliseconds since 1970 UTC
 */
export async function takeIn(
  db: Database,
  messages: readonly Incoming[],
  way: string | readonly Way[],
  now: number,
  { isOurs = false }: { readonly isOurs?: boolean } = {},
): Promise<TakenIn[]> {
  const ways = typeof way === "string" ? [{ wayInId: way, envelope: null }] : way;
  const house = await intakeHouse(db);
  const parsed = await readIncoming(db, messages, house, now, isOurs);
  const taken = await db.transaction(async (tx) => {
    // One intake after the other: two that bring the same letter must see each other.
    await tx.execute(sql`update intake set count = count + ${messages.length} where id = 1`);
    return new IntakeBatch(tx, house, ways, now, isOurs).take(parsed);
  });
  tellScreens();
  return taken;
}
