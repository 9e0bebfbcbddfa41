const LEAST = 0.003;
const FURTHEST = 4;

/** A share as one of a few steps of its log-odds, so that what is learnt of it need not be straight. `fineness` 1: whole steps; 0.5: every other one. */
export function step(share: number, fineness = 1): number {
  const odds = Math.log(Math.max(LEAST, share) / Math.max(LEAST, 1 - share));
  return Math.max(-FURTHEST, Math.min(FURTHEST, Math.round(odds * fineness) / fineness));
}
