import crypto from "node:crypto";
import type { Database } from "../../data/engine/database";
import type { Worker } from "../worker";
import { holdMailbox, letMailboxesGo, mailboxesToRead } from "./folder-state";
import { MailboxReader } from "./mailbox-reader";

/** Milliseconds between two looks whether a mailbox was added, changed or revoked. */
const LOOK_MS = 2_000;

// Route handlers are bundles of their own: the readers live on the process.
const shared = globalThis as typeof globalThis & { jamMailboxes?: Map<string, { reader: MailboxReader; as: string }> };

/** Reads a mailbox at once; false where this process does not read it. */
export function nudgeMailbox(id: string): boolean {
  const held = shared.jamMailboxes?.get(id);
  held?.reader.nudge();
  return held !== undefined;
}

/** Milliseconds between two promises to go on reading a mailbox. */
const HOLD_MS = 10_000;

/**
 * Reads every mailbox that is not revoked, each by itself: one that fails never holds up another.
 * @param isOnlyProcess whether nobody else works on these data; otherwise a mailbox is read by whoever took it first
 */
export function startMailboxes(db: Database, key: () => Buffer, now: () => number, isOnlyProcess: boolean): Worker {
  const server = crypto.randomUUID();
  const held = new Map<string, number>();
  const isMine = async (id: string): Promise<boolean> => {
    if (isOnlyProcess || Date.now() - (held.get(id) ?? 0) < HOLD_MS) return true;
    const is = await holdMailbox(db, id, server);
    if (is) held.set(id, Date.now());
    else held.delete(id);
    return is;
  };
  const readers = new Map<string, { reader: MailboxReader; as: string }>();
  shared.jamMailboxes = readers;
  let isStopped = false;
  let looking: Promise<void> = Promise.resolve();
  const look = async () => {
    const rows = [];
    for (const row of await mailboxesToRead(db)) if (await isMine(row.id)) rows.push(row);
    for (const [id, { reader, as }] of readers) {
      const row = rows.find((one) => one.id === id);
      if (row && JSON.stringify(row) === as) continue;
      readers.delete(id);
      await reader.stop();
    }
    for (const row of rows)
      if (!isStopped && !readers.has(row.id))
        readers.set(row.id, { reader: new MailboxReader(db, row, key(), now), as: JSON.stringify(row) });
  };
  let isLooking = false;
  const step = () => {
    if (isLooking || isStopped) return;
    isLooking = true;
    looking = look()
      .catch(() => {})
      .finally(() => {
        isLooking = false;
      });
  };
  const timer = setInterval(step, LOOK_MS);
  step();
  return {
    async stop() {
      isStopped = true;
      clearInterval(timer);
      await looking;
      await Promise.all([...readers.values()].map(({ reader }) => reader.stop()));
      if (!isOnlyProcess) await letMailboxesGo(db, server).catch(() => {});
    },
  };
}
