import { tellingWords } from "../finding/telling-words";

/**
 * Whether a letter of whoever owes something may be about that: two of the words that tell what it is stand in the letter, or
 * all where there are fewer. A guess that only says which letter to read first.
 */
export function isAbout(title: string, letter: string): boolean {
  const wanted = [...tellingWords(title)];
  if (wanted.length === 0) return false;
  const words = tellingWords(letter);
  const met = wanted.filter((word) => words.has(word)).length;
  return met >= Math.min(2, wanted.length);
}
