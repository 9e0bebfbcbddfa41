import { linkToOwner, takenOn } from "../chain";
import { invalid, type Outcome, type RowValues, refused } from "../outcome";
import { holdingColumns } from "../row";
import type { Step } from "../steps";
import type { HandFacts } from "./hand-over";

/** What is done to a checklist: a step is added, ticked or not, or taken away. */
export type StepChange =
  | { readonly kind: "add"; readonly text: string }
  | { readonly kind: "tick"; readonly stepId: string; readonly isDone: boolean }
  | { readonly kind: "remove"; readonly stepId: string };

/** Steps of one task at the most, and characters of one. */
const MOST_STEPS = 60;
const LONGEST_STEP = 300;

/**
 * Changes the checklist of a task. An owner who ticks the first step has begun: the task is under way, and taken on where it
 * was given to them.
 */
export function changeSteps(
  facts: HandFacts & { readonly steps: readonly Step[]; readonly newId: string },
  change: StepChange,
  now: string,
): Outcome {
  const write = (steps: readonly Step[], more: RowValues = {}): Outcome => ({
    ok: true,
    about: facts.about,
    writes: [
      {
        row: "task",
        id: facts.id,
        isNew: false,
        values: { steps: steps.map((step) => ({ ...step })), ...more, changedAt: now },
      },
    ],
  });
  if (change.kind === "add") {
    const text = change.text.replace(/\s+/g, " ").trim();
    if (text === "") return invalid("A step needs a word or two. Nothing was added.");
    if (text.length > LONGEST_STEP)
      return invalid(
        `This step has ${text.length} characters; ${LONGEST_STEP} are the most. It is still in the field.`,
      );
    if (facts.steps.length >= MOST_STEPS)
      return invalid(`${MOST_STEPS} steps are the most. Make a task of its own of this one; it is still in the field.`);
    return write([...facts.steps, { id: facts.newId, text, doneAt: "" }]);
  }
  const step = facts.steps.find((one) => one.id === change.stepId);
  if (!step) return refused({ code: "not found" });
  if (change.kind === "remove") return write(facts.steps.filter((one) => one.id !== step.id));
  const steps = facts.steps.map((one) =>
    one.id === step.id ? { ...one, doneAt: change.isDone ? one.doneAt || now : "" } : one,
  );
  const begins = change.isDone && facts.state === "to begin" && facts.holding.ownerId === facts.actorId;
  const takes = begins && linkToOwner(facts.holding)?.answer === "needs-action";
  return write(steps, {
    ...(begins ? { state: "under way" } : {}),
    ...(takes ? holdingColumns(takenOn(facts.holding, now)) : {}),
  });
}
