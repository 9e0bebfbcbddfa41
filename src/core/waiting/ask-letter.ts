import { firstNameOf } from "../letters/first-name";
import type { Day } from "../time/day";
import { dayInFull } from "../time/day-in-full";

/** What a letter that asks somebody outside for something is written from. */
export interface AskFacts {
  readonly name: string;
  readonly sender: string;
  readonly title: string;
  readonly due: Day | null;
  /** What was typed along; it goes into the letter. */
  readonly note: string;
}

/** A short letter that asks somebody outside to take something on: what, by when, and what was typed along. */
export function askLetter({ name, sender, title, due, note }: AskFacts): string {
  const first = firstNameOf(name);
  const what = /^[A-Z][a-z]/.test(title) ? title.charAt(0).toLowerCase() + title.slice(1) : title;
  const by = due ? `, by ${dayInFull(due)}` : "";
  const more = note.trim() === "" ? "" : `${note.trim().replace(/([^.!?])$/, "$1.")}\n\n`;
  return `Dear ${first},\n\nWould you take this on for us: ${what}${by}?\n\n${more}${sender}`;
}
