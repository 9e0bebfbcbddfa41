import { isDay } from "../../time/day";
import { invalid, type Outcome, refused, type Write } from "../outcome";
import { dueColumns, newTask } from "../row";
import type { Due, SlipFacts } from "../task";
import { changeByLetter } from "./change-by-letter";
import { LONGEST_NOTE } from "./hand-over";

/** What keeping slips is decided on. `numbers` are handed out for the tasks to come, `ids` for tasks and notes, one for each slip to keep or person it is handed to, and one more. */
export interface KeepFacts {
  readonly conversationId: string;
  readonly conversationProjectId: string | null;
  /** Every slip of the conversation. */
  readonly slips: readonly SlipFacts[];
  readonly numbers: readonly number[];
  readonly ids: readonly string[];
  /** Who a wait is for: the person who keeps the promise. */
  readonly actorId: string;
}

/** A slip that is handed over as it is kept: to whom, with what note, perhaps with another due. */
export interface HandedSlip {
  readonly toIds: readonly string[];
  readonly note: string;
  readonly due?: Due | null | undefined;
}

/** The tasks that one slip becomes: one a person it is handed to, who know of each other. */
function handedTasks(slip: SlipFacts, hand: HandedSlip | undefined, togetherId: string) {
  if (!hand) return [slip];
  const due = hand.due === undefined ? slip.due : hand.due;
  return hand.toIds.map((personId) => ({
    ...slip,
    due,
    owner: { side: "ours" as const, personId },
    note: hand.note.trim(),
    togetherId: hand.toIds.length > 1 ? togetherId : null,
  }));
}

/** Why a slip cannot be handed over so. */
function wrongHand(hand: HandedSlip, open: readonly SlipFacts[]): string | null {
  if (open.length !== 1 || open[0]!.changes) return "One slip is handed over at a time. Nothing was kept.";
  if (new Set(hand.toIds).size !== hand.toIds.length || hand.toIds.length === 0)
    return "Nobody is named, or somebody twice. Your words are still in the field.";
  if (hand.due && !isDay(hand.due.day))
    return `There is no ${hand.due.day}. Nothing was kept; your words are still in the field.`;
  if (hand.note.length > LONGEST_NOTE) return "This note is too long. Nothing was kept; it is still in the field.";
  return null;
}

/**
 * Keeps slips as tasks: each gets its owner, due, priority and passage, and a slip whose owner is outside becomes a wait. One
 * that offers to change a task changes it.
 * When no slip of the conversation is left open, the conversation is dealt with.
 */
export function keepSlips(
  facts: KeepFacts,
  input: { slipIds: readonly string[]; hand?: HandedSlip | undefined },
  now: string,
): Outcome {
  const wanted = facts.slips.filter((slip) => input.slipIds.includes(slip.id));
  if (wanted.length < new Set(input.slipIds).size) return refused({ code: "not found" });
  const open = wanted.filter((slip) => slip.state === "proposed");
  if (open.length === 0) return invalid("Somebody has dealt with this already; nothing was made twice.");
  const wrong = input.hand ? wrongHand(input.hand, open) : null;
  if (wrong) return invalid(wrong);
  const writes: Write[] = [];
  const made: string[] = [];
  const changed: string[] = [];
  for (const [i, slip] of open.entries()) {
    if (slip.changes) {
      const by = { commentId: facts.ids[i]!, actorId: facts.actorId, now };
      const { id } = slip.changes.task;
      writes.push(...changeByLetter(slip, slip.changes, by));
      writes.push({ row: "slip", id: slip.id, isNew: false, values: { state: "kept", taskId: id } });
      changed.push(id);
      continue;
    }
    for (const [more, task] of handedTasks(slip, input.hand, facts.ids.at(-1)!).entries()) {
      const number = facts.numbers[made.length]!;
      const id = facts.ids[i + more]!;
      made.push(id);
      writes.push(
        newTask(
          {
            ...task,
            ...slip.passage,
            id,
            number,
            projectId: slip.projectId ?? facts.conversationProjectId,
            conversationId: facts.conversationId,
            actorId: facts.actorId,
          },
          now,
        ),
      );
    }
    // Handed over with another date, it is kept for that one.
    const due = input.hand?.due === undefined ? {} : dueColumns(input.hand.due);
    writes.push({ row: "slip", id: slip.id, isNew: false, values: { state: "kept", taskId: facts.ids[i]!, ...due } });
  }
  const left = facts.slips.filter((slip) => slip.state === "proposed" && !open.includes(slip));
  if (left.length === 0) writes.push(dealtWith(facts.conversationId, "kept", facts.actorId, now));
  return { ok: true, writes, about: [facts.conversationId, ...new Set([...made, ...changed])], made };
}

/** The write that takes a conversation out of Sort. */
export function dealtWith(
  conversationId: string,
  outcome: "kept" | "nothing to do" | "answered" | "joined",
  actorId: string,
  now: string,
): Write {
  return {
    row: "conversation",
    id: conversationId,
    isNew: false,
    values: { place: "dealt with", outcome, dealtAt: now, dealtBy: actorId, putUntil: null, returnedAt: null },
  };
}
