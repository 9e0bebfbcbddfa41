import type { Clause } from "./clauses";
import type { Person } from "./slip";

/** Whom the text turns to, and since which block of it. */
export interface Addressee {
  readonly person: Person;
  readonly block: number;
  /** Whether the name is that of one point of a list, and does not hold for the next. */
  readonly isPoint: boolean;
}

/** Whom the text turns to after a name is called. Of lines that each call another, as in a list, none holds for what follows. */
export function calledBehind(
  before: Addressee | null,
  person: Person,
  { block, isListItem }: Clause,
  isHere: boolean,
): Addressee {
  const isOneOfSeveral = before !== null && before.block === block - 1 && before.person.id !== person.id;
  return { person, block, isPoint: isHere && (isListItem || isOneOfSeveral) };
}
