import type { Database } from "../../data/engine/database";
import type { Worker } from "../worker";
import { mailboxesToRead } from "./folder-state";
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

/** Reads every mailbox that is not revoked, each by itself: one that fails never holds up another. */
export function startMailboxes(db: Database, key: () => Buffer, now: () => number): Worker {
  const readers = new Map<string, { reader: MailboxReader; as: string }>();
  shared.jamMailboxes = readers;
  let isStopped = false;
  let looking: Promise<void> = Promise.resolve();
  const look = async () => {
    const rows = await mailboxesToRead(db);
    for (const [id, held] of readers) {
      const row = rows.find((one) => one.id === id);
      if (row && JSON.stringify(row) === held.as) continue;
      readers.delete(id);
      await held.reader.stop();
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
    },
  };
}
