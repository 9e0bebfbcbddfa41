import type { Priority } from "../../reading/slip";
import { isDay } from "../../time/day";
import { invalid, type Outcome, type RowValues } from "../outcome";
import { newTask } from "../row";
import { type Due, tidyTitle } from "../task";
import type { HandFacts } from "./hand-over";

/** What follows a task that is finished. */
export interface NextTask {
  readonly title: string;
  readonly ownerId: string | null;
  readonly due: Due | null;
  readonly priority: Priority;
}

/** The task that is finished, with its columns, and what is handed out for the one that follows. */
export interface FinishFacts extends HandFacts {
  readonly columns: RowValues;
  readonly newId: string;
  readonly number: number;
}

function textOf(value: unknown): string | null {
  return typeof value === "string" ? value : null;
}

/** Finishes a task and makes the one that follows, in the same project, workstream and conversation. */
export function finishAndNext(facts: FinishFacts, next: NextTask, now: string): Outcome {
  if (facts.state === "done" || facts.state === "called off")
    return invalid(
      `${facts.reference} is ${facts.state} already. Nothing was made; your words are still in the field.`,
    );
  const title = tidyTitle(next.title);
  if (!title.ok) return invalid(title.why);
  if (next.due && !isDay(next.due.day))
    return invalid(`There is no ${next.due.day}. Nothing was changed; your words are still in the field.`);
  const { columns } = facts;
  return {
    ok: true,
    about: [...facts.about, facts.newId],
    made: [facts.newId],
    writes: [
      {
        row: "task",
        id: facts.id,
        isNew: false,
        values: { state: "done", finishedAt: now, changedAt: now, doubt: null },
      },
      newTask(
        {
          id: facts.newId,
          number: facts.number,
          title: title.title,
          owner: { side: "ours", personId: next.ownerId },
          due: next.due,
          priority: next.priority,
          projectId: textOf(columns.projectId),
          workstreamId: textOf(columns.workstreamId),
          conversationId: textOf(columns.conversationId),
          actorId: facts.actorId,
        },
        now,
      ),
    ],
  };
}
