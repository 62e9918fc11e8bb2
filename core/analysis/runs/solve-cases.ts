import { solveRefined } from '../../linear-algebra/solve';
import { vectorRoom } from '../../linear-algebra/vectors';
import { imposedDisplacements, rightHandSide } from '../../stiffness/assemble';
import { FREEDOMS, nodeCount } from '../../stiffness/structure';
import { recoverCases, type SolvedEquations } from '../../results/recover-cases';
import type { StructuralResponse } from '../../results/results';
import { addSolution } from '../add-solution';
import { refineEquilibrium } from '../equilibrium-refinement';
import type { System } from '../factorise';
import type { Pieces } from '../../results/breakpoints';
import type { CaseLoads } from '../../results/case-loads';
import type { Progress } from '../progress';

const roomForDisplacements = vectorRoom();
const roomForSides = vectorRoom();
const roomForSolutions = vectorRoom();

/** The cases that are to be solved. Lists are by case of the model; `due` are the places of those that are wanted. */
interface CasesToSolve {
  readonly due: readonly number[];
  readonly loads: readonly CaseLoads[];
  readonly pieces: readonly Pieces[];
  /** n: 1 for nodes with a support. */
  readonly supported: Uint8Array;
  /** Of each case that is due, what its results may be written into. */
  readonly memories: readonly (Float64Array | undefined)[];
  readonly progress?: Progress | undefined;
}

/** Every case by one substitution in the one factor, corrected by what it leaves unbalanced. */
export function solveCases(system: System, cases: CasesToSolve): ReadonlyMap<number, StructuralResponse> {
  const { due, loads, pieces, supported, memories, progress } = cases;
  const { structure, matrices, numbering, factor } = system;
  const imposed = roomForDisplacements(due.length, FREEDOMS * nodeCount(structure));
  const sides = roomForSides(due.length, numbering.size);
  due.forEach((c, i) => {
    const driving = { loads: loads[c]!.onNodes, imposed: imposedDisplacements(structure, c, imposed[i]) };
    rightHandSide(structure, matrices, numbering, driving, sides[i]);
  });
  const { solutions, residuals, sizes } = solveRefined(factor, sides, roomForSolutions(due.length, numbering.size));
  const equations = due.map((c, i): SolvedEquations => {
    const displacements = imposed[i]!;
    addSolution(system, solutions[i]!, displacements);
    return {
      c,
      pieces: pieces[c]!,
      loads: loads[c]!,
      displacements,
      side: sides[i]!,
      residual: residuals[i]!,
      driving: sizes[i]!,
      memory: memories[i],
    };
  });
  const recover = (some: readonly SolvedEquations[], tell: (i: number) => void): StructuralResponse[] =>
    recoverCases(structure, matrices, supported, some, tell);
  const rough = recover(equations, (i) => progress?.('cases', i / due.length));
  // Corrections have no share of the work that is known beforehand, but can be given up as well.
  const outcomes = refineEquilibrium(system, equations, rough, (again) => recover(again, () => progress?.('cases', 1)));
  return new Map(due.map((c, i) => [c, outcomes[i]!]));
}
