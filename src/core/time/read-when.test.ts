import { expect, test } from "vitest";
import { PLAIN_WEEK } from "./day";
import { figuresOf } from "./figures-order";
import { readWhen } from "./read-when";

const tuesday = { at: Date.parse("2026-11-24T08:12:00Z"), zone: "+00:00" };
const when = (phrase: string, from = tuesday) => {
  const { date, time, alternatives, reason } = readWhen(phrase, from, PLAIN_WEEK);
  return [date, time, alternatives, reason];
};

// Calendar facts: 14 December 2026 is a Monday, 27 November 2026 a Friday.
test("a weekday that is not that of its date is a conflict, and both are given", () => {
  expect(when("Friday the 27th")).toEqual(["2026-11-27", null, [], "day of the month"]);
  for (const phrase of ["Friday the 14th", "on Friday 14 December", "Fri, Dec 14"])
    expect(when(phrase)).toEqual([
      "2026-12-14",
      null,
      ["2026-12-11", "2026-11-27"],
      "Friday is named, but that day is a Monday",
    ]);
});

test("a day that no month has is said to be none", () => {
  expect(when("31 February")).toEqual([null, null, [], "there is no 31 February"]);
  expect(when("by June 31st")).toEqual([null, null, [], "there is no June 31st"]);
  expect(when("sometime soon")).toEqual([null, null, [], "no day is named"]);
});

test("a correction counts alone, what is joined is offered, a time alone is the next such", () => {
  expect(when("Thursday, no, make it Friday")[0]).toBe("2026-11-27");
  expect(when("today or tomorrow").slice(0, 3)).toEqual(["2026-11-24", null, ["2026-11-25"]]);
  expect(when("between the 3rd and the 5th").slice(0, 3)).toEqual(["2026-12-03", null, ["2026-12-05"]]);
  expect(when("by noon").slice(0, 2)).toEqual(["2026-11-24", "12:00"]);
  expect(when("by 8:00").slice(0, 2)).toEqual(["2026-11-25", "08:00"]);
});

test("figures are ordered as the writer's zone has them, the other order is offered", () => {
  expect([figuresOf("-08:00"), figuresOf("+01:00"), figuresOf("Europe/London")]).toEqual(["mdy", "dmy", "dmy"]);
  const pacific = { at: tuesday.at, zone: "-08:00" };
  expect(when("3/4", pacific).slice(0, 3)).toEqual(["2027-03-04", null, ["2027-04-03"]]);
  expect(when("3/4").slice(0, 3)).toEqual(["2027-04-03", null, ["2027-03-04"]]);
  expect(when("13/4", pacific)[0]).toBe("2027-04-13");
});
