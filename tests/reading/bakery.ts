import type { Letter } from "@/core/letters/letter";
import { splitText } from "@/core/letters/split-text";
import { readLetter } from "@/core/reading/read-letter";
import type { People } from "@/core/reading/slip";

// A bakery and its suppliers: another trade than the demo's, written for these tests.
const person = (name: string) => ({ id: name, name, address: `${name.split(" ")[0]!.toLowerCase()}@crumb.example` });
export const [anna, ben, cleo] = [person("Anna Rye"), person("Ben Spelt"), person("Cleo Oatley")];
export const miller = { id: "miller", name: "Dov Miller", address: "dov@mill.example" };
export const people: People = { team: [anna!, ben!, cleo!], outside: [miller] };

export function letter(text: string, more: Partial<Letter> = {}): Letter {
  return {
    messageId: null,
    references: [],
    sentAt: 0,
    offset: "+00:00",
    from: miller,
    to: [anna!],
    cc: [],
    subject: "Flour",
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
    ...more,
  };
}

/** Wednesday 4 March 2026, 09:00. */
export const wednesday = { at: Date.parse("2026-03-04T09:00:00Z"), zone: "+00:00" };
export const read = (text: string, more: Partial<Letter> = {}) => readLetter(letter(text, more), people, wednesday);
export const short = (text: string, more: Partial<Letter> = {}) =>
  read(text, more).map((slip) => [
    slip.kind,
    text.slice(slip.start, slip.end),
    slip.owner?.split("@")[0] ?? null,
    slip.due?.day ?? null,
    slip.priority,
  ]);
/** Who has to act, by the part of the address that names them, and by when. */
export const owners = (text: string) =>
  read(text).map(({ owner, due }) => [owner?.split("@")[0] ?? null, due?.day ?? null]);
