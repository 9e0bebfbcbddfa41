import { expect, test } from "vitest";
import { owners, read, short } from "./bakery";

test("what somebody is to be told by then is not due then", () => {
  const [, told] = short("Please send the rye by Friday. Please tell them that the rye is gone by then.");
  expect(told?.[3]).toBeNull();
  const [, same] = short("Please send the rye by Friday. Please sweep the yard by then.");
  expect(same?.[3]).toBe("2026-03-06");
});

test("a sentence that only says by when what was asked before it is wanted gives that its day", () => {
  const days = (text: string) => short(text).map(([, words, , due]) => [words, due]);
  for (const behind of [
    "It would be a great help to have this until Friday.",
    "I need it by Friday.",
    "By Friday, please.",
    "By Friday, please, if you can.",
  ])
    expect([behind, days(`Could you write me what rye costs? ${behind}`)]).toEqual([
      behind,
      [["Could you write me what rye costs?", "2026-03-06"]],
    ]);
  // What has a day keeps it, and a thing of its own is an item.
  expect(days("Could you write me today what rye costs? I need it by Friday.")).toHaveLength(2);
  expect(days("Could you write me what rye costs? I need two sacks by Friday.")).toHaveLength(2);
});

test("days that are over, in which what is asked for lies, or until which something lasts are no due dates", () => {
  const due = (text: string) => short(text).map(([kind, , , day]) => [kind, day]);
  expect(due("Please send the papers of all bakers who came after 1 June 2025.")).toEqual([["ask", null]]);
  expect(due("Please let me have a date within seven days.")).toEqual([["ask", "2026-03-11"]]);
  expect(due("Could you swap your Sunday with Ben?")).toEqual([["ask", null]]);
  expect(due("Please let me have two dates in the week of 20 April.")).toEqual([["ask", null]]);
  expect(due("The new oven comes on Monday. Until then please use the old one.")).toContainEqual(["ask", null]);
  expect(due("The first bill has to be here before the year end on 31 March.")).toEqual([["ask", "2026-03-31"]]);
  expect(due("We will try again between 12.00 and 14.00.")).toEqual([["promise", "2026-03-04"]]);
});

test("how urgent the whole matter is holds for all that is asked, wherever it is said; what cannot wait longer is not urgent", () => {
  const asks = "Could you weigh the sacks?\n\nPlease also sweep the yard. The oven is broken.\n\n";
  const priorities = (text: string) => short(text).map(([kind, , , , priority]) => [kind, priority]);
  expect(priorities(`${asks}The matter is not pressing, any day will do.`)).toEqual([
    ["ask", "low"],
    ["ask", "low"],
    ["trouble", "normal"],
  ]);
  expect(priorities("Please be at the gate, the driver cannot wait more than ten minutes.")).toEqual([
    ["ask", "normal"],
  ]);
});

test("words of haste make an ask high, headers make the letter's asks high", () => {
  expect(short("Please ring me ASAP.")[0]).toEqual(["ask", "Please ring me ASAP.", "anna", "2026-03-04", "high"]);
  expect(short("Please ring me.", { isUrgent: true })[0]?.[4]).toBe("high");
});

test("how long the work takes is read with the ask or from the sentence behind it, and the reason says so", () => {
  const found = read(
    "Hi Anna,\n\nCould you sieve the rye? It shouldn't take more than half an hour.\n\nBen, please clean the proving room, a two-hour job, by Friday.\n\nPlease send the list. The delivery takes two days.",
  );
  expect(found.map(({ estimate }) => estimate)).toEqual([30, 120, null]);
  expect(found[0]!.reason).toContain("“half an hour”");
});

test("two orders of one sentence that have a day each are two; what has to be before a day that was named", () => {
  const days = (text: string) => short(text).map(([, words, , due]) => [words, due]);
  expect(days("Ring the mill tomorrow and get a sample taken by Friday.")).toEqual([
    ["Ring the mill tomorrow", "2026-03-05"],
    ["get a sample taken by Friday.", "2026-03-06"],
  ]);
  expect(days("Ring the mill and get a sample taken by Friday.")).toHaveLength(1);
  expect(days("The baker comes on Friday. Please sweep the yard before that.").at(-1)?.[1]).toBe("2026-03-06");
});

test("somebody is to be somewhere at a time: on the day that was just named", () => {
  expect(owners("The oven man comes on Friday. Somebody should be there at nine.").at(-1)?.[1]).toBe("2026-03-06");
});
