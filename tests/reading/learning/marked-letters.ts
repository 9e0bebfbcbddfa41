import fs from "node:fs";
import path from "node:path";
import type { Letter } from "@/core/letters/letter";
import { parseLetter } from "@/core/letters/parse-letter";
import type { SlipKind } from "@/core/reading/slip";
import { KIND_MARKS } from "../kind-marks";
import type { LabelledLetter } from "../labelled";

/** A letter in which the passages of each kind are marked. */
export interface MarkedLetter {
  readonly letter: Letter;
  readonly marked: readonly { readonly quote: string; readonly is: SlipKind }[];
}

const FOLDER = path.join(import.meta.dirname, "letters");

/** The files of marked letters, which are sets as the labelled letters are. */
export const MARKED_SETS = fs.readdirSync(FOLDER).map((name) => name.replace(/\.txt$/, ""));

const MARK = /\{([aqpt])\| ([^}]+)\}/g;

const fileOf = (set: string) => path.join(FOLDER, `${set}.txt`);

/** The letters of a set, each with what is marked in it: "{a| Send the list.}" is an ask. */
export async function markedLetters(set: string, file = fileOf(set)): Promise<MarkedLetter[]> {
  const [, ...texts] = fs.readFileSync(file, "utf8").split("=====\n");
  return Promise.all(
    texts.map(async (text) => {
      const head =
        "From: writer@theirs.example\r\nTo: reader@ours.example\r\nContent-Type: text/plain; charset=utf-8\r\n";
      const parsed = await parseLetter(Buffer.from(`${head}\r\n${text.replace(MARK, "$2")}`));
      if (!parsed.ok) throw new Error(parsed.why);
      const marked = [...text.matchAll(MARK)].map(([, kind, quote]) => ({ quote: quote!, is: KIND_MARKS[kind!]! }));
      return { letter: parsed.letter, marked };
    }),
  );
}

/** The letters of a set as labelled ones, of which nothing but the kind is labelled; it may stand in another file than those that are learnt from. */
export async function kindsLabelled(set: string, file = fileOf(set)): Promise<LabelledLetter[]> {
  return (await markedLetters(set, file)).map(({ letter, marked }, i) => ({
    name: `${set} ${i + 1}`,
    letter,
    labels: marked.map(({ quote, is }) => ({ kind: is, quote, owner: null, due: [], priority: "normal" })),
  }));
}
