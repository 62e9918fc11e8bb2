import type { Following } from './derived/derived';
import { widenByDerived } from './derived-reach';
import { diagramIn } from './envelope-block';
import type { Extremes } from './extreme';
import { widened, type KnownIn } from './known-extremes';
import { lineQuantities, type DerivedQuantity } from './quantities';
import { Reach } from './reach';
import { derivedExtremes } from './read-quantity';

/** What is known of one derived quantity on the members of a block. The stored ones, from which it follows, see each part before it. */
export class KnownDerived {
  readonly extremes: (Extremes | undefined)[] = [];
  /** By what it follows from: where its bounds lie among all. */
  private readonly first: readonly number[];
  /** By member: its section does not tell the quantity, whatever acts. */
  private readonly isUnknown: boolean[] = [];

  constructor(
    readonly quantity: DerivedQuantity,
    private readonly derived: Following,
    private readonly within: KnownIn,
  ) {
    const { block } = within;
    this.first = derived.of.map((one) => block.lengths.length * lineQuantities.indexOf(one));
  }

  /** Looks at one more part, whose numbers are the sum at hand. `bounds`: of all stored quantities, member by member. */
  meet(sum: Float64Array, part: number, bounds: Float64Array): void {
    const { derived, first } = this;
    const { block, lines, members } = this.within;
    const { of } = derived;
    for (let m = 0; m < block.lengths.length; m++) {
      if (this.isUnknown[m]) continue;
      const member = members[m]!;
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
        widenByDerived(reach, derived, diagramIn(block, sum, m), member);
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

/** The least value of a magnitude is not sought among hundreds of parts. */
const withoutLeast = ({ max }: Extremes): Extremes => ({ max, min: { x: 0, value: NaN, from: -1 } });
