import { spawnSync } from "node:child_process";
import path from "node:path";
import { expect, test } from "vitest";
import { weekdayOf } from "@/core/time/day";
import { countryOf, publicHolidays } from "@/core/time/holidays";

// The second judge is Debian's python3-workalendar, for the years 2024 to 2032: in 2033 Christmas is a Sunday, and whether the
// Monday is free in Spain is up to its regions. Days at weekends are left out: nobody counts them as working days.

/** Younger than python3-workalendar, from memory: Italy keeps 4 October since 2026, Poland Christmas Eve since 2025. */
const NEWER: Readonly<Record<string, string>> = { IT: "-10-04", PL: "-12-24" };

test("public holidays of six countries over nine years are those that python3-workalendar knows", () => {
  const script = path.join(import.meta.dirname, "python_holidays.py");
  const printed = spawnSync("/usr/bin/python3", [script]);
  if (printed.status !== 0) throw new Error(printed.stderr.toString());
  const theirs = JSON.parse(printed.stdout.toString()) as Record<string, string[]>;
  const onWeekdays = (days: readonly string[]) => [...new Set(days)].filter((day) => weekdayOf(day) <= 5).sort();
  let days = 0;
  for (const [country, known] of Object.entries(theirs)) {
    const ours = Array.from({ length: 9 }, (_, i) => publicHolidays(country, 2024 + i)).flat();
    days += onWeekdays(known).length;
    const asThen = ours.filter((day) => !day.endsWith(NEWER[country] ?? "-"));
    expect([country, onWeekdays(asThen)]).toEqual([country, onWeekdays(known)]);
  }
  console.log(`${days} public holidays on weekdays in ${Object.keys(theirs).length} countries`);
  expect(days).toBeGreaterThan(400);
});

test("a country is known by the end of an address alone where that names one", () => {
  expect(["sigge@oakreach.se", "a@b.co.uk", "a@b.io", "a@b.example", "nowhere", ""].map(countryOf)).toEqual([
    "SE",
    "GB",
    null,
    null,
    null,
    null,
  ]);
  expect(publicHolidays("GB", 2026)).toContain("2026-04-03");
  expect(publicHolidays("XX", 2026)).toEqual([]);
});
