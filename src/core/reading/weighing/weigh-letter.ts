import type { SurroundingsWeights, WordingWeights } from "./shares";
import { type Surrounded, surroundingsOf } from "./surroundings";
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

/**
 * Weighs the clauses of a letter: first each by its wording, then again by what those around it seem to be. A question after
 * bad news, or a line among asks, is read as what it is there.
 */
export function weighLetter(clauses: readonly Surrounded[], learnt: WordingWeights): WeighedLetter {
  const alone = clauses.map((clause) => weighWording(clause, learnt));
  const { inLetter } = learnt;
  if (!inLetter) return { at: alone, instead: (_, clause) => weighWording(clause, learnt) };
  return {
    at: surroundingsOf(clauses, alone).map((measured) => weighed(inLetter, measured)),
    instead(place, clause) {
      const others = clauses.with(place, clause);
      const scores = alone.with(place, weighWording(clause, learnt));
      return weighed(inLetter, surroundingsOf(others, scores)[place]!);
    },
  };
}
