import { BEND_EI, BEND_FLEXIBILITY, BEND_Q, BEND_WIDTH } from './bending';
import { axialStiffness, STIFFNESS_WIDTH, type Structure } from './structure';

/** Numbers of a row: axes (9), EA/L, GJ/L, 1/L, near and far stiffness (3 each), EI⁻¹ (3), 1/EA, 1/GAy, 1/GAz. */
export const ROW_WIDTH = 24;

/** Writes what end forces and diagrams of member m are made of into its row of `out`. */
export function writeRow(s: Structure, bends: Float64Array, m: number, out: Float64Array): void {
  const L = s.lengths[m]!;
  const k = STIFFNESS_WIDTH * m;
  const b = BEND_WIDTH * m;
  const t = ROW_WIDTH * m;
  for (let i = 0; i < 9; i++) out[t + i] = s.axes[9 * m + i]!;
  out[t + 9] = s.stiffnesses[k]! / L;
  out[t + 10] = s.stiffnesses[k + 1]! / L;
  out[t + 11] = 1 / L;
  for (let i = 0; i < 3; i++) {
    const EI = bends[b + BEND_EI + i]!;
    const Q = 3 * bends[b + BEND_Q + i]!;
    out[t + 12 + i] = (EI + Q) / L;
    out[t + 15 + i] = (Q - EI) / L;
    out[t + 18 + i] = bends[b + BEND_FLEXIBILITY + i]!;
  }
  out[t + 21] = 1 / axialStiffness(s, m);
  out[t + 22] = 1 / s.stiffnesses[k + 5]!;
  out[t + 23] = 1 / s.stiffnesses[k + 6]!;
}
