import { asShares } from "@/core/reading/weighing/shares";
import { PLACES, type RunWeights } from "@/core/reading/weighing/word-runs";
import { seeded } from "../../rounds/seeded";
import { Adam } from "./adam";
import { DIMENSIONS as OF_A_VECTOR, VECTORS } from "./vectors";

/** The places of a clause, its words among them, and the number of its class. */
export interface RunExample {
  readonly places: readonly string[];
  readonly is: number;
  /** How much it counts beside the others; by default as much as any. */
  readonly counts?: number;
}

/** How is learnt. */
export interface RunManner {
  /** How often each clause is learnt from. */
  readonly rounds: number;
  /** Words of a run: even numbers, for each of which as many finders look. */
  readonly lengths: readonly number[];
  /** Vectors that stay as they are, those of places without one as well; null where those of words are learnt. */
  readonly vectors: ReadonlyMap<string, Float32Array> | null;
}

/** Numbers of a vector, as a number of this file: this is read billions of times. */
const DIMENSIONS = OF_A_VECTOR;

/** Finders of runs of one length. */
const FINDERS = 40;

/** Clauses from which one step is learnt. */
const BATCH = 32;

const STEP = 1e-3;

/** How much faster vectors move than finders: those of GloVe say what is used alike, not what asks. */
const VECTORS_MOVE = 3;

/** What holds the finders small. */
const PENALTY = 1e-5;

/** Shares that are left out by chance at each step, so that no finder and no word is relied on alone. */
const FINDERS_DROPPED = 0.5;
const WORDS_DROPPED = 0.3;

/** Length of a word's vector at the start, when those of finders have a spread that keeps their sums near one. */
const LENGTH = 3;

/** A word without a vector of its own that stands in so many clauses gets one, learnt from them alone. */
const FEWEST = 3;

const SMALL = 0.1;

type Random = () => number;

/** Numbers around nought with a spread. */
const around = (random: Random, spread: number) => (random() * 2 - 1) * Math.sqrt(3) * spread;

/** The vector with which a word starts: its own, or of "don't" that of "don"; null where none is known. */
function vectorOf(word: string): Float64Array | null {
  return VECTORS.get(word) ?? VECTORS.get(word.split("'")[0]!) ?? null;
}

/** A place that is no word: its name begins so. */
const isNoWord = (place: string) => place.startsWith("* ");

/** All words and places that get a vector which is learnt: those that have one, and those that are seen often. */
function wordsLearnt(examples: readonly RunExample[]): string[] {
  const counts = new Map<string, number>();
  for (const { places } of examples) for (const place of places) counts.set(place, (counts.get(place) ?? 0) + 1);
  const seen = [...counts].flatMap(([word, count]) => (vectorOf(word) || count >= FEWEST ? [word] : []));
  return [...new Set([...Object.values(PLACES), ...VECTORS.keys(), ...seen])];
}

/** All words and places that have a vector already, and places that get one. */
function wordsKnown(examples: readonly RunExample[], vectors: ReadonlyMap<string, Float32Array>): string[] {
  return [...new Set([...vectors.keys(), ...examples.flatMap(({ places }) => places.filter(isNoWord))])];
}

/**
 * The products of rows of two tables, each row of the first with each of the second, written into `into` row by row of the first. Two
 * rows with four at a time, since this is most of the work of learning.
 */
function multiply(first: Float64Array, second: Float64Array, into: Float64Array): void {
  const size = DIMENSIONS;
  const rows = second.length / size;
  for (let row = 0; row < rows; row += 4) {
    for (let n = 0; n * size < first.length; n += 2) {
      let a = 0;
      let b = 0;
      let c = 0;
      let d = 0;
      let e = 0;
      let f = 0;
      let g = 0;
      let h = 0;
      for (let i = 0; i < size; i += 1) {
        const x = first[n * size + i]!;
        const y = first[n * size + size + i]!;
        const w0 = second[row * size + i]!;
        const w1 = second[row * size + size + i]!;
        const w2 = second[row * size + 2 * size + i]!;
        const w3 = second[row * size + 3 * size + i]!;
        a += x * w0;
        b += x * w1;
        c += x * w2;
        d += x * w3;
        e += y * w0;
        f += y * w1;
        g += y * w2;
        h += y * w3;
      }
      const at = n * rows + row;
      into[at] = a;
      into[at + 1] = b;
      into[at + 2] = c;
      into[at + 3] = d;
      into[at + rows] = e;
      into[at + rows + 1] = f;
      into[at + rows + 2] = g;
      into[at + rows + 3] = h;
    }
  }
}

/** What was found in a clause: of each finder its best run, and where that begins; -1 where nothing speaks for it. */
interface Found {
  readonly best: Float64Array;
  readonly first: Int32Array;
}

