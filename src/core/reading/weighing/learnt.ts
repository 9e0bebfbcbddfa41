import type { Weights } from "./shares";
import weights from "./weights.json";

/** How asks, questions, promises and trouble are worded, learnt from labelled passages (`npm run learn:reading`). */
export const LEARNT_WORDING: Weights = weights;
