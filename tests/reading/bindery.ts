import { followConversation } from "@/core/following/follow";
import type { Letter } from "@/core/letters/letter";
import { parseLetter } from "@/core/letters/parse-letter";
import { isSureChange, type People } from "@/core/reading/slip";

// A bindery: another trade than the demo's and than the labelled letters'. What happens to what is open is common practice
// of offices; each letter was written for what it does before it was tried.
const person = (key: string, name: string, house: string) => ({ id: key, name, address: `${key}@${house}.example` });
export const people: People = {
  team: [person("wil", "Wil Tarn", "bindery"), person("oda", "Oda Pike", "bindery")],
  outside: [person("hugh", "Hugh Marl", "archive")],
};
export const WIL = "wil@bindery.example";
export const ODA = "oda@bindery.example";
export const HUGH = "hugh@archive.example";

export async function letter(day: number, from: string, to: string, text: string, more = ""): Promise<Letter> {
  const date = new Date(Date.UTC(2026, 10, day, 9)).toUTCString().replace("GMT", "+0000");
  const raw = `From: ${from}\r\nTo: ${to}\r\nDate: ${date}\r\nSubject: Ledgers\r\n${more}\r\n${text}\r\n`;
  const parsed = await parseLetter(Buffer.from(raw));
  if (!parsed.ok) throw new Error(parsed.why);
  return parsed.letter;
}

/** What a second letter does to what the first one opened: "kind of change, day, owner" by the place of the item. */
export async function after(first: string, from: string, second: string, more = "") {
  const [opened, then] = followConversation(
    [await letter(2, HUGH, WIL, first), await letter(3, from, from === HUGH ? WIL : HUGH, second, more)],
    people,
  );
  const placeOf = new Map(opened!.opens.map((item, i) => [item.id, i + 1]));
  return {
    opened: opened!.opens.length,
    opens: then!.opens.map((item) => item.kind),
    changes: then!.changes.map((one) => [placeOf.get(one.item), one.change, one.due, one.owner]),
  };
}

export const TWO = "Could you rebind the two ledgers by Friday? Please also send the price of the vellum.";

/** The changes of an answer of Wil's to one ask, and how sure each is. */
export async function answered(first: string, text: string) {
  const [, then] = followConversation([await letter(2, HUGH, WIL, first), await letter(3, WIL, HUGH, text)], people);
  return then!.changes.map(({ change, confidence }) => [change, isSureChange({ confidence })]);
}
