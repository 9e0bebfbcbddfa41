import fs from "node:fs";
import path from "node:path";
import { VECTORS } from "./vectors";

const LEXICON = path.join(process.cwd(), "node_modules/vader-sentiment/vader_lexicon.txt");

/** A word that is rated nearer to nought says neither good nor bad. */
const TELLING = 0.4;

/**
 * How good or bad frequent words sound, from -4 to 4: the means of ten people's ratings in the lexicon of VADER (Hutto & Gilbert
 * 2014, "VADER: a parsimonious rule-based model for sentiment analysis of social media text").
 */
const VALENCES: ReadonlyMap<string, number> = new Map(
  fs
    .readFileSync(LEXICON, "utf8")
    .split("\n")
    .flatMap((line) => {
      const [word, mean] = line.split("\t");
      const valence = Number(mean);
      return word && VECTORS.has(word) && Math.abs(valence) > TELLING ? [[word, valence] as const] : [];
    }),
);

/** What a valence adds to the numbers that are measured: how bad, how good, one bad word, one good word. */
function numbersOf(valence: number): number[] {
  return valence < 0 ? [-valence / 2, 0, 1, 0] : [0, valence / 2, 0, 1];
}

export const VALENCE_NUMBERS = 4;

/** How bad and how good the words of a clause sound together, and how many are bad and good; each word counts once. */
export function valencesOf(words: readonly string[]): number[] {
  const sum = Array.from({ length: VALENCE_NUMBERS }, () => 0);
  for (const word of new Set(words)) {
    const valence = VALENCES.get(word);
    if (valence !== undefined) for (const [i, number] of numbersOf(valence).entries()) sum[i]! += number;
  }
  return sum;
}

/** Weights of these numbers as weights of every word that is rated, which come to the same. */
export function ofEveryRated(slopes: readonly (readonly number[])[]): Map<string, number[]> {
  const classes = slopes[0]?.length ?? 0;
  return new Map(
    [...VALENCES].map(([word, valence]) => [
      word,
      Array.from({ length: classes }, (_, k) =>
        numbersOf(valence).reduce((sum, number, i) => sum + number * slopes[i]![k]!, 0),
      ),
    ]),
  );
}
