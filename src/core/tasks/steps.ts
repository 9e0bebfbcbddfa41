/** One step of a checklist. All values are text, so that it travels through the history as it is; "" means not done. */
export interface Step {
  readonly id: string;
  readonly text: string;
  /** ISO 8601 instant at which it was ticked. */
  readonly doneAt: string;
}

/** How far a checklist is. */
export function stepsDone(steps: readonly Step[]): { done: number; all: number } {
  return { done: steps.filter((step) => step.doneAt !== "").length, all: steps.length };
}

/** "2 of 5" while there are steps; nothing without. */
export function sayProgress(steps: readonly Step[]): string {
  const { done, all } = stepsDone(steps);
  return all === 0 ? "" : `${done} of ${all}`;
}
