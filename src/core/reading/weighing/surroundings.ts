import type { Clause } from "../clauses";
import { asShares } from "./shares";

/** What of a clause is looked at, beside its own words. */
export type Surrounded = Pick<Clause, "text" | "isListItem" | "lead" | "block">;

const KINDS = ["ask", "question", "promise", "trouble"] as const;

/** Names of what is measured, in the order of the numbers that `Surroundings` gives. */
export const SURROUNDINGS: readonly string[] = [
  ...KINDS.map((kind) => `worded like ${kind}`),
  ...KINDS.map((kind) => `before: ${kind}`),
  ...KINDS.map((kind) => `behind: ${kind}`),
  ...["nothing before", "nothing behind", "paragraph goes on from before", "paragraph goes on behind"],
  ...KINDS.map((kind) => `elsewhere: ${kind}`),
  "elsewhere: how much is nothing",
  ...["second", "how far down", "length of the letter"],
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
const STOP = /[.!?]$/;
const CAPITAL = /^\p{Lu}/u;

/** How much more each kind scores than nothing; noughts where there is no clause. */
function addOverNothing(numbers: number[], scores: readonly number[] | undefined): void {
  for (let k = 1; k <= KINDS.length; k += 1)
    numbers.push(scores ? Math.max(-MOST, Math.min(MOST, scores[k]! - scores[0]!)) : 0);
}

/** The highest share of each kind among the clauses, where it is, and the next: to know the highest of all others. */
class HighestShares {
  private readonly first = KINDS.map(() => 0);
  private readonly second = KINDS.map(() => 0);
  private readonly at = KINDS.map(() => -1);
  private readonly nothing: number[] = [];
  private allNothing = 0;

  constructor(all: readonly (readonly number[])[]) {
    for (let i = 0; i < all.length; i += 1) {
      const shares = asShares(all[i]!);
      this.nothing.push(shares[0]!);
      this.allNothing += shares[0]!;
      for (let k = 0; k < KINDS.length; k += 1) {
        const share = shares[k + 1]!;
        if (share > this.first[k]!) {
          this.second[k] = this.first[k]!;
          this.first[k] = share;
          this.at[k] = i;
        } else if (share > this.second[k]!) this.second[k] = share;
      }
    }
  }

  /** How much of the others is nothing, from 0 to 1: a letter of talk is known by that. */
  nothingBesides(place: number): number {
    return (this.allNothing - this.nothing[place]!) / (this.nothing.length - 1);
  }

  besides(place: number, kind: number): number {
    return this.at[kind] === place ? this.second[kind]! : this.first[kind]!;
  }
}

function wordsIn(text: string): number {
  let words = 1;
  for (let at = text.indexOf(" "); at !== -1; at = text.indexOf(" ", at + 1)) words += 1;
  return words;
}

const said = (is: boolean) => (is ? 1 : 0);

/** The plain form of a clause. */
function addForm(numbers: number[], { text, lead, isListItem }: Surrounded): void {
  const words = wordsIn(text);
  numbers.push(said(lead !== null), said(isListItem), Math.min(words, MOST_WORDS_COUNTED) / MOST_WORDS_COUNTED);
  numbers.push(said(words < VERY_SHORT), said(text.includes("?")), said(STOP.test(text)), said(CAPITAL.test(text)));
  numbers.push(said(OURSELVES.test(text)), said(YOU.test(text)), said(NOT.test(text)));
}

/**
 * What surrounds the clauses of a letter of two or more: what those before and behind each are worded like, what else is in the
 * letter, where each stands, and its plain form.
 */
export class Surroundings {
  private readonly highest: HighestShares;

  /** @param scores of each clause by its wording: one for each sense, nothing first */
  constructor(
    private readonly clauses: readonly Surrounded[],
    private readonly scores: readonly (readonly number[])[],
  ) {
    this.highest = new HighestShares(scores);
  }

  /** The numbers of a clause, or of another in its place, in the order of `SURROUNDINGS`. */
  of(place: number, clause = this.clauses[place]!, own = this.scores[place]!): number[] {
    const { clauses, scores, highest } = this;
    const last = clauses.length - 1;
    const numbers: number[] = [];
    addOverNothing(numbers, own);
    addOverNothing(numbers, scores[place - 1]);
    addOverNothing(numbers, scores[place + 1]);
    numbers.push(said(place === 0), said(place === last));
    numbers.push(said(clauses[place - 1]?.block === clause.block), said(clauses[place + 1]?.block === clause.block));
    for (let k = 0; k < KINDS.length; k += 1) numbers.push(highest.besides(place, k));
    numbers.push(highest.nothingBesides(place));
    numbers.push(said(place === 1), place / clauses.length);
    numbers.push(Math.min(clauses.length, MOST_CLAUSES_COUNTED) / MOST_CLAUSES_COUNTED);
    addForm(numbers, clause);
    return numbers;
  }
}
