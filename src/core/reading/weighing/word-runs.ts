/** Places of a clause that hold no word that is known, by names that no word has. */
export const PLACES = {
  edge: "* edge",
  end: "* end",
  endOnList: "* end on list",
  unknown: "* unknown",
} as const;

/** Edges beside a clause: a run may begin before its first word, and end behind its last. */
const EDGES: readonly string[] = [PLACES.edge, PLACES.edge];

/** Finders of runs of one length: each looks for words like certain words, side by side. */
export interface RunFinders {
  /** Words of a run: two, or another even number. */
  readonly words: number;
  readonly count: number;
  /** What each number of a word's vector counts for each finder, place by place of the run: [place][finder][number]. */
  readonly weights: Float32Array;
  readonly bias: Float32Array;
  /** What the best run that a finder found says for each class: [finder][class]. */
  readonly says: Float32Array;
}

/**
 * A network that reads runs of words by their vectors (Kim 2014, "Convolutional neural networks for sentence classification"):
 * a run that was never seen says what one of words that are used alike says.
 */
export interface RunWeights {
  /** Words, and `PLACES`, with their vectors, which lie near those of words that are used alike. */
  readonly vectors: ReadonlyMap<string, Float32Array>;
  readonly finders: readonly RunFinders[];
  readonly bias: readonly number[];
}

/** The words of a clause (`wordsOf`), with the places beside them. */
export function placesOf(words: readonly string[], isListItem: boolean): string[] {
  return [...EDGES, ...words, isListItem ? PLACES.endOnList : PLACES.end, ...EDGES];
}

/** Whole numbers to one: sums of them are worked out several times as fast as those of fractions, and differ by less than 1e-4. */
const TO_ONE = 2 ** 16;

const inWhole = (number: number) => Math.round(number * TO_ONE);

/** What a word counts for each finder at each place of a run, the finders one behind the other, in whole numbers (`TO_ONE`). */
type Counted = Int32Array;

/** The finders of runs of one length, as they are asked. */
interface Asked {
  readonly words: number;
  readonly bias: Int32Array;
  readonly says: Float32Array;
}

/**
 * Weighs clauses by their runs. What a word counts at each place of a run is worked out once, when it is first read: for all words that
 * have a vector that is some 15 MB.
 */
export class RunWeigher {
  private readonly counted = new Map<string, Counted>();
  private readonly asked: readonly Asked[];
  /** Numbers that a word counts. */
  private readonly width: number;
  /** What each finder finds in the clause that is weighed, and what it has summed of a run so far. */
  private readonly best: Int32Array;
  private readonly sums: Int32Array;

  constructor(private readonly learnt: RunWeights) {
    this.asked = learnt.finders.map(({ words, bias, says }) => ({ words, bias: Int32Array.from(bias, inWhole), says }));
    this.width = learnt.finders.reduce((sum, { words, count }) => sum + words * count, 0);
    const most = Math.max(0, ...learnt.finders.map(({ count }) => count));
    this.best = new Int32Array(most);
    this.sums = new Int32Array(most);
  }

  private countsOf(place: string): Counted {
    const known = this.counted.get(place);
    if (known) return known;
    const word = this.learnt.vectors.has(place) ? place : PLACES.unknown;
    const found = this.counted.get(word);
    if (found) return found;
    const vector = this.learnt.vectors.get(word)!;
    const counts = new Int32Array(this.width);
    let at = 0;
    for (const { weights } of this.learnt.finders)
      for (let row = 0; row < weights.length; row += vector.length, at += 1) {
        let sum = 0;
        for (let d = 0; d < vector.length; d += 1) sum += vector[d]! * weights[row + d]!;
        counts[at] = inWhole(sum);
      }
    this.counted.set(word, counts);
    return counts;
  }

  /** What the runs of a clause, given by its places (`placesOf`), weigh for each class, in the logarithm of odds. */
  weigh(places: readonly string[]): number[] {
    const counted = places.map((place) => this.countsOf(place));
    const scores = [...this.learnt.bias];
    let at = 0;
    for (const { words, bias, says } of this.asked) {
      const best = this.bestOf(counted, words, at, bias);
      for (let f = 0; f < bias.length; f += 1) {
        if (best[f] === 0) continue;
        for (let k = 0; k < scores.length; k += 1) scores[k]! += (best[f]! / TO_ONE) * says[f * scores.length + k]!;
      }
      at += words * bias.length;
    }
    return scores;
  }

  /**
   * The best that each finder of runs of so many words finds in a clause; nought where it finds nothing. Each pass over the finders
   * reads what lies side by side, which is much quicker than a pass over the runs.
   */
  private bestOf(counted: readonly Counted[], words: number, at: number, bias: Int32Array): Int32Array {
    const count = bias.length;
    const best = this.best.subarray(0, count).fill(0);
    const sums = this.sums.subarray(0, count);
    for (let run = 0; run + words <= counted.length; run += 1) {
      let before = bias;
      // Two words at a time; with the last two the run is whole.
      for (let n = 0; n < words; n += 2) {
        const [one, other] = [counted[run + n]!, counted[run + n + 1]!];
        const [from, then] = [at + n * count, at + (n + 1) * count];
        if (n + 2 < words)
          for (let f = 0; f < count; f += 1) sums[f] = (before[f]! + one[from + f]! + other[then + f]!) | 0;
        else
          for (let f = 0; f < count; f += 1) {
            const sum = (before[f]! + one[from + f]! + other[then + f]!) | 0;
            if (sum > best[f]!) best[f] = sum;
          }
        before = sums;
      }
    }
    return best;
  }
}
