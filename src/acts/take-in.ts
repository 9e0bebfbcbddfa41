import { sql } from "drizzle-orm";
import type { Database } from "../data/engine/database";
import { rowsOf } from "../data/rows";
import { IntakeBatch, type TakenIn, type Way } from "./intake-batch";
import { type IntakeHouse, intakeHouse } from "./intake-house";
import { type Incoming, lookUp, parseIncoming, type ReadIncoming, readParsed, whatIsKnown } from "./read-incoming";
import { tellScreens } from "./tell-screens";

/** Letters written in one transaction: enough to be quick, few enough that nobody waits long behind it. */
export const BATCH = 100;

/**
 * Letters after which the engine is told anew how its tables look: PGlite never does so by itself, and plans badly without.
 * Of letters only what they are looked up by: counting the words of all texts would take most of that time.
 */
const ANALYZE_EVERY = 1_000;

/** How messages come in. */
interface Coming {
  /** The way in by its id, or the several ways that these messages came at once. */
  readonly way: string | readonly Way[];
  /** The instant of arrival, milliseconds since 1970 UTC. */
  readonly now: () => number;
  /** Whether they were written here: then nothing is proposed, and nothing comes into Sort. */
  readonly isOurs?: boolean;
}

async function write(
  db: Database,
  read: ReadIncoming,
  house: IntakeHouse,
  { way, now, isOurs = false }: Coming,
): Promise<TakenIn[]> {
  const ways = typeof way === "string" ? [{ wayInId: way, envelope: null }] : way;
  const { taken, count } = await db.transaction(async (tx) => {
    // One intake after the other: two that bring the same letter must see each other.
    const counted = sql`update intake set count = count + ${read.length} where id = 1 returning count::int`;
    const [intake] = await rowsOf<{ count: number }>(tx, counted);
    return { taken: await new IntakeBatch(tx, house, ways, now(), isOurs).take(read), count: intake?.count ?? 0 };
  });
  tellScreens();
  if (Math.floor(count / ANALYZE_EVERY) > Math.floor((count - read.length) / ANALYZE_EVERY))
    // A help, not a need: the letters are here already.
    await db
      .execute(
        sql`analyze letter (id, sha256, conversation_id, message_id, sent_at, received_at, from_address), conversation, thread, arrival, slip, correspondent`,
      )
      .catch(() => {});
  return taken;
}

/**
 * Takes raw messages in, at most `BATCH` at once: keeps the bytes, joins each to its conversation, reads it and proposes
 * slips; all that is written is written in one transaction. The same bytes are one letter, however often they come. What
 * cannot be read is kept raw.
 */
export async function takeIn(
  db: Database,
  messages: readonly Incoming[],
  way: Coming["way"],
  now: number,
  { isOurs = false }: Pick<Coming, "isOurs"> = {},
): Promise<TakenIn[]> {
  const house = await intakeHouse(db);
  const parsed = await parseIncoming(await lookUp(db, messages));
  const read = await readParsed(parsed, house, await whatIsKnown(db, parsed, house, now), now, isOurs);
  return write(db, read, house, { way, now: () => now, isOurs });
}

/** Batches that are parsed and read ahead of the one that is being written: enough that neither side waits for the other. */
const AHEAD = 8;

/**
 * Takes batch after batch in, as `takeIn` does. While the database writes one, the next are parsed and read for what they ask;
 * they are written one after the other, in their order. Gives each batch back with what became of it once it is committed;
 * whoever stops asking has every batch that was given back, and no other.
 */
export async function* takeInAll<M extends Incoming>(
  db: Database,
  batches: AsyncIterable<readonly M[]> | Iterable<readonly M[]>,
  coming: Coming,
): AsyncGenerator<{ batch: readonly M[]; taken: TakenIn[] }> {
  const isOurs = coming.isOurs ?? false;
  const house = await intakeHouse(db);
  const iterator = Symbol.asyncIterator in batches ? batches[Symbol.asyncIterator]() : batches[Symbol.iterator]();
  let pulled: Promise<unknown> = Promise.resolve();
  /** The next batch, parsed and read; null after the last. */
  const prepare = async () => {
    const pulling = pulled.then(() => iterator.next());
    pulled = pulling;
    const next: IteratorResult<readonly M[], unknown> = await pulling;
    if (next.done) return null;
    const batch = next.value;
    const parsed = await parseIncoming(await lookUp(db, batch));
    const now = coming.now();
    return { batch, read: await readParsed(parsed, house, await whatIsKnown(db, parsed, house, now), now, isOurs) };
  };
  const ahead: ReturnType<typeof prepare>[] = [];
  try {
    for (;;) {
      while (ahead.length < AHEAD) {
        const prepared = prepare();
        // A fault is thrown when its turn comes; until then nobody listens.
        prepared.catch(() => {});
        ahead.push(prepared);
      }
      const prepared = await ahead.shift()!;
      if (!prepared) return;
      yield { batch: prepared.batch, taken: await write(db, prepared.read, house, coming) };
    }
  } finally {
    // What is under way is read to its end and not written.
    await Promise.allSettled(ahead);
    await iterator.return?.();
  }
}
