import { asShares, logShares, sharesOf, type Weights } from "../../reading/weighing/shares";
import { RunWeigher, type RunWeights } from "../../reading/weighing/word-runs";

/** What was learnt of how an item is changed, in the order of `CHANGES`. */
export interface ChangeWeights {
  /** By the names of what was found in a segment beside the item. */
  readonly what: Weights;
  /** By its runs of words; null where that was not learnt. */
  readonly runs: RunWeights | null;
}

/**
 * How much of what a segment says is by its runs of words, beside its names: fitted to conversations held back, where both together
 * lose a tenth less (in the logarithm) than names alone.
 */
const RUNS_COUNT = 0.35;

const weighers = new WeakMap<RunWeights, RunWeigher>();

function weigherOf(runs: RunWeights): RunWeigher {
  const known = weighers.get(runs) ?? new RunWeigher(runs);
  weighers.set(runs, known);
  return known;
}

/**
 * How likely each change is, if there is any, by the names found in a segment and by its runs of words (`answerPlaces`): a
 * logarithmic pool of both (Genest & Zidek 1986), since they err in different segments. Shares of 1, in the order of `CHANGES`.
 */
export function changesSaid(
  { what, runs }: ChangeWeights,
  found: readonly string[],
  places: readonly string[],
): number[] {
  const byNames = sharesOf(what, found);
  if (!runs) return byNames;
  const byRuns = logShares(weigherOf(runs).weigh(places));
  return asShares(byNames.map((one, k) => (1 - RUNS_COUNT) * Math.log(one) + RUNS_COUNT * byRuns[k]!));
}
