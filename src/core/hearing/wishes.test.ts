import { expect, test } from "vitest";
import { coversHear } from "./covering";
import type { Heard } from "./heard";
import { hearersOf } from "./who-hears";
import { howHeard, isQuietHour, newsOf, roundInQuietHours } from "./wishes";

const heard = (more: Partial<Heard>): Heard => ({
  personId: "lotte",
  what: "given",
  why: "owns it",
  loudness: "at once",
  ...more,
});

test("each sort of news comes as one wishes, else as loudly as it is", () => {
  expect(howHeard(heard({}), {})).toBe("at once");
  expect(howHeard(heard({ loudness: "later" }), {})).toBe("digest");
  expect(howHeard(heard({}), { mine: "digest" })).toBe("digest");
  expect(howHeard(heard({}), { "own work": "never" })).toBe("at once");
  expect(howHeard(heard({ what: "moved" }), { "own work": "never" })).toBe("never");
  expect(newsOf("done", "handed it over")).toBe("given");
  expect(newsOf("noted", "kept posted")).toBe("posted");
  expect(newsOf("reminder", "owns it")).toBe("reminders");
  expect(newsOf("noted", "named in the note")).toBe("mine");
  // A loud thing of a task that one gave is as one wishes for what one gave.
  expect(howHeard(heard({ what: "in doubt", why: "handed it over" }), { given: "never" })).toBe("never");
});

test("quiet hours may lie beyond midnight", () => {
  const quiet = (time: string) => isQuietHour(time, "19:00", "07:00");
  expect(["18:59", "19:00", "23:59", "00:00", "06:59", "07:00"].map(quiet)).toEqual([
    false,
    true,
    true,
    true,
    true,
    false,
  ]);
  expect(isQuietHour("12:30", "12:00", "13:00")).toBe(true);
  expect(isQuietHour("13:00", "12:00", "13:00")).toBe(false);
  expect(isQuietHour("13:00", null, null)).toBe(false);
  expect(roundInQuietHours(["08:00", "13:00", "19:30"], "19:00", "07:00")).toBe("19:30");
  expect(roundInQuietHours(["07:00", "13:00", "18:59"], "19:00", "07:00")).toBeNull();
  expect(roundInQuietHours(["08:00"], null, null)).toBeNull();
});

test("who covers hears in the place of who is away: once, not of their own acts, nor what they hear anyhow", () => {
  const covers = new Map([
    ["lotte", "ines"],
    ["jonah", "ines"],
  ]);
  expect(coversHear([heard({}), heard({ personId: "jonah" })], covers, "suki")).toMatchObject([
    { personId: "ines", why: "covers for", forId: "lotte", what: "given" },
  ]);
  expect(coversHear([heard({})], covers, "ines")).toEqual([]);
  expect(coversHear([heard({}), heard({ personId: "ines" })], covers, "suki")).toEqual([]);
  expect(coversHear([heard({ personId: "suki" })], covers, "jonah")).toEqual([]);
});

test("the sheet names who covers, with for whom", () => {
  const covers = new Map([["lotte", "ines"]]);
  expect(hearersOf({ ownerId: "lotte", chain: [] }, [], [], covers)).toEqual([
    { personId: "lotte", why: "owns it", loudness: "at once" },
    { personId: "ines", why: "covers for", loudness: "at once", forId: "lotte" },
  ]);
});
