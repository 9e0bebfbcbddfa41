import fs from "node:fs";
import path from "node:path";

/** Numbers of a vector. */
export const DIMENSIONS = 100;

const read = (name: string) => fs.readFileSync(path.join(import.meta.dirname, name));
const numbers = Int8Array.from(read("word-vectors.bin"), (byte) => (byte << 24) >> 24);

/**
 * The most frequent English words, and then those of the labelled passages, each with a vector of length one, which lies near those
 * of words that are used alike: GloVe's, picked by scripts/pick-vectors.ts.
 */
export const VECTORS: ReadonlyMap<string, Float64Array> = new Map(
  read("word-vectors.txt")
    .toString("utf8")
    .trim()
    .split("\n")
    .map((word, i) => [
      word,
      Float64Array.from(numbers.subarray(i * DIMENSIONS, (i + 1) * DIMENSIONS), (one) => one / 127),
    ]),
);

/** Words, the most frequent first, whose meaning counts in the mean. */
const FREQUENT = 10_000;

/** How much the mean of a clause's words counts beside one of its names when weights are learnt. */
const MEAN_COUNTS = 3;

/** What a word counts in the mean is half where its share of all words is this: "the" tells nothing, "leak" much. */
const HALF_COUNTED = 1e-3;

/**
 * What each word counts in the mean (Arora, Liang & Ma 2017, "A simple but tough-to-beat baseline for sentence embeddings").
 * The share of a word follows from its rank (Zipf's law, about one tenth by the rank).
 */
const COUNTS: ReadonlyMap<string, number> = new Map(
  [...VECTORS.keys()].slice(0, FREQUENT).map((word, i) => [word, HALF_COUNTED / (HALF_COUNTED + 0.1 / (i + 1))]),
);

/** The mean of the vectors of those words that are frequent, as much as each counts; noughts where none is. */
export function meanOf(words: readonly string[]): Float64Array {
  const mean = new Float64Array(DIMENSIONS);
  const known = words.filter((word) => COUNTS.has(word));
  const all = known.reduce((sum, word) => sum + COUNTS.get(word)!, 0);
  for (const word of known) {
    const [vector, count] = [VECTORS.get(word)!, COUNTS.get(word)!];
    for (let d = 0; d < DIMENSIONS; d += 1) mean[d]! += (vector[d]! * count * MEAN_COUNTS) / all;
  }
  return mean;
}

/**
 * Weights of the mean's numbers as weights of every word: what each counts in the mean, then what it weighs times that. Their
 * sum by the sum of the counts is what the mean weighs.
 */
export function ofEveryWord(slopes: readonly (readonly number[])[]): Map<string, number[]> {
  const classes = slopes[0]?.length ?? 0;
  return new Map(
    [...COUNTS].map(([word, count]) => {
      const vector = VECTORS.get(word)!;
      const weights = Array.from({ length: classes }, (_, k) => {
        let sum = 0;
        for (let d = 0; d < DIMENSIONS; d += 1) sum += vector[d]! * slopes[d]![k]! * MEAN_COUNTS;
        return Math.round(sum * count * 100) / 100 || 0;
      });
      return [word, [Math.round(count * 1000) / 1000, ...weights]];
    }),
  );
}
