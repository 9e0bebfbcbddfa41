import { isDay } from "../../time/day";
import { invalid, type Outcome, type Write } from "../outcome";
import { dueColumns } from "../row";
import type { Due } from "../task";
import type { HandFacts } from "./hand-over";

/** A call about something that is waited for. */
export interface CallInput {
  /** What was said, or that nobody answered. */
  readonly text: string;
  /** Whether they were spoken to: then their silence begins anew. */
  readonly isReached: boolean;
  /** The day they named now; undefined leaves the due as it is. */
  readonly due?: Due | undefined;
}

/** Longest account of a call. */
const LONGEST = 2_000;

/** Notes a call: among the notes of the task, with the day that was named. */
export function noteCall(facts: HandFacts & { readonly commentId: string }, input: CallInput, now: string): Outcome {
  const text = input.text.replace(/\s+/g, " ").trim();
  if (text === "") return invalid("Say in a few words how it went; nothing was noted.");
  if (text.length > LONGEST)
    return invalid(`This has ${text.length} characters; ${LONGEST} are the most. It is still in the field.`);
  if (facts.state === "done" || facts.state === "called off")
    return invalid(
      `${facts.reference} is ${facts.state} already. Nothing was noted; your words are still in the field.`,
    );
  if (input.due && !isDay(input.due.day))
    return invalid(`There is no ${input.due.day}. Nothing was noted; your words are still in the field.`);
  const writes: Write[] = [
    {
      row: "comment",
      id: facts.commentId,
      isNew: true,
      values: {
        taskId: facts.id,
        personId: facts.doerId,
        text,
        kind: input.isReached ? "call" : "call missed",
        at: now,
      },
    },
  ];
  if (input.due)
    writes.push({ row: "task", id: facts.id, isNew: false, values: { ...dueColumns(input.due), changedAt: now } });
  return { ok: true, about: facts.about, writes };
}
