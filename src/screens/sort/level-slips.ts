/** A slip to be placed: where its passage stands and how tall it is, in pixels. */
export interface Leveled {
  readonly wanted: number;
  readonly height: number;
}

/**
 * Tops for slips in the order of their passages: level with them while there is room, pushed down where the one above is in
 * the way, and pushed up together where they would leave the margin. `levelSlips([{ wanted: 0, height: 50 }, { wanted: 10,
 * height: 50 }], 0, 500, 9)` is [0, 59].
 */
export function levelSlips(slips: readonly Leveled[], top: number, bottom: number, gap: number): number[] {
  const tops: number[] = [];
  let free = top;
  for (const slip of slips) {
    const at = Math.max(slip.wanted, free);
    tops.push(at);
    free = at + slip.height + gap;
  }
  let limit = bottom;
  for (let i = slips.length - 1; i >= 0; i -= 1) {
    const highest = limit - slips[i]!.height;
    if (tops[i]! <= highest) break;
    tops[i] = Math.max(highest, top);
    limit = tops[i]! - gap;
  }
  // Where all of them together are taller than the margin, they begin at its top and run on below.
  free = top;
  for (const [i, slip] of slips.entries()) {
    tops[i] = Math.max(tops[i]!, free);
    free = tops[i]! + slip.height + gap;
  }
  return tops;
}
