import crypto from "node:crypto";
import { sql } from "drizzle-orm";
import type { OpenTask } from "../core/following/task-changes";
import { idsOf } from "../core/letters/joined-by";
import { LARGEST_MESSAGE_BYTES } from "../core/letters/mime";
import type { RemotePlace } from "../core/letters/ways";
import { type HasteLesson, hasHaste } from "../core/reading/haste";
import type { Lesson } from "../core/reading/lessons";
import type { PriorityLesson } from "../core/reading/priorities";
import type { HouseExample } from "../core/reading/weighing/house-example";
import type { Database } from "../data/engine/database";
import { hasteFor } from "../data/queries/haste";
import { examplesOfHouse } from "../data/queries/house-examples";
import { lessonsFor } from "../data/queries/lessons";
import { openTasksAnswered } from "../data/queries/open-tasks";
import { prioritiesFor } from "../data/queries/priorities";
import { rowsOf } from "../data/rows";
import { continuedBy } from "./continuing";
import type { ParsedMessage } from "./intake-batch";
import type { IntakeHouse } from "./intake-house";
import { currentReader } from "./reading/current-reader";
import { participantsOf } from "./reading/participants";
import { NOTHING_READ, type ParsedBatch } from "./reading/reader";

/** A raw message on its way in. */
export interface Incoming {
  readonly raw: Uint8Array;
  /** Where it lies on an IMAP server, where it comes from one. */
  readonly remote?: RemotePlace;
}

/** A message that is not taken in at all, with the reason. */
interface RefusedMessage {
  readonly refused: string;
}

/** A raw message with the sum of its bytes, and whether these are here already. */
interface LookedUp {
  readonly raw: Uint8Array;
  readonly remote: RemotePlace | null;
  readonly sha256: string;
  readonly isHere: boolean;
}

/** Messages that are parsed and still to be read, in their order. */
export interface ParsedIncoming {
  readonly messages: readonly LookedUp[];
  readonly batch: ParsedBatch;
}

export type ReadIncoming = readonly (ParsedMessage | RefusedMessage)[];

/** Looks up which messages are here already: those are neither parsed nor read again. */
export async function lookUp(db: Database, messages: readonly Incoming[]): Promise<LookedUp[]> {
  const hashed = messages.map(({ raw, remote = null }) => ({
    raw,
    remote,
    sha256: crypto.createHash("sha256").update(raw).digest("hex"),
  }));
  const sums = sql.param(hashed.map((one) => one.sha256));
  const rows = await rowsOf<{ sha256: string }>(
    db,
    sql`select sha256 from letter where sha256 = any(${sums}::text[]) union all select sha256 from letter_copy where sha256 = any(${sums}::text[])`,
  );
  const here = new Set(rows.map((row) => row.sha256));
  return hashed.map((one) => ({ ...one, isHere: here.has(one.sha256) }));
}

function isParsed({ raw, isHere }: LookedUp): boolean {
  return !isHere && raw.length > 0 && raw.length <= LARGEST_MESSAGE_BYTES;
}

/** Parses messages. Asks no database, so that it can go on while one is busy. */
export async function parseIncoming(messages: readonly LookedUp[]): Promise<ParsedIncoming> {
  return { messages, batch: await currentReader().parse(messages.filter(isParsed).map((one) => one.raw)) };
}

/** What is known here of those who wrote: names of people outside by their address, and what was taught of their letters. */
export interface Known {
  readonly names: ReadonlyMap<string, string>;
  readonly lessons: readonly Lesson[];
  readonly haste: readonly HasteLesson[];
  readonly priorities: readonly PriorityLesson[];
  /** What people here took passages for, whoever wrote them. */
  readonly examples: readonly HouseExample[];
  /** Tasks that are open in the conversations that they answer, by Message-ID. */
  readonly openTasks: ReadonlyMap<string, readonly OpenTask[]>;
}

export async function whatIsKnown(
  db: Database,
  parsed: ParsedIncoming,
  { calendar }: IntakeHouse,
  now: number,
): Promise<Known> {
  const writers = parsed.batch.letters.flatMap((one) => (one.ok && one.letter.from ? [one.letter.from.address] : []));
  const letters = parsed.batch.letters.flatMap((one) => (one.ok ? [one.letter] : []));
  const inHaste = letters.flatMap(({ from, text }) => (from && hasHaste(text) ? [from.address] : []));
  const answered = letters.flatMap((letter) => idsOf(letter));
  // Asked together: each by itself would wait behind another transaction of the intake.
  const [names, lessons, haste, priorities, examples, openTasks] = await Promise.all([
    knownNames(db, parsed),
    lessonsFor(db, writers),
    hasteFor(db, inHaste, calendar),
    prioritiesFor(db, writers),
    examplesOfHouse(db),
    // Also of answers whose program dropped the references, as they will be joined.
    continuedBy(db, letters, now).then((continued) => openTasksAnswered(db, answered, continued)),
  ]);
  return { names, lessons, haste, priorities, examples, openTasks };
}

async function knownNames(db: Database, { batch }: ParsedIncoming): Promise<Map<string, string>> {
  const addresses = new Set(
    batch.letters.flatMap((one) => (one.ok ? participantsOf(one.letter).map((who) => who.address) : [])),
  );
  if (addresses.size === 0) return new Map();
  const rows = await rowsOf<{ address: string; name: string }>(
    db,
    sql`select address, name from correspondent where address in (select jsonb_array_elements_text(${JSON.stringify([...addresses])}::jsonb))`,
  );
  return new Map(rows.map((row) => [row.address, row.name]));
}

/**
 * Reads parsed letters for what they ask, before anything is written. What is empty or too large is refused; nothing is
 * proposed of letters of our own.
 */
export async function readParsed(
  { messages, batch }: ParsedIncoming,
  house: IntakeHouse,
  known: Known,
  now: number,
  isOurs: boolean,
): Promise<ReadIncoming> {
  const read = await batch.read({ house, ...known, now, isOurs });
  let next = 0;
  return messages.map((message) => {
    const { raw, remote, sha256 } = message;
    if (raw.length > LARGEST_MESSAGE_BYTES) {
      const size = Math.round(raw.length / 1_048_576);
      return { refused: `It has ${size} MB; 50 MB are the most for one letter. The file stays where it is.` };
    }
    if (raw.length === 0) return { refused: "It is empty; there is nothing to keep." };
    if (!isParsed(message)) return { raw, remote, sha256, letter: null, why: null, ...NOTHING_READ };
    const parsed = batch.letters[next]!;
    const understood = read[next] ?? NOTHING_READ;
    next += 1;
    return parsed.ok
      ? { raw, remote, sha256, letter: parsed.letter, why: null, ...understood }
      : { raw, remote, sha256, letter: null, why: parsed.why, ...NOTHING_READ };
  });
}
