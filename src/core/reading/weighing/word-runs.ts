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
  /** What the words of a clause count, one behind the other. */
  private rows = new Int32Array(0);

  constructor(private readonly learnt: RunWeights) {
    this.asked = learnt.finders.map(({ words, bias, says }) => ({ words, bias: Int32Array.from(bias, inWhole), says }));
    this.width = learnt.finders.reduce((sum, { words, count }) => sum + words * count, 0);
  }

  private countsOf(place: string): Counted {
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
    const { width } = this;
    if (this.rows.length < places.length * width) this.rows = new Int32Array(2 * places.length * width);
    const { rows } = this;
    for (let i = 0; i < places.length; i += 1) rows.set(this.countsOf(places[i]!), i * width);
    const scores = [...this.learnt.bias];
    let at = 0;
    for (const { words, bias, says } of this.asked) {
      const count = bias.length;
      // From what a word counts at one place of the run to what the next one counts at the next.
      const step = width + count;
      const end = Math.max(0, places.length - words + 1) * width;
      for (let f = 0; f < count; f += 1) {
        let best = 0;
        for (let run = at + f; run < end; run += width) {
          let sum = bias[f]!;
          for (let n = 0, one = run; n < words; n += 2, one += 2 * step)
            sum = (sum + rows[one]! + rows[one + step]!) | 0;
          if (sum > best) best = sum;
        }
        if (best === 0) continue;
        for (let k = 0; k < scores.length; k += 1) scores[k]! += (best / TO_ONE) * says[f * scores.length + k]!;
      }
      at += words * count;
    }
    return scores;
  }
}
