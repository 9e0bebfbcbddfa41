import { COUNT, countOf } from "../time/date-rule";
import type { FoundDate } from "../time/dates-in-words";
import { addDays } from "../time/day";
import type { DueFound } from "./slip";

/** "Two days before that", "one day earlier", "a week ahead of it": counted back from a day that was named before. */
const BACK = new RegExp(
  `\\b(${COUNT}|the)\\s+(days?|weeks?)\\s+(?:(?:before|ahead of|prior to|earlier than)\\s+(?:that|it|then)\\b|(?:before|earlier|ahead|in advance)(?=\\s*(?:[.,;!?]|$)))`,
  "i",
);

/**
 * The day that words count back from another one; null where none do, or no day was named before.
 * @param earlier days named in the clause itself and in what stands before it, in the order of the text
 */
export function countedBack(text: string, earlier: readonly FoundDate[]): DueFound | null {
  const words = BACK.exec(text);
  const from = words && earlier.at(-1);
  if (!words || !from) return null;
  const number = words[1]!.toLowerCase() === "the" ? 1 : countOf(words[1]!);
  const days = words[2]!.toLowerCase().startsWith("week") ? number * 7 : number;
  return { day: addDays(from.day, -days), time: null, others: [], words: words[0] };
}

/** Whether a text counts back at all, so that days need not be looked for in vain. */
export function countsBack(text: string): boolean {
  return BACK.test(text);
}
