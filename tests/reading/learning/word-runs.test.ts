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
