import { residualsOf, solveInPlace } from '../linear-algebra/solve';
import { maxNorm } from '../linear-algebra/max-norm';
import { nodalResidual } from '../results/nodal-balance';
import { addSolution } from './add-solution';
import type { SolvedEquations } from '../results/recover-cases';
import type { StructuralResponse } from '../results/results';
import type { System } from './factorise';

/** Where no more than this part of the largest force is left, at any joint and in all, nothing is corrected. */
const BALANCED = 1e-11;
/** A correction is worth another one if it leaves at most this part of what was left before, or is itself so much smaller. */
const WORTHWHILE = 0.5;
/** What is left may grow so much by rounding of the displacements, while corrections still shrink and displacements become right. */
const SIMILAR = 2;
const MOST_PASSES = 5;

const unbalanced = ({ equilibrium }: StructuralResponse): number => Math.max(equilibrium.residual, equilibrium.jointResidual);

/**
 * Iterative refinement (Wilkinson, Rounding Errors in Algebraic Processes, 1963) by the joints: what is left there, of end forces that
 * come from the members' deformations and not from K·u, is put on the structure as a load, and the displacements under it are added. It
 * brings back the digits that the elimination cancels in long or very uneven structures. Cases that are in balance are left as they
 * are, and none is changed for the worse. `recover` finds the outcomes of moved cases.
 */
export function refineEquilibrium(
  system: System,
  equations: readonly SolvedEquations[],
  rough: readonly StructuralResponse[],
  recover: (equations: readonly SolvedEquations[]) => StructuralResponse[],
): StructuralResponse[] {
  const { structure, matrices, numbering, factor } = system;
  const best = rough.map((outcome, i) => ({ outcome, equations: equations[i]!, last: Infinity }));
  let due = best.filter(({ outcome }) => unbalanced(outcome) > BALANCED);
  for (let pass = 0; pass < MOST_PASSES && due.length > 0; pass++) {
    const sides = due.map(({ outcome, equations: { c, displacements } }) => {
      const left = nodalResidual(structure, matrices, c, outcome.ends, displacements);
      return Float64Array.from(numbering.freedoms, (f) => left[f]!);
    });
    solveInPlace(factor, sides);
    const former = due.map(({ equations: one }) => one);
    const moved = correctedBy(system, former, sides);
    const outcomes = recover(moved);
    due = due.filter((one, i) => {
      const before = unbalanced(one.outcome);
      const after = unbalanced(outcomes[i]!);
      const size = maxNorm(sides[i]!);
      const shrinks = size < WORTHWHILE * one.last;
      const isBetter = after < before || (pass > 0 && shrinks && after < SIMILAR * before);
      if (isBetter) Object.assign(one, { outcome: outcomes[i]!, equations: moved[i]! });
      one.last = size;
      return after > BALANCED && isBetter && (shrinks || after < WORTHWHILE * before);
    });
  }
  return best.map(({ outcome }) => outcome);
}

/** The equations with more displacements (by unknown), and what these leave of f − K·u. */
function correctedBy(
  system: System,
  equations: readonly SolvedEquations[],
  corrections: readonly Float64Array[],
): SolvedEquations[] {
  const { freedoms } = system.numbering;
  const moved = equations.map((one, i) => {
    const displacements = one.displacements.slice();
    addSolution(system, corrections[i]!, displacements);
    // The outcome at hand is kept until this one is known to be better.
    return { ...one, displacements, memory: undefined };
  });
  const solutions = moved.map(({ displacements }) => Float64Array.from(freedoms, (f) => displacements[f]!));
  const sides = moved.map(({ side }) => side);
  const residuals = residualsOf(system.factor, solutions, sides);
  return moved.map((one, i) => ({ ...one, residual: residuals[i]! }));
}
