import { describe, expect, test } from "vitest";
import { read } from "./bakery";

const titles = (text: string) => read(text).map(({ title }) => title);

describe("a title says what “it” and “them” are, where the sentence before tells of one thing", () => {
  test.each([
    ["Your bill 3381 gives our old address. Please issue it again.", "Issue bill 3381 again"],
    ["The platen is cracked. Could you have it mended?", "Have the platen mended"],
    ["The rollers of the small press are worn. Please replace them.", "Replace the rollers of the small press"],
    ["Attached is the proof of the poster. Could you sign it by Friday?", "Sign the proof of the poster"],
  ])("%s", (text, title) => {
    expect(titles(text)).toContain(title);
  });
});

describe("it is left as it is written where it may be another thing, or somebody", () => {
  test.each([
    ["The bank has rejected the payment. Please send it again.", "Send it again"],
    ["The printers are here. Please bring them up.", "Bring them up"],
    ["The ink is green. Please mix the blue and send it to us.", "Mix the blue and send it to Dov"],
    ["The platen is cracked. Please make it clear to the maker.", "Make it clear to the maker"],
  ])("%s", (text, title) => {
    expect(titles(text)).toContain(title);
  });
});
