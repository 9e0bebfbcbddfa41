import type { ChangeKind } from "../../core/following/item";
import type { SlipView } from "../../core/views/views";

type Changes = NonNullable<SlipView["changes"]>;

/** What keeping an offered change does to its task. */
export function changeBecomes({ changes, due, owner, theirs }: SlipView): string {
  const { reference, change } = changes!;
  if (change === "done") return `finishes ${reference}`;
  if (change === "called off") return `calls ${reference} off`;
  if (change === "passed" && (owner || theirs)) return `passes ${reference} on`;
  if (due && change !== "declined") return `moves ${reference}`;
  return change === "declined" ? `frees ${reference}` : `a note on ${reference}`;
}

/** The verb of the button that keeps it. */
const VERBS: Readonly<Record<ChangeKind, string>> = {
  done: "Finish it",
  "called off": "Call it off",
  declined: "Note it",
  passed: "Pass it on",
  moved: "Move it",
  part: "Note it",
  promised: "Note it",
  reminded: "Note it",
};

export function keepVerb({ change }: Changes): string {
  return VERBS[change];
}

/** What was done to tasks by keeping these slips, as a sentence; null where none changed one. */
export function changedWords(slips: readonly SlipView[]): string | null {
  const changed = slips.flatMap((slip) => (slip.changes ? [slip.changes] : []));
  if (changed.length === 0) return null;
  if (changed.length > 1) return `${changed.length} tasks have what the letter says.`;
  const { change, reference } = changed[0]!;
  if (change === "done") return `${reference} is done.`;
  if (change === "called off") return `${reference} is called off.`;
  return `${reference} has what the letter says.`;
}

/** The task's own title, without the head that says what is offered. */
export function taskTitleOf({ title }: SlipView): string {
  return title.replace(/^[^:]{3,24}: /, "");
}
