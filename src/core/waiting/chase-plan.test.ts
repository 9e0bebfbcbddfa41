import { expect, test } from "vitest";
import { PLAIN_WEEK } from "../time/day";
import { instantOf } from "../time/moment";
import { afterChase, type ChasePlan, putOffChase } from "./chase-plan";
import { readPlan } from "./read-plan";

const ZONE = "Europe/London";
const NOW = { at: instantOf("2026-11-24", "11:20", ZONE), zone: ZONE };

test("a plan is read from one line: when, how often, how many", () => {
  const read = (line: string) => {
    const { firstAt, ...rest } = readPlan(line, NOW, PLAIN_WEEK, "dmy");
    return { ...rest, at: firstAt === null ? null : new Date(firstAt).toISOString() };
  };
  expect(read("wednesday 9:00")).toEqual({ at: "2026-11-25T09:00:00.000Z", every: 3, letters: 1 });
  expect(read("thursday, then every 2 working days, 4 letters")).toEqual({
    at: "2026-11-26T09:00:00.000Z",
    every: 2,
    letters: 4,
  });
  expect(read("1 December 14:30, every second day, twice")).toMatchObject({
    at: "2026-12-01T14:30:00.000Z",
    every: 2,
    letters: 2,
  });
  expect(read("friday every week")).toMatchObject({ at: "2026-11-27T09:00:00.000Z", every: 5, letters: 3 });
  expect(read("every 3 days, 99 letters")).toMatchObject({ at: null, every: 3, letters: 5 });
  expect(read("when I feel like it")).toMatchObject({ at: null });
});

test("letters leave at the same wall time, on working days, also over a change of the clocks, and end", () => {
  // Thursday before the clocks go back in the night to 25 October 2026.
  const plan: ChasePlan = {
    nextAt: "2026-10-22T08:00:00.000Z",
    every: 2,
    left: 3,
    byId: "ines",
    madeAt: "2026-10-20T08:00:00.000Z",
    said: "",
  };
  const second = afterChase(plan, ZONE, "09:00", PLAIN_WEEK)!;
  expect(second).toMatchObject({ nextAt: "2026-10-26T09:00:00.000Z", left: 2 });
  const third = afterChase(second, ZONE, "09:00", PLAIN_WEEK)!;
  expect(third).toMatchObject({ nextAt: "2026-10-28T09:00:00.000Z", left: 1 });
  expect(afterChase(third, ZONE, "09:00", PLAIN_WEEK)).toBeNull();
  const off = putOffChase({ ...plan, nextAt: "2026-10-23T08:00:00.000Z" }, "They are away.", ZONE, "09:00", PLAIN_WEEK);
  expect(off).toMatchObject({ nextAt: "2026-10-26T09:00:00.000Z", left: 3, said: "They are away." });
});
