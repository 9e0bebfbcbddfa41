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
