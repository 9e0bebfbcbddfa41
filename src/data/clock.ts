// Pages, route handlers and the server itself are separate bundles of one process: the hours that the demo lets go by live on
// the process.
const shared = globalThis as typeof globalThis & { jamAheadMs?: number };

/** Now, milliseconds since 1970 UTC. JAM_NOW (ISO 8601) freezes it, for pictures and tests. */
export function now(): number {
  const ahead = shared.jamAheadMs ?? 0;
  const frozen = process.env.JAM_NOW;
  if (!frozen) return Date.now() + ahead;
  const at = Date.parse(frozen);
  if (Number.isNaN(at))
    throw new Error(`JAM_NOW is “${frozen}”, which is no instant. Write it like 2026-11-25T09:00:00Z.`);
  return at + ahead;
}

export function isClockFrozen(): boolean {
  return Boolean(process.env.JAM_NOW);
}

/** Lets time go by, for the demo alone: days of post in a moment. */
export function goAhead(ms: number): void {
  shared.jamAheadMs = (shared.jamAheadMs ?? 0) + ms;
}
