/** Numbers between 0 and 1 from a seed, so that a run can be repeated. */
export function seeded(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state * 1_664_525 + 1_013_904_223) % 4_294_967_296;
    return state / 4_294_967_296;
  };
}

export const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));
