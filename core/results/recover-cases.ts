import { loadsOnNodes } from '../stiffness/assemble';
import type { MemberMatrices } from '../stiffness/member-matrices';
import { FREEDOMS, nodeCount, type Structure } from '../stiffness/structure';
import { toGlobalAxes } from '../stiffness/transformation';
import type { Pieces } from './breakpoints';
import { appliedResultants, balance, largest, reactionResultant } from './equilibrium';
import { recoverMembers, type MovedCase, type Recovered } from './recover-members';
import type { LinearOutcome, Resultant } from './results';

/** A case whose equations are solved. */
export interface SolvedEquations extends MovedCase {
  readonly c: number;
  /** The largest part of f − K·u beside the largest part of f. */
  readonly residual: number;
  /**
   * The largest force that drives it, imposed movements included: what the balance is measured by where the structure only follows
   * its ground and feels nothing.
   */
  readonly driving: number;
}

/** All results of some cases; `progress` is told which one comes next. */
export function recoverCases(
  s: Structure,
  matrices: MemberMatrices,
  cut: Pieces,
  cases: readonly SolvedEquations[],
  progress?: (i: number) => void,
): LinearOutcome[] {
  const applied = appliedResultants(s);
  const outcomes: LinearOutcome[] = [];
  progress?.(0);
  recoverMembers(s, matrices, cut, cases, (recovered, i) => {
    outcomes.push(outcomeOf(s, applied[cases[i]!.c]!, cases[i]!, recovered));
    progress?.(i + 1);
  });
  return outcomes;
}

function outcomeOf(s: Structure, applied: Resultant, one: SolvedEquations, recovered: Recovered): LinearOutcome {
  const { ends, coefficients, largestEnd } = recovered;
  const loads = loadsOnNodes(s, one.c);
  const { reactions, worstJoint } = atNodes(s, one, loads, recovered.onNodes);
  const size = Math.max(one.driving, largest(loads), largestEnd, largest(one.loads.values), largest(reactions));
  const equilibrium = {
    ...balance(applied, reactionResultant(s, reactions), size),
    solutionResidual: one.residual,
    jointResidual: size === 0 ? 0 : worstJoint / size,
    size,
  };
  const displacements = one.movements.slice();
  toGlobalAxes(s, displacements);
  return { displacements, reactions, ends, coefficients, equilibrium };
}

/**
 * What the supports exert (6n, global): at a fixed freedom the forces on the members less the load on the node, at a sprung one the
 * spring's own force. And what is left at the worst joint: forces on members and springs less what is loaded there, over all freedoms
 * that are not fixed.
 */
function atNodes(
  s: Structure,
  { c, movements }: SolvedEquations,
  loads: Float64Array,
  onMembers: Float64Array,
): { reactions: Float64Array; worstJoint: number } {
  const count = FREEDOMS * nodeCount(s);
  const { restraints, settlements } = s;
  const reactions = new Float64Array(count);
  let worstJoint = 0;
  for (let f = 0; f < count; f++) {
    const restraint = restraints[f]!;
    const needed = onMembers[f]! - loads[f]!;
    if (restraint === Infinity) {
      reactions[f] = needed;
      continue;
    }
    const spring = restraint > 0 ? restraint * (settlements[c * count + f]! - movements[f]!) : 0;
    if (restraint > 0) reactions[f] = spring;
    const left = Math.abs(needed - spring);
    if (left > worstJoint) worstJoint = left;
  }
  toGlobalAxes(s, reactions);
  return { reactions, worstJoint };
}
