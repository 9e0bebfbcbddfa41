import { firstNameOf } from "../letters/first-name";
import { languageOf } from "../reading/language";
import type { Day, WorkingCalendar } from "../time/day";
import { sayDistance } from "../time/say-day";
import type { ChaseWords } from "./chase-words/chase-words";
import { dutch } from "./chase-words/dutch";
import { english } from "./chase-words/english";
import { french } from "./chase-words/french";
import { german } from "./chase-words/german";
import { spanish } from "./chase-words/spanish";

/** Languages in which we have words for a chase, by their English names. */
const CHASE_LANGUAGES = ["English", "German", "French", "Dutch", "Spanish"] as const;
export type ChaseLanguage = (typeof CHASE_LANGUAGES)[number];

/** What a chase is written from. */
export interface ChaseFacts {
  /** Whom it goes to, as they sign. */
  readonly name: string;
  readonly sender: string;
  readonly title: string;
  /** The words that promise or ask, whose they are, and the day they were written. Null where there are none. */
  readonly quote: { readonly words: string; readonly isTheirs: boolean; readonly day: Day } | null;
  readonly due: Day | null;
  readonly isPromise: boolean;
  readonly today: Day;
  readonly language: ChaseLanguage;
  /** Chases of this wait so far: each letter is plainer than the one before. */
  readonly chases: number;
}

/** Words of a passage in a letter at the most; what is longer is cut at a word. */
const LONGEST_QUOTE = 160;

function shortened(words: string): string {
  const tidy = words
    .replace(/\s+/g, " ")
    .trim()
    .replace(/[.;,:]+$/, "");
  if (tidy.length <= LONGEST_QUOTE) return tidy;
  return `${tidy.slice(0, LONGEST_QUOTE).replace(/\s+\S*$/, "")} …`;
}

function lowerFirst(title: string): string {
  return /^[A-Z][a-z]/.test(title) ? title.charAt(0).toLowerCase() + title.slice(1) : title;
}

/** What was said, in a sentence: by whom, when, in which words. */
function reminder({ quote, title }: ChaseFacts, say: ChaseWords): string {
  if (!quote) return say.waitFor(lowerFirst(title));
  const words = shortened(quote.words);
  return quote.isTheirs
    ? say.theyWrote(say.dayInWords(quote.day), words)
    : say.weAsked(say.dayInWords(quote.day), words);
}

/** What the date has to do with it; nothing where there is none. */
function dateSentence({ due, isPromise, today }: ChaseFacts, say: ChaseWords, calendar: WorkingCalendar): string {
  if (!due) return "";
  const day = say.dayInWords(due);
  if (due < today) return isPromise ? say.meantFor(day) : say.neededBy(day);
  return say.needBy(day, sayDistance(due, today, calendar));
}

const WORDS: Readonly<Record<ChaseLanguage, ChaseWords>> = {
  English: english,
  German: german,
  French: french,
  Dutch: dutch,
  Spanish: spanish,
};

/** The language in which somebody is chased: that of the letter that is quoted, where we have words in it; else English. */
export function chaseLanguage(letter: string | null): ChaseLanguage {
  const language = letter === null ? null : languageOf(letter);
  return CHASE_LANGUAGES.find((one) => one === language) ?? "English";
}

/**
 * A short letter that asks once more for what is owed: what was said in its own words, the date, and a question that is
 * plainer with each chase.
 */
export function chaseLetter(facts: ChaseFacts, calendar: WorkingCalendar): string {
  const say = WORDS[facts.language];
  const questions = facts.isPromise ? say.promise : say.ask;
  const question = questions[Math.min(facts.chases, questions.length - 1)]!;
  const first = firstNameOf(facts.name);
  const body = [reminder(facts, say), dateSentence(facts, say, calendar), question]
    .filter((text) => text !== "")
    .join(" ");
  return `${say.dear(first)}\n\n${body}\n\n${facts.sender}`;
}
