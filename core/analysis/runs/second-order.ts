import type { Outcome } from '../../combinations/outcome';
import { giveBackKernels, takeKernels } from '../../linear-algebra/kernel-pool';
import type { Kernels } from '../../linear-algebra/kernels';
import type { Model } from '../../model/model';
import { oneSidedIn } from '../../model/loads/one-sided';
import { uniqueNames } from '../../model/unique-names';
import type { Notice } from '../../model/notice';
import type { DisplacedOutcome, Results, Solution, StructuralResponse } from '../../results/results';
import { responseOf } from '../../results/sums';
import { factorise, type System } from '../factorise';
import { firstOrderOnly } from '../first-order-only';
import { prepare } from '../prepare';
import type { Run, RunTask } from '../run';
import { FirstOrder } from './first-order';
import type { Lean } from '../second-order/along';
import { askedOutcomes } from '../second-order/asked';
import { bendingMost } from '../../results/buckling-lengths';
import { criticalLoads } from '../second-order/critical';
import { displaced } from '../second-order/displaced';
import { imperfectionsOf } from '../second-order/imperfections';
import { secondOrder as WORDS } from '../words';

/** What is less in balance than this is not believed. */
const BALANCED = 1e-6;
/** Members that are named where they give way. */
const NAMED = 6;

/**
 * Second-order analysis: the cases and sums that the model asks for in equilibrium with the displaced structure, each on its own, since nothing of it may be
 * superposed; the others as the first order has them. Members are beam-columns, exact along their whole lengths (P-Δ and P-δ); the axial forces
 * that act on them are found by iteration.
 */
export class SecondOrder implements Run {
  update({ model, system, firstOrder, notices: said, progress }: RunTask): Results {
    if (oneSidedIn(model).length > 0) return firstOrderOnly(firstOrder!);
    const { status, notices, mechanisms, solution } = firstOrder!;
    if (!solution) return { status, notices, mechanisms };
    const kernels = takeKernels();
    const reduced = reducedStiffness(model);
    const own = reduced && takeKernels();
    try {
      if (!reduced || !own) return secondOrderOf({ model, results: firstOrder!, system, solution, progress }, kernels);
      const softer = factorise(prepare(reduced).prepared, own);
      const first = new FirstOrder().update({ model: reduced, system: softer, notices: said });
      if (!first.solution) return first;
      return secondOrderOf({ model, results: firstOrder!, system: softer, solution: first.solution, progress }, kernels);
    } finally {
      giveBackKernels(kernels);
      if (own) giveBackKernels(own);
    }
  }

  handOver(): void {
    // Nothing is kept from one update to the next.
  }
}

/** The model with the stiffness that the second order is to count, where that is less than it is. */
function reducedStiffness(model: Model): Model | undefined {
  const factors = model.analysis?.secondOrder?.stiffness ?? {};
  if (Object.values(factors).every((factor) => factor === 1)) return undefined;
  const materials = model.materials.map((one) => {
    const factor = factors[one.id] ?? 1;
    return { ...one, E: factor * one.E, ...(one.G !== undefined && { G: factor * one.G }) };
  });
  return { ...model, materials };
}

/** What is solved: the results of the first order, and the equations and solution (of the stiffness that counts) that it is solved beside. */
interface Beside {
  readonly model: Model;
  readonly results: Results;
  readonly system: System;
  readonly solution: Solution;
  readonly progress: RunTask['progress'];
}

function secondOrderOf({ model, results, system, solution: basis, progress }: Beside, kernels: Kernels): Results {
  const { status, notices, mechanisms } = results;
  const solution = results.solution!;
  const asked = askedOutcomes(model, solution.outcomes);
  const outcomes: Outcome[] = [...solution.outcomes];
  const responses = [...solution.responses];
  const cases = responses.length;
  const found: (DisplacedOutcome | undefined)[] = outcomes.map(() => undefined);
  const faults: Notice[] = [];
  let done = 0;
  for (const i of asked) {
    progress?.('cases', done++ / asked.size);
    const one = outcomes[i]!;
    const solved = solvedDisplaced({ model, system, solution: basis }, i, kernels);
    if ('words' in solved) {
      const subjects = solved.members.map((id) => `member ${id}`);
      faults.push({ code: 'second-order', severity: 'error', message: `${one.id}: ${solved.words}`, subjects });
      continue;
    }
    found[i] = solved.displaced;
    // A case keeps its place: sums that are not asked for are still made of the first order.
    const factors = one.kind === 'superposed' ? one.factors : alone(cases, one.kind === 'solved' ? one.at : 0);
    outcomes[i] = { kind: 'solved', id: one.id, title: one.title, at: responses.push(solved.response) - 1, factors };
  }
  if (faults.length > 0) return { status: 'invalid', notices: [...notices, ...faults], mechanisms };
  // What was solved in second order stands behind once more as the first has it, to be looked at beside it.
  const free = uniqueNames(outcomes.map(({ id }) => id));
  for (const [i, one] of solution.outcomes.entries()) if (found[i]) outcomes.push({ ...one, id: free(WORDS.inFirst(one.id)) });
  return {
    status,
    notices,
    mechanisms,
    solution: { ...solution, outcomes, responses, displaced: found, firstOrder: solution.outcomes },
  };
}

type SolvedDisplaced =
  | { readonly response: StructuralResponse; readonly displaced: DisplacedOutcome }
  | { readonly words: string; readonly members: readonly string[] };

/** One outcome, or why it has no second order, with the members that give way. */
function solvedDisplaced(
  { model, system, solution }: Pick<Beside, 'model' | 'system' | 'solution'>,
  outcome: number,
  kernels: Kernels,
): SolvedDisplaced {
  const first = responseOf(solution, outcome);
  if (!first) return { words: WORDS.travelling, members: [] };
  const { structure, supported } = solution;
  const { leanOf, sway, bow } = imperfectionsOf(model.analysis?.secondOrder, structure, first);
  const response = displaced(system, supported, kernels, { first, leanOf });
  if (response === 'unsettled') return { words: WORDS.unsettled, members: [] };
  if (response !== 'beyond') {
    const { residual, jointResidual } = response.equilibrium;
    if (!(Math.max(residual, jointResidual) <= BALANCED)) return { words: WORDS.unsettled, members: [] };
    const isImperfect = bow !== 0 || sway[0] !== 0 || sway[1] !== 0;
    return { response, displaced: { sway, bow, ...(isImperfect && { leans: leansOf(structure.lengths.length, leanOf) }) } };
  }
  const [critical] = criticalLoads(system, supported, kernels, { first, modes: 1 });
  if (!critical) return { words: WORDS.sheared, members: [] };
  const members = bendingMost(structure, critical.shape).slice(0, NAMED).map((m) => structure.names.members[m]!); // oxfmt-ignore
  return { words: WORDS.beyond(critical.factor.toPrecision(3), members.map((id) => `“${id}”`).join(', ')), members };
}

const leansOf = (count: number, leanOf: (m: number) => Lean): Float64Array =>
  Float64Array.from({ length: 4 * count }, (_, i) => leanOf(i >> 2)[(i & 3) < 2 ? 'v' : 'w'][i & 1] ?? 0);

const alone = (count: number, at: number): Float64Array => {
  const factors = new Float64Array(count);
  factors[at] = 1;
  return factors;
};
