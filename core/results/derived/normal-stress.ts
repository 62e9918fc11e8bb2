import type { Fibres } from '../../sections/fibres';
import { derivative, productOf, signChanges, sumOf, timesOf } from '../polynomial';
import type { Derived, PieceForces } from './derived';

/**
 * σ = N/A − y·κv − z·κw with (κv, κw) = [Iz Iyz; Iyz Iy]⁻¹ (Mz, My), tension positive: the greatest and the least over the section. Corners
 * give polynomials. Round outlines add their radius times √(κv² + κw²); where that turns, the square of its slope is that of the rest,
 * which is a polynomial as well.
 */
export const normalStress: Derived = {
  spreads: true,
  at: ({ N, My, Mz }, fibres) => {
    if (!fibres) return undefined;
    const { A, points, radius } = fibres;
    const [vv, vw, ww] = fibres.flexibility;
    const [v, w] = [vv * Mz + vw * My, vw * Mz + ww * My];
    const around = radius * Math.hypot(v, w);
    let [max, min] = [-Infinity, Infinity];
    for (let i = 0; i < points.length; i += 2) {
      const stress = N / A - points[i]! * v - points[i + 1]! * w;
      max = Math.max(max, stress + around);
      min = Math.min(min, stress - around);
    }
    return { max, min };
  },
  turns: (piece, fibres) => (fibres ? turnsOf(piece, fibres) : []),
};

function turnsOf({ N, My, Mz, length }: PieceForces, { A, flexibility: [vv, vw, ww], points, radius }: Fibres): number[] {
  const v = sumOf([timesOf(Mz, vv), timesOf(My, vw)]);
  const w = sumOf([timesOf(Mz, vw), timesOf(My, ww)]);
  const squared = radius > 0 ? sumOf([productOf(v, v), productOf(w, w)]) : undefined;
  const places: number[] = [];
  for (let i = 0; i < points.length; i += 2) {
    const slope = derivative(sumOf([timesOf(N, 1 / A), timesOf(v, -points[i]!), timesOf(w, -points[i + 1]!)]));
    if (!squared) places.push(...signChanges(slope, length));
    else {
      // p′ ± r·k′/(2√k) = 0, hence 4·k·p′² = r²·k′².
      const turning = derivative(squared);
      const both = [
        timesOf(productOf(squared, productOf(slope, slope)), 4),
        timesOf(productOf(turning, turning), -radius * radius),
      ];
      places.push(...signChanges(sumOf(both), length));
    }
  }
  return places;
}
