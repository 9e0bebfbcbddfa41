import { expect, test } from "vitest";
import { PLAIN_WEEK } from "../time/day";
import {
  canMean,
  hasteIn,
  hasteLessons,
  type KeptHaste,
  meantByHaste,
  sayHasteDays,
  sayHasteName,
  withHaste,
} from "./haste";
import type { FoundSlip } from "./slip";

// Wednesday 4 March 2026.
const sentDay = "2026-03-04";
const kept = (haste: string, dueDay: string | null, times = 1, writer = "ada@beech.example"): KeptHaste => ({
  writer,
  haste,
  sentDay,
  dueDay,
  times,
});
const slip: FoundSlip = {
  kind: "ask",
  start: 0,
  end: 9,
  title: "Send it",
  owner: null,
  due: { day: sentDay, time: null, others: ["2026-03-05"], words: "ASAP" },
  priority: "high",
  estimate: null,
  haste: "as soon as possible",
  rule: "please",
  reason: "please, “ASAP”",
  confidence: 0.9,
};
const read = (lessons: readonly KeptHaste[], one = slip, writer = "ada@beech.example") =>
  withHaste([one], writer, sentDay, hasteLessons(lessons, PLAIN_WEEK), PLAIN_WEEK)[0]!;

test("words of haste are known whatever they are written like, days are none", () => {
  expect(["ASAP", "as soon  as you can", "Urgently", "straight away", "today", "Friday"].map(hasteIn)).toEqual([
    "as soon as possible",
    "as soon as possible",
    "urgent",
    "at once",
    null,
    null,
  ]);
});

test("haste means what it was kept as most often, in working days, from the first time on", () => {
  expect(read([kept("as soon as possible", "2026-03-09")])).toMatchObject({
    due: { day: "2026-03-09", others: [] },
    reason: "please, “ASAP”, which was kept as 3 working days later for this writer before",
  });
  const mixed = [kept("as soon as possible", "2026-03-05", 2), kept("as soon as possible", sentDay)];
  expect(read(mixed).due?.day).toBe("2026-03-05");
  expect(read([kept("as soon as possible", null, 2)]).due).toBeNull();
  // A day before the letter was sent says nothing.
  expect(read([kept("as soon as possible", "2026-02-27", 5)])).toEqual(slip);
});

test("words that leave the day open mean the day that their writer's were kept for; the other days are still offered", () => {
  // Of the Wednesday 4 March: "next Friday" is the 6th or the 13th, next week the 9th to the 13th.
  const friday = { day: "2026-03-13", time: null, others: ["2026-03-06"], words: "next Friday" };
  const open = (words: string, due = friday) => ({ ...slip, haste: hasteIn(words), due: { ...due, words } });
  const nearer = [kept("next, before a weekday", "2026-03-05")];
  expect(read(nearer, open("next Friday"))).toMatchObject({
    due: { day: "2026-03-06", others: ["2026-03-13"] },
    reason: "please, “ASAP”, which was kept as the nearer one for this writer before",
  });
  const week = { ...friday, others: ["2026-03-09", "2026-03-10", "2026-03-11", "2026-03-12"] };
  expect(read([kept("next week", "2026-03-10")], open("next week", week)).due?.day).toBe("2026-03-10");
  expect(read([kept("next week", "2026-03-10")], open("next week", week)).due?.others).toHaveLength(4);
  // Kept for a day that the words do not name, or where they leave only one open, they teach nothing.
  for (const lesson of [
    kept("next week", "2026-03-20"),
    kept("next, before a weekday", "2026-03-10", 3),
    kept("next week", null),
  ])
    expect(hasteLessons([lesson], PLAIN_WEEK)).toEqual([]);
  // May 2026 ends on a Sunday; March on a Tuesday.
  const may = { writer: "ada@beech.example", haste: "the end of the month", sentDay: "2026-05-06", times: 2 };
  expect(hasteLessons([{ ...may, dueDay: "2026-05-31" }], PLAIN_WEEK)).toMatchObject([{ days: 1, kept: 2 }]);
  expect(read([{ ...may, dueDay: "2026-05-31" }], open("the end of the month")).due?.day).toBe(friday.day);
});

test("what was learnt of such words is said in words", () => {
  const said = (haste: string, days: number | null) => `${sayHasteName(haste)} means ${sayHasteDays(haste, days)}`;
  expect(said("urgent", 2)).toBe("“urgent” means 2 working days later");
  expect(said("next, before a weekday", 0)).toBe("“next” before a weekday means the nearer one");
  expect(said("next week", 3)).toBe("“next week” means the Thursday of it");
  expect(said("the end of the month", 1)).toBe("“the end of the month” means its last day");
  const places = [0, 1, 2, 4, 5, null];
  expect(places.filter((place) => canMean("next, before a weekday", place))).toEqual([0, 1]);
  expect(places.filter((place) => canMean("next week", place))).toEqual([0, 1, 2, 4]);
  expect(places.filter((place) => canMean("urgent", place))).toEqual(places);
});

test("after 200 corrections it is read so every time; other words, other writers and slips with a day are read as before", () => {
  const lessons = [kept("as soon as possible", "2026-03-06", 200), kept("as soon as possible", sentDay, 12)];
  expect(read(lessons).due?.day).toBe("2026-03-06");
  expect(read(lessons, slip, "bo@oak.example")).toEqual(slip);
  for (const other of [
    { ...slip, haste: "urgent", due: { ...slip.due!, words: "urgent" } },
    { ...slip, haste: null, due: { ...slip.due!, words: "today" } },
    { ...slip, haste: null, due: null },
  ])
    expect(read(lessons, other)).toEqual(other);
});

test("what was kept two ways as often means neither", () => {
  const lessons = hasteLessons([kept("urgent", sentDay, 3), kept("urgent", "2026-03-05", 3)], PLAIN_WEEK);
  expect(meantByHaste("ada@beech.example", "urgent", lessons)).toBeNull();
  expect(lessons.map(({ days, kept: times }) => [days, times])).toEqual([
    [0, 3],
    [1, 3],
  ]);
});
