import { describe, expect, test } from "vitest";
import { estimateOf, speaksOfWorkBefore } from "./estimate";

describe("an estimate", () => {
  test("is what a letter says of how long the work takes", () => {
    const said: [string, number][] = [
      ["It should take you about half an hour.", 30],
      ["Could you splice the line, it won't take more than twenty minutes?", 20],
      ["Please plan in two days for the mast.", 960],
      ["It's a two-hour job", 120],
      ["That is half a day's work", 240],
      ["Ten minutes of your time would do.", 10],
      ["Repaint the hatch (estimate: 3 h)", 180],
      ["Allow an hour and a half for the keel", 90],
      ["I reckon it takes Rosa a day.", 480],
      ["Ten minutes.", 10],
      ["Half an hour at most", 30],
      ["a good deal of it is one hour's work", 60],
    ];
    for (const [text, minutes] of said) expect(estimateOf(text)?.minutes ?? null, text).toBe(minutes);
  });
  test("is not when something happens, how long it lasts, or how long things take by themselves", () => {
    const said = [
      "I'll ring you in half an hour.",
      "The meeting is two hours long.",
      "Send it within two days.",
      "The paint needs two days to dry.",
      "Delivery takes two weeks.",
      "We have waited three weeks.",
      "It takes time.",
    ];
    for (const text of said) expect(estimateOf(text), text).toBeNull();
  });
  test("may stand in the sentence behind the ask", () => {
    const behind = [
      "It shouldn't take more than an hour.",
      "That's a two-hour job.",
      "I think it will take a day.",
      "Ten minutes.",
    ];
    expect(behind.map(speaksOfWorkBefore)).toEqual([true, true, true, true]);
    expect(speaksOfWorkBefore("Painting the shed takes a day.")).toBe(false);
  });
});
