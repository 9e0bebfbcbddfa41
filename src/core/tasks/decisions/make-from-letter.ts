import type { TextPart } from "../../letters/letter";
import { invalid, type Outcome } from "../outcome";
import { LONGEST_TITLE, type SlipFacts } from "../task";
import { dealtWith } from "./keep-slips";
import { makeTask } from "./make-task";

/** A letter to the address of a workstream, as a task is made of it. */
export interface FromLetterFacts {
  readonly id: string;
  readonly number: number;
  readonly actorId: string;
  readonly letter: {
    readonly id: string;
    readonly conversationId: string;
    readonly subject: string;
    readonly parts: readonly TextPart[];
  };
  readonly projectId: string;
  readonly workstreamId: string;
  readonly slips: readonly SlipFacts[];
}

/** Makes a task of a whole letter: the subject is its title, its new text the passage, its files come along. */
export function makeFromLetter(facts: FromLetterFacts, now: string): Outcome {
  const { letter } = facts;
  const title = letter.subject.trim().slice(0, LONGEST_TITLE);
  if (title === "") return invalid("A letter without a subject makes no task; it waits in Sort.");
  const { projectId, workstreamId } = facts;
  const made = makeTask(facts, { title, ownerId: null, due: null, priority: "normal", projectId, workstreamId }, now);
  if (!made.ok) return made;
  const [task] = made.writes;
  const fresh = letter.parts.find((part) => part.kind === "new");
  const proposed = facts.slips.filter((slip) => slip.passage.letterId === letter.id && slip.state === "proposed");
  const dealt = dealtWith(letter.conversationId, "kept", facts.actorId, now);
  return {
    ...made,
    about: [facts.id, letter.conversationId],
    writes: [
      {
        ...task!,
        values: {
          ...task!.values,
          conversationId: letter.conversationId,
          letterId: letter.id,
          start: fresh?.start ?? null,
          end: fresh?.end ?? null,
          kind: "ask",
        },
      },
      ...proposed.map((slip) => ({
        row: "slip" as const,
        id: slip.id,
        isNew: false,
        values: { state: "brushed off", setAside: "joined" },
      })),
      { ...dealt, values: { ...dealt.values, projectId: facts.projectId } },
    ],
  };
}
