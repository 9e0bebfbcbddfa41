const NUMBERS = ["two", "three", "four", "five", "six"];

/** "For the plan I need two things: the size, and a list": so many are announced, and follow in the same sentence. */
const ANNOUNCED =
  /\b(two|three|four|five|six) (?:\p{Ll}+ )?(?:things|points|requests|questions|favours|papers|documents|items|jobs|matters)\b[^:.?!]{0,30}:\s+/iu;

/** A stretch of a text, as its first and its last place. */
interface Stretch {
  readonly start: number;
  readonly end: number;
}

/**
 * The things that a sentence announces by their number and then lists between commas, each by its place in the sentence, and what
 * announces them. Null where it announces none, or not as many follow.
 */
export function announcedIn(sentence: string): { lead: string; items: Stretch[] } | null {
  const announced = ANNOUNCED.exec(sentence);
  if (!announced) return null;
  const from = announced.index + announced[0].length;
  const items: Stretch[] = [];
  let start = from;
  for (const cut of sentence.slice(from).matchAll(/[,;]\s+(?:and\s+)?/g)) {
    items.push({ start, end: from + cut.index });
    start = from + cut.index + cut[0].length;
  }
  items.push({ start, end: sentence.length });
  const wanted = NUMBERS.indexOf(announced[1]!.toLowerCase()) + 2;
  return items.length === wanted ? { lead: sentence.slice(0, from).trim(), items } : null;
}
