import { expect, test } from "vitest";
import { CHANGES, type ChangeKind, type OpenItem } from "../item";
import type { Ruled } from "../said";
import { told } from "./told";
import type { Weighed } from "./weigh";

const segment = { text: "The atlas is on its way.", start: 0, end: 24, block: 0, number: 0, answers: null };

function toldOf(
  words: Partial<Record<ChangeKind, number>>,
  change: ChangeKind | null,
  isNamed: boolean,
  kind = "ask",
  text = segment.text,
) {
  const shares = CHANGES.map((one) => words[one] ?? 0);
  const ruled = change && { said: { change, due: null, owner: null, isNamed, reason: "" }, segment };
  const weighed = {
    whether: 1,
    byItself: 1,
    shares,
    sharesBy: () => shares,
    isShared: false,
    segment,
    segments: [{ ...segment, text }],
  };
  return told({ kind } as OpenItem, ruled as Ruled | null, weighed as Weighed);
}

test.each([
  ["words alone say what they say most", { done: 0.4, promised: 0.6 }, null, false, "promised"],
  ["rules that name the thing turn words that are in two minds", { done: 0.3, promised: 0.7 }, "done", true, "done"],
  ["rules that do not name it turn them less", { done: 0.2, promised: 0.8 }, "done", false, "promised"],
  ["nor do rules count against words that are plain", { promised: 0.99 }, "done", true, "promised"],
] as const)("%s", (_, words, change, isNamed, is) => {
  expect(toldOf(words, change, isNamed)).toBe(is);
});

test("a question is not put off, whatever the words sound like", () => {
  expect(toldOf({ moved: 0.9, done: 0.1 }, null, false, "question")).toBe("done");
});

test("what is only to come, and names no part, is no part; numbers that are hours name none", () => {
  const half = { part: 0.6, promised: 0.4 };
  const says = (text: string) => toldOf(half, null, false, "ask", text);
  expect(says("He will be at the bindery by ten.")).toBe("promised");
  expect(says("The atlas is here, the ledgers will follow.")).toBe("part");
  expect(says("Four of them will be ready.")).toBe("part");
  expect(says("I have packed the atlas.")).toBe("part");
});

test("what is handed on by name stays so, though the writer says yes besides; another finding of the rules does not weigh as much", () => {
  expect(toldOf({ promised: 0.85, passed: 0.15 }, "passed", true)).toBe("passed");
  expect(toldOf({ promised: 0.85, declined: 0.15 }, "declined", true)).toBe("promised");
});

test("without any word of putting off a day moves nothing", () => {
  const says = (text: string) => toldOf({ moved: 0.7, promised: 0.3 }, null, false, "ask", text);
  expect(says("Friday free, Saturday work.")).toBe("promised");
  expect(says("It will be Saturday instead.")).toBe("moved");
});
