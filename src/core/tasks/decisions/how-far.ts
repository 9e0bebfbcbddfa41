import { linkToOwner, takenOn } from "../chain";
import { invalid, type Outcome } from "../outcome";
import { holdingColumns } from "../row";
import type { Step } from "../steps";
import type { TaskState } from "../task";
import type { HandFacts } from "./hand-over";

/** Says in per cent how far a task is, where it has no checklist to say it; null takes that back. */
export function howFar(
  facts: HandFacts & { readonly steps: readonly Step[] },
  input: { readonly percent: number | null },
  now: string,
): Outcome {
  const { percent } = input;
  if (facts.steps.length > 0) return invalid("Its checklist says how far it is. Nothing was changed.");
  if (facts.state === "done" || facts.state === "called off")
    return invalid(`${facts.reference} is ${facts.state} already. Nothing was changed.`);
  if (percent !== null && (!Number.isInteger(percent) || percent < 0 || percent > 100))
    return invalid("How far it is goes from 0 to 100 per cent. Nothing was changed.");
  const begins = facts.state === "to begin" && percent !== null && percent > 0;
  const state: TaskState = begins ? "under way" : facts.state;
  // The owner who has begun has taken it on.
  const link = linkToOwner(facts.holding);
  const isTaken = begins && link?.answer === "needs-action" && link.to === facts.actorId;
  const holding = isTaken ? holdingColumns(takenOn(facts.holding, now)) : {};
  const values = { percent, state, ...holding, changedAt: now };
  return { ok: true, about: facts.about, writes: [{ row: "task", id: facts.id, isNew: false, values }] };
}
