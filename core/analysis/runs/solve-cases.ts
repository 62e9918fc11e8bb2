import { solveRefined } from '../../linear-algebra/solve';
import { addTimes, vectorRoom } from '../../linear-algebra/vectors';
import { imposedDisplacements, nodalLoads, rightHandSide } from '../../stiffness/assemble';
import { FREEDOMS, keepsLengths, memberCount, nodeCount } from '../../stiffness/structure';
import { recoverCases, type SolvedEquations } from '../../results/recover-cases';
import type { StructuralResponse } from '../../results/results';
import { addSolution } from '../add-solution';
import { refineEquilibrium } from '../equilibrium-refinement';
import type { System } from '../factorise';
import type { Pieces } from '../../results/breakpoints';
import type { CaseLoads } from '../../results/case-loads';
import { contradictionsOf, type Contradiction } from '../kept-length-notices';
import { forceOf, imposedLengthenings, lengtheningsOf, solveLengthenings, withLengthenings, type Opening } from '../kept-lengths';
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
  /** By case: a section that is opened lengthwise, beside the loads that do so. */
  readonly openings?: readonly (Opening | undefined)[];
  readonly progress?: Progress | undefined;
}

/** What was solved, by case; and where lengths that are kept contradict what is imposed, in which case nothing is. */
export interface SolvedSet {
  readonly responses: ReadonlyMap<number, StructuralResponse>;
  readonly contradictions: readonly Contradiction[];
}

/** A case on its way: its equations but for what solving them tells. */
interface Moved {
  readonly displacements: Float64Array;
  readonly side: Float64Array;
  readonly residual: number;
  readonly driving: number;
}

/** Every case by one substitution in the one factor, corrected by what it leaves unbalanced; members that keep their lengths do so. */
export function solveCases(system: System, cases: CasesToSolve): SolvedSet {
  const { due, pieces, supported, memories, progress } = cases;
  const { structure, matrices } = system;
  const rough = displaced(system, due, cases.loads);
  const kept = keepsLengths(structure) ? keptLengths(system, cases, rough) : { loads: cases.loads, moved: rough };
  if (kept.contradictions) return { responses: new Map(), contradictions: kept.contradictions };
  const equations = due.map((c, i): SolvedEquations => ({
    c,
    pieces: pieces[c]!,
    loads: kept.loads[c]!,
    ...kept.moved[i]!,
    memory: memories[i],
  }));
  const recover = (some: readonly SolvedEquations[], tell: (i: number) => void): StructuralResponse[] =>
    recoverCases(structure, matrices, supported, some, tell);
  const outcomes = recover(equations, (i) => progress?.('cases', i / due.length));
  // Corrections have no share of the work that is known beforehand, but can be given up as well.
  const refined = refineEquilibrium(system, equations, outcomes, (again) => recover(again, () => progress?.('cases', 1)));
  return { responses: new Map(due.map((c, i) => [c, refined[i]!])), contradictions: [] };
}

/** The displacements of some cases under their loads; they hold until the next are asked for. */
function displaced(system: System, due: readonly number[], loads: readonly CaseLoads[]): readonly Moved[] {
  const { structure, matrices, numbering, factor } = system;
  const imposed = roomForDisplacements(due.length, FREEDOMS * nodeCount(structure));
  const sides = roomForSides(due.length, numbering.size);
  due.forEach((c, i) => {
    const driving = { loads: loads[c]!.onNodes, imposed: imposedDisplacements(structure, c, imposed[i]) };
    rightHandSide(structure, matrices, numbering, driving, sides[i]);
  });
  const { solutions, residuals, sizes } = solveRefined(factor, sides, roomForSolutions(due.length, numbering.size));
  return due.map((_, i) => {
    addSolution(system, solutions[i]!, imposed[i]!);
    return { displacements: imposed[i]!, side: sides[i]!, residual: residuals[i]!, driving: sizes[i]! };
  });
}

/** Rounds in which lengths are brought back; the second one takes what rounding left of the first. */
const MOST_ROUNDS = 4;
/** What is left along a member beside the forces of the constraint. */
const KEPT = 1e-12;

/** Lengths brought back: the loads with those that do it, and the displacements under them; or what contradicts them. */
function keptLengths(
  system: System,
  { due, loads, openings, progress }: CasesToSolve,
  rough: readonly Moved[],
): { loads: readonly CaseLoads[]; moved: readonly Moved[]; contradictions?: readonly Contradiction[] } {
  const { structure: s, matrices } = system;
  const imposed = due.map((c) => imposedLengthenings(s, c, openings?.[c]));
  const all = due.map(() => new Float64Array(memberCount(s)));
  const corrected = [...loads];
  let moved = rough;
  for (let round = 0; round < MOST_ROUNDS; round++) {
    progress?.('cases', 0);
    const left = due.map((c, i) => {
      const lengthenings = lengtheningsOf(system, moved[i]!.displacements, corrected[c]!.onMembers);
      return lengthenings.map((one, m) => imposed[i]![m]! - one);
    });
    if (round === 0) {
      const contradictions = contradictionsOf(system, due, { asked: left, imposed });
      if (contradictions.length > 0) return { loads, moved, contradictions };
    }
    const isLeft = left.some((one, i) => forceOf(s, one) > KEPT * Math.max(forceOf(s, all[i]!), moved[i]!.driving));
    if (!isLeft) break;
    solveLengthenings(system, left).forEach((y, i) => addTimes(all[i]!, y, 1));
    due.forEach((c, i) => {
      const onMembers = withLengthenings(s, all[i]!, loads[c]!.onMembers);
      corrected[c] = { ...loads[c]!, onMembers, onNodes: nodalLoads(s, matrices, c, onMembers) };
    });
    moved = displaced(system, due, corrected);
  }
  return { loads: corrected, moved };
}
