import type { Clause } from "./clauses";
import { namedIn } from "./kind-rule";
import type { Person } from "./slip";

/** What is noted of somebody, behind their name: "collects the samples". What they are, have, say or like is none of it. */
const DOES =
  /^ (?!is|was|has|says|does|likes|loves|knows|thinks|wants|needs|seems|looks|asks|sends (?:his|her|their|you))\w+s \w/;

/**
 * Whether notes give somebody something to do in plain present: "Emeka collects the samples".
 * @param behind what stands behind the name
 */
export function doesAsNoted(behind: string): boolean {
  return DOES.test(behind);
}

/** What somebody is at, and will go on to do: "is cancelling the bill and will send a new one". */
const GOES_ON_TO = /^ (?:is \p{L}+ing|has \p{L}+ed)\b[^.;:]{0,50} and (?:will|is going to)\b/iu;

/**
 * Whether somebody who is at something is said to go on to more of it.
 * @param behind what stands behind the name
 */
export function goesOnToDo(behind: string): boolean {
  return GOES_ON_TO.test(behind);
}

/** Clauses that give somebody something to do from which a letter is taken for notes of a meeting. */
const NOTES = 2;

/** Whether a letter reads like notes: several of its sentences say in plain present what people of the team do. */
export function readsLikeNotes(clauses: readonly Clause[], team: readonly Person[]): boolean {
  let count = 0;
  for (const { text } of clauses) {
    const [name] = namedIn(text, team);
    if (name?.at === 0 && doesAsNoted(text.slice(name.end))) count += 1;
    if (count >= NOTES) return true;
  }
  return false;
}
