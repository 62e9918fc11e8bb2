import type { MemberMatrices } from '../stiffness/member-matrices';
import { FREEDOMS, type Structure } from '../stiffness/structure';
import { toGlobalAxes } from '../stiffness/transformation';
import type { CaseLoads } from './case-loads';
import { imbalance } from './equilibrium';
import { maxNorm } from '../linear-algebra/max-norm';
import { recoverMembers, type MovedCase, type Recovered } from './recover-members';
import { pieceWidth } from './quantities';
import { appliedResultant, reactionResultant, resultantOfNodes } from './resultants';
import { wholeMembers } from './breakpoints';
import type { StructuralResponse } from './results';

/** A case whose equations are solved. */
export interface SolvedEquations extends MovedCase {
  readonly c: number;
  readonly loads: CaseLoads;
  /** f, by unknown, and the largest part of f − K·u beside its own largest part. */
  readonly side: Float64Array;
  readonly residual: number;
  /**
   * The largest force that drives it, imposed displacements included: what the balance is measured by where the structure only follows
   * its ground and feels nothing.
   */
  readonly driving: number;
}

/** All results of some cases; `supported`: nodes with a support (n); `progress` is told which one comes next. */
export function recoverCases(
  s: Structure,
  matrices: MemberMatrices,
  supported: Uint8Array,
  cases: readonly SolvedEquations[],
  progress?: (i: number) => void,
): StructuralResponse[] {
  const outcomes: StructuralResponse[] = [];
  progress?.(0);
  recoverMembers(s, matrices, cases, (recovered, i) => {
    outcomes.push(outcomeOf(s, supported, cases[i]!, recovered));
    progress?.(i + 1);
  });
  return outcomes;
}

function outcomeOf(s: Structure, supported: Uint8Array, one: SolvedEquations, recovered: Recovered): StructuralResponse {
  const { displacements: displacements, reactions, ends, coefficients, largestOnMembers, largestReaction, worstNode } = recovered;
  const size = Math.max(one.driving, largestOnNodes(s, one.c), largestOnMembers, largestReaction);
  toGlobalAxes(s, displacements);
  toGlobalAxes(s, reactions);
  const applied = appliedResultant(s, one.c, one.loads.applied);
  const held = reactionResultant(s, supported, reactions);
  const equilibrium = {
    applied,
    reactions: held,
    residual: imbalance(applied, held, size),
    solutionResidual: one.residual,
    jointResidual: size === 0 ? 0 : worstNode / size,
    size,
  };
  return { displacements, reactions, ends, coefficients, pieces: one.pieces, pieceWidth: pieceWidth(s), equilibrium };
}

/**
 * The response to forces on the nodes alone, whatever they stand for, from the displacements under them (both 6n, nodes' axes): it must balance
 * with these. `residual` as in `SolvedEquations`.
 */
export function recoverUnder(
  s: Structure,
  matrices: MemberMatrices,
  supported: Uint8Array,
  { displacements, forces, residual }: { displacements: Float64Array; forces: Float64Array; residual: number },
): StructuralResponse {
  const pieces = wholeMembers(s);
  const none = { members: new Int32Array(0), starts: new Int32Array(0), values: new Float64Array(0) };
  let response: StructuralResponse | undefined;
  recoverMembers(s, matrices, [{ c: forces, pieces, loads: { onMembers: none, along: none }, displacements }], (recovered) => {
    const { reactions, ends, coefficients, largestOnMembers, largestReaction, worstNode } = recovered;
    const size = Math.max(maxNorm(forces), largestOnMembers, largestReaction);
    const acting = forces.slice();
    for (const vectors of [recovered.displacements, reactions, acting]) toGlobalAxes(s, vectors);
    const applied = resultantOfNodes(s, acting);
    const held = reactionResultant(s, supported, reactions);
    const equilibrium = {
      applied,
      reactions: held,
      residual: imbalance(applied, held, size),
      solutionResidual: residual,
      jointResidual: size === 0 ? 0 : worstNode / size,
      size,
    };
    response = {
      displacements: recovered.displacements,
      reactions,
      ends,
      coefficients,
      pieces,
      pieceWidth: pieceWidth(s),
      equilibrium,
    };
  });
  return response!;
}

/** The largest load on a node in case c. */
function largestOnNodes({ nodeLoads }: Structure, c: number): number {
  return maxNorm(nodeLoads.values.subarray(FREEDOMS * nodeLoads.first[c]!, FREEDOMS * nodeLoads.first[c + 1]!));
}
