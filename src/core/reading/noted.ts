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