interface Row {
  readonly places: Int32Array;
  readonly is: number;
  readonly counts: number;
}

/** The network while it is learnt. */
class Learner {
  private readonly lengths: readonly number[];
  /** The first row of weights of each length: a row for each finder at each place of its runs. */
  private readonly firstRows: readonly number[];
  private readonly rows: number;
  private readonly finders: number;
  private readonly vectors: Adam;
  private readonly weights: Adam;
  private readonly bias: Adam;
  private readonly says: Adam;
  private readonly classBias: Adam;

  constructor(
    private readonly words: readonly string[],
    private readonly classes: number,
    private readonly random: Random,
    private readonly manner: RunManner,
  ) {
    const { lengths, vectors } = manner;
    const sum = (all: readonly number[]) => all.reduce((a, b) => a + b, 0);
    this.lengths = lengths;
    this.firstRows = lengths.map((_, i) => FINDERS * sum(lengths.slice(0, i)));
    this.rows = FINDERS * sum(lengths);
    this.finders = FINDERS * lengths.length;
    this.vectors = new Adam(words.length * DIMENSIONS, (i) => {
      const word = words[Math.floor(i / DIMENSIONS)]!;
      const kept = vectors?.get(word)?.[i % DIMENSIONS];
      const own = vectors ? null : vectorOf(word);
      return kept ?? (own ? own[i % DIMENSIONS]! * LENGTH : around(random, SMALL));
    });
    const lengthOf = (row: number) => lengths[this.firstRows.findLastIndex((first) => first <= row)]!;
    this.weights = new Adam(this.rows * DIMENSIONS, (i) =>
      around(random, Math.sqrt(2 / (lengthOf(Math.floor(i / DIMENSIONS)) * DIMENSIONS))),
    );
    this.bias = new Adam(this.finders, () => 0);
    this.says = new Adam(this.finders * classes, () => around(random, Math.sqrt(1 / this.finders)));
    this.classBias = new Adam(classes, () => 0);
  }

  /** What each word counts in each row of weights. */
  private countsOf(words: readonly number[]): Map<number, Float64Array> {
    // The products are taken of two words at a time.
    const vectors = new Float64Array((words.length + (words.length % 2)) * DIMENSIONS);
    for (const [i, word] of words.entries())
      vectors.set(this.vectors.values.subarray(word * DIMENSIONS, (word + 1) * DIMENSIONS), i * DIMENSIONS);
    const { rows } = this;
    const counts = new Float64Array((vectors.length / DIMENSIONS) * rows);
    multiply(vectors, this.weights.values, counts);
    return new Map(words.map((word, i) => [word, counts.subarray(i * rows, (i + 1) * rows)]));
  }

  private find(places: Int32Array, counts: ReadonlyMap<number, Float64Array>): Found {
    const best = new Float64Array(this.finders);
    const firsts = new Int32Array(this.finders).fill(-1);
    const rows: Float64Array[] = [];
    for (const word of places) rows.push(counts.get(word)!);
    const sums = new Float64Array(FINDERS);
    for (const [i, length] of this.lengths.entries()) {
      const own = i * FINDERS;
      for (let first = 0; first + length <= rows.length; first += 1) {
        sums.set(this.bias.values.subarray(own, own + FINDERS));
        for (let place = 0; place < length; place += 1) {
          const row = rows[first + place]!;
          const from = this.firstRows[i]! + place * FINDERS;
          for (let f = 0; f < FINDERS; f += 1) sums[f]! += row[from + f]!;
        }
        for (let f = 0; f < FINDERS; f += 1)
          if (sums[f]! > best[own + f]!) {
            best[own + f] = sums[f]!;
            firsts[own + f] = first;
          }
      }
    }
    return { best, first: firsts };
  }

  /** What each class lacks or has too much, by what was found. */
  private missing(found: Float64Array, is: number): Float64Array {
    const scores = Float64Array.from(this.classBias.values);
    const says = this.says.values;
    for (let f = 0; f < this.finders; f += 1)
      if (found[f] !== 0)
        for (let k = 0; k < scores.length; k += 1) scores[k]! += found[f]! * says[f * scores.length + k]!;
    const shares = asShares([...scores]);
    return scores.map((_, k) => shares[k]! - Number(k === is));
  }

