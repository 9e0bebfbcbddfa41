import { sql } from "drizzle-orm";
import type { Way } from "../acts/intake-batch";
import { wayInNamed } from "../acts/ways-in";
import type { Envelope } from "../core/letters/ways";
import type { Database } from "../data/engine/database";
import { rowsOf } from "../data/rows";

/**
 * The ways in of a letter by its envelope: to a member's own address it is theirs; to any other address of ours it is
 * everybody's. A letter to both has both.
 */
export async function waysTo(db: Database, envelope: Envelope): Promise<Way[]> {
  const members = await rowsOf<{ id: string; address: string }>(
    db,
    sql`select id, address from person where address in (select jsonb_array_elements_text(${JSON.stringify(envelope.to)}::jsonb))`,
  );
  const own = new Map(members.map((member) => [member.address, member.id]));
  const names = new Map<string, string | null>();
  for (const address of envelope.to) {
    const ownerId = own.get(address) ?? null;
    names.set(ownerId ? address : `post to ${address.split("@").at(-1)}`, ownerId);
  }
  const ways: Way[] = [];
  for (const [name, ownerId] of names) ways.push({ wayInId: await wayInNamed(db, name, "address", ownerId), envelope });
  return ways;
}
