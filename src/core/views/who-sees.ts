import type { HouseView } from "./views";

/** People named at the most; the others are counted. */
const MOST_NAMED = 3;

/**
 * Who sees letters once they are put on projects and tasks, as the end of a sentence, without the one who puts them there:
 * "Suki Aldane, Mair Penhallow and Kofi Brandt", "all of Larkmoor Playworks (8 others)", "nobody else".
 * @param projectIds the projects; null stands for none, which hides nothing
 * @param ownerIds who owns tasks made of them, whatever the project
 */
export function whoSees(
  projectIds: readonly (string | null)[],
  ownerIds: readonly (string | null)[],
  house: Pick<HouseView, "me" | "organisation" | "projects" | "team">,
): string {
  const members = projectIds.map((id) => house.projects.find((project) => project.id === id)?.members ?? null);
  const others = house.team.filter((person) => person.id !== house.me.id);
  const seers = others.filter(
    (person) => ownerIds.includes(person.id) || members.some((ids) => ids === null || ids.includes(person.id)),
  );
  if (seers.length === 0) return "nobody else";
  if (seers.length === others.length && seers.length > MOST_NAMED)
    return `all of ${house.organisation} (${seers.length} others)`;
  const named = seers.slice(0, MOST_NAMED).map((person) => person.name);
  const more = seers.length - named.length;
  const last = more > 0 ? `${more} more` : named.pop()!;
  return named.length === 0 ? last : `${named.join(", ")} and ${last}`;
}
