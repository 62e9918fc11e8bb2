import type { Fibres } from '../sections/fibres';
import { MEMBER_FREEDOMS } from '../stiffness/structure';
import type { Derived } from './derived/derived';
import { diagramIn, type Block } from './envelope-block';
import type { Extremes } from './extreme';
import { widened, type KnownExtremes } from './known-extremes';
import { isStored, lineQuantities, offsetOf, quantityTable, type DerivedQuantity, type LineQuantity } from './quantities';
import { Reach } from './reach';
import { AT_ENDS } from './read';
import { derivedExtremes } from './read-quantity';

/** What is known of one derived quantity on the members of a block. The stored ones, from which it follows, see each part before it. */
export class KnownDerived {
  readonly extremes: (Extremes | undefined)[] = [];
  private readonly derived: Derived;
  /** By member: its section does not tell the quantity, whatever acts. */
  private readonly isUnknown: boolean[] = [];

  constructor(
    readonly quantity: DerivedQuantity,
    private readonly block: Block,
    private readonly lines: ReadonlyMap<LineQuantity, KnownExtremes>,
    private readonly fibres: readonly (Fibres | undefined)[],
  ) {
    this.derived = quantityTable[quantity].derived!;
  }

  /** Looks at one more part, whose numbers are the sum at hand. `bounds`: of all stored quantities, member by member. */
  meet(sum: Float64Array, part: number, bounds: Float64Array): void {
    const { derived, fibres, block } = this;
    const [N, My, Mz] = [offsetOf('N'), isStored(block.width, 'My') ? offsetOf('My') : -1, offsetOf('Mz')];
    const members = block.lengths.length;
    const [boundN, boundMy, boundMz] = FORCES.map((force) => members * lineQuantities.indexOf(force)) as [number, number, number];
    const piece = { coefficients: sum, N, My, Mz, length: 0 };
    for (let m = 0; m < members; m++) {
      if (this.isUnknown[m]) continue;
      const ends = block.numbers + MEMBER_FREEDOMS * m;
      const known = this.extremes[m];
      if (known) {
        const { max, min } = known;
        const isKnown = (most: number): boolean => most <= max.value && !(-most < min.value);
        sizes.N = sizeIn(bounds, boundN + m);
        sizes.My = sizeIn(bounds, boundMy + m);
        sizes.Mz = sizeIn(bounds, boundMz + m);
        if (isKnown(derived.most(sizes, fibres[m]))) continue;
        for (const force of FORCES) {
          const { high, low } = this.lines.get(force)!.reachOf(sum, m);
          sizes[force] = Math.max(high, -low);
        }
        if (isKnown(derived.most(sizes, fibres[m]))) continue;
        reach.high = known.max.value;
        reach.low = known.min.value;
        for (let k = block.first[m]!; k < block.first[m + 1]!; k++) {
          const at = k * block.width;
          piece.N = at + N;
          piece.My = My < 0 ? -1 : at + My;
          piece.Mz = at + Mz;
          piece.length = block.to[k]! - block.from[k]!;
          derived.widen(reach, piece, fibres[m]);
        }
        // What the ends feel counts too, as a piece without length.
        for (const end of ENDS) {
          for (const force of FORCES) atEnd.coefficients[atEnd[force]] = end[force].sign * sum[ends + end[force].at]!;
          derived.widen(reach, atEnd, fibres[m]);
        }
        if (reach.high <= known.max.value && !(reach.low < known.min.value)) continue;
      }
      const own = derivedExtremes(derived, fibres[m], diagramIn(block, sum, m), part);
      if (own) this.extremes[m] = derived.isMagnitude ? widened(known, withoutLeast(own)) : widened(known, own);
      else this.isUnknown[m] = true;
    }
  }
}

const reach = new Reach();
const sizes = { N: 0, My: 0, Mz: 0 };
/** How large a number is at most by its bounds. */
const sizeIn = (bounds: Float64Array, i: number): number => Math.max(bounds[i]!, bounds[bounds.length / 2 + i]!);
const FORCES = ['N', 'My', 'Mz'] as const;
/** At both ends: which end force shows a force, and with which sign. */
const ENDS = [0, 2].map((side) => {
  const [N, My, Mz] = FORCES.map((force) => ({ at: AT_ENDS[force]![side]!, sign: AT_ENDS[force]![side + 1]! }));
  return { N: N!, My: My!, Mz: Mz! };
});
const atEnd = { coefficients: new Float64Array(12), N: 0, My: 4, Mz: 8, length: 0 };

/** The least value of a magnitude is not sought among hundreds of parts. */
const withoutLeast = ({ max }: Extremes): Extremes => ({ max, min: { x: 0, value: NaN, from: -1 } });
