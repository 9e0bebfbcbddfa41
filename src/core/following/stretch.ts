/** A part of a letter's text, from its first character to behind its last. */
export interface Stretch {
  readonly start: number;
  readonly end: number;
}

export function meet(a: Stretch, b: Stretch): boolean {
  return a.start < b.end && b.start < a.end;
}

export function isSame(a: Stretch): (b: Stretch) => boolean {
  return (b) => a.start === b.start && a.end === b.end;
}

/** Whether what two stretches share is half of the shorter one, or more. */
export function shareHalf(a: Stretch, b: Stretch): boolean {
  const shared = Math.min(a.end, b.end) - Math.max(a.start, b.start);
  return shared >= Math.min(a.end - a.start, b.end - b.start) / 2;
}
