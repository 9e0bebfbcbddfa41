import type { Clause } from "../clauses";

/** Words, figures and the signs that end or divide what is said. */
const WORD = /\p{L}+(?:['’]\p{L}+)?|\d[\d.,:]*|[?!:,;.]/gu;

/** Words of a clause that are looked at: what it is shows before. */
const MOST_WORDS = 60;

/** Letters from which the end of a word says something of its kind: "leak-ing", "crack-ed". */
const LONG_ENOUGH = 5;

const SHORT = 5;
const LONG = 20;

function wordsOf(text: string): string[] {
  const words: string[] = [];
  for (const [word] of text.matchAll(WORD)) {
    if (words.length >= MOST_WORDS) break;
    words.push(/^\d/.test(word) ? "#" : word.toLowerCase().replace("’", "'"));
  }
  return words;
}

/**
 * The wording of a clause as names: its words, pairs and triples of them, "<" and ">" being its ends, how its longer words
 * end ("-ing"), and how long it is ("* short").
 */
export function wordingOf({ text, isListItem }: Pick<Clause, "text" | "isListItem">): string[] {
  const words = wordsOf(text);
  const found = [...words];
  for (const word of words) if (word.length >= LONG_ENOUGH) found.push(`-${word.slice(-3)}`, `-${word.slice(-2)}`);
  const all = ["<", ...words, ">"];
  for (let i = 0; i + 1 < all.length; i += 1) {
    const pair = `${all[i]} ${all[i + 1]}`;
    found.push(pair);
    if (i + 2 < all.length) found.push(`${pair} ${all[i + 2]}`);
  }
  if (isListItem) found.push("* list");
  if (words.length < SHORT) found.push("* short");
  if (words.length > LONG) found.push("* long");
  return found;
}
