import type { Clause } from "./clauses";
import { calledAt, callsSeveral } from "./owner";
import type { Person } from "./slip";

/** Whom the text turns to, and since which block of it. */
export interface Addressee {
  readonly person: Person;
  readonly block: number;
  /** Whether the name is that of one point of a list, and does not hold for the next. */
  readonly isPoint: boolean;
}

/**
 * Whom a clause turns to: whoever it, or the line that leads into its list, calls by name, and otherwise whoever was called before. A name at the
 * head of one point of a list does not hold for the next, nor any name two paragraphs on; where several are called it is nobody.
 */
export function turnedTo(before: Addressee | null, clause: Clause, everyone: readonly Person[]): Addressee | null {
  if (callsSeveral(clause.text, everyone)) return null;
  const here = calledAt(clause.text, everyone);
  const called = here ?? (clause.lead ? calledAt(clause.lead, everyone) : null);
  if (called) return calledBehind(before, called, clause, here !== null);
  if (before?.isPoint && clause.block > before.block) return null;
  return before && clause.block > before.block + 1 && !clause.isListItem ? null : before;
}

/** Whom the text turns to after a name is called. Of lines that each call another, as in a list, none holds for what follows. */
function calledBehind(
  before: Addressee | null,
  person: Person,
  { block, isListItem }: Clause,
  isHere: boolean,
): Addressee {
  const isOneOfSeveral = before !== null && before.block === block - 1 && before.person.id !== person.id;
  return { person, block, isPoint: isHere && (isListItem || isOneOfSeveral) };
}
