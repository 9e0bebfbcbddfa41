import { expect, test } from "vitest";
import { PLAIN_WEEK } from "../time/day";
import { readCall } from "./read-call";

const FROM = { at: Date.parse("2026-11-24T11:20:00Z"), zone: "Europe/London" };
const read = (text: string) => readCall(text, FROM, PLAIN_WEEK, "dmy");

test("a call that reached them ends the silence and may name a day; one that did not names none", () => {
  expect(read("will send on the 3rd")).toEqual({ isReached: true, due: { day: "2026-12-03", time: null } });
  expect(read("rang, they call back on Thursday")).toMatchObject({ isReached: true, due: { day: "2026-11-26" } });
  expect(read("she has it nearly done")).toEqual({ isReached: true, due: null });
  for (const text of [
    "rang, no answer",
    "nobody picked up",
    "left a message, try again on Friday",
    "engaged twice",
    "not in until Monday",
    "couldn't reach him",
  ])
    expect([text, read(text)]).toEqual([text, { isReached: false, due: null }]);
});
