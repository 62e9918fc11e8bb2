import type { Outcome } from '../../combinations/outcome';
import { giveBackKernels, takeKernels } from '../../linear-algebra/kernel-pool';
import type { Kernels } from '../../linear-algebra/kernels';
import type { Model } from '../../model/model';
import { uniqueNames } from '../../model/unique-names';
import type { Notice } from '../../model/notice';
import type { DisplacedOutcome, Results, Solution } from '../../results/results';
import { responseOf } from '../../results/sums';
import { factorise, type System } from '../factorise';
import { devicesIn, remarks, type Devices } from '../one-sided';
import { prepare } from '../prepare';
import type { Run, RunTask, SolvedOutcome, SolvedShare } from '../run';
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
  /** What was solved last, and the results that it makes with other shares of the same outcomes. */
  private last: OwnShare | undefined;

  update({ model, system, firstOrder, notices: said, progress, share }: RunTask): Results {
    this.last = undefined;
    const { status, notices, mechanisms, solution } = firstOrder!;
    if (!solution) return { status, notices, mechanisms };
    const kernels = takeKernels();
    const reduced = reducedStiffness(model);
    const own = reduced && takeKernels();
    try {
      const beside = { model, results: firstOrder!, progress, share };
      if (!reduced || !own) return this.shown(solvedBeside({ ...beside, system, solution }, kernels));
      const softer = factorise(prepare(reduced).prepared, own);
      const first = new FirstOrder().update({ model: reduced, system: softer, notices: said });
      if (!first.solution) return first;
      return this.shown(solvedBeside({ ...beside, system: softer, solution: first.solution }, kernels));
    } finally {
      giveBackKernels(kernels);
      if (own) giveBackKernels(own);
    }
  }

  private shown(last: OwnShare): Results {
    this.last = last;
    return last.results([last.share]);
  }

  get ownShare(): SolvedShare | undefined {
    return this.last?.share;
  }

  joined(others: readonly SolvedShare[]): Results {
    const { share, asked, results } = this.last!;
    const shares = [share, ...others];
    // What nobody has solved would pass for the first order.
    if (![...asked].every((i) => shares.some((one) => one.has(i)))) throw new Error('a share of the outcomes is missing');
    return results(shares);
  }

  handOver(): void {
    this.last = undefined;
  }
}

/** What was solved of all that is asked for, and the results that shares make together. */
interface OwnShare {
  readonly share: SolvedShare;
  readonly asked: ReadonlySet<number>;
  readonly results: (shares: readonly SolvedShare[]) => Results;
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
  readonly share: RunTask['share'];
}

/** Solves the outcomes of a share, all where none is named; with that the results that it makes with the others. */
function solvedBeside(
  { model, results, system, solution: basis, progress, share = { at: 0, of: 1 } }: Beside,
  kernels: Kernels,
): OwnShare {
  const { outcomes } = results.solution!;
  const asked = askedOutcomes(model, outcomes);
  const own = [...asked].filter((_, k) => k % share.of === share.at);
  const devices = devicesIn(model, basis.structure, basis.responses);
  const sets = devices && new ActingSets(model, system, basis, devices);
  const solved = new Map<number, SolvedOutcome>();
  const leading = {};
  try {
    for (const [k, i] of own.entries()) {
      progress?.('cases', k / own.length);
      const one = sets
        ? solvedOneSided({ model, basis }, sets, i, kernels)
        : solvedDisplaced({ model, basis, system, supported: basis.supported, leading }, responseOf(basis, i), kernels);
      if ('words' in one) {
        const subjects = one.members.map((id) => `member ${id}`);
        const message = `${outcomes[i]!.id}: ${one.words}`;
        solved.set(i, { fault: { code: 'second-order', severity: 'error', message, subjects } });
      } else {
        const { response, displaced, gone } = one;
        solved.set(i, { response, displaced, ...(sets && gone && { letGo: sets.letGo(gone) }) });
      }
    }
  } finally {
    sets?.close();
  }
  return { share: solved, asked, results: (shares) => resultsWith(results, devices, shares) };
}

/** The results of the first order with what was solved in second in the places of its outcomes. */
function resultsWith(results: Results, devices: Devices | undefined, shares: readonly SolvedShare[]): Results {
  const { status, notices, mechanisms } = results;
  const solution = results.solution!;
  const outcomes: Outcome[] = [...solution.outcomes];
  const responses = [...solution.responses];
  const cases = responses.length;
  const found: (DisplacedOutcome | undefined)[] = outcomes.map(() => undefined);
  const letGo = solution.letGo?.slice();
  const faults: Notice[] = [];
  const all = shares.flatMap((share) => [...share]).sort(([a], [b]) => a - b);
  for (const [i, solved] of all) {
    if ('fault' in solved) {
      faults.push(solved.fault);
      continue;
    }
    const one = outcomes[i]!;
    found[i] = solved.displaced;
    if (solved.letGo) letGo![i] = solved.letGo;
    // A case keeps its place: sums that are not asked for are still made of the first order.
    const factors = one.kind === 'superposed' ? one.factors : alone(cases, one.kind === 'solved' ? one.at : 0);
    outcomes[i] = { kind: 'solved', id: one.id, title: one.title, at: responses.push(solved.response) - 1, factors };
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
