/** How much of the slopes before is kept, of their mean and of their squares. */
const MEAN = 0.9;
const SQUARES = 0.999;

const LEAST = 1e-8;

/** Numbers that are learnt step by step (Kingma & Ba 2015, "Adam: a method for stochastic optimization"). */
export class Adam {
  readonly values: Float64Array;
  /** What is added up here, the next step follows. */
  readonly slopes: Float64Array;
  private readonly means: Float64Array;
  private readonly squares: Float64Array;
  /** Steps that were taken, by the place of the first number. */
  private readonly steps = new Map<number, number>();

  constructor(size: number, start: (i: number) => number) {
    this.values = new Float64Array(size).map((_, i) => start(i));
    this.slopes = new Float64Array(size);
    this.means = new Float64Array(size);
    this.squares = new Float64Array(size);
  }

  /** A step of all numbers; the penalty draws them to nought. */
  step(size: number, penalty: number): void {
    this.stepIn(size, 0, this.values.length, penalty);
  }

  /** A step of the numbers from one place to another, which have all taken as many. */
  stepIn(size: number, from: number, to: number, penalty = 0): void {
    const { values, slopes, means, squares } = this;
    const taken = (this.steps.get(from) ?? 0) + 1;
    const [ofMean, ofSquares] = [1 - MEAN ** taken, 1 - SQUARES ** taken];
    for (let i = from; i < to; i += 1) {
      const slope = slopes[i]! + penalty * values[i]!;
      means[i] = MEAN * means[i]! + (1 - MEAN) * slope;
      squares[i] = SQUARES * squares[i]! + (1 - SQUARES) * slope * slope;
      values[i]! -= (size * (means[i]! / ofMean)) / (Math.sqrt(squares[i]! / ofSquares) + LEAST);
      slopes[i] = 0;
    }
    this.steps.set(from, taken);
  }
}
