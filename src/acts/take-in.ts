import crypto from "node:crypto";
import { sql } from "drizzle-orm";
import { LARGEST_MESSAGE_BYTES, parseLetter } from "../core/letters/parse-letter";
import type { Database } from "../data/engine/database";
import { IntakeBatch, type ParsedMessage, type TakenIn } from "./intake-batch";
import { intakeHouse } from "./intake-house";
import { tellScreens } from "./tell-screens";

/** A raw message on its way in. */
export interface Incoming {
  readonly raw: Uint8Array;
}

/** Letters written in one transaction: enough to be quick, few enough that nobody waits long behind it. */
export const BATCH = 40;

async function parseAll(messages: readonly Incoming[]): Promise<(ParsedMessage | { refused: string })[]> {
  const parsed: (ParsedMessage | { refused: string })[] = [];
  for (const { raw } of messages) {
    if (raw.length > LARGEST_MESSAGE_BYTES)
      parsed.push({
        refused: `It has ${Math.round(raw.length / 1_048_576)} MB; 50 MB are the most for one letter. The file stays where it is.`,
      });
    else if (raw.length === 0) parsed.push({ refused: "It is empty; there is nothing to keep." });
    else {
      const sha256 = crypto.createHash("sha256").update(raw).digest("hex");
      const result = await parseLetter(raw);
      parsed.push({ raw, sha256, letter: result.ok ? result.letter : null, why: result.ok ? null : result.why });
    }
  }
  return parsed;
}

/**
 * Takes raw messages in, at most `BATCH` at once: keeps the bytes, joins each to its conversation, reads it and proposes
 * slips, all in one transaction. The same bytes are one letter, however often they come. What cannot be read is kept raw.
 * @param now the instant of arrival, milliseconds since 1970 UTC
 */
export async function takeIn(
  db: Database,
  messages: readonly Incoming[],
  wayInId: string,
  now: number,
): Promise<TakenIn[]> {
  const parsed = await parseAll(messages);
  const house = await intakeHouse(db);
  const taken = await db.transaction(async (tx) => {
    // One intake after the other: two that bring the same letter must see each other.
    await tx.execute(sql`update intake set count = count + ${messages.length} where id = 1`);
    return new IntakeBatch(tx, house, wayInId, now).take(parsed);
  });
  tellScreens();
  return taken;
}
