import { diagramOf } from './diagram';
import type { Extremes } from './extreme';
import { reachIn } from './extremes';
import { isLine, type Quantity } from './quantities';
import { quantityExtremes } from './read-quantity';
import { isReadByPlace, partsOf } from './read';
import { readingOf } from './readings';
import type { Solution } from './results';
import { addSums } from './sums';

/** An extreme, and the member (its place among all) on which it stands. */
export type OnMember = Extremes['max'] & { readonly member: number };

export interface OverMembers {
  readonly max: OnMember;
  readonly min: OnMember;
}

/** Of values that differ by less than this part the first member counts: rounding must not carry a figure from one member to another. */
const ALIKE = 1e-9;

/**
 * Exact extremes of a quantity over all members, or some of them; undefined where there is none on any. Members on which it certainly does not reach beyond
 * what is known are passed over: the zeros of derivatives are looked for on few of them.
 */
export function extremesOverMembers(
  solution: Solution,
  outcome: number,
  quantity: Quantity,
  members: readonly number[] = solution.structure.names.members.map((_, member) => member),
): OverMembers | undefined {
  const parts = partsOf(solution, outcome);
  const isBounded = isLine(quantity) && !readingOf(solution, outcome) && !isReadByPlace(solution, outcome);
  // Sums are added once for all members.
  if (isBounded && 2 * members.length > solution.structure.names.members.length) addSums(solution, parts);
  let known: OverMembers | undefined;
  members.forEach((member) => {
    const slack = known ? ALIKE * Math.max(Math.abs(known.max.value), Math.abs(known.min.value)) : 0;
    if (known && isBounded) {
      const [most, least] = [known.max.value + slack, known.min.value - slack];
      const isWithin = parts.every((part) => {
        const { high, low } = reachIn(diagramOf(solution, part, member), quantity);
        return high <= most && low >= least;
      });
      if (isWithin) return;
    }
    const own = quantityExtremes(solution, outcome, member, quantity);
    if (!own) return;
    known = {
      max: !known || own.max.value > known.max.value + slack ? { ...own.max, member } : known.max,
      min: !known || own.min.value < known.min.value - slack ? { ...own.min, member } : known.min,
    };
  });
  return known;
}
