import type { Day, WorkingCalendar } from "../time/day";
import { dayInFull } from "../time/day-in-full";
import { sayDistance } from "../time/say-day";

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
function reminder({ quote, title }: ChaseFacts): string {
  if (!quote) return `We are waiting for one thing from you: ${lowerFirst(title)}.`;
  const day = dayInFull(quote.day);
  const words = shortened(quote.words);
  return quote.isTheirs ? `On ${day} you wrote: “${words}.”` : `On ${day} we asked you: “${words}.”`;
}

/** What the date has to do with it; nothing where there is none. */
function dateSentence({ due, isPromise, today }: ChaseFacts, calendar: WorkingCalendar): string {
  if (!due) return "";
  if (due < today) return isPromise ? `That was meant for ${dayInFull(due)}.` : `We needed it by ${dayInFull(due)}.`;
  const distance = sayDistance(due, today, calendar);
  return `We need it by ${dayInFull(due)}, ${distance}.`;
}

/** The question of each chase, from friendly to plain; none is used twice for one wait. */
const QUESTIONS = {
  promise: [
    "Did it come about, or is there something we can help with?",
    "Could you tell us today where it stands, and which day we can count on?",
    "We cannot go on without it. Please name a day that holds, or tell us who can.",
    "This holds up everybody who comes after you. Please answer today, if only in one line.",
  ],
  ask: [
    "May I ask how far it is?",
    "Could you let us have it, or tell us by when you can?",
    "Our work stands still until it is here. Please send it, or name somebody who can.",
    "We have had no answer so far. Please write today, if only to say that it cannot be done.",
  ],
} as const;

/**
 * A short letter that asks once more for what is owed: what was said in its own words, the date, and a question that is
 * plainer with each chase.
 */
export function chaseLetter(facts: ChaseFacts, calendar: WorkingCalendar): string {
  const questions = facts.isPromise ? QUESTIONS.promise : QUESTIONS.ask;
  const question = questions[Math.min(facts.chases, questions.length - 1)]!;
  const first = facts.name.trim().split(/\s+/)[0] || facts.name;
  const body = [reminder(facts), dateSentence(facts, calendar), question].filter((text) => text !== "").join(" ");
  return `Dear ${first},\n\n${body}\n\n${facts.sender}`;
}
