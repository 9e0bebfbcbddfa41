import { expect, test } from "vitest";
import { PLACES } from "../../reading/weighing/word-runs";
import { changesSaid } from "./changes-said";

// Two changes. Names: "sent" speaks for the first with odds of 4 to 1. One finder of runs: "back" behind an edge speaks for the second.
const what = { bias: [0, 0], weights: { sent: [Math.log(4), 0] } };
const runs = {
  vectors: new Map([
    [PLACES.edge, Float32Array.of(1, 0)],
    [PLACES.unknown, Float32Array.of(0, 0)],
    ["back", Float32Array.of(0, 1)],
  ]),
  finders: [
    {
      words: 2,
      count: 1,
      weights: Float32Array.of(1, 0, 0, 1),
      bias: Float32Array.of(-1),
      says: Float32Array.of(0, Math.log(16)),
    },
  ],
  bias: [0, 0],
};

test("without runs the names of a segment count alone", () => {
  const [first, second] = changesSaid({ what, runs: null }, ["sent"], [PLACES.edge, "back"]);
  expect(first! / second!).toBeCloseTo(4);
});

test("odds by names and by runs are multiplied, each raised to what it counts", () => {
  // By names 4 to 1, by runs 1 to 16 (the run is worth 1 + 1 - 1): together 4^0.65 to 16^0.35.
  const [first, second] = changesSaid({ what, runs }, ["sent"], [PLACES.edge, "back"]);
  expect(first! / second!).toBeCloseTo(4 ** 0.65 / 16 ** 0.35);
  expect(first! + second!).toBeCloseTo(1);
});

test("runs that find nothing leave the names their order", () => {
  const [first, second] = changesSaid({ what, runs }, ["sent"], ["oleander", "begonia"]);
  expect(first! / second!).toBeCloseTo(4 ** 0.65);
});
