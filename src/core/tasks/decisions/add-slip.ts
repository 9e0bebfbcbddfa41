import type { Priority } from "../../reading/slip";
import { invalid, type Outcome } from "../outcome";
import { dueColumns, ownerColumns } from "../row";
import { type Due, type Owner, type Passage, tidyTitle } from "../task";

/** A slip that a person makes: from words they marked, or typed for the letter. */
export interface NewSlip {
  readonly title: string;
  readonly passage: Passage;
  readonly owner: Owner;
  readonly due: Due | null;
  readonly priority: Priority;
}

/** Adds a slip of one's own to a letter. The marked words must lie within the letter's text. */
export function addSlip(
  facts: { id: string; conversationId: string; projectId: string | null; textLength: number; phrase: string | null },
  input: NewSlip,
): Outcome {
  const title = tidyTitle(input.title);
  if (!title.ok) return invalid(title.why);
  const { start, end } = input.passage;
  if (start !== null && end !== null && (start < 0 || end > facts.textLength || end <= start))
    return invalid("The marked words do not lie in this letter. Mark them again.");
  return {
    ok: true,
    about: [facts.conversationId],
    writes: [
      {
        row: "slip",
        id: facts.id,
        isNew: true,
        values: {
          conversationId: facts.conversationId,
          letterId: input.passage.letterId,
          kind: "ask",
          start,
          end,
          title: title.title,
          ...ownerColumns(input.owner),
          ...dueColumns(input.due),
          otherDays: [],
          priority: input.priority,
          projectId: facts.projectId,
          workstreamId: null,
          state: "proposed",
          taskId: null,
          madeBy: "person",
          phrase: facts.phrase,
          reason: "marked by hand",
          confidence: 1,
        },
      },
    ],
  };
}
