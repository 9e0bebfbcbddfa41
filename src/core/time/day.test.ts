import { differenceInBusinessDays, getISOWeek, getISOWeekYear, lastDayOfMonth } from "date-fns";
import fc from "fast-check";
import { expect, test } from "vitest";
import {
  addDays,
  addWorkingDays,
  dayFrom,
  isDay,
  isoWeekMonday,
  isWorkingDay,
  monthEnd,
  PLAIN_WEEK,
  type WorkingCalendar,
  weekdayOf,
  workingDaysBetween,
} from "./day";

const anyDay = fc.integer({ min: 0, max: 60_000 }).map((count) => addDays("1950-01-01", count));
const asDate = (day: string) =>
  new Date(Number(day.slice(0, 4)), Number(day.slice(5, 7)) - 1, Number(day.slice(8)), 12);

test("working days between two days agree with the examples in the documentation of date-fns", () => {
  // date-fns, differenceInBusinessDays: its documented calls and answers.
  // date-fns documents 136 here: it ends on a Sunday, and its own count then takes in the first day, which ours never does.
  expect(workingDaysBetween("2014-01-10", "2014-07-20", PLAIN_WEEK)).toBe(135);
  expect(differenceInBusinessDays(asDate("2014-07-20"), asDate("2014-01-10"))).toBe(136);
  expect(workingDaysBetween("2021-11-01", "2021-11-30", PLAIN_WEEK)).toBe(21);
  expect(workingDaysBetween("2021-11-01", "2021-11-01", PLAIN_WEEK)).toBe(0);
});

test("working days between agree with date-fns from working day to working day, and with counting one by one", () => {
  let checked = 0;
  fc.assert(
    fc.property(anyDay, fc.integer({ min: 0, max: 900 }), (from, count) => {
      const to = addDays(from, count);
      let naive = 0;
      for (let day = addDays(from, 1); day <= to; day = addDays(day, 1)) if (isWorkingDay(day, PLAIN_WEEK)) naive += 1;
      expect(workingDaysBetween(from, to, PLAIN_WEEK)).toBe(naive);
      expect(workingDaysBetween(to, from, PLAIN_WEEK) + 0).toBe(-naive + 0);
      if (isWorkingDay(from, PLAIN_WEEK) && isWorkingDay(to, PLAIN_WEEK)) {
        expect(differenceInBusinessDays(asDate(to), asDate(from))).toBe(naive);
        checked += 1;
      }
    }),
    { numRuns: 120, seed: 417 },
  );
  expect(checked).toBeGreaterThan(30);
});

test("adding working days is undone by counting them, holidays and odd weeks included", () => {
  const calendar: WorkingCalendar = { workingDays: [1, 2, 4, 6], holidays: ["2026-12-24", "2026-12-26", "2027-01-01"] };
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 120 }), fc.integer({ min: 1, max: 60 }), (offset, count) => {
      const from = addDays("2026-11-01", offset);
      const to = addWorkingDays(from, count, calendar);
      expect(isWorkingDay(to, calendar)).toBe(true);
      expect(workingDaysBetween(from, to, calendar)).toBe(count);
    }),
    { numRuns: 200, seed: 418 },
  );
});

test("a calendar that never works ends the search", () => {
  expect(addWorkingDays("2026-11-25", 1, { workingDays: [], holidays: [] }) > "2026-11-25").toBe(true);
});

test("ISO weeks and ends of months agree with date-fns", () => {
  fc.assert(
    fc.property(anyDay, (day) => {
      const monday = isoWeekMonday(getISOWeekYear(asDate(day)), getISOWeek(asDate(day)));
      expect(addDays(monday, weekdayOf(day) - 1)).toBe(day);
      expect(Number(monthEnd(day).slice(8))).toBe(lastDayOfMonth(asDate(day)).getDate());
    }),
    { numRuns: 300, seed: 419 },
  );
});

test("days that do not exist are none", () => {
  for (const text of ["2026-02-30", "2026-13-01", "2025-02-29", "26-11-25", "2026-11-25T00:00", ""])
    expect(isDay(text)).toBe(false);
  expect(isDay("2024-02-29")).toBe(true);
  expect(dayFrom(2026, 4, 31)).toBeNull();
});
