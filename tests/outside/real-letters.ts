import fs from "node:fs";
import path from "node:path";
import { parseLetter } from "@/core/letters/parse-letter";
import type { SlipKind } from "@/core/reading/slip";
import type { LabelledLetter } from "../reading/labelled";
import { corpus } from "./pick";

const KINDS: Readonly<Record<string, SlipKind>> = { a: "ask", q: "question", p: "promise", t: "trouble" };

/** Letters of real people with the kinds of their passages, labelled by hand (real-letters.txt). */
export async function realLetters(): Promise<LabelledLetter[]> {
  const lines = fs
    .readFileSync(path.join(import.meta.dirname, "real-letters.txt"), "utf8")
    .trim()
    .split("\n");
  const marked = new Map<string, { kind: SlipKind; quote: string }[]>();
  let open: { kind: SlipKind; quote: string }[] = [];
  for (const line of lines)
    if (/^\d{5}\./.test(line)) {
      open = [];
      marked.set(line, open);
    } else if (marked.size > 0) open.push({ kind: KINDS[line[0]!]!, quote: line.slice(2) });
  const letters: LabelledLetter[] = [];
  for (const { name, raw } of corpus(2_500)) {
    const labels = marked.get(name);
    const parsed = labels && (await parseLetter(raw));
    if (labels && parsed?.ok)
      letters.push({
        name: name.slice(0, 5),
        letter: parsed.letter,
        labels: labels.map((label) => ({ ...label, owner: null, due: [], priority: "normal" })),
      });
  }
  return letters;
}
