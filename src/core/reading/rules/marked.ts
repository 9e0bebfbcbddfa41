import type { KindRule } from "../kind-rule";
import { phraseOf } from "../lessons";

/** Characters from which marked words count within a longer clause; shorter ones are a clause of their own. */
const ENOUGH_WITHIN = 16;

/** Words that people marked by hand in letters of the same writer, where no other rule had found anything. */
export function markedBefore(phrases: readonly string[]): KindRule {
  return {
    name: "words that were marked by hand before",
    confidence: 0.8,
    isCertain: true,
    find({ text }) {
      const said = phraseOf(text);
      return phrases.some((phrase) => phrase === said || (phrase.length >= ENOUGH_WITHIN && said.includes(phrase)))
        ? "ask"
        : null;
    },
  };
}
