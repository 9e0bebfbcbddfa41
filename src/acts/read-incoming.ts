import crypto from "node:crypto";
import { sql } from "drizzle-orm";
import type { Letter } from "../core/letters/letter";
import { LARGEST_MESSAGE_BYTES } from "../core/letters/mime";
import { parseLetter } from "../core/letters/parse-letter";
import type { RemotePlace } from "../core/letters/ways";
import { readAway } from "../core/reading/away";
import { type ReadingSettings, readLetter } from "../core/reading/read-letter";
import type { FoundSlip } from "../core/reading/slip";
import type { Moment } from "../core/time/moment";
import type { Database } from "../data/engine/database";
import { rowsOf } from "../data/rows";
import type { ParsedMessage } from "./intake-batch";
import type { IntakeHouse } from "./intake-house";

/** A raw message on its way in. */
export interface Incoming {
  readonly raw: Uint8Array;
  /** Where it lies on an IMAP server, where it comes from one. */
  readonly remote?: RemotePlace;
}

/** A message that is not taken in at all, with the reason. */
export interface RefusedMessage {
  readonly refused: string;
}

/** Lets everybody else have a turn: parsing and reading a batch would hold up the whole process for a moment. */
function breathe(): Promise<void> {
  return new Promise((resolve) => setImmediate(resolve));
}

async function hereAlready(db: Database, hashes: readonly string[]): Promise<Set<string>> {
  if (hashes.length === 0) return new Set();
  const rows = await rowsOf<{ sha256: string }>(
    db,
    sql`select sha256 from letter where sha256 in ${[...hashes]} union all select sha256 from letter_copy where sha256 in ${[...hashes]}`,
  );
  return new Set(rows.map((row) => row.sha256));
}

/** Names by which people outside are known here, by address. */
export async function knownNames(
  db: Database,
  parsed: readonly (ParsedMessage | RefusedMessage)[],
): Promise<Map<string, string>> {
  const letters = parsed.flatMap((one) => ("letter" in one && one.letter ? [one.letter] : []));
  const addresses = new Set(letters.flatMap((letter) => participantsOf(letter).map((who) => who.address)));
  if (addresses.size === 0) return new Map();
  const rows = await rowsOf<{ address: string; name: string }>(
    db,
    sql`select address, name from correspondent where address in (select jsonb_array_elements_text(${JSON.stringify([...addresses])}::jsonb))`,
  );
  return new Map(rows.map((row) => [row.address, row.name]));
}

/** People of one header that are looked at; a circular to thousands asks nobody by name. */
const MOST_PARTICIPANTS = 20;

function participantsOf(letter: Letter) {
  return [
    ...(letter.from ? [letter.from] : []),
    ...letter.to.slice(0, MOST_PARTICIPANTS),
    ...letter.cc.slice(0, MOST_PARTICIPANTS),
  ].filter((who) => who.address !== "");
}

/** The moment from which a letter's dates count: its own Date in the writer's zone, else its coming in ours. */
function momentOf(letter: Letter, house: IntakeHouse, now: number): Moment {
  return { at: letter.sentAt ?? now, zone: letter.sentAt === null ? house.zone : letter.offset };
}

function settingsOf(house: IntakeHouse): ReadingSettings {
  return { calendar: house.calendar, figures: house.figures };
}

/** Reading is an offer: a letter that trips the reader is kept and sorted by hand. */
function found(letter: Letter, house: IntakeHouse, names: ReadonlyMap<string, string>, now: number): FoundSlip[] {
  const outside = participantsOf(letter)
    .filter((who) => !house.team.some((person) => person.address === who.address))
    .map((who) => ({ id: who.address, name: names.get(who.address) || who.name || who.address, address: who.address }));
  try {
    return readLetter(letter, { team: house.team, outside }, momentOf(letter, house, now), settingsOf(house));
  } catch {
    return [];
  }
}

/** A raw message with the sum of its bytes, and whether these are here already. */
interface LookedUp {
  readonly raw: Uint8Array;
  readonly remote: RemotePlace | null;
  readonly sha256: string;
  readonly isHere: boolean;
}

/** Looks up which messages are here already: those are neither parsed nor read again. */
export async function lookUp(db: Database, messages: readonly Incoming[]): Promise<LookedUp[]> {
  const hashed = messages.map(({ raw, remote = null }) => ({
    raw,
    remote,
    sha256: crypto.createHash("sha256").update(raw).digest("hex"),
  }));
  const here = await hereAlready(
    db,
    hashed.map((one) => one.sha256),
  );
  return hashed.map((one) => ({ ...one, isHere: here.has(one.sha256) }));
}

/** Parses messages; what is empty or too large is refused. Asks no database, so that it can go on while one is busy. */
export async function parseIncoming(messages: readonly LookedUp[]): Promise<(ParsedMessage | RefusedMessage)[]> {
  const parsed: (ParsedMessage | RefusedMessage)[] = [];
  for (const { raw, remote, sha256, isHere } of messages) {
    const unread = { raw, remote, sha256, letter: null, why: null, found: [], awayUntil: null };
    if (raw.length > LARGEST_MESSAGE_BYTES) {
      const size = Math.round(raw.length / 1_048_576);
      parsed.push({ refused: `It has ${size} MB; 50 MB are the most for one letter. The file stays where it is.` });
    } else if (raw.length === 0) parsed.push({ refused: "It is empty; there is nothing to keep." });
    else if (isHere) parsed.push(unread);
    else {
      const result = await parseLetter(raw);
      parsed.push(result.ok ? { ...unread, letter: result.letter } : { ...unread, why: result.why });
      await breathe();
    }
  }
  return parsed;
}

/** Reads parsed letters for what they ask, before anything is written. Nothing is proposed of letters of our own. */
export async function readParsed(
  parsed: readonly (ParsedMessage | RefusedMessage)[],
  house: IntakeHouse,
  names: ReadonlyMap<string, string>,
  now: number,
  isOurs: boolean,
): Promise<(ParsedMessage | RefusedMessage)[]> {
  const read: (ParsedMessage | RefusedMessage)[] = [];
  for (const one of parsed) {
    if ("letter" in one && one.letter) {
      read.push({
        ...one,
        found: isOurs ? [] : found(one.letter, house, names, now),
        awayUntil: readAway(one.letter, momentOf(one.letter, house, now), settingsOf(house)),
      });
      await breathe();
    } else read.push(one);
  }
  return read;
}
