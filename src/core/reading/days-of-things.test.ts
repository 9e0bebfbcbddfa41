import { expect, test } from "vitest";
import { findDates } from "../time/dates-in-words";
import { PLAIN_WEEK } from "../time/day";
import { dueOf } from "./due";
import type { SlipKind } from "./slip";

// How the days are to be read is what the guide for labelling rules; the sentences are our own.

/** Monday, 2 March 2026. */
const FROM = { at: Date.parse("2026-03-02T09:00:00Z"), zone: "+00:00" };

const due = (kind: SlipKind, text: string, everyDay = false) =>
  dueOf(kind, text, findDates(text, FROM, PLAIN_WEEK), { everyDay })?.day ?? null;

test.each([
  "Could you book a table for ten for the trustees' supper on the 19th?",
  "Please put me down for forty lunches on 26 March.",
  "Reserve the small hall for Friday.",
  "Cross the eggs off the order for Saturday.",
  "Work out what we lost by the power cut on the 8th.",
  "On your sheet for the week of the 9th a day is missing.",
  "Credit us the torn one of the 16th.",
  "Keep the evening of 4 April free.",
  "Find out whether they deliver on Friday.",
  "Think of something for the children in case it rains on Saturday.",
])("%s is due on no day: the day is that of a thing", (text) => {
  expect(due("ask", text)).toBeNull();
});

test.each([
  ["I'll bring the figures to the meeting on Wednesday.", "promise", "2026-03-04"],
  ["Please have the glasses washed before the tasting on Wednesday.", "ask", "2026-03-03"],
  ["Please put them on one sheet before the visit of Friday 27 March.", "ask", "2026-03-26"],
  ["Can you do the tour on Saturday?", "ask", "2026-03-07"],
  ["Put them on Friday's lorry, please.", "ask", "2026-03-06"],
  ["Tell me by Friday what you need.", "ask", "2026-03-06"],
  ["Find out today what it costs.", "ask", "2026-03-02"],
  ["Order me two kilos of plums for Monday.", "ask", "2026-03-09"],
  ["Hand it in by the evening of the 9th.", "ask", "2026-03-09"],
] as const)("%s is due on the day that it names", (text, kind, day) => {
  expect(due(kind, text)).toBe(day);
});

test("in an answer the day of a thing may be that of what was asked for", () => {
  const text = "I'll print the cards for the tasting on the 11th.";
  expect([due("promise", text), due("promise", text, true)]).toEqual([null, "2026-03-11"]);
});
