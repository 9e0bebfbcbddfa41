import type { ChangeKind } from "../../following/item";
import { isDay } from "../../time/day";
import type { Write } from "../outcome";
import type { Due, Owner, SlipChange } from "../task";
import { changeByLetter } from "./change-by-letter";

/** What one's own letter says of a task that is here already. `start` and `end` are its words in the letter. */
export interface WrittenChange {
  readonly taskId: string;
  readonly change: ChangeKind;
  readonly start: number;
  readonly end: number;
  readonly due: Due | null;
}

/** The task that it changes, who has it next where it is passed on, and the id that a note on it would have. */
export interface WrittenChangeFacts {
  readonly task: SlipChange["task"];
  readonly owner: Owner;
  readonly commentId: string;
}

/**
 * Changes that a letter of ours brings with it, as keeping an answer of somebody else's would write them. Of two that change
 * one task the first counts.
 */
export function changeWritten(
  changes: readonly WrittenChange[],
  facts: readonly WrittenChangeFacts[],
  { text, actorId }: { readonly text: string; readonly actorId: string },
  now: string,
): { ok: true; writes: Write[]; changed: string[] } | { ok: false; why: string } {
  const writes: Write[] = [];
  const changed = new Set<string>();
  for (const [i, { taskId, change, start, end, due }] of changes.entries()) {
    const { task, owner, commentId } = facts[i]!;
    if (changed.has(taskId)) continue;
    if (start >= end || end > text.length)
      return {
        ok: false,
        why: "What was to change a task does not stand in the letter any more. Nothing was sent; look at it once more.",
      };
    if (due && !isDay(due.day))
      return { ok: false, why: `There is no ${due.day}. Nothing was sent; your letter is still here.` };
    const quote = text.slice(start, end).replace(/\s+/g, " ");
    writes.push(...changeByLetter({ owner, due }, { change, quote, task }, { commentId, actorId, now }));
    changed.add(taskId);
  }
  return { ok: true, writes, changed: [...changed] };
}
