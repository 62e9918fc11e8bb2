import { groundOf, loadsOnNodes } from '../stiffness/assemble';
import type { MemberMatrices } from '../stiffness/member-matrices';
import { memberCount, MEMBER_FREEDOMS, type Structure } from '../stiffness/structure';
import { addToNodes } from '../stiffness/transformation';

/**
 * What is left of the loads at each freedom that is not fixed (6n, nodes' axes; 0 at the fixed ones) when members and springs have
 * taken theirs: members by their end forces (12m, local), springs by the displacements of their nodes.
 */
export function nodalResidual(
  s: Structure,
  matrices: MemberMatrices,
  c: number,
  ends: Float64Array,
  displacements: Float64Array,
): Float64Array {
  const count = displacements.length;
  const onMembers = new Float64Array(count);
  const joined = { structure: s, transforms: matrices.transforms };
  const forces = { values: ends, at: 0 };
  for (let m = 0; m < memberCount(s); m++, forces.at += MEMBER_FREEDOMS) addToNodes(joined, m, forces, onMembers);
  const loads = loadsOnNodes(s, c);
  const ground = groundOf(s, c);
  return onMembers.map((taken, f) => {
    const restraint = s.restraints[f]!;
    if (restraint === Infinity) return 0;
    // A spring whose ground moves exerts the force on its node; no spring has none, whatever moves.
    const spring = restraint > 0 ? restraint * (ground[f]! - displacements[f]!) : 0;
    return loads[f]! + spring - taken;
  });
}
