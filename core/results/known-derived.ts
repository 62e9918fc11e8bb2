import { MEMBER_FREEDOMS } from '../stiffness/structure';
import { forces, type Following, type Force } from './derived/derived';
import { diagramIn } from './envelope-block';
import type { Extremes } from './extreme';
import { widened, type KnownIn } from './known-extremes';
import { isStored, lineQuantities, offsetOf, type DerivedQuantity } from './quantities';
import { Reach } from './reach';
import { AT_ENDS } from './read';
import { derivedExtremes } from './read-quantity';

/** What is known of one derived quantity on the members of a block. The stored ones, from which it follows, see each part before it. */
export class KnownDerived {
  readonly extremes: (Extremes | undefined)[] = [];
  /** By what it follows from: where it lies in the coefficients of a piece (−1 where it is zero), and its bounds among all. */
  private readonly offsets: readonly number[];
  private readonly first: readonly number[];
  /** Those that an end feels otherwise than the place beside it. */
  private readonly felt: readonly Force[];
  /** By member: its section does not tell the quantity, whatever acts. */
  private readonly isUnknown: boolean[] = [];

  constructor(
    readonly quantity: DerivedQuantity,
    private readonly derived: Following,
    private readonly within: KnownIn,
  ) {
    const { block } = within;
    this.offsets = derived.of.map((one) => (isStored(block.width, one) ? offsetOf(one) : -1));
    this.first = derived.of.map((one) => block.lengths.length * lineQuantities.indexOf(one));
    this.felt = derived.of.filter((one) => one in AT_ENDS) as Force[];
  }

  /** Looks at one more part, whose numbers are the sum at hand. `bounds`: of all stored quantities, member by member. */
  meet(sum: Float64Array, part: number, bounds: Float64Array): void {
    const { derived, offsets, first } = this;
    const { block, lines, members } = this.within;
    const { of } = derived;
    const { felt } = this;
    const piece = { coefficients: sum, N: -1, Vy: -1, Vz: -1, T: -1, My: -1, Mz: -1, u: -1, v: -1, w: -1, length: 0 };
    for (let m = 0; m < block.lengths.length; m++) {
      if (this.isUnknown[m]) continue;
      const member = members[m]!;
      const ends = block.numbers + MEMBER_FREEDOMS * m;
      const known = this.extremes[m];
      if (known) {
        const { max, min } = known;
        const isKnown = (most: number): boolean => most <= max.value && !(-most < min.value);
        for (let i = 0; i < of.length; i++) sizes[of[i]!] = sizeIn(bounds, first[i]! + m);
        if (isKnown(derived.most(sizes, member))) continue;
        for (const source of of) {
          const { high, low } = lines.get(source)!.reachOf(sum, m);
          sizes[source] = Math.max(high, -low);
        }
        if (isKnown(derived.most(sizes, member))) continue;
        reach.high = known.max.value;
        reach.low = known.min.value;
        for (let k = block.first[m]!; k < block.first[m + 1]!; k++) {
          const at = k * block.width;
          for (let i = 0; i < of.length; i++) if (offsets[i]! >= 0) piece[of[i]!] = at + offsets[i]!;
          piece.length = block.to[k]! - block.from[k]!;
          derived.widen(reach, piece, member);
        }
        // What the ends feel counts too, as a piece without length.
        for (const end of felt.length > 0 ? ENDS : []) {
          for (const force of felt) atEnd.coefficients[atEnd[force]] = end[force].sign * sum[ends + end[force].at]!;
          derived.widen(reach, atEnd, member);
        }
        if (reach.high <= known.max.value && !(reach.low < known.min.value)) continue;
      }
      const own = derivedExtremes(derived, member, diagramIn(block, sum, m), part);
      if (own) this.extremes[m] = derived.isMagnitude ? widened(known, withoutLeast(own)) : widened(known, own);
      else this.isUnknown[m] = true;
    }
  }
}

const reach = new Reach();
const sizes = { N: 0, Vy: 0, Vz: 0, T: 0, My: 0, Mz: 0, u: 0, v: 0, w: 0 };
/** How large a number is at most by its bounds. */
const sizeIn = (bounds: Float64Array, i: number): number => Math.max(bounds[i]!, bounds[bounds.length / 2 + i]!);
/** At both ends: which end force shows a force, and with which sign. */
const ENDS = [0, 2].map(
  (side) =>
    Object.fromEntries(
      forces.map((force) => [force, { at: AT_ENDS[force]![side]!, sign: AT_ENDS[force]![side + 1]! }]),
    ) as Record<Force, { readonly at: number; readonly sign: number }>,
);
const atEnd = { coefficients: new Float64Array(24), N: 0, Vy: 4, Vz: 8, T: 12, My: 16, Mz: 20, u: -1, v: -1, w: -1, length: 0 };

/** The least value of a magnitude is not sought among hundreds of parts. */
const withoutLeast = ({ max }: Extremes): Extremes => ({ max, min: { x: 0, value: NaN, from: -1 } });
