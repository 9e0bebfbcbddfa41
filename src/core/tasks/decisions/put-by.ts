import { invalid, type Outcome, type RowValues } from "../outcome";
import type { ConversationFacts } from "./deal-with";
import type { HandFacts } from "./hand-over";

/** What is kept without a date comes back at no instant that anybody lives to see. */
export const SHELF = "9999-12-31T00:00:00.000Z";

/** Whether something that is put by lies on the shelf. */
export function isOnShelf(until: string | number | null): boolean {
  return until !== null && new Date(until).getUTCFullYear() >= 9999;
}

/** The instant until which something is put by; null: without a date. */
export interface PutByInput {
  readonly until: string | null;
}

function untilOf(input: PutByInput, now: string): { ok: true; until: string } | { ok: false; why: string } {
  if (input.until === null) return { ok: true, until: SHELF };
  if (Date.parse(input.until) <= Date.parse(now))
    return { ok: false, why: "That moment is past already. Nothing was put by; your words are still in the field." };
  return { ok: true, until: input.until };
}

/** Puts a conversation by: out of Sort until then; its slips wait with it. */
export function putConversationBy(facts: ConversationFacts, input: PutByInput, now: string): Outcome {
  const until = untilOf(input, now);
  if (!until.ok) return invalid(until.why);
  const values: RowValues = {
    place: "put by",
    putUntil: until.until,
    returnedAt: null,
    outcome: null,
    dealtAt: now,
    dealtBy: facts.actorId,
  };
  return {
    ok: true,
    about: [facts.conversationId],
    writes: [{ row: "conversation", id: facts.conversationId, isNew: false, values }],
  };
}

/** Puts a task by: out of the lists until then. Its date stays, and so does who hears of it. */
export function putTaskBy(facts: HandFacts, input: PutByInput, now: string): Outcome {
  if (facts.state === "done" || facts.state === "called off")
    return invalid(`${facts.reference} is ${facts.state} already; there is nothing to put by.`);
  const until = untilOf(input, now);
  if (!until.ok) return invalid(until.why);
  const values = { putUntil: until.until, returnedAt: null, changedAt: now };
  return { ok: true, about: facts.about, writes: [{ row: "task", id: facts.id, isNew: false, values }] };
}

/** Brings a task back into the lists. */
export function bringTaskBack(facts: HandFacts, now: string): Outcome {
  const values = { putUntil: null, returnedAt: now, changedAt: now };
  return { ok: true, about: facts.about, writes: [{ row: "task", id: facts.id, isNew: false, values }] };
}
