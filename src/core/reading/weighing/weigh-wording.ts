import type { Clause } from "../clauses";
import type { WordingWeights } from "./shares";
import { ENDS, endingsOf, lengthOf, ON_A_LIST, wordsOf } from "./wording";

/** Weights by number, so that a clause is weighed without making a text of every pair and triple of its words. */
interface Numbered {
  /** Words, endings and the rest by their number, from 1. */
  readonly numbers: ReadonlyMap<string, number>;
  /** Weights of single names, of pairs and of triples, by their numbers put together. */
  readonly weights: ReadonlyMap<number, readonly number[]>;
}

/** Numbers are put together to the base of this: more words than any weights have, and three of them below 2^53. */
const BASE = 2 ** 17;

const numbered = new WeakMap<WordingWeights, Numbered>();

function numbersOf(weights: WordingWeights): Numbered {
  const known = numbered.get(weights);
  if (known) return known;
  const numbers = new Map<string, number>();
  const numberOf = (word: string) => {
    const number = numbers.get(word) ?? numbers.size + 1;
    numbers.set(word, number);
    return number;
  };
  const made = new Map<number, readonly number[]>();
  for (const [name, own] of Object.entries(weights.weights)) {
    const words = name.startsWith("* ") ? [name] : name.split(" ");
    made.set(
      words.reduce((key, word) => key * BASE + numberOf(word), 0),
      own,
    );
  }
  const result = { numbers, weights: made };
  numbered.set(weights, result);
  return result;
}

/**
 * What the wording of a clause weighs for each thing it can be, in the logarithm of odds: what its names weigh, as
 * `sharesOf` weighs those of `wordingOf` in three times the time, and what its words mean. Every clause of every letter is weighed.
 */
export function weighWording(clause: Pick<Clause, "text" | "isListItem">, learnt: WordingWeights): number[] {
  const { numbers, weights } = numbersOf(learnt);
  const scores = [...learnt.bias];
  const counted = new Set<number>();
  const count = (key: number) => {
    const own = weights.get(key);
    if (!own || counted.has(key)) return;
    counted.add(key);
    for (let i = 0; i < scores.length; i += 1) scores[i]! += own[i]!;
  };
  const words = wordsOf(clause.text);
  const [head, tail] = ENDS;
  const all = [head, ...words, tail].map((word) => numbers.get(word) ?? 0);
  for (let i = 0; i < all.length; i += 1) {
    const first = all[i]!;
    if (first === 0) continue;
    if (i > 0 && i < all.length - 1) count(first);
    const second = all[i + 1];
    if (!second) continue;
    count(first * BASE + second);
    const third = all[i + 2];
    if (third) count((first * BASE + second) * BASE + third);
  }
  for (const word of words) for (const ending of endingsOf(word)) count(numbers.get(ending) ?? 0);
  for (const name of lengthOf(words)) count(numbers.get(name) ?? 0);
  if (clause.isListItem) count(numbers.get(ON_A_LIST) ?? 0);
  const meant = words.flatMap((word) => {
    const own = learnt.meaning.get(word);
    return own ? [own] : [];
  });
  for (const own of meant) for (let i = 0; i < scores.length; i += 1) scores[i]! += own[i]! / meant.length;
  return scores;
}
