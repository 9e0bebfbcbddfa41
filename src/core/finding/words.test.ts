import fc from "fast-check";
import { expect, test } from "vitest";
import { searchQuery, searchVector, wordsIn } from "./words";

test("words are letters and figures, without case and accents; an address gives each of its names", () => {
  expect([...wordsIn("Große Pläne: 3 Bänke, colm.hartnell@tidewell.example — Ærø, Łódź, naïve")]).toEqual([
    ...["grosse", "plane", "3", "banke", "colm", "hartnell", "tidewell", "example", "aero", "lodz", "naive"],
  ]);
  // Unicode Standard Annex 15, figure 6: compatibility forms come apart.
  expect([...wordsIn("ﬁx 2⁵ ſet")]).toEqual(["fix", "25", "set"]);
  expect([...wordsIn("“…” — !")]).toEqual([]);
});

test("what stands in names counts more than what stands in the text", () => {
  expect(searchVector("Gate latch", "the latch of the gate, 12 mm")).toBe("gate:1A latch:1A the:1 of:1 12:1 mm:1");
  expect(searchQuery("Lat ga")).toBe("lat:* & ga:*");
  expect(searchQuery("Lat ga", true)).toBe("lat:*A & ga:*A");
  expect(searchQuery("' | & !( :*")).toBeNull();
});

test("no text makes anything but plain words", () => {
  fc.assert(
    fc.property(fc.string({ unit: "binary", maxLength: 300 }), (text) => {
      for (const word of wordsIn(text)) expect(word).toMatch(/^[\p{L}\p{N}]{1,60}$/u);
      expect(searchQuery(text)?.split(" & ").length ?? 0).toBeLessThanOrEqual(8);
    }),
    { numRuns: 500 },
  );
});
