import { expect, test } from "vitest";
import { findDates } from "../time/dates-in-words";
import { PLAIN_WEEK } from "../time/day";
import { countedBackFromEvent, countedBackFromNamed, countedFromDay, countsFromDay } from "./counted-back";

const from = { at: Date.parse("2026-11-02T09:00:00Z"), zone: "+00:00" };
const back = (earlier: string, text: string) => countedFromDay(text, findDates(earlier, from, PLAIN_WEEK))?.day ?? null;

test("days are counted back from the day that was named before", () => {
  expect(back("The board meets on the 20th.", "We need it two days earlier.")).toBe("2026-11-18");
  expect(back("They open on 20 November.", "Have it ready the day before.")).toBe("2026-11-19");
  expect(back("on the 13th, or rather the 20th", "it has to be here a week before that")).toBe("2026-11-13");
});

test("the evening before, and a fortnight beforehand", () => {
  expect(back("The van has its service on the 18th.", "Bring it to us the evening before.")).toBe("2026-11-17");
  expect(back("She leaves us on 30 November.", "I need a price a fortnight beforehand.")).toBe("2026-11-16");
});

test("days are counted on from the day that was named before", () => {
  expect(back("Send me the text by Tuesday.", "We print on the day after.")).toBe("2026-11-04");
  expect(back("They open on 20 November.", "Take the tent down two days later.")).toBe("2026-11-22");
  expect(back("They open on 20 November.", "It has to be back by noon, not a day later.")).toBeNull();
  expect(back("The board meets soon.", "We print on the day after.")).toBeNull();
  expect(findDates("We fetch it the day after the fair.", from, PLAIN_WEEK)).toEqual([]);
});

test("days and working days are counted back from an event whose day stands in brackets behind it", () => {
  const named = (text: string) =>
    countedBackFromNamed(text, findDates(text, from, PLAIN_WEEK), PLAIN_WEEK)?.day ?? null;
  expect(named("We need it ten working days before the event (Saturday 12 December).")).toBe("2026-11-30");
  expect(named("It must be here two weeks before the opening (12 December).")).toBe("2026-11-28");
  expect(named("It must be here on 12 December, two weeks before the opening.")).toBeNull();
});

test("without a day before, or without counting back, there is none", () => {
  expect(back("The board meets soon.", "We need it two days earlier.")).toBeNull();
  expect(back("The board meets on the 20th.", "We need it then.")).toBeNull();
  // Counted from what follows, which the dates in words do themselves.
  expect(countsFromDay("two days before the opening")).toBe(false);
});

test("the weekday before a day that was named", () => {
  expect(back("We go to print on 4 December.", "I have to have it on the Tuesday before that.")).toBe("2026-12-01");
  expect(back("They open on Friday 20 November.", "Ring me the Friday before that.")).toBe("2026-11-13");
});

test("days are counted back from an event whose day was named with it, and from no other", () => {
  const before = "The sale is on 10 November. The first start is at 11 on Saturday 12 December.";
  const earlier = findDates(before, from, PLAIN_WEEK);
  const dueBefore = (text: string) => countedBackFromEvent(text, before, () => earlier)?.day ?? null;
  expect(dueBefore("Entries have to be here four weeks before the first start.")).toBe("2026-11-14");
  expect(dueBefore("Posters go up three days before the sale.")).toBe("2026-11-07");
  expect(dueBefore("We need it ten days before the holidays.")).toBeNull();
});
