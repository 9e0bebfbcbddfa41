import { describe, expect, test } from "vitest";
import { stems, tellingWords } from "../finding/telling-words";
import { parseLetter } from "../letters/parse-letter";
import { readLetter } from "../reading/read-letter";
import { PLAIN_READING } from "../reading/settings";
import { isSure } from "../reading/slip";
import { bareTargets, isAnswerWithPlease, isInterjection, isYesOrNo } from "./bare-answer";
import { contextOf } from "./context";
import type { OpenItem } from "./item";
import { pastOf } from "./past-of";
import { saysNothingWasDone } from "./said";
import { changesOfTasks, type OpenTask } from "./task-changes";

const WIL = { id: "wil", name: "Wil Tarn", address: "wil@bindery.example" };

// The bindery of the other tests of following; common practice of offices.
const item = (quote: string, kind: OpenItem["kind"] = "ask", letter = 0): OpenItem => ({
  id: quote,
  kind,
  quote,
  start: 0,
  end: quote.length,
  owner: WIL.address,
  asker: "hugh@archive.example",
  due: null,
  otherDays: [],
  letter,
  raised: letter,
  place: 1,
  words: tellingWords(quote),
  each: [],
  proposes: null,
  isPromised: false,
  isOver: false,
  overBy: 1,
});

describe("answers that name nothing", () => {
  test.each([
    ["count the ledgers", "Counted: eleven.", true],
    ["please mend the spine", "I mended it last night", true],
    ["please mend the spine", "it will be mended", false],
    ["please mend the spine", "not mended yet", false],
    ["please mend the spine", "it needed glue", false],
    ["the mended spine, please send it", "the mended spine looks good", false],
    ["the loose leaves must be glued", "the leaves were glued this morning", true],
    ["the loose leaves must be glued", "the leaves have now been glued", true],
    ["the loose leaves must be glued", "yes, they must be glued", false],
  ])("%s: %s", (asked, said, isDone) => {
    expect(pastOf(item(asked), said)).toBe(isDone);
  });
  test("an answer with “please” is none of the asks, and a sigh answers nothing", () => {
    for (const text of ["Two hundred, please.", "In red, please"])
      expect([text, isAnswerWithPlease(text)]).toEqual([text, true]);
    for (const text of ["Send two hundred, please.", "By Friday, please.", "Could you wait, please?", "Red."])
      expect([text, isAnswerWithPlease(text)]).toEqual([text, false]);
    for (const text of ["No, let the binder have them.", "Yes, please order them.", "By all means, take it."])
      expect([text, isYesOrNo(text)]).toEqual([text, true]);
    for (const text of ["Yes, please send two by Friday.", "Nobody has them.", "Now, let the binder have them.", "No."])
      expect([text, isYesOrNo(text)]).toEqual([text, false]);
    for (const text of ["Oh dear, sorry.", "Sorry, Hugh.", "What a pity!"])
      expect([text, isInterjection(text)]).toEqual([text, true]);
    for (const text of ["Sorry, it is lost.", "Vellum.", ""])
      expect([text, isInterjection(text)]).toEqual([text, false]);
    for (const text of ["Nothing has been glued yet.", "But nothing was sent.", "None of them have been bound."])
      expect([text, saysNothingWasDone(text)]).toEqual([text, true]);
    for (const text of ["Half has been glued, nothing was spilt.", "Nothing to it: done.", "All were bound."])
      expect([text, saysNothingWasDone(text)]).toEqual([text, false]);
  });
  test("they answer the last letter's ask, the one with their verb where there are several, or all that is left", () => {
    const [old, glue, ring] = [item("sew the atlas"), item("glue the map", "ask", 1), item("ring the mill", "ask", 1)];
    expect(bareTargets([old, glue, ring], "I'll ring them tonight.", WIL.address)).toEqual([ring]);
    expect(bareTargets([old, glue, ring], "Will do.", WIL.address)).toEqual([glue]);
    expect(bareTargets([old, glue, ring], "Both are done.", WIL.address)).toEqual([old, glue, ring]);
    expect(bareTargets([old], "Yes.", WIL.address)).toEqual([old]);
    const asked = item("is it calf or goat?", "question", 1);
    expect(bareTargets([glue, asked], "Yes.", WIL.address)).toEqual([asked]);
    const hers: OpenItem = { ...item("line the box", "ask", 1), owner: "oda@bindery.example" };
    expect(bareTargets([hers, old], "Will do.", WIL.address)).toEqual([old]);
    expect(bareTargets([hers], "Will do.", WIL.address)).toEqual([hers]);
  });
  test("the stems of an ask hold its verb, which telling words may leave out", () => {
    expect(stems("Please send the two ledgers")).toEqual(new Set(["send", "two", "ledger"]));
    expect(tellingWords("Please send the two ledgers")).toEqual(new Set(["ledger"]));
  });
});

