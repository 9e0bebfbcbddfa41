import type { RunWeights } from "./word-runs";

/** Weights of a multinomial logistic regression, by the names of what was found: one for each class. */
export interface Weights {
  readonly bias: readonly number[];
  readonly weights: Readonly<Record<string, readonly number[]>>;
}

/** Weights of wording: beside what was found, what the words of a clause mean counts, as the mean of what each of them weighs. */
export interface WordingWeights extends Weights {
  /** Of each word: what it counts in the mean, and what it weighs for each class times that. */
  readonly meaning: ReadonlyMap<string, readonly number[]>;
  /** What runs of its words say, which counts as much as all the rest; null where that was not learnt. */
  readonly runs: RunWeights | null;
  /** What a clause is in its letter, from its own wording and what surrounds it; null where each counts for itself. */
  readonly inLetter: SurroundingsWeights | null;
}

/** What names of wording weigh beside what they weigh everywhere: one number for each class. */
export type NameWeights = ReadonlyMap<string, readonly number[]>;

/** What wording weighs in one organisation: in everybody's letters, and beside that in those of each writer, by address. */
export interface HouseWording {
  readonly everybody: NameWeights;
  readonly writers: ReadonlyMap<string, NameWeights>;
}

/** Weights of numbers that are measured: a row of weights for each, one for each class. */
export interface SurroundingsWeights {
  readonly bias: readonly number[];
  readonly ofMeasured: readonly (readonly number[])[];
}

/** How likely each class is by what was found, from 0 to 1; they add up to 1. A name found twice counts once. */
export function sharesOf({ bias, weights }: Weights, found: readonly string[]): number[] {
  const scores = [...bias];
  for (const name of new Set(found)) {
    const own = Object.hasOwn(weights, name) ? weights[name] : undefined;
    if (own) for (let i = 0; i < scores.length; i += 1) scores[i]! += own[i]!;
  }
  return asShares(scores);
}

/** Scores as shares of 1 (softmax). */
export function asShares(scores: readonly number[]): number[] {
  const most = Math.max(...scores);
  const raised = scores.map((score) => Math.exp(score - most));
  const sum = raised.reduce((a, b) => a + b, 0);
  return raised.map((one) => one / sum);
}

/** Scores as the logarithms of their shares. */
export function logShares(scores: readonly number[]): number[] {
  const most = Math.max(...scores);
  const all = most + Math.log(scores.reduce((sum, score) => sum + Math.exp(score - most), 0));
  return scores.map((score) => score - all);
}
