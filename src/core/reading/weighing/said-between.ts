import type { Clause } from "../clauses";

/** Words with capitals, without a mark behind them: "Kofi", "Hal Pemberton", "F. Noll". */
const SIGNED = /^\p{Lu}(?:\.|[\p{L}.'’-]*\p{L})?(?: (?:and |& )?\p{Lu}(?:[\p{L}.'’-]*\p{L})?){0,3}$/u;

/** Names with a comma behind them: "Karin,", "Ms Okafor, Emeka,". */
const CALLED = /^\p{Lu}[\p{L}.'’-]*(?:[ ,]+(?:and |& )?\p{Lu}[\p{L}.'’-]*){0,3},$/u;

/**
 * Where that which is said in a letter begins among its clauses, and behind which it ends: names alone above it only call
 * somebody, those below it sign.
 */
export function saidBetween(clauses: readonly Pick<Clause, "text" | "block">[]): { first: number; behind: number } {
  let behind = clauses.length;
  while (
    behind > 0 &&
    SIGNED.test(clauses[behind - 1]!.text) &&
    clauses[behind - 1]!.block !== clauses[behind - 2]?.block
  )
    behind -= 1;
  let first = 0;
  while (first < behind && CALLED.test(clauses[first]!.text)) first += 1;
  return { first, behind };
}
