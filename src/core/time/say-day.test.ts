import { expect, test } from "vitest";
import { PLAIN_WEEK } from "./day";
import { sayDay, sayDistance, sayLateness, sayMoment } from "./say-day";

test("a day is said with its weekday, and with its year when it is far", () => {
  expect(sayDay("2026-11-25", "2026-11-24")).toBe("Wed 25 Nov");
  expect(sayDay("2099-01-01", "2026-11-24")).toBe("Thu 1 Jan 2099");
  expect(sayDay("1970-01-01", "2026-11-24")).toBe("Thu 1 Jan 1970");
});

test("distances are said as people count them", () => {
  const say = (day: string) => sayDistance(day, "2026-11-24", PLAIN_WEEK);
  expect(
    [
      "2026-11-24",
      "2026-11-25",
      "2026-11-26",
      "2026-11-28",
      "2026-11-30",
      "2026-12-18",
      "2027-03-01",
      "2099-01-01",
      "2026-11-23",
      "2026-11-20",
      "1970-01-01",
    ].map(say),
  ).toEqual([
    "today",
    "tomorrow",
    "in 2 working days",
    "on Saturday",
    "in 4 working days",
    "in 18 working days",
    "in 14 weeks",
    "in 72 years",
    "yesterday",
    "4 days ago",
    "57 years ago",
  ]);
});

test("lateness counts calendar days", () => {
  expect(sayLateness("2026-11-23", "2026-11-24")).toBe("1 day over");
  expect(sayLateness("2026-11-20", "2026-11-24")).toBe("4 days over");
  expect(sayLateness("2026-11-24", "2026-11-24")).toBeNull();
});

test("an instant of today is its time, any other its day", () => {
  const now = { at: Date.parse("2026-11-24T11:20:00Z"), zone: "Europe/London" };
  expect(sayMoment(Date.parse("2026-11-24T08:12:00Z"), now)).toBe("08:12");
  expect(sayMoment(Date.parse("2026-11-23T23:59:00Z"), now)).toBe("Mon 23 Nov");
});
