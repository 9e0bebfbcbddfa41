import { spawnSync } from "node:child_process";
import path from "node:path";
import { parseDate } from "chrono-node";
import { expect, test } from "vitest";
import { findDates } from "@/core/time/dates-in-words";
import { PLAIN_WEEK } from "@/core/time/day";

// Examples published in the documentation of chrono-node and of parsedatetime, and the like in words; written down from
// memory of both, which does not matter here: a phrase is judged only where the two parsers agree on its day.
const PHRASES = [
  "today",
  "tomorrow",
  "tonight",
  "in 2 days",
  "in 3 days",
  "in 5 days",
  "in a week",
  "in one week",
  "in 2 weeks",
  "in two weeks",
  "in three weeks",
  "in 1 month",
  "in two months",
  "2 days from now",
  "3 weeks from now",
  "5 days from today",
  "17 August 2027",
  "August 17, 2027",
  "Aug 17 2027",
  "17 Aug 2027",
  "25th August 2027",
  "August 25th, 2027",
  "2027-08-17",
  "3 December",
  "December 3",
  "Dec 3rd",
  "24 Dec",
  "Dec 24",
  "31 December",
  "1 January 2027",
  "January 1, 2027",
  "Monday",
  "Wednesday",
  "Thursday",
  "Friday",
  "Saturday",
  "Sunday",
  "Monday at 9am",
  "Friday at 2pm",
  "tomorrow at noon",
  "tomorrow at 17:00",
  "3 December at 14:00",
  "December 3 at 2pm",
  "30 November 2026",
  "Nov 30",
  "29 Feb 2028",
  "February 29, 2028",
];

/** Days of the week and year on which counting is easy to get wrong. */
const STARTS = ["2026-11-24 08:12", "2026-11-27 16:00", "2026-12-31 23:30", "2027-02-26 00:15"];

test("days in words are those on which chrono-node and parsedatetime agree", () => {
  let agreed = 0;
  for (const start of STARTS) {
    const python = spawnSync("/usr/bin/python3", [path.join(import.meta.dirname, "python_dates.py"), start], {
      input: PHRASES.join("\n"),
    });
    expect(python.stderr.toString()).toBe("");
    const theirs = python.stdout.toString().trim().split("\n");
    const [day, time] = start.split(" ") as [string, string];
    const [year, month, date] = day.split("-").map(Number) as [number, number, number];
    for (const [i, phrase] of PHRASES.entries()) {
      const found = parseDate(
        phrase,
        new Date(year, month - 1, date, Number(time.slice(0, 2)), Number(time.slice(3))),
        { forwardDate: true },
      );
      const chrono = found
        ? `${found.getFullYear()}-${String(found.getMonth() + 1).padStart(2, "0")}-${String(found.getDate()).padStart(2, "0")}`
        : "-";
      if (chrono !== theirs[i] || chrono === "-") continue;
      agreed += 1;
      const ours = findDates(phrase, { at: Date.parse(`${day}T${time}:00Z`), zone: "UTC" }, PLAIN_WEEK)[0];
      expect([start, phrase, [ours?.day, ...(ours?.others ?? [])]]).toEqual([
        start,
        phrase,
        expect.arrayContaining([chrono]),
      ]);
    }
  }
  expect(agreed).toBeGreaterThan(120);
});
