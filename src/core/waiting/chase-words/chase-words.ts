import type { Day } from "../../time/day";

/** How a chase is worded in one language. Days are given as words. */
export interface ChaseWords {
  readonly dear: (first: string) => string;
  readonly theyWrote: (day: string, words: string) => string;
  readonly weAsked: (day: string, words: string) => string;
  readonly waitFor: (title: string) => string;
  /** It was promised for a day that is past; it was needed by one; it is needed by one to come (`distance` in English alone). */
  readonly meantFor: (day: string) => string;
  readonly neededBy: (day: string) => string;
  readonly needBy: (day: string, distance: string) => string;
  /** The question of each chase, from friendly to plain; none is used twice for one wait. */
  readonly promise: readonly string[];
  readonly ask: readonly string[];
  readonly dayInWords: (day: Day) => string;
}

/** A day with its weekday and month in the words of a language. */
export function dayIn(locale: string): (day: Day) => string {
  const format = new Intl.DateTimeFormat(locale, { weekday: "long", day: "numeric", month: "long", timeZone: "UTC" });
  return (day) => format.format(new Date(`${day}T12:00:00Z`));
}
