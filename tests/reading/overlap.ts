/** A text with its white space as single spaces. */
export const squash = (text: string): string => text.replace(/\s+/g, " ").trim();

/** Length of the longest run of characters that two texts share. */
function commonRun(a: string, b: string): number {
  let best = 0;
  let row = new Uint16Array(b.length + 1);
  for (const sign of a) {
    const next = new Uint16Array(b.length + 1);
    for (let j = 1; j <= b.length; j += 1)
      if (sign === b[j - 1]) {
        next[j] = row[j - 1]! + 1;
        best = Math.max(best, next[j]!);
      }
    row = next;
  }
  return best;
}

/** How much of the shorter of two texts they share in one run. */
export function overlap(a: string, b: string): number {
  const shorter = Math.min(a.length, b.length);
  return shorter === 0 ? 0 : commonRun(a, b) / shorter;
}

/** The harmonic mean of precision and recall. */
export const f1 = (hits: number, labels: number, found: number): number =>
  hits === 0 ? 0 : (2 * hits) / (labels + found);
