import type { Heard } from "./heard";

/** Who hears of something in the place of somebody who is away. */
export interface CoverHeard extends Heard {
  readonly forId: string;
}

/**
 * Who hears of an act because they cover for somebody away: the same as those would, once; not of what they did themselves,
 * nor of what they hear anyhow.
 * @param covers who covers, by the id of whoever is away
 */
export function coversHear(
  heard: readonly Heard[],
  covers: ReadonlyMap<string, string>,
  actorId: string,
): CoverHeard[] {
  const known = new Set(heard.map((one) => one.personId));
  const all = new Map<string, CoverHeard>();
  for (const one of heard) {
    const coverId = covers.get(one.personId);
    if (!coverId || coverId === actorId || known.has(coverId) || all.has(coverId)) continue;
    all.set(coverId, { ...one, personId: coverId, why: "covers for", forId: one.personId });
  }
  return [...all.values()];
}
