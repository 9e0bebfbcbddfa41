import type { Weights } from "@/core/reading/weighing/shares";
import { addSlopes, addSlopesOfTwo, rowsOf } from "./rows";

/** One example: the names of what was found, what was measured beside, and the number of its class. */
export interface Example {
  readonly found: readonly string[];
  /** As many numbers in every example; none where nothing is measured. */
  readonly measured?: Float64Array;
  readonly is: number;
  /** How much it counts beside the others; by default as much as any. */
  readonly counts?: number;
}

/** What was learnt: weights of names, and for each number that was measured, in their order, weights of each class. */
export interface Learnt extends Weights {
  readonly ofMeasured: readonly (readonly number[])[];
}

/** How it is learnt. */
export interface Options {
  /** Names seen in fewer examples are left out: they say more of one sentence than of how people write. */
  readonly fewest?: number;
  /** Steps of the descent. */
  readonly rounds?: number;
  /** Weights of the measured numbers that hold as long as the examples don't say otherwise: a row for each, one for each class. */
  readonly drawnTo?: readonly (readonly number[])[];
}

const STEP = 0.08;

/**
 * Learns a multinomial logistic regression with an L2 penalty (Berger, Della Pietra & Della Pietra 1996, "A maximum entropy
 * approach to natural language processing"), by gradient descent with Adam (Kingma & Ba 2015). The same examples give the
 * same weights.
 * @param strength of the penalty: that of half the squared weights, divided by the number of examples
 */
export function learn(
  examples: readonly Example[],
  classes: number,
  strength: number,
  { fewest = 5, rounds = 400, drawnTo = [] }: Options = {},
): Learnt {
  const counts = new Map<string, number>();
  for (const { found } of examples) for (const name of new Set(found)) counts.set(name, (counts.get(name) ?? 0) + 1);
  const names = [...counts].flatMap(([name, count]) => (count >= fewest ? [name] : [])).sort();
  const place = new Map(names.map((name, i) => [name, i]));
  const rows = rowsOf(examples, place, classes);
  const { numbers } = rows;
  // Behind the names stand the measured numbers; the last row holds the biases.
  const size = (names.length + numbers + 1) * classes;
  const weights = new Float64Array(size);
  const slope = new Float64Array(size);
  const mean = new Float64Array(size);
  const spread = new Float64Array(size);
  const measuredFrom = names.length * classes;
  const bias = measuredFrom + numbers * classes;
  const rest = new Float64Array(size);
  for (const [d, row] of drawnTo.entries())
    for (const [k, weight] of row.entries()) rest[measuredFrom + k * numbers + d] = weight;
  weights.set(rest);
  for (let round = 1; round <= rounds; round += 1) {
    for (let i = 0; i < bias; i += 1) slope[i] = (strength * (weights[i]! - rest[i]!)) / examples.length;
    slope.fill(0, bias);
    if (classes === 2 && numbers === 0) addSlopesOfTwo(rows, weights, bias, slope);
    else addSlopes(rows, classes, weights, { measuredFrom, bias }, slope);
    const step = STEP * (1 - round / (rounds + 1));
    const [meanGrown, spreadGrown] = [1 - 0.9 ** round, 1 - 0.999 ** round];
    for (let i = 0; i < size; i += 1) {
      mean[i] = 0.9 * mean[i]! + 0.1 * slope[i]!;
      spread[i] = 0.999 * spread[i]! + 0.001 * slope[i]! ** 2;
      weights[i]! -= (step * (mean[i]! / meanGrown)) / (Math.sqrt(spread[i]! / spreadGrown) + 1e-9);
    }
  }
  const rounded = (from: number) =>
    Array.from(weights.subarray(from, from + classes), (weight) => Math.round(weight * 100) / 100 || 0);
  return {
    bias: rounded(bias),
    weights: Object.fromEntries(
      names
        .map((name, i) => [name, rounded(i * classes)] as const)
        .filter(([, own]) => own.some((weight) => Math.abs(weight) >= 0.02)),
    ),
    ofMeasured: Array.from({ length: numbers }, (_, d) =>
      Array.from({ length: classes }, (_, k) => weights[measuredFrom + k * numbers + d]!),
    ),
  };
}
