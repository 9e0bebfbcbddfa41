import { expect, test } from "vitest";
import type { HouseExample } from "../weighing/house-example";
import { kindsSetRight, setRightBefore } from "./set-right";

const ada = "ada@beech.example";
const example = (values: Partial<HouseExample>): HouseExample => ({
  writer: ada,
  phrase: "any sign of order #?",
  read: "question",
  rule: "a question",
  sense: "ask",
  times: 1,
  ...values,
});
const kinds = (...examples: HouseExample[]) => [...kindsSetRight(ada, examples)];

test("a phrase is what it was set right to, with its writer, as long as it was not kept otherwise more often", () => {
  expect(kinds(example({}))).toEqual([["any sign of order #?", "ask"]]);
  expect(kinds(example({}), example({ sense: "question", times: 2 }))).toEqual([["any sign of order #?", "question"]]);
  expect(kinds(example({ sense: "question" }))).toEqual([]);
  expect(kinds(example({ sense: "nothing" }))).toEqual([]);
  expect(kinds(example({ writer: "bo@oak.example" }))).toEqual([]);
});

test("what was set right is read so with certainty, and stays so when only those that were read right are remembered", () => {
  const rule = setRightBefore(kindsSetRight(ada, [example({})]));
  const said = (text: string) => rule.find({ text } as never, {} as never);
  expect([said("Any sign of order 118?"), said("Any sign of rain?")]).toEqual(["ask", null]);
  expect(kinds(example({ read: "ask", rule: rule.name }))).toEqual([["any sign of order #?", "ask"]]);
});
