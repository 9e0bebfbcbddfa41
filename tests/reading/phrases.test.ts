import fs from "node:fs";
import path from "node:path";
import { expect, test } from "vitest";
import { Following } from "@/core/following/follow";
import { letterOf, PEOPLE } from "./labelled";

interface Phrase {
  readonly asker: string;
  readonly asked: string;
  readonly ask: string;
  /** Whether whoever was asked writes it, and not the asker. */
  readonly isAnswer: boolean;
  /** What it is to do, with the day after "@" where one is named. */
  readonly change: string;
  readonly words: string;
}

function phrasesIn(name: string): Phrase[] {
  const text = fs.readFileSync(path.join(import.meta.dirname, `plain/${name}.txt`), "utf8");
  const [, , ...blocks] = text.split(/\n(?=# )/);
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

/** What a phrase does to what was asked; what it opens counts as well. */
async function doneBy({ asker, asked, ask, isAnswer, change, words }: Phrase): Promise<string> {
  const following = new Following(PEOPLE);
  following.read(await letterOf(`${asker} -> ${asked} | Mon, 01 Jun 2026 09:00:00 +0100 | Things`, `Hi,\n\n${ask}\n`));
  const [from, to] = isAnswer ? [asked, asker] : [asker, asked];
  const { opens, changes } = following.read(
    await letterOf(`${from} -> ${to} | Wed, 03 Jun 2026 09:00:00 +0100 | Re: Things`, `${words}\n`),
  );
  const found = changes.map((one) => one.change + (change.includes("@") && one.due ? `@${one.due}` : ""));
  return [...found, ...opens.map(({ kind }) => `opens ${kind}`)].join(", ") || "nothing";
}

// Common practice: how people answer in a few words.
test.each([
  ["phrases", { phrases: 690, share: 0.86 }],
  ["phrases-unlearnt", { phrases: 100, share: 0.75 }],
] as const)("%s: what a few words do to the one thing that was asked", async (name, floor) => {
  const phrases = phrasesIn(name);
  const mistakes: string[] = [];
  for (const phrase of phrases) {
    const found = await doneBy(phrase);
    if (found !== phrase.change)
      mistakes.push(`${phrase.ask} ${phrase.isAnswer ? ">" : "<"} ${phrase.words}: ${phrase.change}, found ${found}`);
  }
  const share = 1 - mistakes.length / phrases.length;
  console.log(`${name}: ${phrases.length}, of which right ${share.toFixed(3)}`);
  expect(phrases.length).toBeGreaterThanOrEqual(floor.phrases);
  expect(share >= floor.share ? "enough" : mistakes).toBe("enough");
});
