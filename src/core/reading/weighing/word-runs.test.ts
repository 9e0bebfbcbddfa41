import { describe, expect, test } from "vitest";
import { packRows, unpackRows } from "./packed-rows";
import { packRuns, unpackRuns } from "./packed-runs";
import { PLACES, placesOf, RunWeigher, type RunWeights } from "./word-runs";
import { wordsOf } from "./wording";

const weigh = (weigher: RunWeigher, text: string) => weigher.weigh(placesOf(wordsOf(text), false));

/** One finder of "not" before "sent", and one of "sent" alone that ends a clause; two classes. */
const LEARNT: RunWeights = {
  vectors: new Map(
    Object.entries({
      not: [1, 0],
      sent: [0, 1],
      [PLACES.end]: [1, 0],
      [PLACES.edge]: [0, 0],
      [PLACES.unknown]: [-1, -1],
    }).map(([word, vector]) => [word, Float32Array.from(vector)]),
  ),
  finders: [
    {
      words: 2,
      count: 2,
      // At the first place of the run: [1, 0] and [0, 1]; at the second: [0, 2] and [0.5, 0.5].
      weights: Float32Array.of(1, 0, 0, 1, 0, 2, 0.5, 0.5),
      bias: Float32Array.of(-1, -1),
      says: Float32Array.of(0, 3, 2, 0),
    },
  ],
  bias: [0.25, 0],
};

describe("runs of words", () => {
  const weigher = new RunWeigher(LEARNT);
  test("weigh what the best run says for each class: the products with the vectors, added up, over nought", () => {
    // "not sent" is 1 + 2 - 1 = 2 for the first finder, "sent" and the end 1 + 0.5 - 1 = 0.5 for the second.
    expect(weigh(weigher, "Not sent")).toEqual([0.25 + 2 * 0.5, 3 * 2]);
    // The edge and "sent" are 0 + 2 - 1 = 1, "sent not" is 1 + 0.5 - 1 = 0.5.
    expect(weigh(weigher, "Sent not")).toEqual([0.25 + 2 * 0.5, 3]);
  });
  test("are found wherever they stand", () => {
    const [, alone] = weigh(weigher, "not sent");
    expect(weigh(weigher, "This was not sent yet")[1]).toBe(alone);
  });
  test("count nothing where nothing fits, and words never seen alike", () => {
    expect(weigh(weigher, "Oleander")).toEqual(weigh(weigher, "Begonia"));
    expect(weigh(weigher, "Oleander")).toEqual([0.25, 0]);
  });
});

test("a clause has edges, its words, and an end that says whether it stands on a list", () => {
  expect(placesOf(wordsOf("The plinth."), false)).toEqual([
    "* edge",
    "* edge",
    "the",
    "plinth",
    ".",
    "* end",
    "* edge",
    "* edge",
  ]);
  expect(placesOf(wordsOf("Go"), true)).toEqual(["* edge", "* edge", "go", "* end on list", "* edge", "* edge"]);
});

test("rows are packed to the hundred-and-twenty-seventh part of the greatest number of each", () => {
  const numbers = Float32Array.of(1, -0.5, 0.25, 0, 0, 0, -200, 100, 3);
  const packed = packRows(numbers, 3);
  expect(packed.scales).toHaveLength(3);
  const back = unpackRows(packed);
  for (const [i, one] of numbers.entries())
    expect(Math.abs(back[i]! - one)).toBeLessThanOrEqual(packed.scales[Math.floor(i / 3)]! / 2 + 1e-6);
  // Packed once more they stay what they are.
  expect(unpackRows(packRows(back, 3))).toEqual(back);
});

test("packed weights of runs weigh as they did", () => {
  const again = new RunWeigher(unpackRuns(packRuns(LEARNT)));
  const plain = new RunWeigher(LEARNT);
  for (const text of ["Not sent", "Sent not", "It was not sent", "Oleander"])
    for (const [k, one] of weigh(again, text).entries()) expect(one).toBeCloseTo(weigh(plain, text)[k]!, 1);
});
