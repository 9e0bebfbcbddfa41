import meaning from "./meaning.json";
import type { WordingWeights } from "./shares";
import weights from "./weights.json";

/** How asks, questions, promises and trouble are worded, learnt from labelled passages (`npm run learn:reading`). */
export const LEARNT_WORDING: WordingWeights = {
  ...weights,
  meaning: new Map(meaning.map(([word, ...own]) => [String(word), own.map(Number)])),
};
