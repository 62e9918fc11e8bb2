import { MEMBER_FREEDOMS } from '../stiffness/structure';
import type { OfMember } from './derived/derived';
import { diagramIn, type Block } from './envelope-block';
import type { Extremes } from './extreme';
import { extremesIn } from './extremes';
import { degreeOf, isStored, offsetOf, type LineQuantity } from './quantities';
import { AT_ENDS } from './read';
import { Reach, widen } from './reach';

/** What is known, and more; of equal values the part that came first stays. */
export const widened = (known: Extremes | undefined, next: Extremes): Extremes =>
  known
    ? {
        max: known.max.value >= next.max.value ? known.max : next.max,
        min: known.min.value <= next.min.value ? known.min : next.min,
      }
    : next;

/** A block of members, what is known of the stored quantities on it, and what derived ones follow from besides. */
export interface KnownIn {
  readonly block: Block;
  readonly lines: ReadonlyMap<LineQuantity, KnownExtremes>;
  readonly members: readonly OfMember[];
}

/** What is known of one stored quantity on the members of a block, while the parts of an envelope pass by. */
export class KnownExtremes {
  readonly extremes: Extremes[] = [];
  private readonly max: Float64Array;
  private readonly min: Float64Array;
  private readonly offset: number;
  private readonly degree: number;
  private readonly rule: (typeof AT_ENDS)[LineQuantity];
  private readonly isStored: boolean;

  constructor(
    private readonly quantity: LineQuantity,
    private readonly block: Block,
  ) {
    const members = block.lengths.length;
    this.max = new Float64Array(members).fill(-Infinity);
    this.min = new Float64Array(members).fill(Infinity);
    this.offset = offsetOf(quantity);
    this.degree = degreeOf(quantity);
    this.rule = AT_ENDS[quantity];
    this.isStored = isStored(block.width, quantity);
  }

  /** Between which values the quantity certainly lies on member m in the sum at hand; good until it is asked again. */
  reachOf(sum: Float64Array, m: number): Reach {
    const { rule, degree, offset } = this;
    const { first, from, to, width, numbers } = this.block;
    reach.reset();
    const end = first[m + 1]!;
    if (this.isStored) for (let k = first[m]!; k < end; k++) widen(reach, sum, k * width + offset, degree, to[k]! - from[k]!);
    else reach.include(0);
    if (rule) {
      const ends = numbers + MEMBER_FREEDOMS * m;
      reach.include(rule[1] * sum[ends + rule[0]]!);
      reach.include(rule[3] * sum[ends + rule[2]]!);
    }
    return reach;
  }

  /**
   * Looks at one more part, whose numbers are the sum at hand. `bounds`: how great its values on the members may be, from `at` on, and their
   * negatives, from `mirrored` on.
   */
  meet(sum: Float64Array, part: number, bounds: Float64Array, at: number, mirrored: number): void {
    const { max, min } = this;
    for (let m = 0; m < max.length; m++) {
      if (bounds[at + m]! <= max[m]! && bounds[mirrored + m]! <= -min[m]!) continue;
      const found = this.reachOf(sum, m);
      if (found.high > max[m]! || found.low < min[m]!)
        this.learn(m, extremesIn(diagramIn(this.block, sum, m), this.quantity, part));
    }
  }

  private learn(m: number, next: Extremes): void {
    const both = widened(this.extremes[m], next);
    this.extremes[m] = both;
    this.max[m] = both.max.value;
    this.min[m] = both.min.value;
  }
}

const reach = new Reach();
