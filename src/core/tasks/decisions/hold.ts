import { invalid, type Outcome } from "../outcome";
import type { TaskState } from "../task";
import type { HandFacts } from "./hand-over";

/** A task that another one may be held by. */
export interface Holder {
  readonly id: string;
  readonly reference: string;
  readonly state: TaskState;
  /** Tasks that hold it in turn, the nearest first. */
  readonly above: readonly string[];
}

/** Says that a task cannot go on until another one is there, mostly a wait; null lets it go on. */
export function hold(facts: HandFacts, holder: Holder | null, now: string): Outcome {
  if (holder) {
    if (holder.id === facts.id) return invalid("A task cannot wait for itself. Nothing was changed.");
    if (holder.above.includes(facts.id))
      return invalid(`${holder.reference} waits for ${facts.reference} itself. Nothing was changed.`);
    if (holder.state === "done" || holder.state === "called off")
      return invalid(`${holder.reference} is ${holder.state} already: it holds nothing up. Nothing was changed.`);
    if (facts.state === "done" || facts.state === "called off")
      return invalid(`${facts.reference} is ${facts.state} already. Nothing was changed.`);
  }
  const values = { heldById: holder?.id ?? null, changedAt: now };
  return {
    ok: true,
    about: [...facts.about, ...(holder ? [holder.id] : [])],
    writes: [{ row: "task", id: facts.id, isNew: false, values }],
  };
}
