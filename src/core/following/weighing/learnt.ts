import { LEARNT_WORDING } from "../../reading/weighing/learnt";
import { type PackedRuns, unpackRuns } from "../../reading/weighing/packed-runs";
import runs from "./runs.json";
import type { FollowingWeights } from "./weigh";
import weights from "./weights.json";

/** What runs of words say, as it is kept: without the vectors of words, which are those of reading. */
export function runsWithWords(packed: PackedRuns) {
  const own = unpackRuns(packed);
  return { ...own, vectors: new Map([...LEARNT_WORDING.runs.vectors, ...own.vectors]) };
}

/** What was learnt from labelled answers and conversations (`npm run learn:following`). */
export const LEARNT: FollowingWeights = { ...weights, runs: runsWithWords(runs) };
