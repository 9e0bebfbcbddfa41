import type { TextPart } from "../../letters/letter";
import { invalid, type Outcome } from "../outcome";
import { fruitOf } from "../reference";
import { LONGEST_TITLE, type SlipFacts } from "../task";
import { dealtWith } from "./keep-slips";

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
  const fresh = letter.parts.find((part) => part.kind === "new");
  const proposed = facts.slips.filter((slip) => slip.passage.letterId === letter.id && slip.state === "proposed");
  const dealt = dealtWith(letter.conversationId, "kept", facts.actorId, now);
  return {
    ok: true,
    about: [facts.id, letter.conversationId],
    made: [facts.id],
    writes: [
      {
        row: "task",
        id: facts.id,
        isNew: true,
        values: {
          fruit: fruitOf(facts.number),
          number: facts.number,
          title,
          side: "ours",
          ownerId: null,
          theirsId: null,
          dueDay: null,
          dueTime: null,
          dueZone: null,
          priority: "normal",
          state: "to begin",
          projectId: facts.projectId,
          workstreamId: facts.workstreamId,
          conversationId: letter.conversationId,
          letterId: letter.id,
          start: fresh?.start ?? null,
          end: fresh?.end ?? null,
          kind: "ask",
          createdAt: now,
          createdBy: facts.actorId,
          changedAt: now,
          finishedAt: null,
        },
      },
      ...proposed.map((slip) => ({
        row: "slip" as const,
        id: slip.id,
        isNew: false,
        values: { state: "brushed off" },
      })),
      { ...dealt, values: { ...dealt.values, projectId: facts.projectId } },
    ],
  };
}
