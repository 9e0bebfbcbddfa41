import { describe, expect, test } from "vitest";
import { clausesIn } from "../clauses";
import { LEARNT_WORDING } from "./learnt";
import { asShares, type WordingWeights } from "./shares";
import { SURROUNDINGS, Surroundings } from "./surroundings";
import { weighLetter } from "./weigh-letter";
import { weighWording } from "./weigh-wording";

const clausesOf = (text: string) => clausesIn(text, [{ kind: "new", start: 0, end: text.length }]);
const asRecord = (numbers: readonly number[]) => Object.fromEntries(SURROUNDINGS.map((name, i) => [name, numbers[i]]));

describe("what surrounds a clause", () => {
  const clauses = clausesOf("The tank leaks. Could you ring the plumber?\n\nThe garden is lovely");
  // Nothing, ask, question, promise, trouble.
  const scores = [
    [0, 0, 0, 0, 2],
    [1, 9, 1, 0, 0],
    [3, 0, 0, 0, 1],
  ];
  const surroundings = new Surroundings(clauses, scores);
  const all = clauses.map((_, place) => surroundings.of(place));
  const [first, second, third] = all.map(asRecord);
  test("has a number for every name", () => {
    for (const numbers of all) {
      expect(numbers).toHaveLength(SURROUNDINGS.length);
      expect(numbers.every(Number.isFinite)).toBe(true);
    }
  });
  test("is what those before and behind it are worded like, over nothing, and no more than says something", () => {
    expect(first).toMatchObject({ "worded like trouble": 2, "behind: ask": 6, "before: ask": 0, "nothing before": 1 });
    expect(second).toMatchObject({ "before: trouble": 2, "behind: trouble": -2, "nothing before": 0 });
  });
  test("is where it stands: in the letter and in its paragraph", () => {
    expect(first).toMatchObject({
      "nothing before": 1,
      "paragraph goes on behind": 1,
      "paragraph goes on from before": 0,
    });
    expect(second).toMatchObject({ second: 1, "paragraph goes on from before": 1, "paragraph goes on behind": 0 });
    expect(third).toMatchObject({ "nothing behind": 1, "paragraph goes on from before": 0, "ends with a stop": 0 });
  });
  test("is what the letter holds elsewhere, itself left out", () => {
    expect(first!["elsewhere: ask"]).toBeCloseTo(asShares(scores[1]!)[1]!);
    expect(second!["elsewhere: ask"]).toBeCloseTo(asShares(scores[0]!)[1]!);
    expect(first!["elsewhere: trouble"]).toBeCloseTo(asShares(scores[2]!)[4]!);
    const [, plumber, garden] = scores.map((one) => asShares(one)[0]!);
    expect(first!["elsewhere: how much is nothing"]).toBeCloseTo((plumber! + garden!) / 2);
  });
});

test("what is learnt of surroundings weighs each clause by them; where nothing is, each counts for itself", () => {
  const clauses = clausesOf("The tank leaks. Could you ring the plumber?");
  const plain: WordingWeights = { ...LEARNT_WORDING, inLetter: null };
  expect(weighLetter(clauses, plain).at).toEqual(clauses.map((clause) => weighWording(clause, plain)));
  const ofMeasured = SURROUNDINGS.map((name) => (name === "before: trouble" ? [0, 1, 0, 0, 0] : [0, 0, 0, 0, 0]));
  const { at } = weighLetter(clauses, { ...plain, inLetter: { bias: [0.5, 0, 0, 0, 0], ofMeasured } });
  const [nothing, , , , trouble] = weighWording(clauses[0]!, plain);
  expect(at[0]).toEqual([0.5, 0, 0, 0, 0]);
  expect(at[1]![1]).toBeCloseTo(Math.max(-6, Math.min(6, trouble! - nothing!)));
});

test("a letter of one sentence is weighed by its wording alone", () => {
  const clauses = clausesOf("The slabs came cracked.");
  expect(weighLetter(clauses, LEARNT_WORDING).at).toEqual([weighWording(clauses[0]!, LEARNT_WORDING)]);
});

test("doubt speaks for nothing in every clause, with surroundings and without", () => {
  const clauses = clausesOf("The tank leaks. Could you ring the plumber?");
  for (const learnt of [LEARNT_WORDING, { ...LEARNT_WORDING, inLetter: null }]) {
    const [plain, doubted] = [weighLetter(clauses, learnt), weighLetter(clauses, learnt, 2)];
    for (const [i, [nothing, ...kinds]] of doubted.at.entries()) {
      expect(nothing).toBeCloseTo(plain.at[i]![0]! + 2);
      expect(kinds).toEqual(plain.at[i]!.slice(1));
      expect(doubted.instead(i, clauses[i]!)[0]).toBeCloseTo(nothing!);
    }
  }
});

test("a clause read in the place of another weighs what it would weigh there", () => {
  const clauses = clausesOf("The tank leaks. Ruben, ring the plumber. We will be in all day.");
  const other = { ...clauses[1]!, text: "ring the plumber." };
  const instead = weighLetter(clauses, LEARNT_WORDING).instead(1, other);
  const there = weighLetter(clauses.with(1, other), LEARNT_WORDING).at[1]!;
  expect(instead).toHaveLength(there.length);
  for (const [k, weight] of instead.entries()) expect(weight).toBeCloseTo(there[k]!, 9);
  expect(instead).not.toEqual(weighLetter(clauses, LEARNT_WORDING).at[1]);
});

test("a clause read in its own place weighs what it weighed, in each of 600 places", () => {
  const clauses = clausesOf("Ruben, it rained all day in the valley.\n".repeat(600));
  const letter = weighLetter(clauses, LEARNT_WORDING);
  expect(clauses).toHaveLength(600);
  for (const [place, clause] of clauses.entries()) expect(letter.instead(place, clause)).toEqual(letter.at[place]);
});

test("the same words weigh more for an ask behind trouble than in a letter of small talk", () => {
  const share = (text: string, place: number) => asShares(weighLetter(clausesOf(text), LEARNT_WORDING).at[place]!)[0]!;
  const words = "Someone to look at it would be good.";
  const [alone, behindTrouble] = [
    share(`What a lovely summer. ${words} It was a nice party.`, 1),
    share(`The pump has failed again and the cellar is flooded. ${words} Could you ring me today?`, 1),
  ];
  expect(behindTrouble).toBeLessThan(alone);
});
