import { invalid, type Outcome, type Write } from "../outcome";
import { dealtWith } from "./keep-slips";

/** What belongs to a conversation and goes along with it. */
export interface Belongings {
  readonly conversationId: string;
  readonly letterIds: readonly string[];
  readonly slips: readonly { readonly id: string; readonly state: "proposed" | "kept" | "brushed off" }[];
  readonly taskIds: readonly string[];
}

/** A conversation and the task that it is put on. */
export interface JoinFacts {
  readonly conversation: Belongings;
  readonly task: { readonly id: string; readonly conversationId: string | null };
  readonly actorId: string;
}

function moved(from: Belongings, to: string): Write[] {
  const values = { conversationId: to };
  return [
    ...from.letterIds.map((id) => ({ row: "letter" as const, id, isNew: false, values })),
    ...from.slips.map(({ id }) => ({ row: "slip" as const, id, isNew: false, values })),
    ...from.taskIds.map((id) => ({ row: "task" as const, id, isNew: false, values })),
  ];
}

/**
 * Puts a conversation on a task: from here on its letters stand there, and so does whatever answers them. Where the task
 * has a conversation already, the two become one. Slips that were proposed are brushed off: the task stands for them.
 */
export function joinTask(facts: JoinFacts, now: string): Outcome {
  const { conversation, task } = facts;
  if (task.conversationId === conversation.conversationId)
    return invalid("This conversation stands on that task already.");
  const writes: Write[] = conversation.slips
    .filter((slip) => slip.state === "proposed")
    .map(({ id }) => ({ row: "slip", id, isNew: false, values: { state: "brushed off", setAside: "joined" } }));
  const about = [conversation.conversationId, task.id];
  if (task.conversationId === null) {
    writes.push({ row: "task", id: task.id, isNew: false, values: { conversationId: conversation.conversationId } });
    writes.push(dealtWith(conversation.conversationId, "joined", facts.actorId, now));
    return { ok: true, writes, about };
  }
  writes.push(...moved(conversation, task.conversationId));
  const gone = dealtWith(conversation.conversationId, "joined", facts.actorId, now);
  writes.push({ ...gone, values: { ...gone.values, mergedInto: task.conversationId } });
  return { ok: true, writes, about: [...about, task.conversationId] };
}

/** A conversation that is split, the letters that leave it (the later ones), and what they leave behind. */
export interface SplitFacts {
  readonly conversationId: string;
  readonly newId: string;
  readonly projectId: string | null;
  /** What goes: the letters from the one named on, with their slips and the tasks made of them. */
  readonly going: Belongings;
  readonly messageIds: readonly string[];
  readonly subject: string;
  readonly lastAt: string;
  /** Letters that stay. */
  readonly staying: number;
}

/** Splits a conversation: the letters from one on become a conversation of their own, in Sort, with what belongs to them. */
export function split(facts: SplitFacts, now: string): Outcome {
  if (facts.staying === 0)
    return invalid("This is the first letter of its conversation: there is nothing to split it from.");
  const fresh: Write = {
    row: "conversation",
    id: facts.newId,
    isNew: true,
    values: {
      subject: facts.subject,
      projectId: facts.projectId,
      place: "sort",
      outcome: null,
      dealtAt: null,
      dealtBy: null,
      lastAt: facts.lastAt,
      cameAt: now,
      mergedInto: null,
    },
  };
  return {
    ok: true,
    about: [facts.conversationId, facts.newId],
    writes: [
      fresh,
      ...moved(facts.going, facts.newId),
      ...facts.messageIds.map((id) => ({
        row: "thread" as const,
        id,
        isNew: false,
        values: { conversationId: facts.newId },
      })),
    ],
  };
}
