import { expect, test } from "vitest";
import { letterOf, PEOPLE } from "../../../../tests/reading/labelled";
import { readLetter } from "../read-letter";

// Notes of a meeting, as they are kept in offices: names of people.json, of a caterer's.
async function slipsOf(text: string) {
  const letter = await letterOf("nadia -> ruben, sanna, emeka | Tue, 3 Mar 2026 10:00:00 +0000 | Tuesday", text);
  const slips = readLetter(letter, PEOPLE, { at: letter.sentAt!, zone: letter.offset });
  return slips.map(({ kind, owner }) => `${kind} ${owner?.split("@")[0] ?? "nobody"}`);
}

test("in notes, what somebody does in plain present is theirs, and the writer's own a promise", async () => {
  const notes = "Oven\nRuben calls the fitter. Sanna checks the guarantee.\n\nStore\nNadia writes to the landlord.";
  expect(await slipsOf(notes)).toEqual(["ask ruben", "ask sanna", "promise nadia"]);
});

test("elsewhere it only tells how things are", async () => {
  expect(await slipsOf("Ruben works in the kitchen, and I am in the office.")).toEqual([]);
});

test("points of a list that only say what something costs ask for nothing", async () => {
  const prices = "I have two quotes:\n- Airtec £1,850, delivery in 3 weeks\n- Boland £2,100, delivery next week";
  expect(await slipsOf(prices)).toEqual([]);
  expect(await slipsOf("Please:\n- pay £20 to the florist\n- order the glue")).toHaveLength(2);
});
