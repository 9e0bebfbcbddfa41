import { describe, expect, test } from "vitest";
import { readDuration, sayDuration } from "./duration";

describe("how long work is", () => {
  test("is read in figures, in words and as ranges", () => {
    const said: [string, number][] = [
      ["half an hour", 30],
      ["a quarter of an hour", 15],
      ["three quarters of an hour", 45],
      ["20 min", 20],
      ["20-minute", 20],
      ["forty-five minutes", 45],
      ["an hour", 60],
      ["an hour and a half", 90],
      ["one and a half hours", 90],
      ["1.5 h", 90],
      ["1½ hours", 90],
      ["1 h 30", 90],
      ["2 hours 15 minutes", 135],
      ["2-3 hours", 180],
      ["one to two hours", 120],
      ["a couple of hours", 120],
      ["half a day", 240],
      ["a full day", 480],
      ["two and a half days", 1_200],
      ["3 working days", 1_440],
      ["a week", 2_400],
    ];
    for (const [words, minutes] of said) expect(readDuration(words), words).toBe(minutes);
    for (const words of ["", "soon", "0 minutes", "two", "hour", "60 weeks", "a while", "99999 days"])
      expect(readDuration(words), words).toBeNull();
  });
  test("is said in words that are read as the same", () => {
    const lengths = [1, 20, 45, 60, 75, 90, 120, 240, 480, 720, 960, 2_400, 4_800];
    expect(lengths.map(sayDuration)).toEqual([
      "1 minute",
      "20 minutes",
      "45 minutes",
      "1 hour",
      "1 h 15",
      "1½ hours",
      "2 hours",
      "half a day",
      "1 day",
      "1½ days",
      "2 days",
      "1 week",
      "2 weeks",
    ]);
    for (const minutes of lengths) expect(readDuration(sayDuration(minutes))).toBe(minutes);
  });
});
