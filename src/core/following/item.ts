import type { FoundSlip, SlipKind } from "../reading/slip";
import type { Day } from "../time/day";

/** What a letter can do to an item that was opened before, the strongest first: of two changes in one letter the first counts. */
export const CHANGES = ["done", "called off", "declined", "passed", "moved", "part", "promised", "reminded"] as const;
export type ChangeKind = (typeof CHANGES)[number];

const NEVER: Readonly<Record<SlipKind, ReadonlySet<ChangeKind>>> = {
  ask: new Set(),
  question: new Set(["moved", "declined", "called off"]),
  promise: new Set(["passed", "declined"]),
  trouble: new Set(["declined", "called off", "reminded"]),
};

/**
 * Whether such a thing can become so: a question is answered or not, but not put off; trouble that somebody cannot cure is
 * trouble still. What is said in a turn that leaves no doubt ("there is nothing we can do") counts all the same.
 */
export function canBecome(kind: SlipKind, change: ChangeKind): boolean {
  return !NEVER[kind].has(change);
}

/** Whether a change of something that was over opens it again: it is promised anew, put off, or only a part of it was done. */
export function opensAgain(change: ChangeKind): boolean {
  return change !== "done" && change !== "called off" && change !== "declined";
}

/** Something that a conversation has left open. Addresses are in lower case. */
export interface OpenItem {
  readonly id: string;
  readonly kind: SlipKind;
  readonly quote: string;
  readonly start: number;
  readonly end: number;
  owner: string | null;
  readonly asker: string;
  /** The day by which it was wanted, or is expected since somebody promised or moved it. */
  due: Day | null;
  readonly otherDays: readonly Day[];
  /** Number of the letter that opened it, counted from nought. */
  readonly letter: number;
  /** Number of the letter in which it was last asked for: opened, asked for again, or wanted on another day. */
  raised: number;
  /** Its place among the items of that letter, counted from one. */
  readonly place: number;
  /** Words that tell it from others. */
  readonly words: ReadonlySet<string>;
  /** Who of several still owes it, where each was asked for their own; empty where one doing it is enough. */
  each: readonly string[];
  /** The day that a question proposes for something else: "would Monday do?"; null where it proposes none, or where that is not known. */
  readonly proposes: Day | null;
  isPromised: boolean;
  isOver: boolean;
  /** How sure was what it is over by, from 0 to 1: 1 where people said so. */
  overBy: number;
}

/** What of these was asked for last. */
export function raisedLast(items: readonly OpenItem[]): OpenItem[] {
  const newest = Math.max(...items.map(({ raised }) => raised));
  return items.filter(({ raised }) => raised === newest);
}

/** The one thing of these that was asked for last; null where several were. */
export function lastRaised(items: readonly OpenItem[]): OpenItem | null {
  const last = raisedLast(items);
  return last.length === 1 ? last[0]! : null;
}

/** A slip that offers to change a task that is here already. */
export interface FoundChange extends FoundSlip {
  readonly changes: { readonly taskId: string; readonly conversationId: string; readonly change: ChangeKind };
}

/** What a letter does to an item. */
export interface ItemChange {
  readonly item: string;
  readonly change: ChangeKind;
  readonly due: Day | null;
  readonly otherDays: readonly Day[];
  /** Who has it now, where it was passed on to somebody who is named. */
  readonly owner: string | null;
  readonly quote: string;
  readonly start: number;
  readonly end: number;
  /** Whether the letter names the item, and does not only answer. */
  readonly isNamed: boolean;
  /** How sure it is, from 0 to 1. */
  readonly confidence: number;
  /** The rule that found it, in words. */
  readonly reason: string;
}
