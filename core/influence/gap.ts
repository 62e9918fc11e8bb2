import { AT_ENDS } from '../results/read';
import type { LineQuantity } from '../results/quantities';
import { BEND_WIDTH } from '../stiffness/bending';
import type { MemberMatrices } from '../stiffness/member-matrices';
import { memberStiffness } from '../stiffness/member-stiffness';
import { FREEDOMS, MEMBER_FREEDOMS, STIFFNESS_WIDTH, type Structure } from '../stiffness/structure';

/** A cut of member m at `at` metres from its start, opened by six movements of its far side against the near one, local. */
export interface Gap {
  readonly member: number;
  readonly at: number;
  readonly opening: Float64Array;
}

const N = MEMBER_FREEDOMS;

/** The opening on which an internal force of 1 does work of 1. */
export function openingOf(quantity: LineQuantity): Float64Array {
  const [index, sign] = AT_ENDS[quantity]!;
  const opening = new Float64Array(FREEDOMS);
  // What the near side exerts on the far one is `sign` times the force.
  opening[index] = -sign;
  return opening;
}

/** How far the opening carries a place of the far part, `reach` metres behind the cut: local u, v, w. */
export function carried(opening: Float64Array, reach: number): [u: number, v: number, w: number] {
  return [opening[0]!, opening[1]! + opening[5]! * reach, opening[2]! - opening[4]! * reach];
}

/** Loads at the ends of a member that do what an opening of its cut does, its nodes being held: k·δ, with δ as the opening carries its end. */
export function openedEnds(s: Structure, { bends }: MemberMatrices, { member: m, at, opening }: Gap): Float64Array {
  const k = new Float64Array(N * N);
  const o = STIFFNESS_WIDTH * m;
  memberStiffness({ EA: s.stiffnesses[o]!, GJ: s.stiffnesses[o + 1]!, L: s.lengths[m]! }, bends, BEND_WIDTH * m, k);
  const shift = [...carried(opening, s.lengths[m]! - at), ...opening.subarray(3)];
  return Float64Array.from({ length: N }, (_, i) => shift.reduce((sum, value, j) => sum + k[N * i + FREEDOMS + j]! * value, 0));
}
