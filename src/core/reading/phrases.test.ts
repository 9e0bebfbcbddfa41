import { expect, test } from "vitest";
import { phrases } from "./phrases";

test("a turn a line, as whole words in either case, with straight and curly apostrophes and letters of many languages", () => {
  const pattern = phrases(`
    won't hold
    (?:let|lets) in water
    called \\p{L}+ names
  `);
  for (const text of ["It won't hold.", "It WON’T HOLD, sorry", "the hull lets in water", "he called Jörg names"])
    expect([text, pattern.test(text)]).toEqual([text, true]);
  for (const text of ["It won't holdfast", "outlets in water", "recalled Jo names", "called names", ""])
    expect([text, pattern.test(text)]).toEqual([text, false]);
});
