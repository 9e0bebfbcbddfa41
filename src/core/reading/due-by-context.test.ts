import { expect, test } from "vitest";
import { findDates } from "../time/dates-in-words";
import { PLAIN_WEEK } from "../time/day";
import { dueByContext } from "./due-by-context";
import type { SlipKind } from "./slip";

/** A day of a clause of a letter of Monday, 2 March 2026, with what stands before it in its paragraph. */
function due(kind: SlipKind, text: string, { before = "", hour = "09:00", everyDay = false } = {}) {
  const from = { at: Date.parse(`2026-03-02T${hour}:00Z`), zone: "+00:00" };
  const days = findDates(before, from, PLAIN_WEEK);
  return (
    dueByContext(
      kind,
      text,
      null,
      () => days,
      () => days.at(-1),
      from,
      { everyDay },
    )?.day ?? null
  );
}

test("in the morning is the next one of what is written at noon or later, or that of the day that was just named", () => {
  const text = "I'm fetching the balloons in the morning.";
  expect([due("promise", text, { hour: "11:59" }), due("promise", text, { hour: "12:00" })]).toEqual([
    null,
    "2026-03-03",
  ]);
  expect(due("ask", text, { before: "We move on the 9th." })).toBe("2026-03-09");
  expect(due("promise", "We usually bake in the morning.", { hour: "18:00" })).toBeNull();
  expect(due("promise", text, { hour: "18:00", everyDay: true })).toBeNull();
});

test("what is promised for after lunch is done today, unless lunch is over", () => {
  const text = "I'm going through the numbers after lunch.";
  expect([due("promise", text), due("promise", text, { hour: "13:30" }), due("ask", text)]).toEqual([
    "2026-03-02",
    null,
    null,
  ]);
});

test("by then, and at seven that morning, are the day that was named; until then lasts as long", () => {
  const before = "The fair is on the 14th.";
  expect(due("ask", "Have them here by then.", { before })).toBe("2026-03-14");
  expect(due("ask", "Load the van at seven that morning.", { before })).toBe("2026-03-14");
  expect(due("ask", "Could you shoot outside that afternoon?", { before })).toBeNull();
  expect(due("ask", "Hold the order until then.", { before })).toBeNull();
  expect(due("ask", "Hold the order until then.", { before, everyDay: true })).toBe("2026-03-14");
});
