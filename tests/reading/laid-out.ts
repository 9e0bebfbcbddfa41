import fs from "node:fs";
import path from "node:path";
import { parseLetter } from "@/core/letters/parse-letter";
import { type Label, type LabelledLetter, peopleOf } from "./labelled";

const FOLDER = path.join(import.meta.dirname, "letters/laid-out");

/** Whole messages as programs and people lay them out: tables, lists, tickets, forwarded and answered letters, with their labels beside them. */
export async function laidOutLetters(): Promise<LabelledLetter[]> {
  const people = peopleOf("people-cc.json");
  const letters: LabelledLetter[] = [];
  for (const file of fs.readdirSync(FOLDER).filter((name) => name.endsWith(".eml"))) {
    const name = file.replace(/\.eml$/, "");
    const parsed = await parseLetter(fs.readFileSync(path.join(FOLDER, file)));
    if (!parsed.ok) throw new Error(`${file}: ${parsed.why}`);
    const { items } = JSON.parse(fs.readFileSync(path.join(FOLDER, `${name}.json`), "utf8")) as {
      items: (Omit<Label, "due"> & { due: string[] | null })[];
    };
    letters.push({ name, letter: parsed.letter, labels: items.map((one) => ({ ...one, due: one.due ?? [] })), people });
  }
  return letters;
}
