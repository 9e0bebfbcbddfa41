import { saidBetween } from "@/core/reading/weighing/said-between";
import { SENSES } from "@/core/reading/weighing/sense";
import type { SurroundingsWeights, WordingWeights } from "@/core/reading/weighing/shares";
import { SURROUNDINGS, Surroundings } from "@/core/reading/weighing/surroundings";
import { weighWording } from "@/core/reading/weighing/weigh-wording";
import { CONVERSATION_SETS } from "../conversations";
import { LETTER_SETS } from "../labelled";
import { type Example, learn } from "./logistic";
import { MARKED_SETS } from "./marked-letters";
import { ALL_SETS, learnPassageRuns, learnPassages, lettersOfSet, passageExamples } from "./passages";

/** Parts of the sets, each weighed by what the others teach: as strangers' letters will be. */
const PARTS = 4;

/** Steps of learning for these: they need not be exact. */
const ROUNDS = 60;

/** Strength of the penalty, for numbers that have a spread of one. */
const STRENGTH = 200;

/** Sets of whole letters. Of public lists only labelled ones: what no rule finds in the others would teach that long letters ask nothing. */
const SETS: readonly string[] = [...LETTER_SETS, ...CONVERSATION_SETS, ...MARKED_SETS, "lists"];

/** Labelled clauses of letters with what surrounds them, weighed by wording that was not learnt from them. */
async function examplesIn(sets: readonly string[], wording: WordingWeights): Promise<Example[]> {
  const letters = (await Promise.all(sets.map(lettersOfSet)))
    .flat()
    .map((labelled) => {
      const { first, behind } = saidBetween(labelled.map(({ clause }) => clause));
      return labelled.slice(first, behind);
    })
    .filter(({ length }) => length > 1);
  return letters.flatMap((labelled) => {
    const clauses = labelled.map(({ clause }) => clause);
    const surroundings = new Surroundings(
      clauses,
      clauses.map((clause) => weighWording(clause, wording)),
    );
    return labelled.flatMap(({ is }, i) =>
      is === null ? [] : [{ found: [], measured: Float64Array.from(surroundings.of(i)), is: SENSES.indexOf(is) }],
    );
  });
}

/** Mean and spread of each number. */
function spreadOf(examples: readonly Example[]): { mean: number; spread: number }[] {
  return SURROUNDINGS.map((_, i) => {
    const numbers = examples.map(({ measured }) => measured![i]!);
    const mean = numbers.reduce((a, b) => a + b, 0) / numbers.length;
    const spread = Math.sqrt(numbers.reduce((sum, one) => sum + (one - mean) ** 2, 0) / numbers.length);
    return { mean, spread: spread || 1 };
  });
}

const rounded = (number: number) => Math.round(number * 1000) / 1000 || 0;

/** Learns what clauses are from what surrounds them. The numbers are brought to one spread for it, and the weights back from it. */
function learnSurroundings(examples: readonly Example[]): SurroundingsWeights {
  const spreads = spreadOf(examples);
  const even = examples.map(({ measured, ...one }) => ({
    ...one,
    measured: measured!.map((number, i) => (number - spreads[i]!.mean) / spreads[i]!.spread),
  }));
  // What a clause is worded like counts as it does alone, as long as letters don't say otherwise.
  const drawnTo = SURROUNDINGS.map((_, i) =>
    SENSES.map((_, k) => (i < SENSES.length - 1 && k === i + 1 ? spreads[i]!.spread : 0)),
  );
  const { bias, ofMeasured } = learn(even, SENSES.length, STRENGTH, { drawnTo });
  const own = ofMeasured.map((row, i) => row.map((weight) => weight / spreads[i]!.spread));
  return {
    bias: bias.map((one, k) => rounded(one - own.reduce((sum, row, i) => sum + row[k]! * spreads[i]!.mean, 0))),
    ofMeasured: own.map((row) => row.map(rounded)),
  };
}

/** Learns the wording of passages by themselves: their names, and their runs of words. */
async function learnAlone(leftOut: readonly string[], rounds?: number): Promise<WordingWeights> {
  return { ...(await learnPassages(leftOut, rounds)), runs: await learnPassageRuns(leftOut) };
}

/**
 * Learns the wording of passages, and what they are in their letters, from all labelled sets but those left out: each part of the
 * letters is weighed by the wording of the others, since letters that the wording was learnt from would seem too plain.
 */
export async function learnWording(leftOut: readonly string[] = []): Promise<WordingWeights> {
  const sets = SETS.filter((set) => ALL_SETS.includes(set) && !leftOut.includes(set));
  const examples: Example[] = [];
  for (let part = 0; part < PARTS; part += 1) {
    const held = sets.filter((_, i) => i % PARTS === part);
    examples.push(...(await examplesIn(held, await learnAlone([...leftOut, ...held], ROUNDS))));
  }
  return { ...(await learnAlone(leftOut)), inLetter: learnSurroundings(examples) };
}

/** All that wording is learnt from: the passages, then the clauses of letters with what surrounds them by the wording given. */
export async function wordingExamples(wording: WordingWeights): Promise<Example[]> {
  const sets = SETS.filter((set) => ALL_SETS.includes(set));
  return [...(await passageExamples()), ...(await examplesIn(sets, wording))];
}