const HUGH = { id: "hugh", name: "Hugh Marl", address: "hugh@archive.example" };
const people = { team: [WIL], outside: [HUGH] };
const sent = { at: Date.UTC(2026, 10, 3, 9), zone: "+00:00" };
const task = (title: string, more: Partial<OpenTask> = {}): OpenTask => ({
  id: title,
  conversationId: "c",
  title,
  passage: null,
  kind: "promise",
  owner: HUGH.address,
  asker: WIL.address,
  due: "2026-11-05",
  askedAt: Date.UTC(2026, 10, 2, 9),
  isOver: false,
  ...more,
});

async function answerOf(text: string, tasks: readonly OpenTask[], more = "") {
  const raw = `From: ${HUGH.address}\r\nTo: ${WIL.address}\r\nDate: Tue, 03 Nov 2026 09:00:00 +0000\r\nSubject: Re: x\r\n${more}\r\n${text}\r\n`;
  const parsed = await parseLetter(Buffer.from(raw));
  if (!parsed.ok) throw new Error(parsed.why);
  const slips = readLetter(parsed.letter, people, sent);
  const found = changesOfTasks(parsed.letter, tasks, people, sent, PLAIN_READING, slips);
  return { letter: parsed.letter, slips, found };
}

describe("an answer held against tasks", () => {
  test("says what it does to which, in the order of the text, and how sure it is", async () => {
    const { found } = await answerOf("The vellum price is attached. The ledger list comes on Monday instead.", [
      task("Ledger list"),
      task("Vellum price"),
    ]);
    expect(found.map((one) => ["changes" in one && one.changes.change, one.title, one.due?.day ?? null])).toEqual([
      ["done", "Done: Vellum price", null],
      ["moved", "Another day: Ledger list", "2026-11-09"],
    ]);
    // Rules and words agree on the price; of the list the words would rather have a promise.
    expect(found.map(isSure)).toEqual([true, false]);
    // A bare answer is sure where only one thing is open, and a guess where there are two.
    const [bare] = (await answerOf("Attached.", [task("Vellum price")])).found;
    expect(bare).toMatchObject({ changes: { change: "done" } });
    expect(isSure(bare!)).toBe(true);
    const [guess] = (await answerOf("Attached.", [task("Vellum price"), task("Ledger list")])).found;
    expect(guess).toMatchObject({ changes: { change: "done" } });
    expect(isSure(guess!)).toBe(false);
  });
  test("of a task that is over says only what plainly opens it again", async () => {
    const list = task("Ledger list", { isOver: true, passage: "I will send you the ledger list on Monday." });
    const said = async (text: string) =>
      (await answerOf(text, [list])).found.flatMap((one) => ("changes" in one ? [one.changes.change] : []));
    expect(await said("The ledger list will come on Friday after all.")).toEqual(["moved"]);
    expect(await said("Only half of the ledger list was in the parcel, the rest comes on Friday.")).toEqual(["part"]);
    for (const text of [
      "Many thanks for the ledger list.",
      "The ledger list looks splendid.",
      "The ledger list is attached.",
    ])
      expect([text, await said(text)]).toEqual([text, []]);
  });
  test("leaves slips as they were where no task is open, and a machine's letter says nothing", async () => {
    const without = await answerOf("Could you send us the glue?", []);
    expect(without.found).toEqual(without.slips);
    const machine = await answerOf(
      "The vellum price is attached.",
      [task("Vellum price")],
      "Auto-Submitted: auto-replied\r\n",
    );
    expect([machine.found, contextOf(machine.letter, people, sent, PLAIN_READING)]).toEqual([[], null]);
  });
  test.each([
    ["one long word", "a".repeat(50_000)],
    ["one short word many times", "is ".repeat(20_000)],
    ["participles without an end", "signed and ".repeat(5_000)],
    ["stops and marks", `Done${".!".repeat(20_000)}x`],
    ["figures", "1 2,3:4 ".repeat(6_000)],
  ])("comes to an end with %s", async (_, text) => {
    const { found } = await answerOf(text, [task("Vellum price"), task("Ledger list")]);
    expect(found.length).toBeLessThan(10);
  });
  test("a title as long as they get is cut to what a task may have", async () => {
    const { found } = await answerOf("Attached.", [task("x".repeat(300))]);
    expect(found[0]!.title).toHaveLength(300);
  });
});
