import { isRange, type Shape } from '../../combinations/outcome';
import { giveBackKernels, takeKernels } from '../../linear-algebra/kernel-pool';
import { MODES } from '../../model/analysis-settings';
import type { Notice } from '../../model/notice';
import { responseOf } from '../../results/sums';
import type { Results, StructuralResponse } from '../../results/results';
import { shapeWords } from '../shape-words';
import type { Run, RunTask } from '../run';
import { devicesIn } from '../one-sided';
import { ActingSets } from '../second-order/acting-sets';
import { criticalLoads } from '../second-order/critical';
import { buckling as WORDS } from '../words';

/** Critical loads of the cases and sums that the model names, by the axial forces that they have in the first order. */
export class Buckling implements Run {
  update({ model, system: equations, firstOrder, progress }: RunTask): Results {
    const { status, notices, mechanisms, solution } = firstOrder!;
    if (!solution) return { status, notices, mechanisms };
    const whole = { system: equations, supported: solution.supported };
    const { of = [], modes = MODES, negative = false } = model.analysis?.buckling ?? {};
    const said: Notice[] = [];
    const say = (message: string, id: string): void =>
      void said.push({ code: 'buckling', severity: 'warning', message, subjects: [`combination ${id}`] });
    const outcomes: Shape[] = [];
    const responses: StructuralResponse[] = [];
    const kernels = takeKernels();
    const devices = devicesIn(model, solution.structure, solution.responses);
    const sets = devices && new ActingSets(model, whole.system, solution, devices);
    if (devices) said.push({ code: 'buckling', severity: 'note', message: WORDS.oneSided, subjects: [] });
    try {
      for (const [i, id] of of.entries()) {
        progress?.('cases', i / of.length);
        const outcome = solution.outcomes.findIndex((one) => one.id === id);
        if (outcome < 0 || isRange(solution.outcomes[outcome]!)) {
          say(WORDS.range(id), id);
          continue;
        }
        const first = responseOf(solution, outcome)!;
        const { system, supported } = sets?.rest(sets.firstOf(outcome)) ?? whole;
        for (const sign of negative ? ([1, -1] as const) : ([1] as const)) {
          const found = criticalLoads(system, supported, kernels, { first, modes, sign });
          if (found.length === 0) say(sign === 1 ? WORDS.none(id) : WORDS.noneReversed(id), id);
          else if (found.length < modes) say(WORDS.fewer(id, found.length), id);
          for (const [mode, { factor, shape }] of found.entries()) {
            const at = responses.push(shape) - 1;
            const name = {
              id: sign === 1 ? WORDS.name(mode + 1, id) : WORDS.reversed(mode + 1, id),
              title: WORDS.title(String(Number(factor.toPrecision(4))).replace('-', '−'), shapeWords(solution.structure, shape)),
            };
            outcomes.push({ kind: 'shape', ...name, at, measure: 'factor', value: factor, of: outcome });
          }
        }
      }
    } finally {
      sets?.close();
      giveBackKernels(kernels);
    }
    const { letGo } = solution;
    // A shape is one of what acts in its case or sum.
    return {
      status,
      notices: said,
      mechanisms,
      solution: { ...solution, outcomes, responses, ...(letGo && { letGo: outcomes.map((one) => letGo[one.of!]) }) },
    };
  }

  handOver(): void {
    // Nothing is kept from one update to the next.
  }
}
