import type { Outcome } from '../../combinations/outcome';
import { giveBackKernels, takeKernels } from '../../linear-algebra/kernel-pool';
import type { Kernels } from '../../linear-algebra/kernels';
import type { Model } from '../../model/model';
import { uniqueNames } from '../../model/unique-names';
import type { Notice } from '../../model/notice';
import type { DisplacedOutcome, Results, Solution } from '../../results/results';
import { responseOf } from '../../results/sums';
import { factorise, type System } from '../factorise';
import { devicesIn, remarks } from '../one-sided';
import { prepare } from '../prepare';
import type { Run, RunTask } from '../run';
import { FirstOrder } from './first-order';
import { askedOutcomes } from '../second-order/asked';
import { ActingSets } from '../second-order/acting-sets';
import { solvedDisplaced } from '../second-order/solved-displaced';
import { solvedOneSided } from '../second-order/solved-one-sided';
import { secondOrder as WORDS } from '../words';

/**
 * Second-order analysis: the cases and sums that the model asks for in equilibrium with the displaced structure, each on its own, since nothing of it may be
 * superposed; the others as the first order has them. Members are beam-columns, exact along their whole lengths (P-Δ and P-δ); the axial forces
 * that act on them are found by iteration.
 */
export class SecondOrder implements Run {
  update({ model, system, firstOrder, notices: said, progress }: RunTask): Results {
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
  const devices = devicesIn(model, basis.structure, basis.responses);
  const sets = devices && new ActingSets(model, system, basis, devices);
  const letGo = solution.letGo?.slice();
  const faults: Notice[] = [];
  const leading = {};
  let done = 0;
  try {
    for (const i of asked) {
      progress?.('cases', done++ / asked.size);
      const one = outcomes[i]!;
      const solved = sets
        ? solvedOneSided({ model, basis }, sets, i, kernels)
        : solvedDisplaced({ model, basis, system, supported: basis.supported, leading }, responseOf(basis, i), kernels);
      if ('words' in solved) {
        const subjects = solved.members.map((id) => `member ${id}`);
        faults.push({ code: 'second-order', severity: 'error', message: `${one.id}: ${solved.words}`, subjects });
        continue;
      }
      found[i] = solved.displaced;
      if (sets && solved.gone) letGo![i] = sets.letGo(solved.gone);
      // A case keeps its place: sums that are not asked for are still made of the first order.
      const factors = one.kind === 'superposed' ? one.factors : alone(cases, one.kind === 'solved' ? one.at : 0);
      outcomes[i] = { kind: 'solved', id: one.id, title: one.title, at: responses.push(solved.response) - 1, factors };
    }
  } finally {
    sets?.close();
  }
  if (faults.length > 0) return { status: 'invalid', notices: [...notices, ...faults], mechanisms };
  const said = devices ? [...notices.filter(({ code }) => code !== 'one-sided'), ...remarks(devices, letGo!)] : notices; // oxfmt-ignore
  // What was solved in second order stands behind once more as the first has it, to be looked at beside it.
  const free = uniqueNames(outcomes.map(({ id }) => id));
  for (const [i, one] of solution.outcomes.entries()) {
    if (!found[i]) continue;
    outcomes.push({ ...one, id: free(WORDS.inFirst(one.id)) });
    letGo?.push(solution.letGo![i]);
  }
  return {
    status,
    notices: said,
    mechanisms,
    solution: {
      ...solution,
      ...{ outcomes, responses, displaced: found, firstOrder: solution.outcomes },
      ...(letGo && { letGo }),
    },
  };
}

const alone = (count: number, at: number): Float64Array => {
  const factors = new Float64Array(count);
  factors[at] = 1;
  return factors;
};
