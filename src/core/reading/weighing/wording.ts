import type { Clause } from "../clauses";

/** Words of the languages that are read, figures and the signs that end or divide what is said. */
const WORD = /[a-zß-ÿ]+(?:['’][a-zß-ÿ]+)?|\d[\d.,:]*|[?!:,;.]/gi;

/** Words of a clause that are looked at: what it is shows before. */
const MOST_WORDS = 60;

/** Letters from which the end of a word says something of its kind: "leak-ing", "crack-ed". */
const LONG_ENOUGH = 5;

/** Where a clause begins and ends, among its words. */
export const ENDS = ["<", ">"] as const;

export const ON_A_LIST = "* list";

/** Words of a short clause and of a long one. */
const SHORT = 5;
const LONG = 20;

function isFigure(word: string): boolean {
  const sign = word.charCodeAt(0);
  return sign >= 48 && sign <= 57;
}

function plainWord(word: string): string {
  const lower = word.toLowerCase();
  return lower.includes("’") ? lower.replace("’", "'") : lower;
}

/** The words of a clause in lower case, with the signs between them; any figure is "#". */
export function wordsOf(text: string): string[] {
  const words: string[] = [];
  WORD.lastIndex = 0;
  for (let found = WORD.exec(text); found && words.length < MOST_WORDS; found = WORD.exec(text))
    words.push(isFigure(found[0]) ? "#" : plainWord(found[0]));
  return words;
}

/** How a word ends: "leaking" → "-ing", "-ng". */
export function endingsOf(word: string): string[] {
  return word.length >= LONG_ENOUGH ? [`-${word.slice(-3)}`, `-${word.slice(-2)}`] : [];
}

/** Whether a clause is short or long, as a name. */
export function lengthOf({ length }: readonly string[]): string[] {
  return length < SHORT ? ["* short"] : length > LONG ? ["* long"] : [];
}

/**
 * The wording of a clause as names: its words, pairs and triples of them, "<" and ">" being its ends, how its longer words
 * end ("-ing"), whether it stands on a list ("* list"), and how long it is ("* short").
 */
export function wordingOf({ text, isListItem }: Pick<Clause, "text" | "isListItem">): string[] {
  const words = wordsOf(text);
  const found = [...words, ...words.flatMap(endingsOf)];
  const all = [ENDS[0], ...words, ENDS[1]];
  for (let i = 0; i + 1 < all.length; i += 1) {
    const pair = `${all[i]} ${all[i + 1]}`;
    found.push(pair);
    if (i + 2 < all.length) found.push(`${pair} ${all[i + 2]}`);
  }
  if (isListItem) found.push(ON_A_LIST);
  return [...found, ...lengthOf(words)];
}
