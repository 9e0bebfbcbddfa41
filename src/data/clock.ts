/** Now, milliseconds since 1970 UTC. JAM_NOW (ISO 8601) freezes it, for pictures and tests. */
export function now(): number {
  const frozen = process.env.JAM_NOW;
  if (!frozen) return Date.now();
  const at = Date.parse(frozen);
  if (Number.isNaN(at))
    throw new Error(`JAM_NOW is “${frozen}”, which is no instant. Write it like 2026-11-25T09:00:00Z.`);
  return at;
}

export function isClockFrozen(): boolean {
  return Boolean(process.env.JAM_NOW);
}
