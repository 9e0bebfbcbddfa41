import type { FollowingWeights } from "./weigh";
import weights from "./weights.json";

/** What was learnt from labelled answers and conversations (`npm run learn:following`). */
export const LEARNT: FollowingWeights = weights;
