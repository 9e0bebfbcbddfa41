import { isDay } from "../../time/day";
import { type Holding, handedBack, handedOn, linkToOwner, takenOn, withQuestion } from "../chain";
import { invalid, type Outcome, type RowValues, refused, type Write } from "../outcome";
import { fruitOf } from "../reference";
import { dueColumns, holdingColumns } from "../row";
import type { Due, TaskState } from "../task";

/** A task as handing it over looks at it. */
export interface HandFacts {
  readonly id: string;
  /** Itself and its conversation. */
  readonly about: readonly string[];
  readonly reference: string;
  readonly state: TaskState;
  readonly holding: Holding;
  /** In whose place it is done: whoever covers for its owner does it in theirs. */
  readonly actorId: string;
  /** Who does it: what is written carries their name. */
  readonly doerId: string;
  /** The name of whoever has it now, for a refusal. */
  readonly ownerName: string | null;
}

/** Longest note or reason; what is longer belongs into a comment. */
export const LONGEST_NOTE = 2_000;

function tooLong(what: string, text: string): Outcome | null {
  return text.length > LONGEST_NOTE
    ? invalid(
        `${what} has ${text.length.toLocaleString("en")} characters; ${LONGEST_NOTE.toLocaleString("en")} are the most. It is still in the field.`,
      )
    : null;
}

function change(facts: HandFacts, values: RowValues, now: string): Write {
  return { row: "task", id: facts.id, isNew: false, values: { ...values, changedAt: now } };
}

export interface HandOverFacts extends HandFacts {
  /** Everything of the task that a second person's own task repeats; the keys are columns. */
  readonly columns: RowValues;
  readonly togetherId: string | null;
  /** Ids and numbers for the tasks of the second person and those after, and one id more for what ties them together. */
  readonly ids: readonly string[];
  readonly numbers: readonly number[];
}

export interface HandOverInput {
  /** Whom to; several get a task each. */
  readonly toIds: readonly string[];
  readonly note: string;
  /** A new due; undefined leaves it as it is. */
  readonly due?: Due | null | undefined;
}

/**
 * Gives a task to its owner, with a note and perhaps a due. Given to several, each gets a task of their own that knows of the
 * others. The one who passes on, or takes it from somebody, is in the chain from then on.
 */
export function handOver(facts: HandOverFacts, input: HandOverInput, now: string): Outcome {
  if (facts.state === "done" || facts.state === "called off")
    return invalid(`${facts.reference} is ${facts.state}. Take it up again first; nobody was given anything.`);
  const [first, ...others] = [...new Set(input.toIds)];
  if (!first) return invalid("Nobody is named. Your words are still in the field.");
  if (facts.holding.ownerId === first && others.length === 0)
    return invalid(
      `${first === facts.actorId ? "You have" : `${facts.ownerName ?? "They"} has`} it already. Your note is still in the field.`,
    );
  if (input.due && !isDay(input.due.day))
    return invalid(`There is no ${input.due.day}. Nothing was handed over; your words are still in the field.`);
  const long = tooLong("This note", input.note);
  if (long) return long;
  const note = input.note.trim();
  const due = input.due === undefined ? {} : dueColumns(input.due);
  const togetherId = others.length > 0 ? (facts.togetherId ?? facts.ids.at(-1)!) : null;
  const together: RowValues = togetherId ? { togetherId } : {};
  const given = (to: string) => holdingColumns(handedOn(facts.holding, facts.actorId, to, now, note));
  const writes: Write[] = [change(facts, { ...given(first), ...due, ...together }, now)];
  for (const [i, to] of others.entries())
    writes.push({
      row: "task",
      id: facts.ids[i]!,
      isNew: true,
      values: {
        ...facts.columns,
        ...due,
        ...together,
        ...given(to),
        fruit: fruitOf(facts.numbers[i]!),
        number: facts.numbers[i]!,
        state: "to begin",
        doubt: null,
        createdAt: now,
        createdBy: facts.doerId,
        changedAt: now,
        finishedAt: null,
      },
    });
  const made = facts.ids.slice(0, others.length);
  return { ok: true, writes, about: [...facts.about, ...made], made };
}

