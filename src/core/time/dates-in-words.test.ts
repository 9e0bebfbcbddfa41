import { expect, test } from "vitest";
import { findDates, readTypedDate } from "./dates-in-words";
import { PLAIN_WEEK } from "./day";

/** Tuesday 24 November 2026, 08:12 in London. */
const tuesday = { at: Date.parse("2026-11-24T08:12:00Z"), zone: "Europe/London" };
const friday = { at: Date.parse("2026-11-27T16:00:00Z"), zone: "Europe/London" };

/** Common practice of offices, as this product reads it; [words, day, time, other days]. */
const PHRASES: readonly (readonly [string, string, string | null, readonly string[]])[] = [
  ["by Wednesday", "2026-11-25", null, []],
  ["on Tuesday", "2026-12-01", null, []],
  ["next Tuesday", "2026-12-01", null, []],
  ["next Friday", "2026-12-04", null, ["2026-11-27"]],
  ["Friday week", "2026-12-04", null, []],
  ["a week on Monday", "2026-12-07", null, []],
  ["tomorrow", "2026-11-25", null, []],
  ["the day after tomorrow", "2026-11-26", null, []],
  ["by close of business", "2026-11-24", "17:00", []],
  ["ASAP", "2026-11-24", null, ["2026-11-25"]],
  ["in two weeks", "2026-12-08", null, []],
  ["in ten days", "2026-12-04", null, []],
  ["within three working days", "2026-11-27", null, []],
  ["in a fortnight", "2026-12-08", null, []],
  ["end of the week", "2026-11-27", null, []],
  ["early next week", "2026-12-01", null, ["2026-11-30"]],
  ["the end of the month", "2026-11-30", null, []],
  ["end of next month", "2026-12-31", null, []],
  ["by the 14th", "2026-12-14", null, []],
  ["on Friday 4th", "2026-12-04", null, []],
  ["by Tuesday 8, please", "2026-12-08", null, []],
  ["before Tuesday 8", "2026-12-07", null, ["2026-12-08"]],
  ["by Monday 14th", "2026-12-14", null, []],
  ["Thursday 3 pm", "2026-11-26", "15:00", []],
  ["Tuesday 8 sacks come", "2026-12-01", null, []],
  ["before the 3rd", "2026-12-02", null, ["2026-12-03"]],
  ["two days before the 9th", "2026-12-07", null, []],
  ["3 December at 14:00", "2026-12-03", "14:00", []],
  ["Friday 27 November 2026", "2026-11-27", null, []],
  ["December 3rd", "2026-12-03", null, []],
  ["2026-12-03", "2026-12-03", null, []],
  ["week 50", "2026-12-11", null, []],
  ["first thing Thursday", "2026-11-26", "09:00", []],
  ["Wednesday noon", "2026-11-25", "12:00", []],
  ["3/4", "2027-04-03", null, ["2027-03-04"]],
  ["by the end of the quarter", "2026-12-31", null, []],
  ["by year end", "2026-12-31", null, []],
  ["the last Friday of the month", "2026-11-27", null, []],
  ["on the first Monday in January", "2027-01-04", null, []],
  ["the week after next", "2026-12-11", null, ["2026-12-07", "2026-12-08", "2026-12-09", "2026-12-10"]],
  ["in the week of 7 December", "2026-12-11", null, ["2026-12-07", "2026-12-08", "2026-12-09", "2026-12-10"]],
  ["at the weekend", "2026-11-28", null, ["2026-11-29"]],
  ["tomorrow week", "2026-12-02", null, []],
  ["three weeks on Friday", "2026-12-18", null, []],
  ["in 48 hours", "2026-11-26", null, []],
  ["COB Friday", "2026-11-27", "17:00", []],
  ["at half past two on Friday", "2026-11-27", "14:30", []],
  ["by 14.12.", "2026-12-14", null, []],
  ["not before the 3rd", "2026-12-03", null, []],
  ["a week today", "2026-12-01", null, []],
  ["this day week", "2026-12-01", null, []],
  ["a fortnight tomorrow", "2026-12-09", null, []],
  ["right this minute", "2026-11-24", null, ["2026-11-25"]],
  // The Gregorian Easter of 2027 is 28 March (any almanac; here from memory).
  ["by Good Friday", "2027-03-26", null, []],
  ["before Easter", "2027-03-27", null, ["2027-03-28"]],
  ["by Whit Monday", "2027-05-17", null, []],
  ["before Christmas", "2026-12-24", null, ["2026-12-25"]],
  ["on New Year's Eve", "2026-12-31", null, []],
];

