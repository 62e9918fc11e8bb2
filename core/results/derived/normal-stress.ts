import type { Fibres } from '../../sections/fibres';
import { derivative, productOf, signChanges, sumOf, timesOf } from '../polynomial';
import { Reach, widen } from '../reach';
import { raiseBySquare } from './square-reach';
import type { Following, PieceSources } from './derived';

/**
 * σ = N/A − y·κv − z·κw with (κv, κw) = [Iz Iyz; Iyz Iy]⁻¹ (Mz, My), tension positive: the greatest and the least over the section. Corners
 * give polynomials. Round outlines add their radius times √(κv² + κw²); where that turns, the square of its slope is that of the rest,
 * which is a polynomial as well.
 */
export const normalStress: Following = {
  of: ['N', 'My', 'Mz'],
  takesShear: false,
  spreads: true,
  isMagnitude: false,
  at: ({ N, My, Mz }, { fibres }) => {
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
  sums: ({ fibres }) => {
    if (!fibres) return undefined;
    const { A, points, radius } = fibres;
    const [vv, vw, ww] = fibres.flexibility;
    const bendsInPlane = vw === 0 && ww === 0;
    if (radius > 0 && !bendsInPlane) return undefined;
    const heights = points.filter((_, i) => i % 2 === 0);
    // In the plane the highest and the lowest fibre decide.
    const places = bendsInPlane
      ? [
          [Math.max(...heights) + radius, 0],
          [Math.min(...heights) - radius, 0],
        ]
      : heights.map((y, i) => [y, points[2 * i + 1]!]);
    return places.map(([y, z]): readonly (readonly ['N' | 'My' | 'Mz', number])[] => [
      ['N', 1 / A],
      ['Mz', -(y! * vv + z! * vw)],
      ['My', -(y! * vw + z! * ww)],
    ]);
  },
  most: ({ N, My, Mz }, { fibres }) => {
    if (!fibres) return 0;
    const { A, points, radius } = fibres;
    const [vv, vw, ww] = fibres.flexibility;
    const [v, w] = [Math.abs(vv) * Mz + Math.abs(vw) * My, Math.abs(vw) * Mz + Math.abs(ww) * My];
    let most = 0;
    for (let i = 0; i < points.length; i += 2) most = Math.max(most, Math.abs(points[i]!) * v + Math.abs(points[i + 1]!) * w);
    return N / A + most + radius * (v + w);
  },
  widen: (reach, piece, { fibres }) => {
    if (!fibres) return;
    const { A, flexibility, points, radius } = fibres;
    const [vv, vw, ww] = flexibility;
    const { coefficients: c, N, My, Mz, length } = piece;
    let around = 0;
    if (radius > 0) {
      for (let k = 0; k < 4; k++) {
        const [y, z] = [My < 0 ? 0 : c[My + k]!, c[Mz + k]!];
        bending[k] = vv * z + vw * y;
        bending[4 + k] = vw * z + ww * y;
      }
      curvature.high = 0;
      raiseBySquare(curvature, bending, [0, 4], length);
      around = radius * Math.sqrt(curvature.high);
    }
    for (let i = 0; i < points.length; i += 2) {
      const [y, z] = [points[i]!, points[i + 1]!];
      for (let k = 0; k < 4; k++) {
        const [my, mz] = [My < 0 ? 0 : c[My + k]!, c[Mz + k]!];
        stress[k] = (k < 3 ? c[N + k]! / A : 0) - y * (vv * mz + vw * my) - z * (vw * mz + ww * my);
      }
      widen(corner, stress, 0, 3, length);
    }
    reach.include(corner.high + around);
    reach.include(corner.low - around);
    corner.reset();
  },
  turns: (piece, { fibres }) => (fibres ? turnsOf(piece, fibres) : []),
};

const [corner, curvature] = [new Reach(), new Reach()];
const stress = new Float64Array(4);
const bending = new Float64Array(8);

function turnsOf({ N, My, Mz, length }: PieceSources, { A, flexibility: [vv, vw, ww], points, radius }: Fibres): number[] {
  const v = sumOf([timesOf(Mz, vv), timesOf(My, vw)]);
  const w = sumOf([timesOf(Mz, vw), timesOf(My, ww)]);
  const squared = radius > 0 ? sumOf([productOf(v, v), productOf(w, w)]) : undefined;
  const places: number[] = [];
  for (let i = 0; i < points.length; i += 2) {
    const slope = derivative(sumOf([timesOf(N, 1 / A), timesOf(v, -points[i]!), timesOf(w, -points[i + 1]!)]));
    if (!squared) places.push(...signChanges(slope, length));
    else {
      // p′ ± r·k′/(2√k) = 0, hence 4·k·p′² = r²·k′². Where both sides are zero the difference need not change its sign: k′ does.
      const turning = derivative(squared);
      places.push(...signChanges(turning, length));
      const both = [
        timesOf(productOf(squared, productOf(slope, slope)), 4),
        timesOf(productOf(turning, turning), -radius * radius),
      ];
      places.push(...signChanges(sumOf(both), length));
    }
  }
  return places;
}
