import { describe, expect, test } from "vitest";
import { segmentsOf } from "./segments";

const cut = (text: string) => segmentsOf(text, [{ kind: "new", start: 0, end: text.length }]).map((one) => one.text);

describe("pieces of an answer", () => {
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
});
