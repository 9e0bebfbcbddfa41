/** The value below which a share of the measurements lies (R's type 7, Hyndman and Fan 1996). */
export function quantile(values: readonly number[], share: number): number {
  const sorted = [...values].sort((a, b) => a - b);
  const at = (sorted.length - 1) * share;
  const low = Math.floor(at);
  return sorted[low]! + (at - low) * ((sorted[low + 1] ?? sorted[low]!) - sorted[low]!);
}

/** Milliseconds that something takes. */
export async function timed(run: () => Promise<unknown>): Promise<number> {
  const start = performance.now();
  await run();
  return performance.now() - start;
}

export function say(name: string, figures: Readonly<Record<string, number | string>>): void {
  const words = Object.entries(figures).map(
    ([key, value]) => `${key} ${typeof value === "number" ? Number(value.toPrecision(3)) : value}`,
  );
  process.stdout.write(`${name}: ${words.join(", ")}\n`);
}