  /** Adds up what one clause would change. */
  private addSlopes(
    { places, is, counts: weight }: Row,
    counts: ReadonlyMap<number, Float64Array>,
    share: number,
  ): void {
    const { best, first } = this.find(places, counts);
    const kept = best.map((one) => (this.random() < FINDERS_DROPPED ? 0 : one / (1 - FINDERS_DROPPED)));
    const missing = this.missing(kept, is).map((one) => one * share * weight);
    for (let k = 0; k < this.classes; k += 1) this.classBias.slopes[k]! += missing[k]!;
    for (let f = 0; f < this.finders; f += 1) {
      if (kept[f] === 0) continue;
      let slope = 0;
      for (let k = 0; k < this.classes; k += 1) {
        this.says.slopes[f * this.classes + k]! += kept[f]! * missing[k]!;
        slope += this.says.values[f * this.classes + k]! * missing[k]!;
      }
      slope /= 1 - FINDERS_DROPPED;
      this.bias.slopes[f]! += slope;
      const i = Math.floor(f / FINDERS);
      for (let place = 0; place < this.lengths[i]!; place += 1)
        this.addRow(this.firstRows[i]! + place * FINDERS + (f % FINDERS), places[first[f]! + place]!, slope);
    }
  }

  private addRow(row: number, word: number, slope: number): void {
    const { values: weights, slopes: ofWeights } = this.weights;
    const { values: vectors, slopes: ofVectors } = this.vectors;
    let [at, own] = [row * DIMENSIONS, word * DIMENSIONS];
    for (const end = at + DIMENSIONS; at < end; at += 1, own += 1) {
      ofWeights[at]! += slope * vectors[own]!;
      ofVectors[own]! += slope * weights[at]!;
    }
  }

  /** One step: by the clauses given, as the numbers of their words. */
  step(batch: readonly Row[], size: number): void {
    const words = [...new Set(batch.flatMap(({ places }) => [...places]))];
    const counts = this.countsOf(words);
    for (const row of batch) this.addSlopes(row, counts, 1 / batch.length);
    for (const one of [this.weights, this.says]) one.step(size, PENALTY);
    for (const one of [this.bias, this.classBias]) one.step(size, 0);
    if (this.manner.vectors) return;
    for (const word of words) this.vectors.stepIn(size * VECTORS_MOVE, word * DIMENSIONS, (word + 1) * DIMENSIONS);
  }

  learnt(): RunWeights {
    const part = ({ values }: Adam, from: number, to: number) => Float32Array.from(values.subarray(from, to));
    return {
      vectors: new Map(this.words.map((word, i) => [word, part(this.vectors, i * DIMENSIONS, (i + 1) * DIMENSIONS)])),
      finders: this.lengths.map((length, i) => {
        const [own, row] = [i * FINDERS, this.firstRows[i]!];
        return {
          words: length,
          count: FINDERS,
          weights: part(this.weights, row * DIMENSIONS, (row + length * FINDERS) * DIMENSIONS),
          bias: part(this.bias, own, own + FINDERS),
          says: part(this.says, own * this.classes, (own + FINDERS) * this.classes),
        };
      }),
      bias: [...this.classBias.values],
    };
  }
}

/** Puts things in an order by chance (Fisher & Yates; Durstenfeld 1964). */
function shuffle(all: Uint32Array, random: Random): void {
  for (let i = all.length - 1; i > 0; i -= 1) {
    const j = Math.floor(random() * (i + 1));
    [all[i], all[j]] = [all[j]!, all[i]!];
  }
}

/**
 * Learns what runs of words say, from clauses with their classes: by words left out by chance, and steps that grow smaller.
 * The same clauses give the same weights.
 */
export function learnRuns(examples: readonly RunExample[], classes: number, manner: RunManner): RunWeights {
  const random = seeded(1);
  const words = manner.vectors ? wordsKnown(examples, manner.vectors) : wordsLearnt(examples);
  const numbers = new Map(words.map((word, i) => [word, i]));
  const unknown = numbers.get(PLACES.unknown)!;
  const rows = examples.map(({ places, is, counts = 1 }) => ({
    places: Int32Array.from(places, (place) => numbers.get(place) ?? unknown),
    is,
    counts,
  }));
  const isPlace = new Set(words.flatMap((word, i) => (isNoWord(word) ? [i] : [])));
  const leaveOut = (places: Int32Array) =>
    places.map((word) => (!isPlace.has(word) && random() < WORDS_DROPPED ? unknown : word));
  const learner = new Learner(words, classes, random, manner);
  const order = Uint32Array.from(rows, (_, i) => i);
  const steps = manner.rounds * Math.ceil(rows.length / BATCH);
  let done = 0;
  for (let round = 0; round < manner.rounds; round += 1) {
    shuffle(order, random);
    for (let from = 0; from < order.length; from += BATCH, done += 1) {
      const batch = Array.from(order.subarray(from, from + BATCH), (i) => rows[i]!);
      learner.step(
        batch.map((row) => ({ ...row, places: leaveOut(row.places) })),
        STEP * (1 - done / (steps + 1)),
      );
    }
  }
  return learner.learnt();
}
