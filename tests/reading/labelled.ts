import fs from "node:fs";
import path from "node:path";
import type { Letter, TextPart } from "@/core/letters/letter";
import { parseLetter } from "@/core/letters/parse-letter";
import type { People, Person, SlipKind } from "@/core/reading/slip";

/** What is labelled in a letter: GUIDE-like fields; `due` lists every day that a fair reader accepts, none where it is empty. */
export interface Label {
  readonly kind: SlipKind;
  readonly quote: string;
  readonly owner: string | null;
  readonly due: readonly string[];
  readonly priority: string;
}

export interface LabelledLetter {
  readonly name: string;
  readonly letter: Letter;
  readonly labels: readonly Label[];
}

const folder = path.join(import.meta.dirname, "letters");

interface PeopleFile {
  readonly team: readonly { name: string; email: string; nicknames?: string[] }[];
  readonly outside: readonly { name: string; email: string }[];
}
const file = JSON.parse(fs.readFileSync(path.join(folder, "people.json"), "utf8")) as PeopleFile;
const asPerson = ({ name, email, nicknames }: { name: string; email: string; nicknames?: string[] }): Person => ({
  id: email,
  name,
  address: email,
  ...(nicknames ? { nicknames } : {}),
});

export const PEOPLE: People = { team: file.team.map(asPerson), outside: file.outside.map(asPerson) };

/** "nadia" → the person whose address begins with it, or whose name has it. */
function personKnown(key: string): Person {
  const all = [...PEOPLE.team, ...PEOPLE.outside];
  const found =
    all.find((one) => one.address.startsWith(`${key}@`)) ?? all.find((one) => one.name.toLowerCase().includes(key));
  if (!found) throw new Error(`Nobody is called “${key}”.`);
  return found;
}

const MARK = /\{(ask|question|promise|trouble); ?([\w-]+); ?([\d,-]+); ?(\w+) \| ([^}]+)\}/g;

/** The labelled letters of a file, in its order. */
export async function labelledLetters(set: "a" | "b" | "c" | "d"): Promise<LabelledLetter[]> {
  const [, ...pieces] = fs.readFileSync(path.join(folder, `${set}.txt`), "utf8").split("=====\n");
  const letters: LabelledLetter[] = [];
  for (const [i, piece] of pieces.entries()) {
    const [head, ...lines] = piece.split("\n");
    const [who, date, subject] = head!.split(" | ");
    const [from, to] = who!.split(" -> ");
    const marked = lines.join("\n");
    const labels = [...marked.matchAll(MARK)].map(([, kind, owner, due, priority, quote]) => ({
      kind: kind as SlipKind,
      quote: quote!,
      owner: owner === "-" ? null : personKnown(owner!).address,
      due: due === "-" ? [] : due!.split(","),
      priority: priority!,
    }));
    const person = (key: string) => {
      const { name, address } = personKnown(key.trim());
      return `${name} <${address}>`;
    };
    const raw = [
      `From: ${person(from!)}`,
      `To: ${to!.split(",").map(person).join(", ")}`,
      `Date: ${date}`,
      `Subject: ${subject}`,
      "Content-Type: text/plain; charset=utf-8",
      "",
      marked.replace(MARK, "$5"),
    ].join("\r\n");
    const parsed = await parseLetter(Buffer.from(raw));
    if (!parsed.ok) throw new Error(parsed.why);
    letters.push({ name: `${set}${i + 1}`, letter: parsed.letter, labels });
  }
  return letters;
}

export type { TextPart };
