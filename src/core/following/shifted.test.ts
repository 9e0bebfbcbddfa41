import { describe, expect, test } from "vitest";
import { shifted } from "./shifted";

describe("a day that is shifted", () => {
  test.each([
    ["Can the white come two days earlier?", "2034-04-05", "2034-04-03"],
    ["A week later would suit us better.", "2034-04-05", "2034-04-12"],
    ["Make it 3 days sooner.", "2034-04-02", "2034-03-30"],
  ])("%s counted from %s is %s", (text, from, day) => {
    expect(shifted(text, from)?.day).toBe(day);
  });

  test("nothing is shifted that had no day, or by words without a number", () => {
    expect(shifted("Two days earlier, please.", null)).toBeNull();
    expect(shifted("Some days earlier, please.", "2034-04-05")).toBeNull();
    expect(shifted("It came two days ago.", "2034-04-05")).toBeNull();
  });
});
