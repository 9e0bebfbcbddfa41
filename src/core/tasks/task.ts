import type { ChangeKind } from "../following/item";
import type { Priority, SlipKind } from "../reading/slip";
import type { Day } from "../time/day";
import type { Holding } from "./chain";

/** The four states, the same everywhere (iCalendar NEEDS-ACTION, IN-PROCESS, COMPLETED, CANCELLED; RFC 5545 section 3.8.1.11). */
export const TASK_STATES = ["to begin", "under way", "done", "called off"] as const;
export type TaskState = (typeof TASK_STATES)[number];

/** What a comment is: a note, a call about a wait (they were spoken to, or not reached), or a question of the owner to who gave the task. */
export type CommentKind = "note" | "call" | "call missed" | "question";

/** A due: a day, perhaps a time, and the zone both are meant in. */
export interface Due {
  readonly day: Day;
  readonly time: string | null;
  readonly zone: string;
}

/** Who has a task: one person of the team, somebody outside (a wait), or visibly nobody. */
export type Owner =
  | { readonly side: "ours"; readonly personId: string | null }
  | { readonly side: "theirs"; readonly correspondentId: string };

/** A passage: the exact words of a letter that a task comes from, as characters of its text. */
export interface Passage {
  readonly letterId: string;
  readonly start: number | null;
  readonly end: number | null;
}

/** A task as an offered change finds it. */
export interface ChangedTask {
  readonly side: "ours" | "theirs";
  readonly state: TaskState;
  /** Whether it was over when the letter was written, which then speaks of it again. */
  readonly wasOver: boolean;
}

/** What a slip offers to change: a task as it is now, and the words that say so. */
export interface SlipChange {
  readonly change: ChangeKind;
  readonly quote: string;
  readonly task: ChangedTask & { readonly id: string; readonly holding: Holding };
}

/** A slip as decisions see it. */
export interface SlipFacts {
  readonly id: string;
  readonly conversationId: string;
  readonly passage: Passage;
  readonly kind: SlipKind;
  readonly title: string;
  readonly owner: Owner;
  readonly due: Due | null;
  readonly priority: Priority;
  /** Minutes of work; null where nobody said. */
  readonly estimate: number | null;
  readonly projectId: string | null;
  readonly workstreamId: string | null;
  readonly state: "proposed" | "kept" | "brushed off";
  /** The task that it would change; null where keeping it makes a task. */
  readonly changes: SlipChange | null;
}

/** Longest title a task may have; a longer text belongs into a comment. */
export const LONGEST_TITLE = 300;

/** The title with its white space tidied, or why it cannot be one. */
export function tidyTitle(title: string): { ok: true; title: string } | { ok: false; why: string } {
  const tidy = title.replace(/\s+/g, " ").trim();
  if (tidy === "") return { ok: false, why: "A task needs a title. What you had stays as it was." };
  if (tidy.length > LONGEST_TITLE)
    return {
      ok: false,
      why: `This title has ${tidy.length} characters; ${LONGEST_TITLE} are the most. What you typed is still in the field: put the rest into a comment.`,
    };
  return { ok: true, title: tidy };
}
