import type { Priority, SlipKind } from "../../reading/slip";
import { isDay } from "../../time/day";
import type { Write } from "../outcome";
import { newTask } from "../row";
import { type Due, type Owner, tidyTitle } from "../task";

/** What one's own letter asks or promises, to be kept with it. `start` and `end` are its words in the letter. */
export interface WrittenSlip {
  readonly kind: SlipKind;
  readonly title: string;
  readonly start: number;
  readonly end: number;
  readonly due: Due | null;
  readonly priority: Priority;
  readonly estimate?: number | null;
}

/** What is handed out for a task that is kept with a letter, and who has it. */
export interface WrittenTask {
  readonly id: string;
  readonly number: number;
  readonly owner: Owner;
}

/** Where the letter belongs. */
export interface WrittenIn {
  readonly outgoingId: string;
  readonly conversationId: string | null;
  readonly projectId: string | null;
  readonly actorId: string;
  /** Characters of the letter as it goes out. */
  readonly textLength: number;
}

/**
 * Tasks that a letter of ours brings with it: what it asks of colleagues is theirs, what it asks of people outside is waited
 * for, what it promises is the writer's own.
 */
export function keepWritten(
  slips: readonly WrittenSlip[],
  tasks: readonly WrittenTask[],
  { outgoingId, conversationId, projectId, actorId, textLength }: WrittenIn,
  now: string,
): { ok: true; writes: Write[] } | { ok: false; why: string } {
  const writes: Write[] = [];
  for (const [i, slip] of slips.entries()) {
    const { id, number, owner } = tasks[i]!;
    const title = tidyTitle(slip.title);
    if (!title.ok) return title;
    if (slip.start >= slip.end || slip.end > textLength)
      return {
        ok: false,
        why: "What was to be kept does not stand in the letter any more. Nothing was sent; look at it once more.",
      };
    if (slip.due && !isDay(slip.due.day))
      return { ok: false, why: `There is no ${slip.due.day}. Nothing was sent; your letter is still here.` };
    const making = { ...slip, id, number, owner, title: title.title, projectId, conversationId, outgoingId, actorId };
    writes.push(newTask(making, now));
  }
  return { ok: true, writes };
}
