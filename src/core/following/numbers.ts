import { ONE_TO_TWELVE } from "../time/one-to-twelve";

const COUNTED = ["no", ...ONE_TO_TWELVE];
const IN_FIGURES =
  /(?<![\d.:/-])\b(\d{1,5})\b(?!(?:st|nd|rd|th|[:./-]\d| (?:jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)))/i;
const IN_WORDS = new RegExp(`\\b(${COUNTED.join("|")})\\b`, "i");

/** The first number that a text counts something with; days and times are none. Null where it counts nothing. */
export function numberIn(text: string): number | null {
  const figures = IN_FIGURES.exec(text);
  const words = IN_WORDS.exec(text);
  if (figures && (!words || figures.index < words.index)) return Number(figures[1]);
  return words ? COUNTED.indexOf(words[1]!.toLowerCase()) : null;
}
