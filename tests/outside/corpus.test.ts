import crypto from "node:crypto";
import { sql } from "drizzle-orm";
import { afterAll, beforeAll, expect, test } from "vitest";
import { perform } from "@/acts/perform";
import { BATCH, takeIn } from "@/acts/take-in";
import { keptLetters, rawLetterFor } from "@/data/queries/letters";
import { sortPage } from "@/data/queries/sort";
import { rowsOf } from "@/data/rows";
import { NOW, type TestHouse, testHouse } from "../data/test-house";
import { corpus } from "./pick";

let house: TestHouse;
beforeAll(async () => {
  house = await testHouse("PGlite");
});
afterAll(() => house.close());

test("five hundred letters of the public corpus go in, through Sort and out again byte for byte", async () => {
  const files = corpus(500);
  for (let i = 0; i < files.length; i += BATCH) {
    const taken = await takeIn(house.db, files.slice(i, i + BATCH), house.shared, NOW);
    expect(taken.every((one) => one.outcome === "new")).toBe(true);
  }
  const kept = new Map<string, string>();
  for await (const letter of keptLetters(house.db)) kept.set(letter.sha256, letter.place);
  for (const { name, raw } of files)
    expect([name, kept.get(crypto.createHash("sha256").update(raw).digest("hex"))]).toEqual([name, "Sort"]);
  for (const row of (await sortPage(house.db, { personId: house.ines }, "sort", null, 500)).rows) {
    const done = await perform(house.db, { personId: house.ines, now: NOW }, "nothing to do", {
      conversationId: row.id,
    });
    expect(done.ok).toBe(true);
  }
  expect((await sortPage(house.db, { personId: house.ines }, "sort", null)).rows).toEqual([]);
  const ids = await rowsOf<{ id: string; sha256: string }>(house.db, sql`select id, sha256 from letter`);
  expect(ids).toHaveLength(500);
  for (const { id, sha256 } of ids) {
    const raw = await rawLetterFor(house.db, { personId: house.ines }, id);
    expect(crypto.createHash("sha256").update(raw!.bytes).digest("hex")).toBe(sha256);
  }
});
