import { sql } from "drizzle-orm";
import { takeIn } from "../acts/take-in";
import { tellScreens } from "../acts/tell-screens";
import { wayInNamed } from "../acts/ways-in";
import { isRefusal, pauseAfter } from "../core/letters/outgoing";
import type { Database } from "../data/engine/database";
import { type InstantText, millis, rowsOf } from "../data/rows";
import { composeOutgoing, type OutgoingLetter } from "./compose-outgoing";

/** How a message is handed to the next server. */
export interface Carrier {
  /** `onHandOver` is waited for before the message itself is handed over. */
  send(raw: Buffer, envelope: { from: string; to: string[] }, onHandOver: () => Promise<void>): Promise<SentAnswer>;
}

/** What the next server answered: taken, refused for good, not now, or its answer was lost after the letter was handed over. */
export type SentAnswer = { readonly kind: "taken" | "not now" | "refused" | "answer lost"; readonly said: string };

/** Milliseconds after which a letter that is being sent counts as left by a process that died. */
const LEASE_MS = 120_000;

interface Row extends Omit<OutgoingLetter, "createdAt" | "files"> {
  readonly fileIds: readonly string[];
  readonly id: string;
  readonly personId: string;
  readonly personAddress: string;
  readonly createdAt: InstantText;
  readonly tries: number;
  readonly maybeTwice: boolean;
}

const COLUMNS = sql`o.id, o.person_id as "personId", (select address from person where id = o.person_id) as "personAddress", o.message_id as "messageId",
  o.from_name as "fromName", o.from_address as "fromAddress", o."to", o.cc, o.subject, o.text, o.files as "fileIds", o.answers, o."references", o.created_at as "createdAt", o.tries,
  o.maybe_twice as "maybeTwice", o.is_automatic as "isAutomatic", o.reply_to as "replyTo", o.calendar`;

/** Takes the next letter that is due for this process alone; null where none is. */
async function claim(db: Database, now: number): Promise<Row | null> {
  const [row] = await rowsOf<Row>(
    db,
    sql`update outgoing o set state = 'sending', tries = o.tries + 1, handed_over = false, next_try = ${new Date(now + LEASE_MS)}
      where o.id = (select id from outgoing where state = 'waiting' and next_try <= ${new Date(now)} order by next_try limit 1 for update skip locked)
      returning ${COLUMNS}`,
  );
  return row ?? null;
}

/**
 * Letters that a process was sending when it died. Those that were being handed over may have gone out, since the server's
 * answer is lost: they are tried once more, and marked; where that happens a second time they are given up, loudly.
 */
async function recover(db: Database, now: number, isOnlyProcess: boolean): Promise<void> {
  const left = isOnlyProcess ? sql`state = 'sending'` : sql`state = 'sending' and next_try <= ${new Date(now)}`;
  await db.execute(
    sql`update outgoing set state = case when handed_over and maybe_twice then 'given up' else 'waiting' end, maybe_twice = maybe_twice or handed_over,
      next_try = ${new Date(now)}, said = case when handed_over then 'The answer of the mail server was lost; the letter may have gone out already.' else said end
      where ${left}`,
  );
}

async function settle(db: Database, row: Row, answer: SentAnswer, now: number): Promise<void> {
  const isLost = answer.kind === "answer lost";
  const pause = answer.kind === "refused" || (isLost && row.maybeTwice) ? null : pauseAfter(row.tries);
  await db.execute(
    answer.kind === "taken"
      ? sql`update outgoing set state = 'sent', said = ${answer.said}, sent_at = ${new Date(now)} where id = ${row.id}`
      : sql`update outgoing set state = ${pause === null ? "given up" : "waiting"}, said = ${answer.said}, maybe_twice = maybe_twice or ${isLost},
          next_try = ${new Date(now + (pause ?? 0))} where id = ${row.id}`,
  );
  if (answer.kind !== "taken" && pause === null) await bringBack(db, row.id, now);
}

/** A letter that is given up is said loudly: its conversation comes back into Sort. */
async function bringBack(db: Database, outgoingId: string, now: number): Promise<void> {
  await db.execute(
    sql`update conversation set place = 'sort', outcome = null, dealt_at = null, dealt_by = null, came_at = ${new Date(now)}
      where place = 'dealt with' and id = (select conversation_id from outgoing where id = ${outgoingId})`,
  );
}

