import { expect, test } from "vitest";
import { PLAIN_WEEK } from "../time/day";
import { readRepeat } from "./read-repeat";
import { isRule, nextDay } from "./rule";
import { sayRepeat } from "./say-repeat";

const FROM = { at: Date.parse("2026-11-24T11:20:00Z"), zone: "Europe/London" };
const read = (line: string) => {
  const answer = readRepeat(line, FROM, PLAIN_WEEK, "dmy");
  return answer.ok ? answer.rule : answer.why;
};

const LINES: readonly (readonly [string, string, string])[] = [
  ["every day", "FREQ=DAILY", "every day"],
  ["every working day", "FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR", "every working day"],
  ["every Monday", "FREQ=WEEKLY;BYDAY=MO", "every Monday"],
  ["Mondays", "FREQ=WEEKLY;BYDAY=MO", "every Monday"],
  ["every thursday and monday", "FREQ=WEEKLY;BYDAY=MO,TH", "every Monday and Thursday"],
  ["every other Friday", "FREQ=WEEKLY;INTERVAL=2;BYDAY=FR", "every other Friday"],
  ["every two weeks", "FREQ=WEEKLY;INTERVAL=2", "every other week"],
  ["every 10 days", "FREQ=DAILY;INTERVAL=10", "every 10 days"],
  ["every first Monday", "FREQ=MONTHLY;BYDAY=1MO", "every first Monday"],
  ["the last Friday of every month", "FREQ=MONTHLY;BYDAY=-1FR", "every last Friday"],
  ["on the 15th of every month", "FREQ=MONTHLY;BYMONTHDAY=15", "the 15th of every month"],
  ["the last day of the month", "FREQ=MONTHLY;BYMONTHDAY=-1", "the last day of every month"],
  ["every quarter", "FREQ=MONTHLY;INTERVAL=3", "every quarter"],
  ["every 29 February", "FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=29", "every 29 February"],
  ["two weeks after done", "AFTER=P2W", "2 weeks after done"],
  ["a month after it is done", "AFTER=P1M", "1 month after done"],
  ["every Monday until 31 March", "FREQ=WEEKLY;BYDAY=MO;UNTIL=20270331", "every Monday until 31 March 2027"],
  [
    "every other Friday until March",
    "FREQ=WEEKLY;INTERVAL=2;BYDAY=FR;UNTIL=20270331",
    "every other Friday until 31 March 2027",
  ],
  ["every month, ten times", "FREQ=MONTHLY;COUNT=10", "every month, 10 times"],
];

test("how a task repeats is read from words, said in words, and read from those again", () => {
  for (const [line, rule, words] of LINES) {
    expect([line, read(line)]).toEqual([line, rule]);
    expect([rule, sayRepeat(rule)]).toEqual([rule, words]);
    expect([words, read(words)]).toEqual([words, rule]);
    expect(isRule(rule)).toBe(true);
  }
  expect(read("every 30 February")).toBe("There is no 30 Feb in any year.");
  expect(read("on the 32nd of every month")).toBe("No month has a 32th.");
  expect(read("now and then")).toContain("Say it like");
  expect(read("Monday")).toContain("Say it like");
});

test("the next day follows the one before, a series that ends has none, and hostile rules are none", () => {
  expect(nextDay("FREQ=MONTHLY;BYDAY=1MO", "2026-11-02", "2026-11-02")).toBe("2026-12-07");
  expect(nextDay("FREQ=MONTHLY;BYMONTHDAY=31", "2026-10-31", "2026-10-31")).toBe("2026-12-31");
  expect(nextDay("AFTER=P2W", "2026-11-02", "2026-11-24")).toBe("2026-12-08");
  expect(nextDay("AFTER=P1M", "2026-11-02", "2027-01-31")).toBe("2027-02-28");
  expect(nextDay("FREQ=WEEKLY;BYDAY=MO;UNTIL=20261130", "2026-11-02", "2026-11-30")).toBeNull();
  expect(nextDay("FREQ=MONTHLY;COUNT=2", "2026-11-02", "2026-12-02")).toBeNull();
  for (const hostile of [
    "FREQ=SECONDLY",
    "FREQ=DAILY;BYHOUR=*",
    "DTSTART=20260101",
    "AFTER=P9999D",
    "",
    "FREQ=DAILY\nX",
  ])
    expect([hostile, isRule(hostile)]).toEqual([hostile, false]);
});
