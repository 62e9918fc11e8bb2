import { recoverEnds } from '../stiffness/condensation';
import type { MemberMatrices } from '../stiffness/member-matrices';
import { FREEDOMS, MEMBER_FREEDOMS, type Structure } from '../stiffness/structure';
import { endDisplacements } from '../stiffness/transformation';

/** 12 displacements of the own ends of member m, local, in an unloaded motion of the nodes (6n, nodes' axes). */
export function ownEnds(s: Structure, matrices: MemberMatrices, m: number, motion: Float64Array): Float64Array {
  const d = new Float64Array(MEMBER_FREEDOMS);
  endDisplacements(s, m, matrices.transforms[m], motion, d);
  const condensed = matrices.condensed[m];
  if (condensed) recoverEnds(condensed, d, new Float64Array(MEMBER_FREEDOMS));
  return d;
}

/** Whether a node takes no part in a motion (6n). */
export const isAtRest = (own: Float64Array, node: number): boolean => {
  for (let k = 0; k < FREEDOMS; k++) if (own[FREEDOMS * node + k] !== 0) return false;
  return true;
};