test("days in words are counted from the letter's own day", () => {
  for (const [words, day, time, others] of PHRASES) {
    const [found] = findDates(`Could you send it ${words}, please?`, tuesday, PLAIN_WEEK);
    expect([words, found?.day, found?.time, found?.others]).toEqual([words, day, time, others]);
  }
  expect(PHRASES.length).toBeGreaterThan(25);
});

test("the writer's zone counts, not the machine's", () => {
  // 00:30 on 1 March in Auckland is still 28 February in London; the tests run with TZ set to Auckland.
  const at = Date.parse("2026-03-01T00:30:00+13:00");
  expect(findDates("by tomorrow", { at, zone: "+13:00" }, PLAIN_WEEK)[0]?.day).toBe("2026-03-02");
  expect(findDates("by tomorrow", { at, zone: "Europe/London" }, PLAIN_WEEK)[0]?.day).toBe("2026-03-01");
  expect(findDates("this week", { at, zone: "Europe/London" }, PLAIN_WEEK)[0]?.day).toBe("2026-03-06");
});

test("written on a Friday, tomorrow may mean Monday", () => {
  expect(findDates("tomorrow", friday, PLAIN_WEEK)[0]).toMatchObject({ day: "2026-11-28", others: ["2026-11-30"] });
});

test("what lies behind, and figures that are no days, are not found", () => {
  for (const words of [
    "last Friday",
    "two weeks ago",
    "we sat on it",
    "version 3.5",
    "due every Monday",
    "call extension 2-14",
    "on the minute",
    "40 m of edging, 150 by 50",
    "page 12",
    "the 3rd floor",
  ]) {
    expect([words, findDates(`It was ${words}.`, tuesday, PLAIN_WEEK).map((date) => date.day)]).toEqual([words, []]);
  }
});

test("a typed date is understood whole, or refused with a sentence", () => {
  const read = (text: string) => readTypedDate(text, tuesday, PLAIN_WEEK);
  expect(read("fri")).toMatchObject({ kind: "date", date: { day: "2026-11-27" } });
  expect(read("3 dec 14:00")).toMatchObject({ kind: "date", date: { day: "2026-12-03", time: "14:00" } });
  expect(read("14th")).toMatchObject({ kind: "date", date: { day: "2026-12-14" } });
  expect(read("16:30")).toMatchObject({ kind: "date", date: { day: "2026-11-24", time: "16:30" } });
  expect(read("none").kind).toBe("none");
  for (const text of [
    "30 feb",
    "31 april",
    "2026-02-30",
    "99/99",
    "soon",
    "fri mon",
    "fri bananas",
    "1 jan 2099",
    "x".repeat(5000),
  ])
    expect([text.slice(0, 20), read(text).kind]).toEqual([text.slice(0, 20), "unclear"]);
});

test("what only has its name from a day, lasts some days or counts from nothing known is no date", () => {
  const words = [
    "the Christmas party",
    "Happy Easter",
    "at Christmas time",
    "for three days",
    "within ten days of its arrival",
    "on Sunday nights",
    "a price for the week",
  ];
  for (const one of words) expect([one, findDates(`Please bake for ${one}.`, tuesday, PLAIN_WEEK)]).toEqual([one, []]);
});

test("first thing is the same morning, and the next one where it is afternoon", () => {
  const [morning] = findDates("I'll ring them first thing.", tuesday, PLAIN_WEEK);
  const [evening] = findDates("I'll ring them first thing.", friday, PLAIN_WEEK);
  expect([morning?.day, evening?.day, evening?.others]).toEqual(["2026-11-24", "2026-11-28", ["2026-11-30"]]);
  expect(findDates("I'll ring them on Thursday first thing.", friday, PLAIN_WEEK).map(({ day }) => day)).toEqual([
    "2026-12-03",
  ]);
});

test("a weekday with its day of the month that was a while ago is news, and one that is not that weekday is a conflict", () => {
  expect(findDates("We met on Friday 13th and again.", tuesday, PLAIN_WEEK).map(({ day }) => day)).toEqual([
    "2026-11-13",
  ]);
  const [found] = findDates("Come on Friday 12th.", tuesday, PLAIN_WEEK);
  expect([found?.day, found?.others, found?.conflict]).toEqual([
    "2026-12-12",
    ["2026-12-11", "2026-11-27"],
    "Friday is named, but that day is a Saturday",
  ]);
});
