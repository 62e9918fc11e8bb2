import { forces, type Derived, type Following, type Force, type OfMember, type Sum } from './derived/derived';
import type { Diagram } from './diagram';
import { degreeOf, isStored, lineQuantities, offsetOf } from './quantities';
import { Reach, widen } from './reach';
import { AT_ENDS } from './read';

/**
 * Widens a reach so far that no value of a derived quantity in a diagram lies beyond it, without looking for where it turns; of a magnitude only upwards.
 * What is within the reach already is not looked at closely.
 */
export function widenByDerived(reach: Reach, derived: Derived, diagram: Diagram, member: OfMember): void {
  if ('terms' in derived) widenBySum(reach, derived.terms(member), diagram);
  else widenByFollowing(reach, derived, diagram, member);
}

const HIGHEST = Math.max(...lineQuantities.map(degreeOf));

function widenBySum(reach: Reach, terms: Sum, { coefficients, width, first, end, from, to, ends, endsAt }: Diagram): void {
  const stored = terms.filter(([source]) => isStored(width, source));
  for (let k = first; k < end; k++) {
    sum.fill(0);
    for (const [source, factor] of stored) {
      const at = k * width + offsetOf(source);
      for (let i = degreeOf(source); i >= 0; i--) sum[i]! += factor * coefficients[at + i]!;
    }
    widen(reach, sum, 0, HIGHEST, to[k]! - from[k]!);
  }
  // What the ends feel counts too; a sum is one of forces, or of movements, which do not jump there.
  if (!stored.some(([source]) => AT_ENDS[source])) return;
  for (const side of ENDS) {
    let value = 0;
    for (const [source, factor] of stored) {
      const felt = side[source as Force];
      if (felt) value += factor * felt.sign * ends[endsAt + felt.at]!;
    }
    reach.include(value);
  }
}
const sum = new Float64Array(HIGHEST + 1);

function widenByFollowing(reach: Reach, derived: Following, diagram: Diagram, member: OfMember): void {
  const { coefficients, width, first, end, from, to, ends, endsAt } = diagram;
  const { of } = derived;
  piece.coefficients = coefficients;
  for (let k = first; k < end; k++) {
    for (const source of of) piece[source] = isStored(width, source) ? k * width + offsetOf(source) : -1;
    piece.length = to[k]! - from[k]!;
    derived.widen(reach, piece, member);
  }
  // What the ends feel counts too, as a piece without length.
  for (const side of ENDS) {
    for (const force of forces) atEnd.coefficients[atEnd[force]] = side[force].sign * ends[endsAt + side[force].at]!;
    derived.widen(reach, atEnd, member);
  }
}

/** At both ends: which end force shows a force, and with which sign. */
const ENDS = [0, 2].map(
  (side) =>
    Object.fromEntries(
      forces.map((force) => [force, { at: AT_ENDS[force]![side]!, sign: AT_ENDS[force]![side + 1]! }]),
    ) as Record<Force, { readonly at: number; readonly sign: number }>,
);
const NOWHERE = { N: -1, Vy: -1, Vz: -1, T: -1, My: -1, Mz: -1, u: -1, v: -1, w: -1, length: 0 };
/** The piece that is looked at, one after the other. */
const piece = { coefficients: new Float64Array(0) as Float64Array, ...NOWHERE };
const atEnd = { coefficients: new Float64Array(24), ...NOWHERE, N: 0, Vy: 4, Vz: 8, T: 12, My: 16, Mz: 20 };
