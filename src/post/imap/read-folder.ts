import { sql } from "drizzle-orm";
import type { ImapFlow, SearchObject } from "imapflow";
import { BATCH, takeIn } from "../../acts/take-in";
import { tellScreens } from "../../acts/tell-screens";
import { LARGEST_MESSAGE_BYTES } from "../../core/letters/mime";
import type { Database } from "../../data/engine/database";
import { noteUnread } from "../../data/note-unread";
import { rowsOf } from "../../data/rows";
import { folderState, type MailboxRow, noteRead } from "./folder-state";

/** Letters whose flags are looked at again, the newest first. */
const MOST_LOOKED_BACK = 300;

/** Bytes that are fetched for one batch at the most. */
const MOST_BATCH_BYTES = 16 * 1_048_576;

interface Found {
  readonly uid: number;
  readonly size: number;
}

/** UIDs of letters that lie in the folder and are wanted, oldest first. */
async function wanted(client: ImapFlow, mailbox: MailboxRow, after: number): Promise<number[]> {
  const query: SearchObject = { uid: `${after + 1}:*` };
  if (mailbox.since) query.since = new Date(`${mailbox.since}T00:00:00Z`);
  if (mailbox.mark) {
    if (/^\\?flagged$/i.test(mailbox.mark)) query.flagged = true;
    else query.keyword = mailbox.mark;
  }
  const found = await client.search(query, { uid: true });
  // "n:*" names the last letter even where it is older (RFC 9051 section 9, seq-range).
  return (Array.isArray(found) ? found : []).filter((uid) => uid > after).sort((a, b) => a - b);
}

/** UIDs of this folder that were taken already; a mark can be set on an old letter, so that the last UID says too little. */
async function takenUids(db: Database, mailbox: MailboxRow, folder: string, uidValidity: string): Promise<Set<number>> {
  const rows = await rowsOf<{ uid: number }>(
    db,
    sql`select (remote->>'uid')::bigint::int as uid from arrival where way_in_id = ${mailbox.wayInId} and remote->>'folder' = ${folder} and remote->>'uidValidity' = ${uidValidity}`,
  );
  return new Set(rows.map((row) => Number(row.uid)));
}

function* batches(found: readonly Found[]): Generator<Found[]> {
  let batch: Found[] = [];
  let bytes = 0;
  for (const one of found) {
    if (batch.length > 0 && (batch.length >= BATCH || bytes + one.size > MOST_BATCH_BYTES)) {
      yield batch;
      batch = [];
      bytes = 0;
    }
    batch.push(one);
    bytes += one.size;
  }
  if (batch.length > 0) yield batch;
}

async function sizesOf(client: ImapFlow, uids: readonly number[]): Promise<Found[]> {
  const found: Found[] = [];
  for (let i = 0; i < uids.length; i += 1_000)
    for await (const one of client.fetch(uids.slice(i, i + 1_000), { uid: true, size: true }, { uid: true }))
      found.push({ uid: one.uid, size: one.size ?? 0 });
  return found.sort((a, b) => a.uid - b.uid);
}

/**
 * Reads what is new in a folder and takes it in, batch by batch. A letter counts as read only when it is committed: after a
 * break it goes on where it stopped, and what came twice is one letter. UIDs count only as long as the folder's UIDVALIDITY
 * stays (RFC 9051 section 2.3.1.1); when it changes everything is looked through anew.
 */
export async function readFolder(
  db: Database,
  client: ImapFlow,
  mailbox: MailboxRow,
  folder: string,
  isOurs: boolean,
  now: () => number,
): Promise<number> {
  const lock = await client.getMailboxLock(folder);
  try {
    const open = client.mailbox;
    if (!open) throw new Error(`The folder “${folder}” cannot be opened.`);
    const uidValidity = String(open.uidValidity);
    const before = await folderState(db, mailbox.id, folder);
    const isSame = before.uidValidity === uidValidity;
    let lastUid = isSame ? before.lastUid : 0;
    const after = mailbox.mark ? 0 : lastUid;
    const taken = mailbox.mark ? await takenUids(db, mailbox, folder, uidValidity) : new Set<number>();
    const uids = (await wanted(client, mailbox, after)).filter((uid) => !taken.has(uid));
    let behind = uids.length;
    let read = 0;
    await noteRead(db, mailbox.id, folder, { uidValidity, lastUid, behind, at: now() });
    for (const batch of batches(await sizesOf(client, uids))) {
      const small = batch.filter((one) => one.size <= LARGEST_MESSAGE_BYTES);
      const messages = [];
      if (small.length > 0)
        for await (const one of client.fetch(
          small.map(({ uid }) => uid),
          { uid: true, source: true, flags: true },
          { uid: true },
        )) {
          if (!one.source) continue;
          const remote = {
            folder,
            uidValidity,
            uid: one.uid,
            isSeen: one.flags?.has("\\Seen") ?? false,
            isAnswered: one.flags?.has("\\Answered") ?? false,
          };
          messages.push({ raw: one.source, remote });
        }
      if (messages.length > 0) await takeIn(db, messages, mailbox.wayInId, now(), { isOurs });
      lastUid = Math.max(lastUid, ...batch.map(({ uid }) => uid));
      behind -= batch.length;
      read += messages.length;
      await noteRead(db, mailbox.id, folder, { uidValidity, lastUid, behind, at: now() });
    }
    await lookBack(db, client, mailbox, folder, uidValidity);
    return read;
  } finally {
    lock.release();
  }
}