/** Only the owner, and only of what somebody gave them, can answer. */
function notTheirs(facts: HandFacts, verb: string): Outcome | null {
  if (facts.state === "done" || facts.state === "called off")
    return invalid(`${facts.reference} is ${facts.state} already; there is nothing to ${verb}.`);
  if (facts.holding.ownerId !== facts.actorId)
    return invalid(
      `${facts.holding.ownerId === null ? "Nobody has" : `${facts.ownerName ?? "Somebody else"} has`} ${facts.reference} now; only its owner can ${verb} it. Nothing was changed.`,
    );
  if (!linkToOwner(facts.holding)) return invalid(`Nobody gave you ${facts.reference}: it is your own.`);
  return null;
}

/** The owner takes on what they were given. */
export function takeOn(facts: HandFacts, now: string): Outcome {
  const no = notTheirs(facts, "take on");
  if (no) return no;
  const link = linkToOwner(facts.holding)!;
  if (link.answer === "accepted" && link.question === "") return { ok: true, writes: [], about: facts.about };
  return { ok: true, about: facts.about, writes: [change(facts, holdingColumns(takenOn(facts.holding, now)), now)] };
}

/** The owner gives it back to who gave it, with a reason: it is nobody's until it has an owner again. */
export function handBack(facts: HandFacts, input: { reason: string }, now: string): Outcome {
  const no = notTheirs(facts, "hand back");
  if (no) return no;
  const reason = input.reason.replace(/\s+/g, " ").trim();
  if (reason === "") return invalid("Say in a few words why it comes back; nothing was changed.");
  const long = tooLong("This reason", reason);
  if (long) return long;
  const holding = handedBack(facts.holding, reason, now);
  return { ok: true, about: facts.about, writes: [change(facts, holdingColumns(holding), now)] };
}

/** The owner asks whoever gave it; the question stands in the chain until somebody answers, and among the notes for good. */
export function askBack(facts: HandFacts & { commentId: string }, input: { question: string }, now: string): Outcome {
  const no = notTheirs(facts, "ask about");
  if (no) return no;
  const question = input.question.trim();
  if (question === "") return invalid("There is no question yet. Nothing was changed.");
  const long = tooLong("This question", question);
  if (long) return long;
  const holding = withQuestion(facts.holding, question);
  return {
    ok: true,
    about: facts.about,
    writes: [
      change(facts, holdingColumns(holding), now),
      {
        row: "comment",
        id: facts.commentId,
        isNew: true,
        values: { taskId: facts.id, personId: facts.doerId, text: question, kind: "question", at: now },
      },
    ],
  };
}

/** What a note by somebody else does to a question of the owner that is open: it answers it. */
export function answeredBy(facts: HandFacts, now: string): Write[] {
  const link = linkToOwner(facts.holding);
  // Whoever covers for the owner speaks for them, unless they gave the task: then they answer it.
  const isOwners = facts.doerId === link?.to || (facts.actorId === link?.to && facts.doerId !== link.by);
  if (!link || link.question === "" || isOwners) return [];
  return [change(facts, holdingColumns(withQuestion(facts.holding, "")), now)];
}

/** Says that a task may not make its date, and why; without a reason the doubt is over. */
export function doubt(facts: HandFacts, input: { reason: string }, now: string): Outcome {
  const reason = input.reason.replace(/\s+/g, " ").trim();
  const long = tooLong("This reason", reason);
  if (long) return long;
  if (reason !== "" && (facts.state === "done" || facts.state === "called off"))
    return refused({ code: "invalid", why: `${facts.reference} is ${facts.state} already.` });
  return { ok: true, about: facts.about, writes: [change(facts, { doubt: reason === "" ? null : reason }, now)] };
}
