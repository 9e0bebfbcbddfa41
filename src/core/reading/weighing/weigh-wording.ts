import type { Clause } from "../clauses";
import { logShares, type WordingWeights } from "./shares";
import { placesOf, RunWeigher } from "./word-runs";
import { ENDS, endingsOf, lengthOf, ON_A_LIST, wordsOf } from "./wording";

/** What a word weighs by itself, and with the words that may follow it. */
interface Branch {
  own: readonly number[] | null;
  next: Map<string, Branch> | null;
  /** The clause in which it was counted last: a name that is found twice counts once. */
  counted: number;
}

/** Everything that is known of a word, looked up once. */
interface Known {
  readonly branch: Branch | null;
  readonly endings: readonly Branch[];
  readonly meaning: readonly number[] | null;
}

/** Words that are kept as looked up; beyond that all are looked up anew, since letters bring ever new ones. */
const MOST_KNOWN = 20_000;

/** Weighs clauses, without making a text of every pair and triple of their words. */
class Weigher {
  private readonly branches = new Map<string, Branch>();
  private readonly known = new Map<string, Known>();
  private turn = 0;

  constructor(private readonly learnt: WordingWeights) {
    for (const [name, own] of Object.entries(learnt.weights)) {
      const words = name.startsWith("* ") ? [name] : name.split(" ");
      let at = this.branches;
      let branch: Branch | null = null;
      for (const word of words) {
        if (branch) at = branch.next ??= new Map();
        branch = at.get(word) ?? { own: null, next: null, counted: 0 };
        at.set(word, branch);
      }
      if (branch) branch.own = own;
    }
  }

  private lookUp(word: string): Known {
    const found = this.known.get(word);
    if (found) return found;
    const made: Known = {
      branch: this.branches.get(word) ?? null,
      endings: endingsOf(word).flatMap((ending) => this.branches.get(ending) ?? []),
      meaning: this.learnt.meaning.get(word) ?? null,
    };
    if (this.known.size >= MOST_KNOWN) this.known.clear();
    this.known.set(word, made);
    return made;
  }

  private count(scores: number[], branch: Branch | null | undefined): void {
    if (!branch?.own || branch.counted === this.turn) return;
    branch.counted = this.turn;
    for (let i = 0; i < scores.length; i += 1) scores[i]! += branch.own[i]!;
  }

  weigh(words: readonly string[], isListItem: boolean): number[] {
    this.turn += 1;
    const scores = [...this.learnt.bias];
    const [head, tail] = ENDS;
    const all = [head, ...words, tail];
    const meant: (readonly number[])[] = [];
    let counts = 0;
    for (let i = 0; i < all.length; i += 1) {
      const { branch, endings, meaning } = this.lookUp(all[i]!);
      if (i > 0 && i < all.length - 1) {
        this.count(scores, branch);
        for (const ending of endings) this.count(scores, ending);
        if (meaning) {
          meant.push(meaning);
          counts += meaning[0]!;
        }
      }
      const pair = branch?.next?.get(all[i + 1] ?? "");
      this.count(scores, pair);
      this.count(scores, pair?.next?.get(all[i + 2] ?? ""));
    }
    for (const name of lengthOf(words)) this.count(scores, this.branches.get(name));
    if (isListItem) this.count(scores, this.branches.get(ON_A_LIST));
    for (const own of meant) for (let i = 0; i < scores.length; i += 1) scores[i]! += own[i + 1]! / counts;
    return scores;
  }
}

/** How much of a clause's weight is what its runs of words say, beside its names and its meaning. */
const RUNS_COUNT = 0.4;

/** A share, as a logarithm, from which names leave so little doubt that runs are not asked: more than half of all clauses. */
const PLAIN_FROM = Math.log(0.93);

/** Weighs clauses by their words, and whether they stand on a list. */
type Weigh = (words: readonly string[], isListItem: boolean) => number[];

/** Names and runs together: the mean of what each says (a logarithmic pool; Genest & Zidek 1986), since they err in different clauses. */
function weigherOf(learnt: WordingWeights): Weigh {
  const byNames = new Weigher(learnt);
  if (!learnt.runs) return (words, isListItem) => byNames.weigh(words, isListItem);
  const byRuns = new RunWeigher(learnt.runs);
  return (words, isListItem) => {
    const names = logShares(byNames.weigh(words, isListItem));
    if (Math.max(...names) > PLAIN_FROM) return names;
    const runs = logShares(byRuns.weigh(placesOf(words, isListItem)));
    return names.map((one, k) => (1 - RUNS_COUNT) * one + RUNS_COUNT * runs[k]!);
  };
}

const weighers = new WeakMap<WordingWeights, Weigh>();

/**
 * What the wording of a clause weighs for each thing it can be, in the logarithm of odds: what its names weigh, as
 * `sharesOf` weighs those of `wordingOf` in several times the time, what its words mean, and what runs of them say. Every clause
 * of every letter is weighed.
 */
export function weighWording(
  { text, isListItem }: Pick<Clause, "text" | "isListItem">,
  learnt: WordingWeights,
): number[] {
  let weigh = weighers.get(learnt);
  if (!weigh) {
    weigh = weigherOf(learnt);
    weighers.set(learnt, weigh);
  }
  return weigh(wordsOf(text), isListItem);
}