/** Reads back what was read, answered or taken away elsewhere since. */
async function lookBack(
  db: Database,
  client: ImapFlow,
  mailbox: MailboxRow,
  folder: string,
  uidValidity: string,
): Promise<void> {
  const known = await rowsOf<{
    letterId: string;
    conversationId: string;
    uid: number;
    isSeen: boolean;
    isAnswered: boolean;
  }>(
    db,
    sql`select letter_id as "letterId", (select conversation_id from letter where id = letter_id) as "conversationId", (remote->>'uid')::int as uid,
        (remote->>'isSeen')::boolean as "isSeen", (remote->>'isAnswered')::boolean as "isAnswered" from arrival
      where way_in_id = ${mailbox.wayInId} and remote->>'folder' = ${folder} and remote->>'uidValidity' = ${uidValidity} and not coalesce((remote->>'isGone')::boolean, false)
      order by (remote->>'uid')::int desc limit ${MOST_LOOKED_BACK}`,
  );
  if (known.length === 0) return;
  const flags = new Map<number, { isSeen: boolean; isAnswered: boolean }>();
  for await (const one of client.fetch(
    known.map(({ uid }) => uid),
    { uid: true, flags: true },
    { uid: true },
  ))
    flags.set(one.uid, {
      isSeen: one.flags?.has("\\Seen") ?? false,
      isAnswered: one.flags?.has("\\Answered") ?? false,
    });
  const changes = known
    .map((one) => ({ ...one, to: flags.get(one.uid) ?? { isGone: true as const } }))
    .filter(({ isSeen, isAnswered, to }) => "isGone" in to || to.isSeen !== isSeen || to.isAnswered !== isAnswered);
  if (changes.length === 0) return;
  // In one go: what is noted of a letter and of its conversation must not come apart.
  await db.transaction(async (tx) => {
    for (const { letterId, to } of changes)
      await tx.execute(
        sql`update arrival set remote = remote || ${JSON.stringify(to)}::jsonb where letter_id = ${letterId} and way_in_id = ${mailbox.wayInId}`,
      );
    await noteUnread(tx, [...new Set(changes.map((one) => one.conversationId))]);
  });
  tellScreens();
}

/** Does on the server what the mailbox's owner wants done with letters that are dealt with: nothing, mark read, or move. */
export async function tidyDealt(db: Database, client: ImapFlow, mailbox: MailboxRow): Promise<number> {
  if (mailbox.onDealt === "nothing") return 0;
  const rows = await rowsOf<{ letterId: string; conversationId: string; uid: number; uidValidity: string }>(
    db,
    sql`select a.letter_id as "letterId", l.conversation_id as "conversationId", (a.remote->>'uid')::int as uid, a.remote->>'uidValidity' as "uidValidity" from arrival a join letter l on l.id = a.letter_id join conversation c on c.id = l.conversation_id
      where a.way_in_id = ${mailbox.wayInId} and a.remote->>'folder' = ${mailbox.folder} and c.place = 'dealt with' and not coalesce((a.remote->>'isTidied')::boolean, false)
        and not coalesce((a.remote->>'isGone')::boolean, false) limit 200`,
  );
  if (rows.length === 0) return 0;
  const lock = await client.getMailboxLock(mailbox.folder);
  try {
    const validity = client.mailbox ? String(client.mailbox.uidValidity) : "";
    const there = rows.filter((row) => row.uidValidity === validity);
    if (there.length === 0) return 0;
    const uids = there.map((row) => row.uid);
    if (mailbox.onDealt === "mark read") await client.messageFlagsAdd(uids, ["\\Seen"], { uid: true });
    else await client.messageMove(uids, mailbox.moveTo ?? "Archive", { uid: true });
    const change =
      mailbox.onDealt === "mark read" ? { isTidied: true, isSeen: true } : { isTidied: true, isGone: true };
    await db.transaction(async (tx) => {
      for (const row of there)
        await tx.execute(
          sql`update arrival set remote = remote || ${JSON.stringify(change)}::jsonb where letter_id = ${row.letterId} and way_in_id = ${mailbox.wayInId}`,
        );
      await noteUnread(tx, [...new Set(there.map((row) => row.conversationId))]);
    });
    return there.length;
  } finally {
    lock.release();
  }
}
