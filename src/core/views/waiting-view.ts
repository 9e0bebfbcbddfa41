import type { Day } from "../time/day";
import type { ChaseLanguage } from "../waiting/chase-letter";
import type { NextStep } from "../waiting/next-step";
import type { CorrespondentView, DueView, PersonView, TaskRow } from "./views";

/** What happened on the line of a wait: a word of ours, one of theirs, or an answer to a hand-over. */
export interface LineEvent {
  readonly at: number;
  readonly what: "we wrote" | "they wrote" | "chased" | "rang" | "taken on" | "handed back";
}

/** One thing that is waited for. */
export interface WaitRow {
  readonly task: TaskRow;
  /** Who it is waited for: of the team, or outside. Null where nobody has it. */
  readonly from: PersonView | CorrespondentView | null;
  readonly isOutside: boolean;
  /** Who waits. */
  readonly forWhom: PersonView | null;
  readonly events: readonly LineEvent[];
  readonly heardAt: number;
  readonly silence: number;
  readonly usual: number | null;
  readonly isLong: boolean;
  readonly awayUntil: Day | null;
  readonly due: DueView | null;
  readonly isPromise: boolean;
  readonly next: NextStep;
  /** Chases so far. */
  readonly chases: number;
  /** A conversation in Sort in which they wrote since they were heard last: it is read before anybody is chased. */
  readonly inSortId: string | null;
  /** The letter that a chase would answer. */
  readonly answersId: string | null;
  readonly subject: string | null;
  /** The language in which they are chased. */
  readonly language: ChaseLanguage;
  /** The words that ask or promise it. */
  readonly quote: { readonly words: string; readonly isTheirs: boolean; readonly at: number } | null;
}

export interface WaitingPage {
  readonly rows: readonly WaitRow[];
  readonly next: string | null;
}

/** Figures at the head of Waiting; capped as `CountsView`. */
export interface WaitingFigures {
  readonly all: number;
  readonly outside: number;
  readonly over: number;
}
