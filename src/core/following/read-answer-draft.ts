import { asLetter, type Draft, readDraft } from "../reading/read-draft";
import type { ReadingSettings } from "../reading/settings";
import type { FoundSlip, People } from "../reading/slip";
import type { Moment } from "../time/moment";
import type { FoundChange } from "./item";
import { changesOfTasks, type OpenTask } from "./task-changes";

/** One who asks again does nothing to a task by that; a chase is an act of its own. */
function doesSomething(slip: FoundSlip | FoundChange): boolean {
  return !("changes" in slip) || slip.changes.change !== "reminded";
}

/**
 * What one's own answer asks and promises anew, as `readDraft` reads it, and what it says of the tasks that are open in its
 * conversation: "I sent it this morning" finishes one.
 * @param now the moment of writing, in the writer's zone; its days count from there
 */
export function readAnswerDraft(
  draft: Draft,
  open: readonly OpenTask[],
  people: People,
  now: Moment,
  settings: ReadingSettings,
): (FoundSlip | FoundChange)[] {
  const slips = readDraft(draft, people, now, settings);
  // What is over is opened again by a person, not by a half-written letter.
  const tasks = open.filter(({ isOver }) => !isOver);
  return changesOfTasks(asLetter(draft, now), tasks, people, now, settings, slips).filter(doesSomething);
}
