import { saidBetween } from "./said-between";
import type { SurroundingsWeights, WordingWeights } from "./shares";
import { type Surrounded, Surroundings } from "./surroundings";
import { weighWording } from "./weigh-wording";

function weighed({ bias, ofMeasured }: SurroundingsWeights, measured: readonly number[]): number[] {
  const scores = [...bias];
  for (let i = 0; i < measured.length; i += 1) {
    const number = measured[i]!;
    if (number === 0) continue;
    const own = ofMeasured[i]!;
    for (let k = 0; k < scores.length; k += 1) scores[k]! += number * own[k]!;
  }
  return scores;
}

/** The clauses of a letter, weighed by their wording and by what surrounds each. */
export interface WeighedLetter {
  /** What the clause at a place weighs for each thing it can be, in the logarithm of odds. */
  readonly at: readonly (readonly number[])[];
  /** What another clause would weigh in the place of one. */
  instead(place: number, clause: Surrounded): readonly number[];
}

function withDoubt(scores: readonly number[], doubt: number): readonly number[] {
  return doubt === 0 ? scores : scores.map((one, k) => (k === 0 ? one + doubt : one));
}

/**
 * Weighs the clauses of a letter: first each by its wording, then again by what those around it seem to be. A question after
 * bad news, or a line among asks, is read as what it is there.
 * @param doubt what speaks for nothing from the start, in the logarithm of odds: much where a letter is to nobody in particular
 */
export function weighLetter(clauses: readonly Surrounded[], learnt: WordingWeights, doubt = 0): WeighedLetter {
  const alone = clauses.map((clause) => weighWording(clause, learnt));
  const { inLetter } = learnt;
  const { first, behind } = saidBetween(clauses);
  const surroundings =
    // Where one thing is said nothing can be told by what surrounds it.
    inLetter && behind - first > 1 && new Surroundings(clauses.slice(first, behind), alone.slice(first, behind));
  const inPlace = (place: number, clause: Surrounded, own: readonly number[]) =>
    withDoubt(
      surroundings && place >= first && place < behind
        ? weighed(inLetter!, surroundings.of(place - first, clause, own))
        : own,
      doubt,
    );
  return {
    at: clauses.map((clause, place) => inPlace(place, clause, alone[place]!)),
    instead: (place, clause) => inPlace(place, clause, weighWording(clause, learnt)),
  };
}
