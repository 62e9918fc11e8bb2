import { solveRefined } from '../linear-algebra/solve';
import { vectorRoom } from '../linear-algebra/vectors';
import { imposedMovements, rightHandSide } from '../stiffness/assemble';
import { FREEDOMS, nodeCount } from '../stiffness/structure';
import { balanceJoints } from './balance-joints';
import type { Pieces } from './breakpoints';
import { addSolution } from './movements';
import { recoverCases, type SolvedEquations } from './recover-cases';
import type { LinearOutcome } from './results';
import type { CaseLoads } from './solved-cases';
import type { Progress, System } from './system';

const roomForMovements = vectorRoom();
const roomForSides = vectorRoom();
const roomForSolutions = vectorRoom();

/** The outcomes of the cases that are due; `memories`: what they may be written into, for each. */
export function solveCases(
  system: System,
  cut: Pieces,
  supported: Uint8Array,
  due: readonly number[],
  loads: readonly CaseLoads[],
  memories: readonly (Float64Array | undefined)[],
  progress?: Progress,
): ReadonlyMap<number, LinearOutcome> {
  const { structure, matrices, numbering, factor } = system;
  const imposed = roomForMovements(due.length, FREEDOMS * nodeCount(structure));
  due.forEach((c, i) => imposedMovements(structure, c, imposed[i]));
  const sides = roomForSides(due.length, numbering.size);
  due.forEach((c, i) => rightHandSide(structure, matrices, numbering, loads[c]!.onNodes, imposed[i]!, sides[i]));
  const { solutions, residuals, sizes } = solveRefined(factor, sides, roomForSolutions(due.length, numbering.size));
  const equations = due.map((c, i): SolvedEquations => {
    const movements = imposed[i]!;
    addSolution(system, solutions[i]!, movements);
    return {
      c,
      loads: loads[c]!,
      movements,
      side: sides[i]!,
      residual: residuals[i]!,
      driving: sizes[i]!,
      memory: memories[i],
    };
  });
  const recover = (some: readonly SolvedEquations[], tell: (i: number) => void): LinearOutcome[] =>
    recoverCases(structure, matrices, cut, supported, some, tell);
  const rough = recover(equations, (i) => progress?.('cases', i / due.length));
  // Corrections have no share of the work that is known beforehand, but can be given up as well.
  const outcomes = balanceJoints(system, equations, rough, (again) => recover(again, () => progress?.('cases', 1)));
  return new Map(due.map((c, i) => [c, outcomes[i]!]));
}
