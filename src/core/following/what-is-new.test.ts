import { expect, test } from "vitest";
import { parseLetter } from "../letters/parse-letter";
import { Following } from "./follow";
import { isSame, meet, shareHalf } from "./stretch";

const HUGH = "hugh@archive.example";
const WIL = "wil@bindery.example";
const people = {
  team: [{ id: "wil", name: "Wil Tarn", address: WIL }],
  outside: [{ id: "hugh", name: "Hugh Orr", address: HUGH }],
};

async function letter(day: number, from: string, to: string, text: string) {
  const date = new Date(Date.UTC(2026, 10, day, 9)).toUTCString().replace("GMT", "+0000");
  const raw = `From: ${from}\r\nTo: ${to}\r\nSubject: Ledgers\r\nDate: ${date}\r\n\r\n${text}\r\n`;
  const read = await parseLetter(Buffer.from(raw));
  if (!read.ok) throw new Error("a letter of this test cannot be read");
  return read.letter;
}

// Common practice of offices: what else is told or asked in an answer is new, an ask in other words is not.
test.each([
  ["I bound the ledgers yesterday. By the way, the big press is broken.", "trouble"],
  ["I bound the ledgers yesterday. Could you also send me the old labels?", "ask"],
  ["I bound the ledgers yesterday. On Monday I'll bring you a sample of the new cloth.", "promise"],
  ["I bound the ledgers yesterday.", null],
])("beside an answer: %s", async (text, kind) => {
  const following = new Following(people);
  following.read(await letter(2, HUGH, WIL, "Could you rebind the two ledgers by Friday?"));
  const { opens, changes } = following.read(await letter(4, WIL, HUGH, text));
  expect(changes.map(({ change }) => change)).toEqual(["done"]);
  expect(opens.map((one) => one.kind)).toEqual(kind === null ? [] : [kind]);
});

test("who waits for what was taken for done has not got it; who waits for something else says nothing of it", async () => {
  const waiting = async (text: string) => {
    const following = new Following(people);
    following.read(await letter(2, HUGH, WIL, "Could you rebind the two ledgers by Friday?"));
    const [done] = following.read(await letter(4, WIL, HUGH, "The ledgers went off yesterday.")).changes;
    expect(done).toMatchObject({ change: "done" });
    const { changes } = following.read(await letter(9, HUGH, WIL, text));
    return changes.map(({ item, change }) => [item === done!.item, change]);
  };
  expect(await waiting("Wil, we are still waiting for the ledgers.")).toEqual([[true, "reminded"]]);
  expect(await waiting("Wil, we are still waiting for the carpenter.")).toEqual([]);
});

test("stretches that meet, that are the same, and that share half of the shorter one", () => {
  const one = { start: 10, end: 20 };
  expect([meet(one, { start: 19, end: 30 }), meet(one, { start: 20, end: 30 })]).toEqual([true, false]);
  expect([isSame(one)({ start: 10, end: 20 }), isSame(one)({ start: 10, end: 21 })]).toEqual([true, false]);
  expect([shareHalf(one, { start: 15, end: 60 }), shareHalf(one, { start: 16, end: 60 })]).toEqual([true, false]);
  expect(shareHalf(one, { start: 18, end: 20 })).toBe(true);
});
