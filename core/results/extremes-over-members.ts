import { finished, type Steps } from '../steps';
import { diagramOf } from './diagram';
import { widenByDerived } from './derived-reach';
import type { Extremes } from './extreme';
import { reachIn } from './extremes';
import { ofMembers } from './of-member';
import { isLine, quantityTable, type Quantity } from './quantities';
import { quantityExtremes } from './read-quantity';
import { Reach } from './reach';
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
/** Members at a step. */
const AT_ONCE = 400;

/** Which extremes are sought; of a magnitude only the greatest value counts, and stands for the least as well. */
export type Sought = 'both' | 'those that count';

/** Exact extremes of a quantity over all members, or some of them; undefined where there is none on any. */
export const extremesOverMembers = (
  solution: Solution,
  outcome: number,
  quantity: Quantity,
  members?: readonly number[],
): OverMembers | undefined => finished(overMembersInSteps(solution, outcome, quantity, 'both', members));

/**
 * The same in steps. Members on which the quantity certainly does not reach beyond what is known are passed over: the zeros of derivatives are looked
 * for on few of them.
 */
export function* overMembersInSteps(
  ...[solution, outcome, quantity, sought, some]: [
    solution: Solution,
    outcome: number,
    quantity: Quantity,
    sought: Sought,
    members?: readonly number[],
  ]
): Steps<OverMembers | undefined> {
  const members = some ?? solution.structure.names.members.map((_, member) => member);
  const parts = partsOf(solution, outcome);
  const isBounded = !readingOf(solution, outcome) && !isReadByPlace(solution, outcome);
  const isMagnitude = quantityTable[quantity].derived?.isMagnitude === true;
  const isOneSided = isMagnitude && sought === 'those that count';
  // Sums are added once for all members.
  if (isBounded && 2 * members.length > solution.structure.names.members.length) addSums(solution, parts);
  let known: OverMembers | undefined;
  for (const [i, member] of members.entries()) {
    if (i % AT_ONCE === AT_ONCE - 1) yield;
    const slack = known ? ALIKE * Math.max(Math.abs(known.max.value), Math.abs(known.min.value)) : 0;
    if (known && isBounded) {
      const most = known.max.value + slack;
      // A magnitude is nowhere less than zero.
      const least = isOneSided ? 0 : known.min.value - slack;
      if (!(isMagnitude && least > 0) && parts.every((part) => isWithin(solution, part, member, quantity, [most, least])))
        continue;
    }
    const own = quantityExtremes(solution, outcome, member, quantity);
    if (!own) continue;
    const max = !known || own.max.value > known.max.value + slack ? { ...own.max, member } : known.max;
    const min = !known || own.min.value < known.min.value - slack ? { ...own.min, member } : known.min;
    known = { max, min: isOneSided ? max : min };
  }
  return known;
}

/** Whether a quantity certainly stays between two values on a member; a magnitude, under the greater. */
function isWithin(
  solution: Solution,
  part: number,
  member: number,
  quantity: Quantity,
  [most, least]: readonly [number, number],
): boolean {
  const diagram = diagramOf(solution, part, member);
  if (isLine(quantity)) {
    const { high, low } = reachIn(diagram, quantity);
    return high <= most && low >= least;
  }
  reach.high = most;
  reach.low = least;
  widenByDerived(reach, quantityTable[quantity].derived!, diagram, ofMembers(solution)[member]!);
  return reach.high <= most && reach.low >= least;
}
const reach = new Reach();
