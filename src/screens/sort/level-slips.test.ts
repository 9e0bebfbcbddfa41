import fc from "fast-check";
import { expect, test } from "vitest";
import { levelSlips } from "./level-slips";

test("slips stand level with their passages while there is room", () => {
  expect(
    levelSlips(
      [
        { wanted: 100, height: 80 },
        { wanted: 300, height: 80 },
      ],
      90,
      600,
      9,
    ),
  ).toEqual([100, 300]);
});

test("they push each other down, and up where they would leave the margin", () => {
  expect(
    levelSlips(
      [
        { wanted: 0, height: 50 },
        { wanted: 10, height: 50 },
      ],
      0,
      500,
      9,
    ),
  ).toEqual([0, 59]);
  expect(
    levelSlips(
      [
        { wanted: 400, height: 80 },
        { wanted: 450, height: 80 },
      ],
      0,
      500,
      10,
    ),
  ).toEqual([330, 420]);
});

test("they never overlap, keep their order and begin within the margin", () => {
  const slips = fc
    .array(fc.record({ wanted: fc.integer({ min: -50, max: 900 }), height: fc.integer({ min: 30, max: 140 }) }), {
      maxLength: 14,
    })
    .map((all) => all.sort((a, b) => a.wanted - b.wanted));
  fc.assert(
    fc.property(slips, (all) => {
      const tops = levelSlips(all, 90, 600, 9);
      expect(tops.every((top) => top >= 90)).toBe(true);
      for (let i = 1; i < tops.length; i += 1)
        expect(tops[i]!).toBeGreaterThanOrEqual(tops[i - 1]! + all[i - 1]!.height + 9);
      if (all.reduce((sum, slip) => sum + slip.height + 9, 0) < 500 && all.length > 0)
        expect(tops.at(-1)! + all.at(-1)!.height).toBeLessThanOrEqual(600);
    }),
    { numRuns: 300, seed: 421 },
  );
});
