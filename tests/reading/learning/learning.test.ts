import { expect, test } from "vitest";
import { LEARNT } from "@/core/following/weighing/learnt";
import type { LetterGround } from "@/core/reading/kind-rule";
import { KIND_RULES } from "@/core/reading/rules/list";
import held from "@/core/reading/weighing/held.json";
import { LEARNT_WORDING } from "@/core/reading/weighing/learnt";
import { judge, NO_WORDING } from "@/core/reading/weighing/sense";
import type { WordingWeights } from "@/core/reading/weighing/shares";
import { weighWording } from "@/core/reading/weighing/weigh-wording";
import { labelledLetters, UNLEARNT_SETS } from "../labelled";
import { scoreReading } from "../score";
import { followingExamples, learnFollowing } from "./examples";
import { fingerprintOf, fingerprintOfMethod, fingerprintOfWeights, fingerprintsKept, type Lesson } from "./fingerprint";
import { passagesHeld } from "./held-passages";
import { wordingExamples } from "./in-letter";
import { type Example, learn } from "./logistic";
import { learnPassages, passagesOfSet } from "./passages";

const NOBODY: LetterGround = { writer: null, to: [], people: { team: [], outside: [] } };

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

test("two classes are learnt alike by the way that is for two alone, and by the one for any number", () => {
  const words = ["sent", "not", "yet", "tomorrow", "again"];
  const examples: Example[] = Array.from({ length: 60 }, (_, i) => ({
    found: words.filter((_word, k) => (i * 7 + k * 5) % 11 < 5),
    is: Number((i * 7) % 11 < 4),
    counts: 1 + (i % 3),
  }));
  const { ofMeasured: _, ...alone } = learn(examples, 2, 1);
  // A number that never is anything but nought says nothing, but only the way for any number minds it.
  const { ofMeasured, ...any } = learn(
    examples.map((one) => ({ ...one, measured: Float64Array.of(0) })),
    2,
    1,
  );
  expect(ofMeasured).toEqual([[0, 0]]);
  expect(Object.keys(alone.weights)).toEqual([...words].sort());
  expect(alone).toEqual(any);
});

test("the weights that are kept are those that the labelled passages and answers taught", async () => {
  const [passages, answers] = [await wordingExamples(LEARNT_WORDING), await followingExamples()];
  console.log(`${passages.length} examples of wording, ${answers.length} of answers`);
  expect(passages.length).toBeGreaterThan(15_000);
  expect(answers.length).toBeGreaterThan(20_000);
  const now = (lesson: Lesson, examples: readonly Example[]) => ({
    examples: fingerprintOf(examples),
    method: fingerprintOfMethod(lesson),
    weights: fingerprintOfWeights(lesson),
  });
  expect({ reading: now("reading", passages), following: now("following", answers) }).toEqual(fingerprintsKept());
}, 300_000);

test("the weights of following that are kept are those that the labels teach", async () => {
  const { runs: _, ...names } = LEARNT;
  expect(await learnFollowing()).toEqual(names);
}, 300_000);

test("another label, another word or another order is known by the fingerprint", () => {
  const examples: Example[] = [
    { found: ["sent"], is: 0, measured: Float64Array.of(0.25) },
    { found: ["not", "yet"], is: 1 },
  ];
  const [first, second] = [examples[0]!, examples[1]!];
  const others = [
    [second, first],
    [{ ...first, is: 1 }, second],
    [{ ...first, found: ["send"] }, second],
    [{ ...first, measured: Float64Array.of(0.35) }, second],
  ];
  expect(new Set([examples, ...others].map(fingerprintOf)).size).toBe(5);
});

test("the passages that an organisation's own learning is held against are of every kind, and kept as they are labelled", async () => {
  const passages = await passagesHeld();
  console.log(`${passages.length} passages are held`);
  expect(passages.length).toBeGreaterThan(4_500);
  expect(passages).toEqual(held);
});

test("passages that were held back are read for what they are more often than by the rules alone", async () => {
  const held = ["plain", "workshop"];
  const wording = await learnPassages(held, 100);
  const right = { "rules alone": 0, "with wording": 0 };
  const passages = (await Promise.all(held.map(passagesOfSet))).flat();
  for (const { clause, is } of passages) {
    const kind = (weights: WordingWeights) =>
      judge(clause, NOBODY, KIND_RULES, weights, weighWording(clause, weights))?.kind ?? "nothing";
    right["rules alone"] += Number(kind(NO_WORDING) === is);
    right["with wording"] += Number(kind(wording) === is);
  }
  console.log(`of ${passages.length} passages held back:`, right);
  expect(passages.length).toBeGreaterThan(400);
  expect(right["with wording"]).toBeGreaterThan(right["rules alone"] + 10);
}, 120_000);

test("letters from which nothing is learnt are read better with wording than by the rules alone", async () => {
  const letters = (await Promise.all(UNLEARNT_SETS.map(labelledLetters))).flat();
  const [alone, weighed] = [scoreReading(letters, NO_WORDING), scoreReading(letters)];
  console.log(
    `${alone.labels} labels: finding ${alone.finding.toFixed(3)} by the rules, ${weighed.finding.toFixed(3)} with wording`,
  );
  expect(weighed.finding).toBeGreaterThan(alone.finding + 0.05);
  expect(weighed.kind).toBeGreaterThan(alone.kind + 0.05);
  console.log(`${weighed.sure} slips that are sure, ${weighed.sureRight.toFixed(3)} of them labelled`);
  expect(weighed.sure).toBeGreaterThan(50);
  expect(weighed.sureRight).toBeGreaterThan(0.95);
});
