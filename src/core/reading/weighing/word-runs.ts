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

/** What a word counts for each finder at each place of a run, the finders one behind the other. */
type Counted = Float32Array;

/**
 * Weighs clauses by their runs. What a word counts at each place of a run is worked out once, when it is first read: for all words that
 * have a vector that is some 15 MB.
 */
export class RunWeigher {
  private readonly counted = new Map<string, Counted>();
  private readonly best: Float32Array;
  private readonly sums: Float32Array;

  constructor(private readonly learnt: RunWeights) {
    this.best = new Float32Array(Math.max(...learnt.finders.map(({ count }) => count)));
    this.sums = new Float32Array(this.best.length);
  }

  private countsOf(place: string): Counted {
    const word = this.learnt.vectors.has(place) ? place : PLACES.unknown;
    const found = this.counted.get(word);
    if (found) return found;
    const vector = this.learnt.vectors.get(word)!;
    const counts = new Float32Array(this.learnt.finders.reduce((sum, { words, count }) => sum + words * count, 0));
    let at = 0;
    for (const { weights } of this.learnt.finders)
      for (let row = 0; row < weights.length; row += vector.length, at += 1) {
        let sum = 0;
        for (let d = 0; d < vector.length; d += 1) sum += vector[d]! * weights[row + d]!;
        counts[at] = sum;
      }
    this.counted.set(word, counts);
    return counts;
  }

  /** What the runs of a clause, given by its places (`placesOf`), weigh for each class, in the logarithm of odds. */
  weigh(places: readonly string[]): number[] {
    const { finders, bias } = this.learnt;
    const rows = places.map((place) => this.countsOf(place));
    const scores = [...bias];
    const { best, sums } = this;
    let at = 0;
    for (const { words, count, bias: own, says } of finders) {
      best.fill(0, 0, count);
      for (let first = 0; first + words <= rows.length; first += 1) {
        for (let place = 0; place < words; place += 2) {
          const [one, next] = [rows[first + place]!, rows[first + place + 1]!];
          const from = at + place * count;
          const behind = from + count;
          if (place === 0) for (let f = 0; f < count; f += 1) sums[f] = own[f]! + one[from + f]! + next[behind + f]!;
          else for (let f = 0; f < count; f += 1) sums[f]! += one[from + f]! + next[behind + f]!;
        }
        for (let f = 0; f < count; f += 1) if (sums[f]! > best[f]!) best[f] = sums[f]!;
      }
      for (let f = 0; f < count; f += 1) {
        if (best[f] === 0) continue;
        for (let k = 0; k < scores.length; k += 1) scores[k]! += best[f]! * says[f * scores.length + k]!;
      }
      at += words * count;
    }
    return scores;
  }
}
