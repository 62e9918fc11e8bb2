import { eachLoad } from '../stiffness/equivalent-loads';
import { lineLoadAt, type Structure } from '../stiffness/structure';
import { COINCIDENT, type Pieces } from './breakpoints';
import { PIECE_WIDTH } from './quantities';

/**
 * The diagrams of member m in case c as polynomials of s = x − from over each piece, written into `out` (PIECE_WIDTH numbers a
 * piece, in the order of `lineQuantities`). `ends`: forces that the nodes exert on the member, local (6); `start`: u, v, rz of the
 * member's own start. N′ = −qx, V′ = qy, M′ = V, rz′ = M/EI + κ, v′ = rz − V/GA, u′ = N/EA + ε.
 */
export function recoverMember(
  s: Structure,
  m: number,
  c: number,
  cut: Pieces,
  ends: Float64Array,
  start: Float64Array,
  out: Float64Array,
): void {
  const [EA, EI, GA, bows] = s.stiffnesses.subarray(4 * m, 4 * m + 4) as unknown as [number, number, number, number];
  const L = s.lengths[m]!;
  let [N, V, M] = [-ends[0]!, ends[1]!, -ends[2]!];
  let [u, v, rz] = [start[0]!, start[1]!, start[2]!];
  let [strain, curvature] = [0, 0];
  eachLoad(s.strains, m, c, (o) => {
    strain += s.strains.values[o]!;
    curvature += s.strains.values[o + 1]!;
  });

  for (let k = cut.first[m]!; k < cut.first[m + 1]!; k++) {
    const [a, h] = [cut.from[k]!, cut.to[k]! - cut.from[k]!];
    eachLoad(s.pointLoads, m, c, (o) => {
      const x = s.pointLoads.values[o]!;
      if (!standsAt(x, a, L)) return;
      N -= s.pointLoads.values[o + 1]!;
      V += s.pointLoads.values[o + 2]!;
      // A couple +mz on the part before the cut is balanced by a moment of −mz: M drops.
      M -= s.pointLoads.values[o + 3]!;
    });
    const [px, dpx, py, dpy] = intensities(s, m, c, a, a + h);
    const o = k * PIECE_WIDTH;
    const shear = GA === Infinity ? 0 : 1 / GA;
    out.set([N, -px, -dpx / 2], o);
    out.set([V, py, dpy / 2], o + 3);
    out.set([M, V, py / 2, dpy / 6], o + 6);
    out.set([u, N / EA + strain, -px / (2 * EA), -dpx / (6 * EA)], o + 10);
    const bend = bows === 0 ? 0 : 1 / EI;
    const kappa = bows === 0 ? 0 : curvature;
    out.set(
      [
        v,
        rz - V * shear,
        (M * bend + kappa) / 2 - (py * shear) / 2,
        (V * bend) / 6 - (dpy * shear) / 6,
        (py * bend) / 24,
        (dpy * bend) / 120,
      ],
      o + 14,
    );
    // Carry to the end of the piece.
    u += h * (N / EA + strain - h * (px / (2 * EA) + (h * dpx) / (6 * EA)));
    v += h * (out[o + 15]! + h * (out[o + 16]! + h * (out[o + 17]! + h * (out[o + 18]! + h * out[o + 19]!))));
    rz += h * (M * bend + kappa + bend * h * (V / 2 + h * (py / 6 + (h * dpy) / 24)));
    M += h * (V + h * (py / 2 + (h * dpy) / 6));
    V += h * (py + (h * dpy) / 2);
    N -= h * (px + (h * dpx) / 2);
  }
}

/** A load at the far end acts beyond the last piece; it shows in the end forces only. */
const standsAt = (x: number, a: number, L: number): boolean => Math.abs(x - a) <= COINCIDENT * L;

/** Local intensities on [a, b]: value at a and slope, along x and along y. */
function intensities(s: Structure, m: number, c: number, a: number, b: number): [number, number, number, number] {
  const result: [number, number, number, number] = [0, 0, 0, 0];
  const slack = COINCIDENT * s.lengths[m]!;
  eachLoad(s.lineLoads, m, c, (o) => {
    const [from, to, xa, xb, ya, yb] = lineLoadAt(s, o);
    if (to - from <= slack || from > a + slack || to < b - slack) return;
    const [sx, sy] = [(xb - xa) / (to - from), (yb - ya) / (to - from)];
    result[0] += xa + sx * (a - from);
    result[1] += sx;
    result[2] += ya + sy * (a - from);
    result[3] += sy;
  });
  return result;
}