async function composed(db: Database, row: Row): Promise<Buffer> {
  const files =
    row.fileIds.length === 0
      ? []
      : await rowsOf<OutgoingLetter["files"][number]>(
          db,
          sql`select name, type, bytes from draft_file where id in ${[...row.fileIds]} order by made_at, id`,
        );
  return composeOutgoing({ ...row, files, createdAt: millis(row.createdAt) });
}

/** Tasks that were kept with a letter stand on its words now, where these came through as they were written. */
async function standOn(db: Database, row: Row, letterId: string): Promise<void> {
  const tasks = await rowsOf<{ id: string; end: number | null }>(
    db,
    sql`select id, "end" from task where outgoing_id = ${row.id} and letter_id is null`,
  );
  if (tasks.length === 0) return;
  const [letter] = await rowsOf<{ text: string; conversationId: string }>(
    db,
    sql`select text, conversation_id as "conversationId" from letter where id = ${letterId}`,
  );
  for (const { id, end } of tasks) {
    const isSame = end !== null && letter!.text.slice(0, end) === row.text.slice(0, end);
    await db.execute(
      sql`update task set letter_id = ${letterId}, conversation_id = coalesce(conversation_id, ${letter!.conversationId}) ${isSame ? sql`` : sql`, start = null, "end" = null`} where id = ${id}`,
    );
  }
}

/** Puts letters that went out among the others, in their conversations; also those of a process that died before it could. */
async function takeInSent(db: Database, now: () => number): Promise<void> {
  const rows = await rowsOf<Row>(
    db,
    sql`select ${COLUMNS} from outgoing o where o.state = 'sent' and o.letter_id is null and not o.is_automatic order by o.created_at limit 50`,
  );
  for (const row of rows) {
    // From a shared address it is everybody's, as the answers to it will be.
    const isOwn = row.fromAddress === row.personAddress;
    const way = isOwn ? `written by ${row.personAddress}` : `written as ${row.fromAddress}`;
    const wayInId = await wayInNamed(db, way, "written", isOwn ? row.personId : null);
    const raw = await composed(db, row);
    const [taken] = await takeIn(db, [{ raw }], wayInId, now(), { isOurs: true });
    if (!taken || !("letterId" in taken)) continue;
    // A task that had no conversation has one now: what is answered to this letter belongs to it.
    await db.execute(
      sql`update task set conversation_id = (select conversation_id from letter where id = ${taken.letterId})
        where conversation_id is null and id = (select task_id from outgoing where id = ${row.id})`,
    );
    await standOn(db, row, taken.letterId);
    await db.execute(
      sql`update outgoing set letter_id = ${taken.letterId}, conversation_id = (select conversation_id from letter where id = ${taken.letterId}) where id = ${row.id}`,
    );
  }
}

/** Sends what is due, one letter after the other, until nothing is; gives back how many were tried. */
export async function sendDue(db: Database, carrier: Carrier, now: () => number): Promise<number> {
  let tried = 0;
  for (let row = await claim(db, now()); row !== null; row = await claim(db, now())) {
    tried += 1;
    const to = [...new Set([...row.to, ...row.cc].map((one) => one.address))];
    const raw = await composed(db, row);
    const answer = await carrier.send(raw, { from: row.fromAddress, to }, async () => {
      await db.execute(sql`update outgoing set handed_over = true where id = ${row.id}`);
    });
    await settle(db, row, answer, now());
    await takeInSent(db, now);
    tellScreens();
  }
  return tried;
}

/** What stands before the first look: letters of a process that died are set right. */
export async function openOutbox(db: Database, now: () => number, isOnlyProcess: boolean): Promise<void> {
  await recover(db, now(), isOnlyProcess);
  await takeInSent(db, now);
}

/** What an error of the next server means. Only once the message itself was handed over can its answer be lost. */
export function answerOf(error: unknown, isHandedOver: boolean): SentAnswer {
  const { message, responseCode } = error as { message?: string; responseCode?: number };
  const said = (message ?? "The mail server did not answer.").slice(0, 500);
  if (responseCode !== undefined) return { kind: isRefusal(responseCode) ? "refused" : "not now", said };
  return { kind: isHandedOver ? "answer lost" : "not now", said };
}
