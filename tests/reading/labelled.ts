import fs from "node:fs";
import path from "node:path";
import type { Letter } from "@/core/letters/letter";
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
  /** Who is known in the house that the letter is from; by default everybody of people.json. */
  readonly people?: People;
}

const folder = path.join(import.meta.dirname, "letters");

interface PeopleFile {
  readonly team: readonly { name: string; email: string; nicknames?: string[] }[];
  readonly outside: readonly { name: string; email: string }[];
}
const asPerson = ({ name, email, nicknames }: { name: string; email: string; nicknames?: string[] }): Person => ({
  id: email,
  name,
  address: email,
  ...(nicknames ? { nicknames } : {}),
});

export function peopleOf(name: string): People {
  const file = JSON.parse(fs.readFileSync(path.join(folder, name), "utf8")) as PeopleFile;
  return { team: file.team.map(asPerson), outside: file.outside.map(asPerson) };
}

export const PEOPLE = peopleOf("people.json");

/** "nadia" → the person whose address begins with it, or whose name has it. */
export function personKnown(key: string, people = PEOPLE): Person {
  const all = [...people.team, ...people.outside];
  const found =
    all.find((one) => one.address.startsWith(`${key}@`)) ?? all.find((one) => one.name.toLowerCase().includes(key));
  if (!found) throw new Error(`Nobody is called “${key}”.`);
  return found;
}

/** The sets of labelled letters, by the file they stand in. */
export const LETTER_SETS = [
  "a",
  "b",
  "c",
  "d",
  "e",
  "f",
  "g",
  "h",
  "i",
  "j",
  "k",
  "l",
  "m",
  "n",
  "o",
  "p",
  "q",
  "r",
  "s",
  "t",
  "u",
  "v",
  "w",
  "x",
  "y",
  "z",
  "aa",
  "bb",
  "cc",
  "dd",
  "ee",
  "ff",
  "gg",
] as const;
export type LetterSet = (typeof LETTER_SETS)[number];

/**
 * Plain letters with several items each: lists, minutes, forwarded ones. Nothing is learnt from them; the mistakes of kk, oo and
 * pp were looked at, for the others nothing is mended.
 */
export type PlainSet = "kk" | "ll" | "mm" | "oo" | "pp";

/** The sets from which nothing is learnt, and for which nothing is mended: they say what strangers' letters can expect. */
export const UNLEARNT_SETS: readonly LetterSet[] = ["o", "p", "bb"];

const MARK = /\{(ask|question|promise|trouble); ?([\w.-]+); ?([\d,-]+); ?(\w+) \| ([^}]+)\}/g;

/** A letter from a head like "kd -> nadia, sanna | DATE | Subject" and its text. */
export async function letterOf(head: string, text: string, people = PEOPLE): Promise<Letter> {
  const [who, date, subject] = head.split(" | ");
  const [from, to] = who!.split(" -> ");
  const person = (key: string) => {
    const { name, address } = personKnown(key.trim(), people);
    return `${name} <${address}>`;
  };
  const raw = [
    `From: ${person(from!)}`,
    `To: ${to!.split(",").map(person).join(", ")}`,
    `Date: ${date}`,
    `Subject: ${subject}`,
    "Content-Type: text/plain; charset=utf-8",
    "",
    text,
  ].join("\r\n");
  const parsed = await parseLetter(Buffer.from(raw));
  if (!parsed.ok) throw new Error(parsed.why);
  return parsed.letter;
}

/** The labelled letters of a set, in its order. */
export async function labelledLetters(set: LetterSet | PlainSet): Promise<LabelledLetter[]> {
  const [, ...pieces] = fs.readFileSync(path.join(folder, `${set}.txt`), "utf8").split("=====\n");
  // Some sets are letters of a house of their own, with people of its own.
  const own = `people-${set}.json`;
  const people = fs.existsSync(path.join(folder, own)) ? peopleOf(own) : PEOPLE;
  const letters: LabelledLetter[] = [];
  for (const [i, piece] of pieces.entries()) {
    const [head, ...lines] = piece.split("\n");
    const marked = lines.join("\n");
    const labels = [...marked.matchAll(MARK)].map(([, kind, owner, due, priority, quote]) => ({
      kind: kind as SlipKind,
      quote: quote!,
      owner: owner === "-" ? null : personKnown(owner!, people).address,
      due: due === "-" ? [] : due!.split(","),
      priority: priority!,
    }));
    const letter = await letterOf(head!, marked.replace(MARK, "$5"), people);
    letters.push({ name: `${set}${i + 1}`, letter, labels, people });
  }
  return letters;
}
