import { describe, expect, test } from "vitest";
import { CHANGES, canBecome } from "./item";
import { segmentsOf } from "./segments";
import { shifted } from "./shifted";

const cut = (text: string) => segmentsOf(text, [{ kind: "new", start: 0, end: text.length }]).map((one) => one.text);

describe("pieces of an answer", () => {
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

  test("what is put in between commas says nothing of its own", () => {
    expect(cut("Bibs, I regret, we do not carry.")).toEqual(["Bibs, I regret, we do not carry."]);
    expect(cut("The sketch is done, and the plan follows on Friday.")).toEqual([
      "The sketch is done",
      "and the plan follows on Friday.",
    ]);
  });

  test("“no” ends a sentence before words, and none before a number", () => {
    expect(cut("Newspapers yes, cigarettes no. Emeka will meet your officer.")).toEqual([
      "Newspapers yes, cigarettes no.",
      "Emeka will meet your officer.",
    ]);
    expect(cut("Please credit invoice no. 118 to us.")).toHaveLength(1);
    expect(cut("It can come on Mon. May 5 or later.")).toHaveLength(1);
  });

  test("a question is not put off, trouble not declined; an ask can become all", () => {
    expect(CHANGES.filter((change) => !canBecome("question", change))).toEqual(["called off", "declined", "moved"]);
    expect(CHANGES.filter((change) => !canBecome("trouble", change))).toEqual(["called off", "declined", "reminded"]);
    expect(CHANGES.every((change) => canBecome("ask", change))).toBe(true);
  });
});
