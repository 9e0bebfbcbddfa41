import { baseSubject } from "../letters/base-subject";
import { firstNameOf } from "../letters/first-name";
import { findDates } from "../time/dates-in-words";
import { PLAIN_WEEK } from "../time/day";
import type { Moment } from "../time/moment";
import type { Clause } from "./clauses";
import { dueOf } from "./due";
import { listPoint } from "./rules/list-point";
import { beforeName, namedBehind } from "./rules/named-behind";
import type { Person, SlipKind } from "./slip";
import { LONGEST_TITLE, titleOf } from "./title";
import type { Judged } from "./weighing/sense";

/** A passage with what its title needs of its letter. */
export interface TitledPassage {
  readonly text: string;
  readonly subject: string;
  readonly writer: Person;
  readonly isWriterOurs: boolean;
  /** Names of those in To. */
  readonly to: readonly string[];
  /** When the letter was sent, from which its days count. */
  readonly sent: Moment;
  readonly figures: "dmy" | "mdy";
}

/** Whom a writer calls "you", as the reader of a title says it: us, or whom a letter of our own goes to. */
export function youOf(isWriterOurs: boolean, to: readonly string[]): string {
  return isWriterOurs ? (to.length === 1 ? firstNameOf(to[0]!) : "them") : "us";
}

/** "We would be grateful to receive:", and a thing: it is to be sent. */
const SENT_LEAD = /\b(?:receive|send|require|need|lack|missing|let (?:me|us) have|provide|submit|outstanding)\b/i;
const THING = /^(?:an?|the|your|any|all|both|two|three|copies|proof|details|evidence)\b/i;

/** The words of a clause that its title is made of. */
export function titleWords({ rule }: Pick<Judged, "rule">, { text, lead }: Pick<Clause, "text" | "lead">): string {
  if (rule === listPoint.name && lead && SENT_LEAD.test(lead) && THING.test(text)) return `Send me ${text}`;
  return rule === namedBehind.name ? beforeName(text) : text;
}

/** A title of one word ("Choose") says too little without what the letter is about. */
export function withSubject(title: string, subject: string): string {
  const about = baseSubject(subject);
  return /\s/.test(title) || about === "" ? title : `${title}: ${about}`.slice(0, LONGEST_TITLE);
}

/**
 * The title that the reader gives a passage of a kind: the same as when the letter was read, where it was taken for that kind, and
 * for what it is set right to, the title that it would have had. Titles of two sentences that were read as one are not found so.
 */
export function titleOfPassage(kind: SlipKind, passage: TitledPassage): string {
  const text = passage.text.replace(/\s+/g, " ").trim();
  const dates = kind === "trouble" ? [] : findDates(text, passage.sent, PLAIN_WEEK, passage.figures);
  const words = dueOf(kind, text, dates)?.words ?? null;
  const you = youOf(passage.isWriterOurs, passage.to);
  return withSubject(titleOf(kind, text, passage.writer, dates.length > 0 ? words : null, you), passage.subject);
}
