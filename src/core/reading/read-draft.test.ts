import { describe, expect, test } from "vitest";
import { type Draft, readDraft } from "./read-draft";
import { PLAIN_READING } from "./settings";

// A boatyard, as in the tests of the rules.
const person = (key: string, name: string) => ({ id: `${key}@yard.example`, name, address: `${key}@yard.example` });
const rosa = person("rosa", "Rosa Beck");
const piet = person("piet", "Piet Holm");
const mill = { id: "ada@mill.example", name: "Ada Lund", address: "ada@mill.example" };
const people = { team: [rosa, piet], outside: [mill] };
/** Tuesday 24 November 2026. */
const now = { at: Date.parse("2026-11-24T11:20:00Z"), zone: "Europe/London" };
const read = (text: string, to: Draft["to"] = [mill]) =>
  readDraft({ from: rosa, to, cc: [], subject: "Oak", text }, people, now, PLAIN_READING).map((slip) => ({
    kind: slip.kind,
    words: text.slice(slip.start, slip.end),
    owner: slip.owner,
    due: slip.due?.day ?? null,
  }));

describe("a letter of one's own, while it is written", () => {
  test("asks are of whoever it goes to, promises one's own; days count from now", () => {
    expect(read("Dear Ada,\n\ncould you send us the oak by Friday? I will ring the carrier tomorrow.\n\nRosa")).toEqual(
      [
        { kind: "ask", words: "could you send us the oak by Friday?", owner: mill.address, due: "2026-11-27" },
        { kind: "promise", words: "I will ring the carrier tomorrow.", owner: rosa.address, due: "2026-11-25" },
      ],
    );
  });
  test("a colleague who is named has it, though the letter goes to others", () => {
    expect(read("Piet will send you the drawing.")).toMatchObject([{ kind: "ask", owner: piet.address }]);
  });
  test("of several it is the one who is greeted", () => {
    const to = [mill, piet];
    expect(read("Hello Ada,\n\ncould you weigh the oak?", to)).toMatchObject([{ owner: mill.address }]);
    expect(read("Hello both,\n\ncould you weigh the oak?", to)).toMatchObject([{ owner: null }]);
  });
  test("trouble that one tells, and what goes along as quoted, are nothing to keep", () => {
    expect(read("The mast is cracked.\n\nOn Mon, 23 Nov 2026, Ada Lund wrote:\n> Could you send the plans?")).toEqual(
      [],
    );
  });
  test("half a sentence, and nothing at all, are read as well", () => {
    for (const text of ["", " ", "Dear", "Could you", "> "])
      expect([text, read(text).length <= 1]).toEqual([text, true]);
  });
});
