import { expect, test } from "vitest";
import { parseLetter } from "../letters/parse-letter";
import { followConversation } from "./follow";
import { allHandedTo } from "./handed-whole";

const person = (name: string) => ({ id: name, name, address: `${name.toLowerCase()}@bindery.example` });
const [WIL, ADA, KIM, JO] = ["Wil", "Ada", "Kim", "Jo"].map(person) as [
  ReturnType<typeof person>,
  ...ReturnType<typeof person>[],
];
const people = { team: [WIL, ADA!, KIM!, JO!], outside: [] };

async function letter(day: number, from: string, to: readonly string[], text: string, subject = "Hours") {
  const of = (name: string) => `${name} <${name.toLowerCase()}@bindery.example>`;
  const head = `From: ${of(from)}\r\nTo: ${to.map(of).join(", ")}\r\nDate: ${day} Nov 2026 09:00:00 +0000\r\nSubject: ${subject}`;
  const parsed = await parseLetter(Buffer.from(`${head}\r\n\r\n${text}`));
  if (!parsed.ok) throw new Error(parsed.why);
  return parsed.letter;
}

// Common practice: what each of several is asked for is done when the last has done it.
test("of what several were asked for, each for their own, one has done a part, and the last the rest", async () => {
  const followed = followConversation(
    [
      await letter(2, "Wil", ["Ada", "Kim"], "Please send me your hours by Friday."),
      await letter(3, "Ada", ["Wil"], "Attached are mine."),
      await letter(3, "Ada", ["Wil"], "Attached are mine, corrected."),
      await letter(4, "Kim", ["Wil"], "My hours are attached."),
    ],
    people,
  );
  expect(followed.map((one) => one.changes.map(({ change }) => change))).toEqual([[], ["part"], ["part"], ["done"]]);
});

test("what somebody is to do is done by the first who does it", async () => {
  const followed = followConversation(
    [
      await letter(2, "Wil", ["Ada", "Kim"], "Could somebody order the glue?"),
      await letter(3, "Ada", ["Wil"], "I've ordered the glue."),
    ],
    people,
  );
  expect(followed.map((one) => one.changes.map(({ change }) => change))).toEqual([[], ["done"]]);
});

test("a letter that is passed on hands over all that it asks, where the words say so", async () => {
  const on = await letter(2, "Wil", ["Ada"], "This is one for you.", "FW: Two things");
  expect(allHandedTo(on, "Ada, this is one for you.")).toBe(ADA!.address);
  expect(allHandedTo(on, "Over to you!")).toBe(ADA!.address);
  expect(allHandedTo(on, "This is for you to read.")).toBeNull();
  expect(allHandedTo(await letter(2, "Wil", ["Ada"], "", "Two things"), "This is one for you.")).toBeNull();
  expect(allHandedTo(await letter(2, "Wil", ["Ada", "Kim"], "", "FW: Two things"), "This is one for you.")).toBeNull();
});
