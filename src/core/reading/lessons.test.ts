import { describe, expect, test } from "vitest";
import { effectOf, type Lesson, markedPhrases, phraseOf, withLessons } from "./lessons";
import type { FoundSlip } from "./slip";

const text = "Please mind the step. Send us photos of invoice 119.";
const slip = (start: number, end: number, rule: string): FoundSlip => ({
  kind: "ask",
  start,
  end,
  title: "x",
  owner: null,
  due: null,
  priority: "normal",
  estimate: null,
  haste: null,
  rule,
  reason: rule,
  confidence: 0.9,
});
const slips = [slip(0, 21, "“please”"), slip(22, 52, "an order")];
const lesson = (values: Partial<Lesson>): Lesson => ({
  writer: "ada@beech.example",
  rule: null,
  phrase: null,
  brushedOff: 0,
  kept: 0,
  isMarked: false,
  ...values,
});
const read = (...lessons: Lesson[]) =>
  withLessons(slips, text, "ada@beech.example", lessons).map((one) => [one.rule, one.confidence]);

describe("what people teach by brushing off and keeping", () => {
  test("a short phrase that was brushed off is doubted, after three times it is nothing; with other figures too", () => {
    expect(phraseOf("Send us\n photos of  invoice 7.")).toBe("send us photos of invoice #.");
    const phrase = phraseOf("Send us photos of invoice 118.");
    expect(read(lesson({ phrase, brushedOff: 1 }))).toEqual([
      ["“please”", 0.9],
      ["an order", 0.5],
    ]);
    expect(read(lesson({ phrase, brushedOff: 3 }))).toEqual([["“please”", 0.9]]);
    expect(read(lesson({ phrase, brushedOff: 1, kept: 1 }))).toHaveLength(2);
    expect(read(lesson({ phrase, brushedOff: 1, writer: "bo@oak.example" }))[1]).toEqual(["an order", 0.9]);
  });

  test("set words are nothing as soon as they were brushed off once", () => {
    const phrase = phraseOf("Please consider the environment before you print this letter or its files.");
    expect(effectOf(lesson({ phrase, brushedOff: 1 }))).toBe("not proposed");
    expect(effectOf(lesson({ phrase, brushedOff: 1, kept: 1 }))).toBeNull();
  });

  test("a phrase that everybody brushes off is nothing, whoever writes it", () => {
    const phrase = phraseOf("Please mind the step.");
    expect(read(lesson({ writer: null, phrase, brushedOff: 2 }))).toHaveLength(2);
    expect(read(lesson({ writer: null, phrase, brushedOff: 3 }))).toEqual([["an order", 0.9]]);
  });

  test("a rule that is always wrong with a writer is doubted and then left out; once kept it counts again", () => {
    const orders = (brushedOff: number, kept = 0) => lesson({ rule: "an order", brushedOff, kept });
    expect(read(orders(3))).toEqual([
      ["“please”", 0.9],
      ["an order", 0.9],
    ]);
    expect(read(orders(4))).toEqual([
      ["“please”", 0.9],
      ["an order", 0.5],
    ]);
    expect(read(orders(10))).toEqual([["“please”", 0.9]]);
    expect(read(orders(200))).toEqual([["“please”", 0.9]]);
    expect(read(orders(200, 1))).toHaveLength(2);
    expect(effectOf(orders(4))).toBe("unsure");
  });

  test("without lessons nothing changes", () => {
    expect(read()).toEqual([
      ["“please”", 0.9],
      ["an order", 0.9],
    ]);
  });
});

test("marked words are looked for in letters of their writer, unless what came of it was brushed off as often", () => {
  const marked = (values: Partial<Lesson>) => lesson({ phrase: "the usual for friday", isMarked: true, ...values });
  const ada = "ada@beech.example";
  expect(markedPhrases(ada, [marked({ kept: 1 })])).toEqual(["the usual for friday"]);
  expect(markedPhrases("bo@elm.example", [marked({ kept: 1 })])).toEqual([]);
  expect(markedPhrases(ada, [marked({ kept: 1, brushedOff: 1 })])).toEqual([]);
  expect(markedPhrases(ada, [lesson({ phrase: "the usual for friday", kept: 1 })])).toEqual([]);
});
