import { type ChangeKind, opensAgain } from "../following/item";
import type { ChangedTask, Owner } from "./task";

/** What keeping an offered change does to its task. */
export type ChangeEffect = "finish" | "call off" | "pass on" | "move" | "free" | "note" | "open again" | "nothing";

/** Whether a task can have this owner next: named, and of the side that it is on. */
function canPass(task: ChangedTask, owner: Owner): boolean {
  return owner.side === task.side && (owner.side === "theirs" || owner.personId !== null);
}

/**
 * What an offered change comes to: the screen says it before it is kept, and keeping it does just that. A task that was over
 * before the letter is opened again by what speaks of it anew; one that came to be over since stays as it is. What names no
 * day and no person that the task can have is a note on it, and so is a part.
 */
export function effectOfChange(change: ChangeKind, task: ChangedTask, owner: Owner, hasDue: boolean): ChangeEffect {
  if (task.state === "done" || task.state === "called off")
    return task.wasOver && opensAgain(change) ? "open again" : "nothing";
  switch (change) {
    case "done":
      return "finish";
    case "called off":
      return "call off";
    case "passed":
      return canPass(task, owner) ? "pass on" : hasDue ? "move" : "note";
    case "declined":
      return task.side === "ours" ? "free" : "note";
    case "moved":
    case "promised":
      return hasDue ? "move" : "note";
    case "part":
    case "reminded":
      return "note";
  }
}
