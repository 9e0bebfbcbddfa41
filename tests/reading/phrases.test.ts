import { expect, test } from "vitest";
import { Following } from "@/core/following/follow";
import { letterOf, PEOPLE } from "./labelled";
import { type Phrase, phrasesIn } from "./plain";

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
  ["phrases", { phrases: 690, share: 0.88 }],
  ["phrases-later", { phrases: 185, share: 0.81 }],
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
