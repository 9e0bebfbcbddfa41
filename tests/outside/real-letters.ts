import fs from "node:fs";
import path from "node:path";
import { parseLetter } from "@/core/letters/parse-letter";
import type { SlipKind } from "@/core/reading/slip";
import { KIND_MARKS } from "../reading/kind-marks";
import type { LabelledLetter } from "../reading/labelled";
import { corpus } from "./pick";

/** Letters of real people with the kinds of their passages, labelled by hand: those that nothing is learnt from. */
export const REAL_LETTERS = path.join(import.meta.dirname, "real-letters.txt");

/** More of them, whose mistakes were looked at. */
export const REAL_LETTERS_SEEN = path.join(import.meta.dirname, "real-letters-seen.txt");

const flat = (text: string) => text.replace(/\s+/g, " ");

/** Digits by which a letter of the corpus goes. */
const NUMBER = /^\d{5}/;

/** The numbers of a file's letters, each with its labels. */
function labelsIn(file: string): ReadonlyMap<string, readonly { kind: SlipKind; quote: string }[]> {
  const labels = new Map<string, { kind: SlipKind; quote: string }[]>();
  let open: { kind: SlipKind; quote: string }[] = [];
  for (const line of fs.readFileSync(file, "utf8").trim().split("\n"))
    if (NUMBER.test(line)) {
      open = [];
      labels.set(line, open);
    } else if (labels.size > 0) {
      const kind = KIND_MARKS[line[0]!];
      if (!kind || line[1] !== " ") throw new Error(`Not labelled: “${line}”.`);
      open.push({ kind, quote: line.slice(2) });
    }
  return labels;
}

/** The numbers of the letters that a file labels. */
export function numbersIn(file: string): readonly string[] {
  return [...labelsIn(file).keys()];
}

/** The letters that a file labels. */
export async function realLetters(file: string): Promise<LabelledLetter[]> {
  const labelled = labelsIn(file);
  const letters: LabelledLetter[] = [];
  for (const { name, raw } of corpus(2_500)) {
    const number = NUMBER.exec(name)?.[0] ?? "";
    const labels = labelled.get(number);
    const parsed = labels && (await parseLetter(raw));
    if (!labels || !parsed?.ok) continue;
    const { letter } = parsed;
    const lost = labels.find(({ quote }) => !flat(letter.text).includes(flat(quote)));
    if (lost) throw new Error(`Letter ${number} does not say “${lost.quote}”.`);
    letters.push({
      name: number,
      letter,
      labels: labels.map((label) => ({ ...label, owner: null, due: [], priority: "normal" })),
    });
  }
  return letters;
}
