import { expect, test } from "vitest";
import { splitText } from "../letters/split-text";
import { readLetter } from "./read-letter";

// A boatyard; what belongs together in a letter is common practice of offices.
const wil = { id: "wil", name: "Wil Tarn", address: "wil@yard.example" };
const people = { team: [wil], outside: [] };
const hugh = { id: "hugh", name: "Hugh Marl", address: "hugh@owner.example" };
const sent = { at: Date.parse("2026-03-04T09:00:00Z"), zone: "+00:00" };

function asked(text: string) {
  const letter = {
    messageId: null,
    references: [],
    sentAt: 0,
    offset: "+00:00",
    from: hugh,
    to: [wil],
    cc: [],
    subject: "Mast",
    text,
    parts: splitText(text, false),
    hasHtml: false,
    files: [],
    automatic: null,
    passedOn: null,
    bounce: null,
    sealed: null,
    isUrgent: false,
    problems: [],
  };
  return readLetter(letter, people, sent).map((slip) => [
    text.slice(slip.start, slip.end),
    slip.title,
    slip.due?.day ?? null,
  ]);
}

test("what somebody else wants and who is to see to it, right behind, is asked once, of the thing and by the day that were named", () => {
  const text = "The surveyor wants the drawings of the mast by Friday. Could you send them to him?";
  expect(asked(text)).toEqual([[text, "Send the drawings of the mast to him", "2026-03-06"]]);
});

test("an ask with a thing of its own is another one, and so is one by whoever wants both", () => {
  expect(asked("The surveyor wants the drawings by Friday. Could you send us the bill for the mast?")).toHaveLength(2);
  const gate = "Please make sure that the gate is open.";
  expect(asked(`The surveyor needs the drawings. ${gate}`).at(-1)![0]).toBe(gate);
  expect(asked("We need the drawings by Friday. Could you also send them to the surveyor?")).toHaveLength(2);
});

test("what the writer lacks and is then asked for is one item", () => {
  const text = "I have still not had the rigging plan. Can you get it to me by Friday?";
  expect(asked(text)).toEqual([[text, "Get the rigging plan to Hugh", "2026-03-06"]]);
});
