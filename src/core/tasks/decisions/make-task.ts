import type { Priority } from "../../reading/slip";
import { isDay } from "../../time/day";
import { invalid, type Outcome } from "../outcome";
import { newTask } from "../row";
import { type Due, tidyTitle } from "../task";

/** A task, or a wait where somebody outside owes it, made by hand, without a letter. */
export interface NewTask {
  readonly title: string;
  readonly ownerId: string | null;
  /** Somebody outside who owes it; null for a task of ours. */
  readonly theirsId?: string | null;
  readonly due: Due | null;
  readonly priority: Priority;
  /** Minutes of work. */
  readonly estimate?: number | null;
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
      newTask(
        {
          ...input,
          ...facts,
          title: title.title,
          owner: input.theirsId
            ? { side: "theirs", correspondentId: input.theirsId }
            : { side: "ours", personId: input.ownerId },
        },
        now,
      ),
    ],
  };
}
