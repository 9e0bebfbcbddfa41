import { CHANGE_WORDS } from "../../following/change-words";
import type { Write } from "../outcome";
import { dueColumns, ownerColumns } from "../row";
import type { Owner, SlipChange, SlipFacts } from "../task";

/** A new owner that the task can have: of the same side, and named. */
function newOwner({ task }: SlipChange, owner: Owner): Owner | null {
  if (owner.side === "ours") return owner.personId && task.side === "ours" ? owner : null;
  return task.side === "theirs" ? owner : null;
}

/**
 * What keeping an offered change writes: the task finished, called off, with its new day or owner; where there is nothing of
 * the kind to set, a note on the task with the letter's own words. A task that is over already stays as it is.
 * @param commentId the id that a note would have
 */
export function changeByLetter(
  slip: SlipFacts,
  changes: SlipChange,
  { commentId, actorId, now }: { commentId: string; actorId: string; now: string },
): Write[] {
  const { task, change, quote } = changes;
  if (task.state === "done" || task.state === "called off") return [];
  const set = (values: Write["values"]): Write => ({
    row: "task",
    id: task.id,
    isNew: false,
    values: { ...values, changedAt: now },
  });
  if (change === "done") return [set({ state: "done", finishedAt: now })];
  if (change === "called off") return [set({ state: "called off", finishedAt: now })];
  const owner = change === "passed" ? newOwner(changes, slip.owner) : null;
  const values = {
    // Of a wait only the one outside changes; who waits stays.
    ...(owner?.side === "ours" ? ownerColumns(owner) : owner ? { theirsId: owner.correspondentId } : {}),
    ...(slip.due ? dueColumns(slip.due) : {}),
    ...(change === "declined" && task.side === "ours" ? { ownerId: null } : {}),
  };
  const isSaid = owner !== null || (slip.due !== null && change !== "part" && change !== "declined");
  const note: Write = {
    row: "comment",
    id: commentId,
    isNew: true,
    values: { taskId: task.id, personId: actorId, text: `${CHANGE_WORDS[change]}: “${quote}”`, at: now },
  };
  return [...(Object.keys(values).length > 0 ? [set(values)] : []), ...(isSaid ? [] : [note])];
}
