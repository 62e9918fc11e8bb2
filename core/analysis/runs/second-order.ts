import { solvedApart } from '../../combinations/outcomes';
import { FixedPoint } from '../../linear-algebra/fixed-point';
import { factorize } from '../../linear-algebra/factor';
import { giveBackKernels, takeKernels } from '../../linear-algebra/kernel-pool';
import type { Kernels } from '../../linear-algebra/kernels';
import { maxNorm } from '../../linear-algebra/max-norm';
import { solveRefined } from '../../linear-algebra/solve';
import { oneSidedIn } from '../../model/loads/one-sided';
import type { Notice } from '../../model/notice';
import { recoverUnder } from '../../results/recover-cases';
import type { Results, Solution, StructuralResponse } from '../../results/results';
import { responseOf } from '../../results/sums';
import { assembleStiffness } from '../../stiffness/assemble';
import { addBlockForces } from '../../stiffness/member-blocks';
import { MEMBER_FREEDOMS } from '../../stiffness/structure';
import { addSolution } from '../add-solution';
import type { System } from '../factorise';
import { firstOrderOnly } from '../first-order-only';
import type { Run, RunTask } from '../run';
import { leaning, UPRIGHT, type Leaning } from '../second-order/leaning-member';
import { recoverLeaning } from '../second-order/recover-leaning';

/** Axial forces are found anew until they change by less than this part of the largest one, or so often. */
const SETTLED = 1e-10;
const MOST_ROUNDS = 40;

const TRAINS =
  'Trains travel in some combinations, which superposes their places: no second order can. Put the trains where they stand.';

/**
 * Second-order analysis: every case and every sum in equilibrium with the displaced structure, each on its own, since nothing of it may be superposed.
 * Members are beam-columns, exact along their whole lengths (P-Δ and P-δ); the axial forces that act on them are found by iteration.
 */
export class SecondOrder implements Run {
  update({ model, system, firstOrder, progress }: RunTask): Results {
    if (oneSidedIn(model).length > 0) return firstOrderOnly(firstOrder!);
    const { status, notices, mechanisms, solution } = firstOrder!;
    if (!solution) return { status, notices, mechanisms };
    if (solution.outcomes.some(({ kind }) => kind === 'travelling'))
      return {
        status: 'invalid',
        notices: [...notices, { code: 'second-order-trains', severity: 'error', message: TRAINS, subjects: [] }],
        mechanisms,
      };
    const kernels = takeKernels();
    try {
      const outcomes = solvedApart(solution.outcomes);
      const responses: StructuralResponse[] = [];
      const faults: Notice[] = [];
      for (const [outcome, one] of outcomes.entries()) {
        if (one.kind !== 'solved') continue;
        progress?.('cases', outcome / outcomes.length);
        const found = displaced(system, solution, responseOf(solution, outcome)!, kernels);
        if (typeof found === 'string')
          faults.push({ code: 'second-order', severity: 'error', message: `${one.id}: ${found}`, subjects: [one.id] });
        else responses[one.at] = found;
      }
      if (faults.length > 0) return { status: 'invalid', notices: [...notices, ...faults], mechanisms };
      return { status, notices, mechanisms, solution: { ...solution, outcomes, responses } };
    } finally {
      giveBackKernels(kernels);
    }
  }

  handOver(): void {
    // Nothing is kept from one update to the next.
  }
}

const BEYOND =
  'the loads are beyond the critical load, so that there is no equilibrium of the second order. Reduce them, or brace the structure';
const UNSETTLED =
  'the second order does not settle: the axial forces change with every displacement. The loads are near the critical load';

/** The response in the displaced structure, or why there is none. */
function displaced(
  system: System,
  { supported }: Solution,
  first: StructuralResponse,
  kernels: Kernels,
): StructuralResponse | string {
  const { structure, matrices, numbering, loose, factor: elastic } = system;
  const members = structure.lengths.length;
  let more: Float64Array = new Float64Array(members);
  let sure: Float64Array | undefined;
  const search = new FixedPoint();
  const largest = maxNorm(Float64Array.from({ length: members }, (_, m) => first.ends[MEMBER_FREEDOMS * m + 6]!));
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const now: Leaning | number = leaning(
      structure,
      matrices,
      (m) => ({ response: first, more: more[m]!, factor: 1 }),
      () => UPRIGHT,
    );
    if (typeof now === 'number') return BEYOND;
    const K = assembleStiffness(structure, now, numbering, loose.artificialRestraints);
    const factor = factorize(numbering.analysis, K, kernels, { held: elastic.weak });
    if (now.negative + factor.negative.length > 0 || factor.weak.length > elastic.weak.length) {
      // A step that went too far is taken back by half.
      if (!sure) return BEYOND;
      more = more.map((force, m) => (force + sure![m]!) / 2);
      continue;
    }
    sure = more;
    const { solutions, residuals } = solveRefined(factor, [Float64Array.from(numbering.freedoms, (f) => now.loads[f]!)]);
    const displacements = new Float64Array(first.displacements.length);
    addSolution(system, solutions[0]!, displacements);
    // Of the first-order structure: what makes up for the difference of the stiffness acts beside the push.
    const forces = now.loads.slice();
    const differing = matrices.nodal.map((stiffness, i) => now.nodal[i]! - stiffness);
    addBlockForces(structure, differing, displacements, -1, forces);
    const response = recoverUnder(structure, matrices, supported, { displacements, forces, residual: residuals[0]! });
    const added = Float64Array.from({ length: members }, (_, m) => response.ends[MEMBER_FREEDOMS * m + 6]!);
    const change = maxNorm(added.map((force, m) => force - more[m]!));
    if (change <= SETTLED * largest) return recoverLeaning(structure, matrices, first, now, { displacements, response });
    more = search.next(more, added);
  }
  return UNSETTLED;
}
