import { diagramOf } from '../diagram';
import { evaluate } from '../polynomial';
import { isStored } from '../quantities';
import { pieceOf } from '../read';
import type { Resultant, Solution } from '../results';
import { inGlobal, NOTHING } from './vectors';

/** Gauss on 0…1, exact up to the seventh degree. */
const GAUSS = [[0.069431844202974, 0.173927422568727], [0.330009478207572, 0.326072577431273], [0.669990521792428, 0.326072577431273], [0.930568155797026, 0.173927422568727]] as const; // oxfmt-ignore

/**
 * In an outcome of the second order the couple that the axial forces of member m make because its axis is not where it was drawn, global: −∫N·v′ about z, ∫N·w′ about y,
 * with the slopes by which it leaned before anything acted. Nothing in the first order.
 */
export function displacedCouple(solution: Solution, outcome: number, m: number): Resultant {
  const displaced = solution.displaced?.[outcome];
  if (!displaced) return NOTHING;
  const diagram = diagramOf(solution, outcome, m);
  const sums = (['v', 'w'] as const).map((deflection, plane) => {
    if (!isStored(diagram.width, deflection)) return 0;
    const [a, b] = [displaced.leans?.[4 * m + 2 * plane] ?? 0, displaced.leans?.[4 * m + 2 * plane + 1] ?? 0];
    let sum = 0;
    for (let k = diagram.first; k < diagram.end; k++) {
      const [from, h] = [diagram.from[k]!, diagram.to[k]! - diagram.from[k]!];
      const [N, c] = [pieceOf(diagram, k, 'N'), pieceOf(diagram, k, deflection)];
      const slope = c.slice(1).map((value, n) => value * (n + 1));
      for (const [t, weight] of GAUSS) {
        const leans = a + b * (from + t * h);
        sum += weight * h * evaluate(N, 0, N.length - 1, t * h) * (evaluate(slope, 0, slope.length - 1, t * h) + leans);
      }
    }
    return sum;
  });
  return [0, 0, 0, ...inGlobal(solution.structure, m, [0, sums[1]!, -sums[0]!])];
}
