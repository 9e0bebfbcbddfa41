import { expect, test } from "vitest";
import { placesOf, RunWeigher } from "@/core/reading/weighing/word-runs";
import { wordsOf } from "@/core/reading/weighing/wording";
import { learnRuns, type RunExample, type RunManner } from "./word-runs";

const MANNER: RunManner = { rounds: 40, lengths: [2, 4], vectors: null };

const example = (text: string, is: number): RunExample => ({ places: placesOf(wordsOf(text), false), is });
const classOf = (weigher: RunWeigher, { places }: Pick<RunExample, "places">) => {
  const scores = weigher.weigh(places);
  return scores.indexOf(Math.max(...scores));
};

test("who does what to whom is learnt by the order of the words, for pairs that were never seen", () => {
  const trades = ["mason", "baker", "painter", "driver", "plumber", "cook"];
  const sides = ["school", "council", "bank", "church", "hotel", "museum"];
  const pairs = trades.flatMap((trade) => sides.map((side) => [trade, side] as const));
  const both = ([trade, side]: readonly [string, string]) => [
    example(`The ${trade} paid the ${side}.`, 0),
    example(`The ${side} paid the ${trade}.`, 1),
  ];
  const isHeld = (_: unknown, i: number) => i % 3 === 0;
  const learnt = pairs.filter((pair, i) => !isHeld(pair, i)).flatMap(both);
  const held = pairs.filter(isHeld).flatMap(both);
  const weigher = new RunWeigher(learnRuns(learnt, 2, MANNER));
  const right = held.filter((one) => classOf(weigher, one) === one.is).length;
  console.log(`${right} of ${held.length} sentences held back are told apart by their order`);
  expect(right).toBeGreaterThan(0.9 * held.length);
});

test("words that are used alike say the same, though they were never seen: another day, another colour", () => {
  const days = ["Monday", "Tuesday", "Wednesday", "Thursday"];
  const colours = ["red", "green", "blue", "white"];
  const said = (word: string) => [`It is ${word} here.`, `That was ${word}, I think.`, `They like ${word} best.`];
  const all = [days, colours].flatMap((words, is) => words.flatMap(said).map((text) => example(text, is)));
  const weigher = new RunWeigher(learnRuns(all, 2, MANNER));
  for (const day of ["Friday", "Sunday"]) expect(classOf(weigher, example(`Was it ${day} then?`, 0)), day).toBe(0);
  for (const colour of ["yellow", "grey", "purple"])
    expect(classOf(weigher, example(`Was it ${colour} then?`, 1)), colour).toBe(1);
});

test("the same clauses teach the same", () => {
  const clauses = [example("Send the list.", 1), example("The list was sent.", 0), example("Ring the bank.", 1)];
  const [first, second] = [
    learnRuns(clauses, 2, { ...MANNER, rounds: 3 }),
    learnRuns(clauses, 2, { ...MANNER, rounds: 3 }),
  ];
  expect(second.finders).toEqual(first.finders);
  expect(second.bias).toEqual(first.bias);
  expect(second.vectors.get("list")).toEqual(first.vectors.get("list"));
  expect(second.vectors.size).toBeGreaterThan(10_000);
});

test("runs of two, four and six words weigh what their best place says, worked out word by word", () => {
  const numbers = (count: number, from: number) =>
    Float32Array.from({ length: count }, (_, i) => Math.sin(from + 7 * i));
  const words = ["* edge", "* end", "* unknown", "send", "the", "list", "to", "us"];
  const vectors = new Map(words.map((word, i) => [word, numbers(3, i)]));
  const finders = [2, 4, 6].map((length) => ({
    words: length,
    count: 5,
    weights: numbers(length * 5 * 3, length),
    bias: numbers(5, 3 * length),
    says: numbers(5 * 2, 5 * length),
  }));
  const places = placesOf(["send", "the", "list", "to", "us", "soon"], false);
  const scores = [0.5, -0.5];
  for (const { words: length, count, weights, bias, says } of finders)
    for (let f = 0; f < count; f += 1) {
      const runs = Array.from({ length: places.length - length + 1 }, (_, run) => {
        let sum = bias[f]!;
        for (let n = 0; n < length; n += 1) {
          const vector = vectors.get(places[run + n]!) ?? vectors.get("* unknown")!;
          for (let d = 0; d < 3; d += 1) sum += vector[d]! * weights[(n * count + f) * 3 + d]!;
        }
        return sum;
      });
      const best = Math.max(0, ...runs);
      for (let k = 0; k < 2; k += 1) scores[k]! += best * says[f * 2 + k]!;
    }
  const weighed = new RunWeigher({ vectors, finders, bias: [0.5, -0.5] }).weigh(places);
  for (const [k, score] of scores.entries()) expect(weighed[k]!).toBeCloseTo(score, 3);
});
