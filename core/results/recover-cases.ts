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

/** All results of some cases; `supported`: nodes with a support (n); `progress` is told which one comes next. */
export function recoverCases(
  s: Structure,
  matrices: MemberMatrices,
  cut: Pieces,
  supported: Uint8Array,
  cases: readonly SolvedEquations[],
  progress?: (i: number) => void,
): LinearOutcome[] {
  const wanted = s.names.cases.map(() => false);
  for (const { c } of cases) wanted[c] = true;
  const applied = appliedResultants(s, wanted);
  const outcomes: LinearOutcome[] = [];
  progress?.(0);
  recoverMembers(s, matrices, cut, cases, (recovered, i) => {
    outcomes.push(outcomeOf(s, supported, applied[cases[i]!.c]!, cases[i]!, recovered));
    progress?.(i + 1);
  });
  return outcomes;
}

function outcomeOf(
  s: Structure,
  supported: Uint8Array,
  applied: Resultant,
  one: SolvedEquations,
  recovered: Recovered,
): LinearOutcome {
  const { ends, coefficients, largestEnd } = recovered;
  const { reactions, worstJoint, largestLoad, largestReaction } = atNodes(s, one, recovered.onNodes);
  const size = Math.max(one.driving, largestLoad, largestEnd, largest(one.loads.values), largestReaction);
  const equilibrium = {
    ...balance(applied, reactionResultant(s, supported, reactions), size),
    solutionResidual: one.residual,
    jointResidual: size === 0 ? 0 : worstJoint / size,
    size,
  };
  const displacements = one.movements.slice();
  toGlobalAxes(s, displacements);
  return { displacements, reactions, ends, coefficients, equilibrium };
}

interface AtNodes {
  /** What the supports exert, 6n, global. */
  readonly reactions: Float64Array;
  readonly largestReaction: number;
  readonly largestLoad: number;
  /** What is left at the worst joint. */
  readonly worstJoint: number;
}

/**
 * At a fixed freedom the support exerts the forces on the members less the load on the node, at a sprung one the spring's own force.
 * At all that are not fixed, forces on members and springs less what is loaded there should leave nothing.
 */
function atNodes(s: Structure, { c, movements }: SolvedEquations, onMembers: Float64Array): AtNodes {
  const count = FREEDOMS * nodeCount(s);
  const { restraints, settlements } = s;
  const loads = loadsOnNodes(s, c);
  const reactions = new Float64Array(count);
  let worstJoint = 0;
  let largestLoad = 0;
  let largestReaction = 0;
  for (let f = 0; f < count; f++) {
    const restraint = restraints[f]!;
    const load = loads[f]!;
    const needed = onMembers[f]! - load;
    let reaction = needed;
    if (restraint !== Infinity) {
      reaction = restraint > 0 ? restraint * (settlements[c * count + f]! - movements[f]!) : 0;
      const left = Math.abs(needed - reaction);
      if (left > worstJoint) worstJoint = left;
    }
    reactions[f] = reaction;
    if (Math.abs(load) > largestLoad) largestLoad = Math.abs(load);
    if (Math.abs(reaction) > largestReaction) largestReaction = Math.abs(reaction);
  }
  toGlobalAxes(s, reactions);
  return { reactions, largestReaction, largestLoad, worstJoint };
}
