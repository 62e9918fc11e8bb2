import { groundOf, loadsOnNodes } from '../stiffness/assemble';
import type { MemberMatrices } from '../stiffness/member-matrices';
import { memberCount, MEMBER_FREEDOMS, type Structure } from '../stiffness/structure';
import { addToNodes } from '../stiffness/transformation';

/** What holds the nodes in one case. */
export interface NodalBalance {
  /** 6n, nodes' axes: what the supports exert. */
  readonly reactions: Float64Array;
  readonly largestReaction: number;
  /** What is left at the worst joint. */
  readonly worstNode: number;
}

/** What a spring whose ground moves exerts on its node; no spring has no force, whatever moves. */
const springForce = (stiffness: number, ground: number, displacement: number): number =>
  stiffness > 0 ? stiffness * (ground - displacement) : 0;

/**
 * From what acts on the nodes, what the members take of it (`onMembers`) and how the nodes move in case c (6n each, nodes' axes). At a
 * fixed freedom the support exerts the forces on the members less the load on the node, at a sprung one the spring's own force. At
 * all that are not fixed, forces on members and springs less what is loaded there should leave nothing.
 */
export function balanceOfNodes(
  s: Structure,
  c: number,
  loads: Float64Array,
  onMembers: Float64Array,
  displacements: Float64Array,
): NodalBalance {
  const { restraints } = s;
  const count = displacements.length;
  const ground = groundOf(s, c);
  const reactions = new Float64Array(count);
  let worstNode = 0;
  let largestReaction = 0;
  for (let f = 0; f < count; f++) {
    const restraint = restraints[f]!;
    const needed = onMembers[f]! - loads[f]!;
    let reaction = needed;
    if (restraint !== Infinity) {
      reaction = springForce(restraint, ground[f]!, displacements[f]!);
      worstNode = Math.max(worstNode, Math.abs(needed - reaction));
    }
    reactions[f] = reaction;
    largestReaction = Math.max(largestReaction, Math.abs(reaction));
  }
  return { reactions, largestReaction, worstNode };
}

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
  for (let m = 0; m < memberCount(s); m++) addToNodes(s, m, matrices.transforms[m], ends, MEMBER_FREEDOMS * m, onMembers);
  const loads = loadsOnNodes(s, c);
  const ground = groundOf(s, c);
  return onMembers.map((taken, f) => {
    const restraint = s.restraints[f]!;
    if (restraint === Infinity) return 0;
    return loads[f]! + springForce(restraint, ground[f]!, displacements[f]!) - taken;
  });
}
