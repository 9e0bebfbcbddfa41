import { type PackedRows, packRows, unpackRows } from "./packed-rows";
import type { RunWeights } from "./word-runs";

/** The weights of runs as they are kept. */
export interface PackedRuns {
  readonly bias: readonly number[];
  readonly finders: readonly {
    readonly words: number;
    readonly count: number;
    readonly weights: PackedRows;
    readonly bias: readonly number[];
    readonly says: readonly number[];
  }[];
  readonly words: readonly string[];
  readonly vectors: PackedRows;
}

const rounded = (numbers: Iterable<number>) => Array.from(numbers, (one) => Math.round(one * 1e4) / 1e4 || 0);

/** Packs the weights of runs: their numbers are rounded so that they weigh the same within a hundredth or so. */
export function packRuns({ vectors, finders, bias }: RunWeights): PackedRuns {
  const all = [...vectors.values()];
  const width = all[0]?.length ?? 0;
  const flat = new Float32Array(all.length * width);
  for (const [i, vector] of all.entries()) flat.set(vector, i * width);
  return {
    bias: rounded(bias),
    finders: finders.map((one) => ({
      words: one.words,
      count: one.count,
      weights: packRows(one.weights, width),
      bias: rounded(one.bias),
      says: rounded(one.says),
    })),
    words: [...vectors.keys()],
    vectors: packRows(flat, width),
  };
}

/** The weights of runs that were packed. */
export function unpackRuns({ bias, finders, words, vectors }: PackedRuns): RunWeights {
  const numbers = unpackRows(vectors);
  const width = numbers.length / words.length;
  return {
    bias,
    finders: finders.map((one) => ({
      words: one.words,
      count: one.count,
      weights: unpackRows(one.weights),
      bias: Float32Array.from(one.bias),
      says: Float32Array.from(one.says),
    })),
    vectors: new Map(words.map((word, i) => [word, numbers.subarray(i * width, (i + 1) * width)])),
  };
}
