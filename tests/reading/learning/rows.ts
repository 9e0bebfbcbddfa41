import type { Example } from "./logistic";

/** Examples laid one behind the other, and where in the weights each of their names stands: most of learning walks along these. */
export interface Rows {
  readonly count: number;
  /** Where each example begins in `at`, and behind the last where it ends. */
  readonly starts: Uint32Array;
  /** Where the weights of each name begin. */
  readonly at: Uint32Array;
  /** As many numbers for each example. */
  readonly measured: Float64Array;
  readonly numbers: number;
  readonly is: Uint8Array;
  /** How much each counts, of all. */
  readonly shares: Float64Array;
}

/** Lays examples out; names that have no place are left out. */
export function rowsOf(examples: readonly Example[], place: ReadonlyMap<string, number>, classes: number): Rows {
  const starts = new Uint32Array(examples.length + 1);
  const at: number[] = [];
  for (const [row, { found }] of examples.entries()) {
    for (const name of new Set(found)) {
      const own = place.get(name);
      if (own !== undefined) at.push(own * classes);
    }
    starts[row + 1] = at.length;
  }
  const numbers = examples[0]?.measured?.length ?? 0;
  const measured = new Float64Array(examples.length * numbers);
  for (const [row, example] of examples.entries()) measured.set(example.measured ?? [], row * numbers);
  return {
    count: examples.length,
    starts,
    at: Uint32Array.from(at),
    measured,
    numbers,
    is: Uint8Array.from(examples, ({ is }) => is),
    shares: Float64Array.from(examples, ({ counts = 1 }) => counts / examples.length),
  };
}

/** Where in the weights what stands behind the names begins. */
interface Behind {
  readonly measuredFrom: number;
  readonly bias: number;
}

function softmax(scores: Float64Array): void {
  let most = scores[0]!;
  for (let i = 1; i < scores.length; i += 1) most = Math.max(most, scores[i]!);
  let sum = 0;
  for (let i = 0; i < scores.length; i += 1) sum += scores[i] = Math.exp(scores[i]! - most);
  for (let i = 0; i < scores.length; i += 1) scores[i]! /= sum;
}

/** Adds to the slope of the weights what the examples ask of them. */
export function addSlopes(
  { count, starts, at, measured, numbers, is, shares }: Rows,
  classes: number,
  weights: Float64Array,
  { measuredFrom, bias }: Behind,
  slope: Float64Array,
): void {
  const scores = new Float64Array(classes);
  for (let row = 0; row < count; row += 1) {
    for (let k = 0; k < classes; k += 1) scores[k] = weights[bias + k]!;
    const end = starts[row + 1]!;
    for (let i = starts[row]!; i < end; i += 1)
      for (let k = 0, from = at[i]!; k < classes; k += 1) scores[k]! += weights[from + k]!;
    for (let k = 0; k < classes; k += 1) {
      const from = measuredFrom + k * numbers;
      let score = 0;
      for (let d = 0; d < numbers; d += 1) score += measured[row * numbers + d]! * weights[from + d]!;
      scores[k]! += score;
    }
    softmax(scores);
    scores[is[row]!]! -= 1;
    for (let k = 0; k < classes; k += 1) {
      scores[k]! *= shares[row]!;
      slope[bias + k]! += scores[k]!;
    }
    for (let i = starts[row]!; i < end; i += 1)
      for (let k = 0, from = at[i]!; k < classes; k += 1) slope[from + k]! += scores[k]!;
    for (let k = 0; k < classes; k += 1) {
      const from = measuredFrom + k * numbers;
      for (let d = 0; d < numbers; d += 1) slope[from + d]! += measured[row * numbers + d]! * scores[k]!;
    }
  }
}

/** The same for two classes and nothing measured, in half the time: both are kept at hand, not in an array. */
export function addSlopesOfTwo(
  { count, starts, at, is, shares }: Rows,
  weights: Float64Array,
  bias: number,
  slope: Float64Array,
): void {
  for (let row = 0; row < count; row += 1) {
    let first = weights[bias]!;
    let second = weights[bias + 1]!;
    const end = starts[row + 1]!;
    for (let i = starts[row]!; i < end; i += 1) {
      const from = at[i]!;
      first += weights[from]!;
      second += weights[from + 1]!;
    }
    const most = Math.max(first, second);
    first = Math.exp(first - most);
    second = Math.exp(second - most);
    const sum = first + second;
    const share = shares[row]!;
    first = (first / sum - (is[row] === 0 ? 1 : 0)) * share;
    second = (second / sum - (is[row] === 1 ? 1 : 0)) * share;
    slope[bias]! += first;
    slope[bias + 1]! += second;
    for (let i = starts[row]!; i < end; i += 1) {
      const from = at[i]!;
      slope[from]! += first;
      slope[from + 1]! += second;
    }
  }
}
