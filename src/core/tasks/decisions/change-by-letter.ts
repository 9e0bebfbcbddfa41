import { CHANGE_WORDS } from "../../following/change-words";
import { handedBack, handedOn, linkToOwner } from "../chain";
import { effectOfChange } from "../change-effect";
import type { RowValues, Write } from "../outcome";
import { dueColumns, holdingColumns } from "../row";
import type { Owner, SlipChange, SlipFacts } from "../task";

/** The columns of a task that its owner passes on by letter: of a wait only the one outside changes; who waits stays. */
function passedTo(owner: Owner, { holding }: SlipChange["task"], actorId: string, now: string): RowValues {
  return owner.side === "ours"
    ? holdingColumns(handedOn(holding, holding.ownerId ?? actorId, owner.personId, now))
    : { theirsId: owner.correspondentId };
}

/** The columns of a task that its owner declines by letter: back to who gave it, or nobody's. */
function declined({ holding }: SlipChange["task"], quote: string, now: string): RowValues {
  return linkToOwner(holding) ? holdingColumns(handedBack(holding, quote, now)) : { ownerId: null };
}

/**
 * What keeping an offered change writes: the task as `effectOfChange` says, and a note with the letter's own words where
 * these are more than the day or the person that is set.
 * @param commentId the id that a note would have
 */
export function changeByLetter(
  slip: Pick<SlipFacts, "owner" | "due">,
  { task, change, quote }: SlipChange,
  { commentId, actorId, now }: { commentId: string; actorId: string; now: string },
): Write[] {
  const set = (values: RowValues): Write => ({
    row: "task",
    id: task.id,
    isNew: false,
    values: { ...values, changedAt: now },
  });
  const note: Write = {
    row: "comment",
    id: commentId,
    isNew: true,
    values: { taskId: task.id, personId: actorId, text: `${CHANGE_WORDS[change]}: “${quote}”`, at: now },
  };
  const due = slip.due ? dueColumns(slip.due) : null;
  switch (effectOfChange(change, task, slip.owner, due !== null)) {
    case "nothing":
      return [];
    case "finish":
      return [set({ state: "done", finishedAt: now })];
    case "call off":
      return [set({ state: "called off", finishedAt: now })];
    case "pass on":
      return [set({ ...passedTo(slip.owner, task, actorId, now), ...due })];
    case "move":
      return [set({ ...due })];
    case "free":
      return [set(declined(task, quote, now)), note];
    case "open again":
      return [set({ state: "to begin", finishedAt: null, ...due }), note];
    case "note":
      return due ? [set(due), note] : [note];
  }
}
