import { sql } from "drizzle-orm";
import PostalMime from "postal-mime";
import { BATCH, takeIn } from "../src/acts/take-in";
import { newId } from "../src/data/ids";
import { corpus } from "../tests/outside/pick";
import { benchHouse } from "./house";
import { say, timed } from "./measure";

const LETTERS = 1_000;

/** Intake of the public corpus against the least that any intake must do: parse each message, insert its bytes in batches. */
export async function benchIntake(): Promise<void> {
  const letters = corpus(LETTERS);
  const house = await benchHouse();
  const { db } = house.open;
  await db.execute(sql`create table bare (id uuid primary key, subject text, bytes bytea)`);
  const bare = async () => {
    for (let i = 0; i < letters.length; i += BATCH) {
      const rows = [];
      for (const { raw } of letters.slice(i, i + BATCH))
        rows.push({ id: newId(), s: (await PostalMime.parse(raw)).subject ?? "", b: raw.toString("base64") });
      await db.execute(
        sql`insert into bare select r.id, r.s, decode(r.b, 'base64') from jsonb_to_recordset(${JSON.stringify(rows).replaceAll("\\u0000", "")}::jsonb) as r(id uuid, s text, b text)`,
      );
    }
  };
  const full = async () => {
    for (let i = 0; i < letters.length; i += BATCH)
      await takeIn(db, letters.slice(i, i + BATCH), house.wayInId, Date.now());
  };
  await takeIn(db, letters.slice(0, 1), house.wayInId, Date.now());
  const bareMs = await timed(bare);
  const fullMs = await timed(full);
  const againMs = await timed(full);
  say("intake, 1 000 letters of the public corpus", {
    "bare parse and insert ms": bareMs,
    "whole intake ms": fullMs,
    "times the bare": fullMs / bareMs,
    "letters a second": (1_000 * LETTERS) / fullMs,
    "the same again, times the bare": againMs / bareMs,
  });
  await house.remove();
}
