import type { OneSum } from './derived/derived';
import { diagramIn } from './envelope-block';
import type { Extremes } from './extreme';
import { widened, type KnownIn } from './known-extremes';
import { degreeOf, isStored, lineQuantities, offsetOf, type DerivedQuantity, type LineQuantity } from './quantities';
import { Reach, widen } from './reach';
import { derivedExtremes } from './read-quantity';

/** What a quantity is the sum of on one member: the quantities, their factors, where they lie in a piece (−1 where they are zero) and among the bounds. */
interface Terms {
  readonly sources: readonly LineQuantity[];
  readonly factors: readonly number[];
  readonly offsets: readonly number[];
  readonly bounds: readonly number[];
}

/** Coefficients of the longest polynomials that are stored. */
const SIZE = 6;

/**
 * What is known of a quantity that is one sum of stored ones. Where it is one of them alone, as a movement along a member that lies along the
 * axis, nothing is looked at: what is known of that one is known of it.
 */
export class KnownSum {
  private readonly found: Extremes[] = [];
  private readonly terms: readonly Terms[];
  private readonly several: readonly number[];

  constructor(
    readonly quantity: DerivedQuantity,
    private readonly derived: OneSum,
    private readonly within: KnownIn,
  ) {
    const { block, members } = within;
    const count = block.lengths.length;
    this.terms = members.slice(0, count).map((member, m): Terms => {
      const terms = derived.terms(member).filter(([source]) => isStored(block.width, source));
      return {
        sources: terms.map(([source]) => source),
        factors: terms.map(([, factor]) => factor),
        offsets: terms.map(([source]) => offsetOf(source)),
        bounds: terms.map(([source]) => count * lineQuantities.indexOf(source) + m),
      };
    });
    this.several = this.terms.flatMap(({ sources }, m) => (sources.length === 1 ? [] : [m]));
  }

  /** Looks at one more part, whose numbers are the sum at hand. `bounds`: of all stored quantities, member by member. */
  meet(sum: Float64Array, part: number, bounds: Float64Array): void {
    const { block, members } = this.within;
    for (const m of this.several) {
      const known = this.found[m];
      if (known && this.isWithin(known, this.boundOf(m, bounds))) continue;
      if (known && this.isWithin(known, this.reachOf(m, sum))) continue;
      this.found[m] = widened(known, derivedExtremes(this.derived, members[m]!, diagramIn(block, sum, m), part)!);
    }
  }

  get extremes(): readonly Extremes[] {
    return this.terms.map(({ sources: [source], factors: [factor = 0] }, m) => {
      if (source === undefined || this.several.includes(m)) return this.found[m]!;
      const { max, min } = this.within.lines.get(source)!.extremes[m]!;
      const times = (one: Extremes['max']): Extremes['max'] => ({ ...one, value: factor * one.value + 0 });
      return factor > 0 ? { max: times(max), min: times(min) } : { max: times(min), min: times(max) };
    });
  }

  private isWithin({ max, min }: Extremes, { high, low }: Reach): boolean {
    return high <= max.value && !(low < min.value);
  }

  /** Between which values it certainly lies by the bounds of what it is the sum of. */
  private boundOf(m: number, bounds: Float64Array): Reach {
    const { factors, bounds: places } = this.terms[m]!;
    const half = bounds.length / 2;
    let [high, low] = [0, 0];
    for (let i = 0; i < factors.length; i++) {
      const factor = factors[i]!;
      const [most, least] = [bounds[places[i]!]!, -bounds[half + places[i]!]!];
      high += factor * (factor > 0 ? most : least);
      low += factor * (factor > 0 ? least : most);
    }
    within.high = high;
    within.low = low;
    return within;
  }

  /** The same, hardly farther, by the sums on all pieces. */
  private reachOf(m: number, sum: Float64Array): Reach {
    const { sources, factors, offsets } = this.terms[m]!;
    const { first, from, to, width } = this.within.block;
    within.reset();
    for (let k = first[m]!; k < first[m + 1]!; k++) {
      summed.fill(0);
      for (let i = 0; i < sources.length; i++) {
        const at = k * width + offsets[i]!;
        for (let j = degreeOf(sources[i]!); j >= 0; j--) summed[j]! += factors[i]! * sum[at + j]!;
      }
      widen(within, summed, 0, SIZE - 1, to[k]! - from[k]!);
    }
    return within;
  }
}

const within = new Reach();
const summed = new Float64Array(SIZE);
