import fs from "node:fs";
import path from "node:path";

/** Numbers of a vector. */
const DIMENSIONS = 100;

const read = (name: string) => fs.readFileSync(path.join(import.meta.dirname, name));
const numbers = Int8Array.from(read("word-vectors.bin"), (byte) => (byte << 24) >> 24);

/**
 * The ten thousand most frequent English words, each with a vector of length one, which lies near those of words that are used
 * alike: GloVe's, picked by scripts/pick-vectors.ts.
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

/** How much the mean of a clause's words counts beside one of its names when weights are learnt. */
const MEAN_COUNTS = 3;

/** The mean of the vectors of those words that have one; noughts where none has. */
export function meanOf(words: readonly string[]): Float64Array {
  const mean = new Float64Array(DIMENSIONS);
  const known = words.flatMap((word) => VECTORS.get(word) ?? []);
  for (const vector of known)
    for (let d = 0; d < DIMENSIONS; d += 1) mean[d]! += (vector[d]! * MEAN_COUNTS) / known.length;
  return mean;
}

/** Weights of the mean's numbers as weights of every word: the mean of these is what the mean of the vectors weighs. */
export function ofEveryWord(slopes: readonly (readonly number[])[]): Map<string, number[]> {
  const classes = slopes[0]?.length ?? 0;
  return new Map(
    [...VECTORS].map(([word, vector]) => [
      word,
      Array.from({ length: classes }, (_, k) => {
        let sum = 0;
        for (let d = 0; d < DIMENSIONS; d += 1) sum += vector[d]! * slopes[d]![k]! * MEAN_COUNTS;
        return Math.round(sum * 100) / 100 || 0;
      }),
    ]),
  );
}
