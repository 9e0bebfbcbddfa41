import meaning from "./meaning.json";
import { unpackRuns } from "./packed-runs";
import runs from "./runs.json";
import type { WordingWeights } from "./shares";
import { SURROUNDINGS } from "./surroundings";
import surroundings from "./surroundings.json";
import weights from "./weights.json";
import type { RunWeights } from "./word-runs";

const bySurroundings: Readonly<Record<string, readonly number[]>> = surroundings.weights;

/** How asks, questions, promises and trouble are worded, learnt from labelled passages (`npm run learn:reading`). */
export const LEARNT_WORDING: WordingWeights & { readonly runs: RunWeights } = {
  ...weights,
  meaning: new Map(meaning.map(([word, ...own]) => [String(word), own.map(Number)])),
  runs: unpackRuns(runs),
  inLetter: { bias: surroundings.bias, ofMeasured: SURROUNDINGS.map((name) => bySurroundings[name]!) },
};
