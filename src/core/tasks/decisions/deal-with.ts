import { type Outcome, refused, type Write } from "../outcome";
import type { SlipFacts } from "../task";
import { dealtWith } from "./keep-slips";

/** A conversation and its slips, as decisions about the whole of it see them. */
export interface ConversationFacts {
  readonly conversationId: string;
  readonly place: "sort" | "dealt with" | "put by";
  readonly slips: readonly SlipFacts[];
  readonly actorId: string;
}

/** Nothing to do, or nothing more once it is answered: the conversation leaves Sort, and what was proposed in it is brushed off. */
export function nothingToDo(
  facts: ConversationFacts,
  now: string,
  outcome: "nothing to do" | "answered" = "nothing to do",
): Outcome {
  const open = facts.slips.filter((slip) => slip.state === "proposed");
  const kept = facts.slips.some((slip) => slip.state === "kept");
  const writes: Write[] = open.map((slip) => ({
    row: "slip",
    id: slip.id,
    isNew: false,
    values: { state: "brushed off", setAside: outcome },
  }));
  return {
    ok: true,
    writes: [...writes, dealtWith(facts.conversationId, kept ? "kept" : outcome, facts.actorId, now)],
    about: [facts.conversationId],
  };
}

/** Brush off one slip. Where the others are kept already, the conversation is dealt with. */
export function brushOff(facts: ConversationFacts, input: { slipId: string }, now: string): Outcome {
  const slip = facts.slips.find((one) => one.id === input.slipId);
  if (!slip) return refused({ code: "not found" });
  if (slip.state !== "proposed")
    return refused({
      code: "invalid",
      why:
        slip.state === "kept"
          ? "This slip is a task already; call the task off instead."
          : "This slip is brushed off already.",
    });
  const others = facts.slips.filter((one) => one.id !== slip.id);
  const isLast = !others.some((one) => one.state === "proposed") && others.some((one) => one.state === "kept");
  const writes: Write[] = [{ row: "slip", id: slip.id, isNew: false, values: { state: "brushed off" } }];
  if (isLast && facts.place === "sort") writes.push(dealtWith(facts.conversationId, "kept", facts.actorId, now));
  return { ok: true, writes, about: [facts.conversationId] };
}

/** Back to Sort: what was brushed off is proposed again; what was kept stays a task. */
export function backToSort(facts: ConversationFacts, now: string): Outcome {
  if (facts.place === "sort") return refused({ code: "invalid", why: "This conversation is in Sort already." });
  const writes: Write[] = facts.slips
    .filter((slip) => slip.state === "brushed off")
    .map((slip) => ({ row: "slip", id: slip.id, isNew: false, values: { state: "proposed", setAside: null } }));
  writes.push({
    row: "conversation",
    id: facts.conversationId,
    isNew: false,
    values: {
      place: "sort",
      outcome: null,
      dealtAt: null,
      dealtBy: null,
      cameAt: now,
      ...(facts.place === "put by" ? { putUntil: null } : {}),
    },
  });
  return { ok: true, writes, about: [facts.conversationId] };
}

/** Says which project a conversation belongs to, and shares it with whoever may see that; its open slips follow, where they had none or the same as it. */
export function goesTo(facts: ConversationFacts, input: { projectId: string | null }): Outcome {
  const writes: Write[] = [
    {
      row: "conversation",
      id: facts.conversationId,
      isNew: false,
      values: { projectId: input.projectId, isShared: input.projectId !== null },
    },
  ];
  for (const slip of facts.slips)
    if (slip.state === "proposed")
      writes.push({
        row: "slip",
        id: slip.id,
        isNew: false,
        values: { projectId: input.projectId, workstreamId: null },
      });
  return { ok: true, writes, about: [facts.conversationId] };
}
