import { FREEDOMS, type Structure } from '../stiffness/structure';

/** What holds the nodes in one case. */
export interface Joints {
  /** 6n, nodes' axes: what the supports exert. */
  readonly reactions: Float64Array;
  readonly largestReaction: number;
  /** What is left at the worst joint. */
  readonly worstJoint: number;
}

/**
 * From what acts on the nodes, what the members take of it (`onMembers`) and how the nodes move in case c (6n each, nodes' axes). At a
 * fixed freedom the support exerts the forces on the members less the load on the node, at a sprung one the spring's own force. At
 * all that are not fixed, forces on members and springs less what is loaded there should leave nothing.
 */
export function jointsOf(
  { restraints, settlements, names }: Structure,
  c: number,
  loads: Float64Array,
  onMembers: Float64Array,
  movements: Float64Array,
): Joints {
  const count = FREEDOMS * names.nodes.length;
  const reactions = new Float64Array(count);
  let worstJoint = 0;
  let largestReaction = 0;
  for (let f = 0; f < count; f++) {
    const restraint = restraints[f]!;
    const needed = onMembers[f]! - loads[f]!;
    let reaction = needed;
    if (restraint !== Infinity) {
      reaction = restraint > 0 ? restraint * (settlements[c * count + f]! - movements[f]!) : 0;
      worstJoint = Math.max(worstJoint, Math.abs(needed - reaction));
    }
    reactions[f] = reaction;
    largestReaction = Math.max(largestReaction, Math.abs(reaction));
  }
  return { reactions, largestReaction, worstJoint };
}
