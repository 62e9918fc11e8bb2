import type { Outcome } from '../../combinations/outcome';
import { giveBackKernels, takeKernels } from '../../linear-algebra/kernel-pool';
import { oneSidedIn } from '../../model/loads/one-sided';
import { uniqueNames } from '../../model/unique-names';
import type { Notice } from '../../model/notice';
import type { DisplacedOutcome, Results } from '../../results/results';
import { responseOf } from '../../results/sums';
import { firstOrderOnly } from '../first-order-only';
import type { Run, RunTask } from '../run';
import type { Lean } from '../second-order/along';
import { askedOutcomes } from '../second-order/asked';
import { bendingMost } from '../../results/buckling-lengths';
import { criticalLoads } from '../second-order/critical';
import { displaced } from '../second-order/displaced';
import { imperfectionsOf } from '../second-order/imperfections';
import { secondOrder as WORDS } from '../words';

/** Members that are named where they give way. */
const NAMED = 6;

/**
 * Second-order analysis: the cases and sums that the model asks for in equilibrium with the displaced structure, each on its own, since nothing of it may be
 * superposed; the others as the first order has them. Members are beam-columns, exact along their whole lengths (P-Δ and P-δ); the axial forces
 * that act on them are found by iteration.
 */
export class SecondOrder implements Run {
  update({ model, system, firstOrder, progress }: RunTask): Results {
    if (oneSidedIn(model).length > 0) return firstOrderOnly(firstOrder!);
    const { status, notices, mechanisms, solution } = firstOrder!;
    if (!solution) return { status, notices, mechanisms };
    const { structure, supported } = solution;
    const asked = askedOutcomes(model, solution.outcomes);
    const outcomes: Outcome[] = [...solution.outcomes];
    const responses = [...solution.responses];
    const found: (DisplacedOutcome | undefined)[] = outcomes.map(() => undefined);
    const faults: Notice[] = [];
    const kernels = takeKernels();
    let done = 0;
    try {
      for (const i of asked) {
        progress?.('cases', done++ / asked.size);
        const one = outcomes[i]!;
        const fault = (message: string, members: readonly string[] = []): void => {
          const subjects = members.map((id) => `member ${id}`);
          faults.push({ code: 'second-order', severity: 'error', message: `${one.id}: ${message}`, subjects });
        };
        if (one.kind === 'travelling') fault(WORDS.travelling);
        if (one.kind !== 'superposed' && one.kind !== 'solved') continue;
        const first = responseOf(solution, i)!;
        const { leanOf, sway, bow } = imperfectionsOf(model.analysis?.secondOrder, structure, first);
        const isImperfect = bow !== 0 || sway[0] !== 0 || sway[1] !== 0;
        const response = displaced(system, supported, kernels, { first, leanOf });
        if (response === 'beyond') {
          const [critical] = criticalLoads(system, supported, kernels, { first, modes: 1 });
          const bending = critical ? bendingMost(structure, critical.shape) : [];
          const members = bending.slice(0, NAMED).map((m) => structure.names.members[m]!);
          const words = critical && WORDS.beyond(critical.factor.toPrecision(3), members.map((id) => `“${id}”`).join(', '));
          fault(words ?? WORDS.sheared, members);
          continue;
        }
        if (response === 'unsettled') {
          fault(WORDS.unsettled);
          continue;
        }
        found[i] = { sway, bow, ...(isImperfect && { leans: leansOf(structure.lengths.length, leanOf) }) };
        // A case keeps its place: sums that are not asked for are still made of the first order.
        const factors = one.kind === 'superposed' ? one.factors : alone(responses.length, one.at);
        outcomes[i] = { kind: 'solved', id: one.id, title: one.title, at: responses.push(response) - 1, factors };
      }
    } finally {
      giveBackKernels(kernels);
    }
    // What was solved in second order stands behind once more as the first has it, to be looked at beside it.
    const free = uniqueNames(outcomes.map(({ id }) => id));
    for (const [i, one] of solution.outcomes.entries()) if (found[i]) outcomes.push({ ...one, id: free(WORDS.inFirst(one.id)) });
    if (faults.length > 0) return { status: 'invalid', notices: [...notices, ...faults], mechanisms };
    return {
      status,
      notices,
      mechanisms,
      solution: { ...solution, outcomes, responses, displaced: found, firstOrder: solution.outcomes },
    };
  }

  handOver(): void {
    // Nothing is kept from one update to the next.
  }
}

const leansOf = (count: number, leanOf: (m: number) => Lean): Float64Array =>
  Float64Array.from({ length: 4 * count }, (_, i) => leanOf(i >> 2)[i % 4 < 2 ? 'v' : 'w'][i % 2] ?? 0);

const alone = (count: number, at: number): Float64Array => {
  const factors = new Float64Array(count);
  factors[at] = 1;
  return factors;
};
