import { diagramOf } from './diagram';
import type { Extremes } from './extreme';
import { reachIn } from './extremes';
import { isLine, type Quantity } from './quantities';
import { quantityExtremes } from './read-quantity';
import { readingOf } from './readings';
import type { Solution } from './results';
import { responseOf } from './sums';

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
  // A sum is added once for all members.
  const linear = responseOf(solution, outcome);
  const isBounded = linear && isLine(quantity) && !readingOf(solution, outcome);
  let known: OverMembers | undefined;
  members.forEach((member) => {
    const slack = known ? ALIKE * Math.max(Math.abs(known.max.value), Math.abs(known.min.value)) : 0;
    if (known && isBounded) {
      const { high, low } = reachIn(diagramOf(solution, outcome, member), quantity);
      if (high <= known.max.value + slack && low >= known.min.value - slack) return;
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
