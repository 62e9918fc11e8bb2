import { solvedApart } from '../../combinations/outcomes';
import { factorize } from '../../linear-algebra/factor';
import { giveBackKernels, takeKernels } from '../../linear-algebra/kernel-pool';
import type { Kernels } from '../../linear-algebra/kernels';
import { maxNorm } from '../../linear-algebra/max-norm';
import { solveRefined } from '../../linear-algebra/solve';
import { oneSidedIn } from '../../model/loads/one-sided';
import { firstOrderOnly } from '../first-order-only';
import type { Notice } from '../../model/notice';
import { recoverUnder } from '../../results/recover-cases';
import type { Results, Solution, StructuralResponse } from '../../results/results';
import { responseOf, sumOf } from '../../results/sums';
import { assembleStiffness } from '../../stiffness/assemble';
import { addBlockForces, memberBlocks } from '../../stiffness/member-blocks';
import { toOwnAxes } from '../../stiffness/transformation';
import { addSolution } from '../add-solution';
import type { System } from '../factorise';
import type { Run, RunTask } from '../run';
import type { MemberMatrices } from '../../stiffness/member-matrices';
import { MEMBER_FREEDOMS, type Structure } from '../../stiffness/structure';

/** Axial forces are found anew until displacements change by less than this part of the largest one, or so often. */
const SETTLED = 1e-10;
const MOST_ROUNDS = 40;

const TRAINS =
  'Trains travel in some combinations, which superposes their places: no second order can. Put the trains where they stand.';

/**
 * Second-order analysis by geometric stiffness: every case and every sum in equilibrium with the displaced nodes, each on its own, since nothing
 * of it may be superposed.
 *
 * The response is that of the first order, K·d₁ = f, and that to the forces which the displaced loads exert: (K + G)·d = f gives
 * K·(d − d₁) = −G·d, with G from the axial forces of the response itself. So it balances with f − G·d.
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

/** The response in the displaced structure, or why there is none. */
function displaced(
  system: System,
  { supported }: Solution,
  first: StructuralResponse,
  kernels: Kernels,
): StructuralResponse | string {
  const { structure, matrices, numbering, loose, factor: elastic } = system;
  const before = first.displacements.slice();
  toOwnAxes(structure, before);
  let response = first;
  let last = new Float64Array(before.length);
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const geometric = geometricStiffness(structure, matrices, response.ends);
    const nodal = matrices.nodal.map((stiffness, i) => stiffness + geometric[i]!);
    const K = assembleStiffness(structure, { nodal }, numbering, loose.artificialRestraints);
    const factor = factorize(numbering.analysis, K, kernels, { held: elastic.weak });
    if (factor.negative.length > 0 || factor.weak.length > elastic.weak.length)
      return 'the loads are beyond the critical load, so that there is no equilibrium of the second order. Reduce them, or brace the structure';
    const pushed = new Float64Array(before.length);
    addBlockForces(structure, geometric, before, -1, pushed);
    const { solutions, residuals } = solveRefined(factor, [Float64Array.from(numbering.freedoms, (f) => pushed[f]!)]);
    const more = new Float64Array(before.length);
    addSolution(system, solutions[0]!, more);
    const forces = pushed;
    addBlockForces(structure, geometric, more, -1, forces);
    const added = recoverUnder(structure, matrices, supported, { displacements: more, forces, residual: residuals[0]! });
    response = sumOf(structure, [{ part: first, factor: 1 }, { part: added, factor: 1 }]); // oxfmt-ignore
    const change = maxNorm(more.map((value, f) => value - last[f]!));
    if (change <= SETTLED * maxNorm(response.displacements)) return response;
    last = more;
  }
  return 'the second order does not settle: the axial forces change with every displacement. The loads are near the critical load';
}

const N = MEMBER_FREEDOMS;
/** The translations across a member at its start; those at its end stand FREEDOMS behind them. */
const ACROSS = [1, 2];

/**
 * What the axial forces add to the stiffness that the nodes feel, laid out as `MemberMatrices.nodal`: a member under tension N that leans by ψ pulls
 * its ends apart by N·ψ across its axis (the chord rotates, P-Δ; what the member's own bow adds, P-δ, comes with shorter members).
 * Przemieniecki, Theory of Matrix Structural Analysis (1968), section 15.1, the string.
 * `ends`: 12m, local forces of the nodes on the members.
 */
const geometricStiffness = (s: Structure, matrices: MemberMatrices, ends: Float64Array): Float64Array =>
  memberBlocks(s, matrices, (m, k) => {
    const tension = (ends[N * m + 6]! - ends[N * m]!) / 2;
    const pull = tension / s.lengths[m]!;
    for (const i of ACROSS) {
      k[N * i + i] = k[N * (i + 6) + i + 6] = pull;
      k[N * i + i + 6] = k[N * (i + 6) + i] = -pull;
    }
  });
