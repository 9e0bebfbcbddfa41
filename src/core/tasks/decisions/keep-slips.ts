import { invalid, type Outcome, refused, type Write } from "../outcome";
import { newTask } from "../row";
import type { SlipFacts } from "../task";
import { changeByLetter } from "./change-by-letter";

/** What keeping slips is decided on. `numbers` are handed out for the tasks to come, `ids` for tasks and notes, one for each slip to keep. */
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

/**
 * Keeps slips as tasks: each gets its owner, due, priority and passage, and a slip whose owner is outside becomes a wait. One
 * that offers to change a task changes it.
 * When no slip of the conversation is left open, the conversation is dealt with.
 */
export function keepSlips(facts: KeepFacts, input: { slipIds: readonly string[] }, now: string): Outcome {
  const wanted = facts.slips.filter((slip) => input.slipIds.includes(slip.id));
  if (wanted.length < new Set(input.slipIds).size) return refused({ code: "not found" });
  const open = wanted.filter((slip) => slip.state === "proposed");
  if (open.length === 0) return invalid("Somebody has dealt with this already; nothing was made twice.");
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
    const number = facts.numbers[made.length]!;
    const id = facts.ids[i]!;
    made.push(id);
    writes.push(
      newTask(
        {
          ...slip,
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
    writes.push({ row: "slip", id: slip.id, isNew: false, values: { state: "kept", taskId: id } });
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
    values: { place: "dealt with", outcome, dealtAt: now, dealtBy: actorId },
  };
}
