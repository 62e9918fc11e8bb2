import { diagramOf } from '../diagram';
import { integrate } from '../integrate';
import { derivative, evaluate } from '../polynomial';
import { isStored } from '../quantities';
import { pieceOf } from '../read';
import type { Resultant, Solution } from '../results';
import { inGlobal, NOTHING } from './vectors';

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
      const slope = derivative(c);
      sum += integrate(0, h, (x) => {
        const leans = a + b * (from + x);
        return evaluate(N, 0, N.length - 1, x) * (evaluate(slope, 0, slope.length - 1, x) + leans);
      });
    }
    return sum;
  });
  return [0, 0, 0, ...inGlobal(solution.structure, m, [0, sums[1]!, -sums[0]!])];
}
