import { sql } from "drizzle-orm";
import PostalMime from "postal-mime";
import { startReadingThread } from "../src/acts/reading/thread";
import { BATCH, takeInAll } from "../src/acts/take-in";
import { newId } from "../src/data/ids";
import { corpus } from "../tests/outside/pick";
import { benchHouse } from "./house";
import { say, timed } from "./measure";

/**
 * Letters of one turn, and turns: bare and whole by turns, so that a slow moment of the machine strikes both; long enough
 * that the beginning and the end of a turn, when nothing is written beside the reading, count for little.
 */
const TURN = 1_080;
const TURNS = 3;
/** Letters that only warm up. */
const WARM_UP = 650;

/** Intake of the public corpus against the least that any intake must do: parse each message, insert what was parsed and its bytes in batches. */
export async function benchIntake(): Promise<void> {
  const all = (["easy-ham-1", "easy-ham-2"] as const).flatMap((set) => corpus(Number.POSITIVE_INFINITY, set));
  if (all.length < TURN * TURNS + WARM_UP) throw new Error(`The corpus has ${all.length} letters only.`);
  const stopReading = startReadingThread();
  const house = await benchHouse();
  const { db } = house.open;
  await db.execute(
    sql`create table bare (id uuid primary key, message_id text, sent_at timestamptz, sender text, subject text, body text, bytes bytea)`,
  );
  const batchesOf = (letters: typeof all) =>
    Array.from({ length: Math.ceil(letters.length / BATCH) }, (_, i) => letters.slice(i * BATCH, (i + 1) * BATCH));
  const bare = async (letters: typeof all) => {
    for (const batch of batchesOf(letters)) {
      const rows = [];
      for (const { raw } of batch) {
        const { messageId, date, from, subject, text, html } = await PostalMime.parse(raw);
        const sentAt = Number.isNaN(Date.parse(date ?? "")) ? null : date;
        const all = { messageId, sentAt, sender: from?.address, subject, body: text ?? html };
        rows.push({ id: newId(), ...all, bytes: raw.toString("base64") });
      }
      await db.execute(
        sql`insert into bare select r.id, r."messageId", r."sentAt", r.sender, r.subject, r.body, decode(r.bytes, 'base64')
          from jsonb_to_recordset(${JSON.stringify(rows).replaceAll("\\u0000", "")}::jsonb)
            as r(id uuid, "messageId" text, "sentAt" timestamptz, sender text, subject text, body text, bytes text)`,
      );
    }
  };
  const whole = async (letters: typeof all) => {
    for await (const _ of takeInAll(db, batchesOf(letters), { way: house.wayInId, now: Date.now }));
  };
  const turn = (n: number) => all.slice(n * TURN, (n + 1) * TURN);
  const warmUp = all.slice(TURN * TURNS, TURN * TURNS + WARM_UP);
  await bare(warmUp);
  await whole(warmUp);
  let bareMs = 0;
  let wholeMs = 0;
  for (let n = 0; n < TURNS; n += 1) {
    bareMs += await timed(() => bare(turn(n)));
    wholeMs += await timed(() => whole(turn(n)));
  }
  const againMs = await timed(() => whole(all.slice(0, TURN * TURNS)));
  say(`intake, ${TURN * TURNS} letters of the public corpus`, {
    "bare parse and insert ms": bareMs,
    "whole intake ms": wholeMs,
    "times the bare": wholeMs / bareMs,
    "letters a second": (1_000 * TURN * TURNS) / wholeMs,
    "the same again, times the bare": againMs / bareMs,
  });
  await house.remove();
  await stopReading();
}
