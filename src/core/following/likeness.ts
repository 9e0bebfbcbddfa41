/** How alike two sets of telling words are: the share of the smaller that both have, from 0 to 1. */
export function likeness(a: ReadonlySet<string>, b: ReadonlySet<string>): number {
  const shared = [...a].filter((word) => b.has(word)).length;
  return shared === 0 ? 0 : shared / Math.min(a.size, b.size);
}
