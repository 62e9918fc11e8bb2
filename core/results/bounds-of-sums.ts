import { combinerOf, type Combiner } from '../linear-algebra/combine';
import type { Kernels } from '../linear-algebra/kernels';

/** By how much bounds of a case are widened, beside the larger of them, so that rounding of a sum hides nothing. */
const ROUNDING = 1e-12;

/**
 * How far numbers of sums may reach, from how far those of the cases do: Σ w·high over positive factors and Σ w·low over negative ones.
 * Found with hardly any work; most sums of hundreds need no closer look.
 */
export class BoundsOfSums {
  /** How many numbers there are. */
  readonly length: number;
  private readonly combiner: Combiner;
  private readonly weights: Float64Array;

  /** `highs` and `lows`: by case, of every number; `signs`: those of all factors. */
  constructor(
    highs: readonly Float64Array[],
    lows: readonly Float64Array[],
    private readonly signs: 'positive' | 'mixed',
    kernels: Kernels,
  ) {
    const length = highs[0]!.length;
    const upright = highs.map((high, c) => {
      const both = new Float64Array(2 * length);
      for (let i = 0; i < length; i++) {
        const [most, least] = [high[i]!, lows[c]![i]!];
        const slack = ROUNDING * Math.max(most, -least);
        both[i] = most + slack;
        both[length + i] = slack - least;
      }
      return both;
    });
    // A negative factor turns a case round: its least values are then the greatest.
    const reversed = signs === 'positive' ? [] : upright.map((both) => turned(both));
    this.length = length;
    this.weights = new Float64Array(upright.length + reversed.length);
    this.combiner = combinerOf([...upright, ...reversed], 2 * length, kernels);
  }

  /**
   * Of the sum of the cases with these factors: what none of the numbers is greater than, then what none of their negatives is greater
   * than. Good until it is asked again.
   */
  of(factors: ArrayLike<number>): Float64Array {
    const cases = factors.length;
    for (let c = 0; c < cases; c++) {
      this.weights[c] = Math.max(0, factors[c]!);
      if (this.signs === 'mixed') this.weights[cases + c] = Math.max(0, -factors[c]!);
    }
    return this.combiner.sum(this.weights);
  }
}

/** The two halves in the other order. */
function turned(both: Float64Array): Float64Array {
  const half = both.length / 2;
  const other = new Float64Array(both.length);
  other.set(both.subarray(half));
  other.set(both.subarray(0, half), half);
  return other;
}
