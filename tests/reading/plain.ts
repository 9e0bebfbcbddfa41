import fs from "node:fs";
import path from "node:path";

const readPlain = (file: string) => fs.readFileSync(path.join(import.meta.dirname, "plain", file), "utf8");

/** What somebody asks on Monday 1 June 2026, and a few words that are written of it on the Wednesday. */
export interface Phrase {
  readonly asker: string;
  readonly asked: string;
  readonly ask: string;
  /** Whether whoever was asked writes it, and not the asker. */
  readonly isAnswer: boolean;
  /** What it is to do, with the day after "@" where one is named. */
  readonly change: string;
  readonly words: string;
}

export function phrasesIn(name: string): Phrase[] {
  const [, , ...blocks] = readPlain(`${name}.txt`).split(/\n(?=# )/);
  return blocks.flatMap((block) => {
    const [head, ...lines] = block.split("\n");
    const [, asker, asked, ask] = /^# ([\w.]+)>([\w.]+) \| (.+)$/.exec(head!)!;
    return lines.flatMap((line) => {
      const [, side, kind, day, words] = /^([<>]) ([a-z ]+?)(?: (@\S+))? \| (.+)$/.exec(line) ?? [];
      if (!side) return [];
      const change = `${kind}${day ?? ""}`;
      return [{ asker: asker!, asked: asked!, ask: ask!, isAnswer: side === ">", change, words: words! }];
    });
  });
}

/** What was asked or promised on Tuesday 3 March 2026, and what is answered on the Thursday. */
export interface PlainAnswer {
  readonly kind: string;
  readonly asked: string;
  /** Whether whoever has to act writes it. */
  readonly byOwner: boolean;
  readonly change: string;
  readonly due: string | null;
  readonly text: string;
}

export function answersIn(file: string): PlainAnswer[] {
  let [kind, asked] = ["", ""];
  const found: PlainAnswer[] = [];
  for (const line of readPlain(file).split("\n")) {
    const opening = /^\? (\w+) \| (.+)$/.exec(line);
    if (opening) [kind, asked] = [opening[1]!, opening[2]!];
    const [, side, change, due, text] =
      /^([<>]) (none|asks back|called off|\w+)(?: (\d{4}-\d\d-\d\d))? \| (.+)$/.exec(line) ?? [];
    if (side) found.push({ kind, asked, byOwner: side === ">", change: change!, due: due ?? null, text: text! });
  }
  return found;
}
