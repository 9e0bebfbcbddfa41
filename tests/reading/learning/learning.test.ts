import { expect, test } from "vitest";
import { LEARNT } from "@/core/following/weighing/learnt";
import { labelledAnswers } from "./answers";
import { learnFollowing } from "./examples";
import { type Example, learn } from "./logistic";

test("two classes that a name tells apart are learnt; a name that tells nothing weighs nothing", () => {
  const examples: Example[] = Array.from({ length: 40 }, (_, i) => ({
    found: [i % 2 === 0 ? "sent" : "not yet", "always", ...(i % 4 < 2 ? ["by chance"] : [])],
    is: i % 2,
  }));
  const { bias, weights } = learn(examples, 2, 1);
  expect(bias).toHaveLength(2);
  expect(weights.sent![0]!).toBeGreaterThan(1);
  expect(weights["not yet"]![1]!).toBeGreaterThan(1);
  expect(Math.abs((weights["by chance"] ?? [0])[0]!)).toBeLessThan(0.05);
});

test("a weight of the closed form: with one name and a strong penalty, what is lost and what is saved balance", () => {
  // Found in all of ten examples of class 1, beside ten of class 0 that have nothing: at the end the slope is nought, so the
  // penalty on the weight equals the ten shares that are still missing.
  const examples: Example[] = [
    ...Array.from({ length: 10 }, () => ({ found: ["seen"], is: 1 })),
    ...Array.from({ length: 10 }, () => ({ found: [], is: 0 })),
  ];
  const strength = 5;
  const { bias, weights } = learn(examples, 2, strength);
  const [no, yes] = weights.seen!;
  const share = 1 / (1 + Math.exp(bias[0]! + no! - bias[1]! - yes!));
  expect(strength * yes!).toBeCloseTo(10 * (1 - share), 0);
});

test("the weights that are kept are those that the labels teach", async () => {
  const learnt = await learnFollowing(null);
  console.log(
    `${(await labelledAnswers()).length} labelled answers, ${Object.keys(learnt.whether.weights).length} and ${Object.keys(learnt.what.weights).length} names`,
  );
  expect(learnt).toEqual(LEARNT);
}, 120_000);
