import { giveReminders } from "../acts/give-reminders";
import { mailNotices } from "../acts/mail-notices";
import { returnPutBy } from "../acts/return-put-by";
import { sendPlannedChases } from "../acts/send-planned-chases";
import { onChange } from "../acts/tell-screens";
import { turnAbsences } from "../acts/turn-absences";
import type { Database } from "../data/engine/database";
import { type Carrier, openOutbox, sendDue } from "./outbox";

/** Work in the background that can be told to stop; `stop` waits for the step under way. */
export interface Worker {
  stop(): Promise<void>;
}

/** Milliseconds between two looks for letters that are due. */
const LOOK_MS = 1_000;

/**
 * Sends the letters of the outbox as they become due. A fault of one look is said on standard error and the next look comes
 * all the same.
 * @param isOnlyProcess whether nobody else works on these data (a folder of PGlite has one owner)
 */
export async function startOutbox(
  db: Database,
  carrier: Carrier,
  now: () => number,
  isOnlyProcess: boolean,
): Promise<Worker> {
  await openOutbox(db, now, isOnlyProcess);
  let isStopped = false;
  let running: Promise<unknown> = Promise.resolve();
  let isLooking = false;
  const look = () => {
    if (isStopped || isLooking) return;
    isLooking = true;
    running = sendDue(db, carrier, now)
      .catch((error) => {
        if (!isStopped) process.stderr.write(`The outbox could not be looked through: ${String(error)}\n`);
      })
      .finally(() => {
        isLooking = false;
      });
  };
  const timer = setInterval(look, LOOK_MS);
  const off = onChange(look);
  look();
  return {
    async stop() {
      isStopped = true;
      clearInterval(timer);
      off();
      await running;
    },
  };
}

/** Milliseconds between two looks for what was put by until now and for reminders. */
const RETURNS_MS = 15_000;

/**
 * Brings back what was put by, begins and ends times away, gives reminders, sends planned chases and mails notices, at their minute or as soon as the server runs again.
 * @param base where our pages are, for links in letters; null where no letters go out
 */
export function startReturns(db: Database, now: () => number, base: string | null): Worker {
  let isStopped = false;
  let running: Promise<unknown> = Promise.resolve();
  const look = () => {
    running = running
      .then(() => (isStopped ? 0 : returnPutBy(db, now())))
      .then(() => (isStopped ? 0 : turnAbsences(db, base, now())))
      .then(() => (isStopped ? 0 : giveReminders(db, now())))
      .then(() => (isStopped ? 0 : sendPlannedChases(db, now())))
      .then(() => (isStopped || base === null ? 0 : mailNotices(db, base, now())))
      .catch((error) => {
        if (!isStopped)
          process.stderr.write(
            `What comes back, reminders and notices could not be looked through: ${String(error)}\n`,
          );
      });
  };
  const timer = setInterval(look, RETURNS_MS);
  look();
  return {
    async stop() {
      isStopped = true;
      clearInterval(timer);
      await running;
    },
  };
}
