import type { FoundSlip } from "../reading/slip";
import type { ItemChange, OpenItem } from "./item";
import { likeness } from "./likeness";

/** A promise of a letter: its words, and the words that tell it from others. */
interface Promised {
  readonly quote: string;
  readonly words: ReadonlySet<string>;
}

const POINTS_AT_IT = /\b(?:it|them|this|that|these|those|one|ones|her|him)\b/i;
const WANTS_MONEY = /\b(?:pay|paid|payment|settle|transfer|remit)\b/i;
const SPEAKS_OF_MONEY = /\b(?:money|payment|amount|sum|balance|transfer|paid)\b/i;

/** The trouble that a promise cures: the only thing left but questions, which the promise names or points at. */
function curedBy({ quote, words }: Promised, left: readonly OpenItem[]): OpenItem | null {
  const [trouble, ...others] = left.filter(({ kind }) => kind !== "question");
  if (trouble?.kind !== "trouble" || others.length > 0) return null;
  return POINTS_AT_IT.test(quote) || likeness(words, trouble.words) > 0 ? trouble : null;
}

/** The one bill that is to be paid, where money is promised: "Your money goes out on Monday." */
function paidBy({ quote }: Promised, left: readonly OpenItem[]): OpenItem | null {
  if (!SPEAKS_OF_MONEY.test(quote)) return null;
  const [bill, ...others] = left.filter((item) => item.kind === "ask" && WANTS_MONEY.test(item.quote));
  return bill && others.length === 0 ? bill : null;
}

/**
 * What a promise is made for, though it does not say so; null where it is a promise of its own.
 * @param left what its writer owes, and has said nothing of otherwise
 */
export function promisedFor(promised: Promised, left: readonly OpenItem[]): OpenItem | null {
  return curedBy(promised, left) ?? paidBy(promised, left);
}

/**
 * Whether a promise goes on in the sentence in which something was promised or put off: "You'll get them tomorrow, I'll drive
 * myself."
 * @param owed what its writer owes
 */
export function goesOnInSentence(
  promise: FoundSlip,
  changes: readonly ItemChange[],
  owed: readonly OpenItem[],
  text: string,
): boolean {
  return changes.some(
    ({ item, change, start, end }) =>
      owed.some(({ id }) => id === item) &&
      (change === "promised" || change === "moved") &&
      end <= promise.start &&
      !/[.!?]/.test(text.slice(Math.max(start, end - 1), promise.start)),
  );
}
