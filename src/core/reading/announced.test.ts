import { expect, test } from "vitest";
import { announcedIn } from "./announced";

const items = (sentence: string) =>
  announcedIn(sentence)?.items.map(({ start, end }) => sentence.slice(start, end)) ?? null;

test("things that are announced by their number are listed one by one", () => {
  expect(items("For the plan I need two things: the size of it by Thursday, and a list of what needs power.")).toEqual([
    "the size of it by Thursday",
    "a list of what needs power.",
  ]);
  expect(items("Three short points then: the key; the bill, and the oven.")).toEqual(
    ["the key", "the bill", "and the oven."].map((one) => one.replace(/^and /, "")),
  );
  expect(announcedIn("I need two things: a, and b")?.lead).toBe("I need two things:");
});

test("where not as many follow as are announced, or none are, the sentence is left as it is", () => {
  expect(
    [
      "I need two things: the key, the bill, and the oven.",
      "Two boats: one red, one blue.",
      "We did two things today.",
    ].map(items),
  ).toEqual([null, null, null]);
});
