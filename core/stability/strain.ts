import type { MemberMatrices } from '../stiffness/member-matrices';
import { FREEDOMS, memberCount, MEMBER_FREEDOMS, STIFFNESS_WIDTH, type Structure } from '../stiffness/structure';
import { endMovements } from '../stiffness/transformation';
import { isAtRest, ownEnds } from './own-ends';

/** Under this part of a member's movement its deformation is rounding. */
const ROUNDING = 1e-7;
/** A member that moves less than this part of the largest movement is not asked: rounding may deform it. */
const MOVES = 1e-3;

/**
 * Whether a motion (6n, nodes' axes) deforms a member or a spring, however soft. Elimination takes a part for free when what holds it is
 * under rounding beside its own stiffness; this tells such a part from a true mechanism, which deforms nothing.
 */
export function isStrained(s: Structure, matrices: MemberMatrices, motion: Float64Array): boolean {
  const largest = motion.reduce((max, x) => Math.max(max, Math.abs(x)), 0);
  for (let f = 0; f < motion.length; f++) {
    const spring = s.restraints[f]!;
    if (spring > 0 && spring < Infinity && Math.abs(motion[f]!) > MOVES * largest) return true;
  }
  for (let m = 0; m < memberCount(s); m++) if (deformationOf(s, matrices, m, motion, MOVES * largest) > ROUNDING) return true;
  return false;
}

/** The largest deformation of member m or its end springs beside its movement, as a length; 0 where it hardly moves. */
function deformationOf(s: Structure, matrices: MemberMatrices, m: number, motion: Float64Array, hardly: number): number {
  if (isAtRest(motion, s.memberNodes[2 * m]!) && isAtRest(motion, s.memberNodes[2 * m + 1]!)) return 0;
  const L = s.lengths[m]!;
  const d = ownEnds(s, matrices, m, motion);
  const travel = d.reduce((max, x, i) => Math.max(max, Math.abs(x) * (i % FREEDOMS < 3 ? 1 : L)), 0);
  if (travel <= hardly) return 0;
  const [EA, GJ] = [s.stiffnesses[STIFFNESS_WIDTH * m]!, s.stiffnesses[STIFFNESS_WIDTH * m + 1]!];
  const [chordV, chordW] = [d[7]! - d[1]!, d[8]! - d[2]!];
  const parts = [EA > 0 ? d[6]! - d[0]! : 0, GJ > 0 ? L * (d[9]! - d[3]!) : 0, L * d[5]! - chordV, L * d[11]! - chordV];
  if (s.active.length === FREEDOMS) parts.push(L * d[4]! + chordW, L * d[10]! + chordW);
  return Math.max(...parts.map(Math.abs), springsOf(s, matrices, m, motion, d)) / travel;
}

/** How far the end springs of a member open or turn, as a length. */
function springsOf(s: Structure, matrices: MemberMatrices, m: number, motion: Float64Array, ends: Float64Array): number {
  if (!matrices.condensed[m]) return 0;
  const nodes = new Float64Array(MEMBER_FREEDOMS);
  endMovements(s, m, matrices.transforms[m], motion, nodes);
  let largest = 0;
  for (let r = 0; r < MEMBER_FREEDOMS; r++) {
    const spring = s.releases[MEMBER_FREEDOMS * m + r]!;
    if (spring === 0 || spring === Infinity) continue;
    largest = Math.max(largest, Math.abs(nodes[r]! - ends[r]!) * (r % FREEDOMS < 3 ? 1 : s.lengths[m]!));
  }
  return largest;
}
