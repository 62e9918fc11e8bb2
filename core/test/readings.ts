import { derivedQuantities, lineQuantities, quantityTable } from '../results/quantities';
import { quantityExtremes } from '../results/read-quantity';
import type { Solution } from '../results/results';
import { responseOf } from '../results/sums';

/** Values of one kind, and how large they are where they are more than rounding, N, N·m, Pa, m or rad. */
export interface SolvedQuantity {
  readonly name: string;
  readonly values: readonly number[];
  readonly noticeable: number;
}

const NOTICEABLE = { force: 1, moment: 1, length: 1e-6, stress: 1e3 };

/** The numbers of cases and sums alone, or the extremes of each quantity as well, stresses too. */
export type Depth = 'numbers' | 'everything';

/** What can be read of a solution, so deeply. */
export function solvedQuantities(solution: Solution, depth: Depth): SolvedQuantity[] {
  const read = depth === 'everything' ? [...lineQuantities, ...derivedQuantities] : [];
  const members = solution.structure.names.members.map((_, m) => m);
  return solution.outcomes.flatMap(({ id }, outcome): SolvedQuantity[] => {
    const one = responseOf(solution, outcome);
    return [
      ...(['displacements', 'reactions', 'ends'] as const).flatMap((key) =>
        [0, 1, 2, 3, 4, 5].flatMap((k): SolvedQuantity[] => {
          const values = one ? [...one[key]].filter((_, i) => i % 6 === k) : [];
          return [{ name: `${id} ${key} ${k}`, values, noticeable: key === 'displacements' ? 1e-6 : 1 }];
        }),
      ),
      ...read.map((quantity) => {
        const values = members.flatMap((m) => {
          const found = quantityExtremes(solution, outcome, m, quantity);
          return found ? [found.max.value, found.min.value] : [NaN];
        });
        return { name: `${id} ${quantity}`, values, noticeable: NOTICEABLE[quantityTable[quantity].dimension] };
      }),
    ];
  });
}
