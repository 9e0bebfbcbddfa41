import type { Clause } from "../clauses";
import { asShares } from "./shares";

/** What of a clause is looked at, beside its own words. */
export type Surrounded = Pick<Clause, "text" | "isListItem" | "lead" | "block">;

const KINDS = ["ask", "question", "promise", "trouble"] as const;

/** Names of what is measured, in the order of the numbers that `surroundingsOf` gives. */
export const SURROUNDINGS: readonly string[] = [
  ...KINDS.map((kind) => `worded like ${kind}`),
  ...KINDS.map((kind) => `before: ${kind}`),
  ...KINDS.map((kind) => `behind: ${kind}`),
  ...["nothing before", "nothing behind", "paragraph goes on from before", "paragraph goes on behind"],
  ...KINDS.map((kind) => `elsewhere: ${kind}`),
  ...["first", "second", "last", "how far down", "length of the letter", "the only one"],
  ...[
    "behind a lead",
    "on a list",
    "words",
    "very short",
    "asks with a mark",
    "ends with a stop",
    "begins with a capital",
  ],
  ...["speaks of I or we", "speaks of you", "says not"],
];

/** Scores beyond this say no more. */
const MOST = 6;

const MOST_CLAUSES_COUNTED = 20;
const MOST_WORDS_COUNTED = 40;
const VERY_SHORT = 4;

const OURSELVES = /\b(?:i|i['’]ll|i['’]m|we|we['’]ll|we['’]re)\b/i;
const YOU = /\byou(?:r|['’]ll|['’]d)?\b/i;
const NOT = /\bnot?\b|n['’]t\b|\bnever\b/i;

/** How much more each kind scores than nothing. */
function overNothing(scores: readonly number[] | undefined): number[] {
  return KINDS.map((_, k) => (scores ? Math.max(-MOST, Math.min(MOST, scores[k + 1]! - scores[0]!)) : 0));
}

/** The highest and the second highest share of each kind among the clauses, to know the highest of all others. */
function highestShares(all: readonly (readonly number[])[]): { first: number[]; second: number[]; at: number[] } {
  const [first, second, at] = [KINDS.map(() => 0), KINDS.map(() => 0), KINDS.map(() => -1)];
  for (const [i, scores] of all.entries())
    for (const [k, share] of asShares(scores).slice(1).entries())
      if (share > first[k]!) {
        second[k] = first[k]!;
        first[k] = share;
        at[k] = i;
      } else second[k] = Math.max(second[k]!, share);
  return { first, second, at };
}

/**
 * What surrounds each clause of a letter, as numbers in the order of `SURROUNDINGS`: what its wording scores, what those before
 * and behind it score, what else is in the letter, where it stands, and its plain form.
 * @param scores of each clause by its wording: one for each sense, nothing first
 */
export function surroundingsOf(clauses: readonly Surrounded[], scores: readonly (readonly number[])[]): number[][] {
  const highest = highestShares(scores);
  const over = scores.map(overNothing);
  const none = overNothing(undefined);
  return clauses.map((clause, i) => {
    const words = clause.text.split(/\s+/).length;
    const [before, behind] = [clauses[i - 1], clauses[i + 1]];
    return [
      ...over[i]!,
      ...(over[i - 1] ?? none),
      ...(over[i + 1] ?? none),
      Number(!before),
      Number(!behind),
      Number(before?.block === clause.block),
      Number(behind?.block === clause.block),
      ...KINDS.map((_, k) => (highest.at[k] === i ? highest.second[k]! : highest.first[k]!)),
      Number(i === 0),
      Number(i === 1),
      Number(!behind),
      i / clauses.length,
      Math.min(clauses.length, MOST_CLAUSES_COUNTED) / MOST_CLAUSES_COUNTED,
      Number(clauses.length === 1),
      Number(clause.lead !== null),
      Number(clause.isListItem),
      Math.min(words, MOST_WORDS_COUNTED) / MOST_WORDS_COUNTED,
      Number(words < VERY_SHORT),
      Number(clause.text.includes("?")),
      Number(/[.!?]$/.test(clause.text)),
      Number(/^\p{Lu}/u.test(clause.text)),
      Number(OURSELVES.test(clause.text)),
      Number(YOU.test(clause.text)),
      Number(NOT.test(clause.text)),
    ];
  });
}
