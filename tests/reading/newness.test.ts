import { expect, test } from "vitest";
import newness from "@/core/following/weighing/newness.json";
import { sharesOf } from "@/core/reading/weighing/shares";
import { UNLEARNT_CONVERSATIONS, UNLEARNT_PLAIN } from "./conversations";
import { learnNewness, newnessExamples, slipsOf } from "./learning/newness";

test("what is new in a conversation is what the labels teach", async () => {
  const examples = await newnessExamples();
  console.log(`${examples.length} slips`);
  expect(examples.length).toBeGreaterThan(1_600);
  expect(learnNewness(examples)).toEqual(newness);
}, 180_000);

test("in strangers' conversations, from which nothing is learnt, what is new is told more often than by the rules alone", async () => {
  const slips = await slipsOf([...UNLEARNT_CONVERSATIONS, ...UNLEARNT_PLAIN], 1);
  const right = (isNew: (names: readonly string[]) => boolean) =>
    slips.filter(({ found, is }) => isNew(found) === (is === 1)).length;
  const byRules = right((names) => names.includes("new"));
  const learnt = right((names) => sharesOf(newness, names)[1]! > 0.5);
  console.log(`of ${slips.length} slips: ${byRules} right by the rules, ${learnt} by what was learnt`);
  expect(slips.length).toBeGreaterThan(550);
  expect(learnt).toBeGreaterThan(byRules + 20);
}, 120_000);
