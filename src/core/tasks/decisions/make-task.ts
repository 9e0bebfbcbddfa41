import type { Priority } from "../../reading/slip";
import { isDay } from "../../time/day";
import { invalid, type Outcome } from "../outcome";
import { fruitOf } from "../reference";
import { dueColumns } from "../row";
import { type Due, tidyTitle } from "../task";

/** A task made by hand, without a letter. */
export interface NewTask {
  readonly title: string;
  readonly ownerId: string | null;
  readonly due: Due | null;
  readonly priority: Priority;
  readonly projectId: string | null;
  readonly workstreamId: string | null;
}

/** Makes a task by hand. */
export function makeTask(facts: { id: string; number: number; actorId: string }, input: NewTask, now: string): Outcome {
  const title = tidyTitle(input.title);
  if (!title.ok) return invalid(title.why);
  if (input.due && !isDay(input.due.day))
    return invalid(`There is no ${input.due.day}. Nothing was made; your words are still in the field.`);
  return {
    ok: true,
    about: [facts.id],
    made: [facts.id],
    writes: [
      {
        row: "task",
        id: facts.id,
        isNew: true,
        values: {
          fruit: fruitOf(facts.number),
          number: facts.number,
          title: title.title,
          side: "ours",
          ownerId: input.ownerId,
          theirsId: null,
          ...dueColumns(input.due),
          priority: input.priority,
          state: "to begin",
          projectId: input.projectId,
          workstreamId: input.workstreamId,
          conversationId: null,
          letterId: null,
          start: null,
          end: null,
          kind: null,
          createdAt: now,
          createdBy: facts.actorId,
          changedAt: now,
          finishedAt: null,
        },
      },
    ],
  };
}
