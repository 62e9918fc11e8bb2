import { solveRefined } from '../linear-algebra/solve';
import { imposedMovements, rightHandSide } from '../stiffness/assemble';
import { balanceJoints } from './balance-joints';
import type { Pieces } from './breakpoints';
import { addSolution } from './movements';
import { recoverCases, type SolvedEquations } from './recover-cases';
import type { LinearOutcome } from './results';
import type { CaseLoads } from './solved-cases';
import type { Progress, System } from './system';

/** The outcomes of the cases that are due. */
export function solveCases(
  system: System,
  cut: Pieces,
  supported: Uint8Array,
  due: readonly number[],
  loads: readonly CaseLoads[],
  progress?: Progress,
): ReadonlyMap<number, LinearOutcome> {
  const { structure, matrices, numbering, factor } = system;
  const imposed = due.map((c) => imposedMovements(structure, c));
  const sides = due.map((c, i) => rightHandSide(structure, matrices, numbering, loads[c]!.onNodes, imposed[i]!));
  const { solutions, residuals, sizes } = solveRefined(factor, sides);
  const equations = due.map((c, i): SolvedEquations => {
    const movements = imposed[i]!;
    addSolution(system, solutions[i]!, movements);
    return { c, loads: loads[c]!, movements, side: sides[i]!, residual: residuals[i]!, driving: sizes[i]! };
  });
  const recover = (some: readonly SolvedEquations[], tell: (i: number) => void): LinearOutcome[] =>
    recoverCases(structure, matrices, cut, supported, some, tell);
  const rough = recover(equations, (i) => progress?.('cases', i / due.length));
  // Corrections have no share of the work that is known beforehand, but can be given up as well.
  const outcomes = balanceJoints(system, equations, rough, (again) => recover(again, () => progress?.('cases', 1)));
  return new Map(due.map((c, i) => [c, outcomes[i]!]));
}
