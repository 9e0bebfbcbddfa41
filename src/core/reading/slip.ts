import type { Day } from "../time/day";

/** What a passage is, in the order in which a kind wins where several fit. */
export const SLIP_KINDS = ["ask", "question", "promise", "trouble"] as const;
export type SlipKind = (typeof SLIP_KINDS)[number];

/** The four priorities, as iCalendar has them (RFC 5545 section 3.8.1.9): 1, 2–4, 5, 6–9. */
export const PRIORITIES = ["top", "high", "normal", "low"] as const;
export type Priority = (typeof PRIORITIES)[number];

/** Somebody a letter can mean: of the team, or outside. `address` is lower case. */
export interface Person {
  readonly id: string;
  readonly name: string;
  readonly address: string;
  readonly nicknames?: readonly string[];
  /** What they do in the team, in a word or two: they may be called by it. */
  readonly role?: string;
}

/** Everybody who may be meant, and which side they are on. */
export interface People {
  readonly team: readonly Person[];
  readonly outside: readonly Person[];
}

/** A due day read from a letter: what was said, and what else it could mean. */
export interface DueFound {
  readonly day: Day;
  readonly time: string | null;
  readonly others: readonly Day[];
  readonly words: string;
}

/** From here on a slip is kept with all others; what is less sure is kept only once somebody has looked at it. */
const SURE_FROM = 0.75;

/** The same of what would change a task that is here: to close one wrongly costs more than a slip too many. */
const CHANGE_SURE_FROM = 0.85;

/** Whether it is sure enough what a letter changes for it to be kept unseen. */
export function isSureChange({ confidence }: { readonly confidence: number }): boolean {
  return confidence >= CHANGE_SURE_FROM;
}

/** Whether the reader is sure enough of a slip, be it of something new or of a change, that it is kept unseen. */
export function isSure(slip: { readonly confidence: number; readonly changes?: object | null }): boolean {
  return slip.changes ? isSureChange(slip) : slip.confidence >= SURE_FROM;
}

/** A proposed slip with its passage. `start` and `end` count characters of the letter's text. */
export interface FoundSlip {
  readonly kind: SlipKind;
  readonly start: number;
  readonly end: number;
  readonly title: string;
  /** Address of who has to act; null where nobody is named or addressed alone. */
  readonly owner: string | null;
  readonly due: DueFound | null;
  readonly priority: Priority;
  /** What its priority was read as, where this writer's are kept as another. */
  readonly readPriority?: Priority;
  /** How long the work takes, in minutes, where the letter says so. */
  readonly estimate: number | null;
  /** The words of haste that its due is read from, by their name; null where it is read from a day, or there is none. */
  readonly haste: string | null;
  /** The rule that found it, by its name. */
  readonly rule: string;
  /** Why it is proposed, in words: "because: a polite request, “Mira” is named, “by Friday”". */
  readonly reason: string;
  /** How sure the reader is, from 0 to 1: as its rule is, or less where people brushed like passages off. */
  readonly confidence: number;
}
