import type { Clause } from "./clauses";
import type { FoundSlip } from "./slip";

/** A clause and the one right before it: in the same paragraph, or on the line above in a letter that is written in lines. */
export interface Pair {
  readonly before: Clause;
  readonly clause: Clause;
}

/** The clause of a slip with the one before it; null where none stands there, or the slip is a point of a list. */
export function withClauseBefore({ start }: Pick<FoundSlip, "start">, clauses: readonly Clause[]): Pair | null {
  const at = clauses.findIndex((clause) => clause.start === start);
  const [before, clause] = [clauses[at - 1], clauses[at]];
  return before && clause && clause.block <= before.block + 1 && !clause.isListItem ? { before, clause } : null;
}
