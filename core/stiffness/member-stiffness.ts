import { BEND_EI, BEND_Q } from './bending';
import { MEMBER_FREEDOMS } from './structure';

const N = MEMBER_FREEDOMS;

/** Translation and rotation of each bending plane among the freedoms of an end, and the sign by which the slope is the rotation: v′ = rz, w′ = −ry. */
const PLANES = [
  { translation: 1, rotation: 5, sign: 1 },
  { translation: 2, rotation: 4, sign: -1 },
] as const;

/**
 * k, 12 × 12 by rows, written into `k` at `o` from the bending matrices in `bends` at `bend`: stiffness of a straight prismatic member in local axes, ends fixed to the nodes.
 * Axial EA, torsion GJ (St Venant), bending in both planes by Euler–Bernoulli or Timoshenko, coupled where the section has Iyz.
 * Przemieniecki, Theory of Matrix Structural Analysis (1968), ch. 5; with 2 × 2 matrices in place of EI and EI/(1 + Φ).
 */
export function memberStiffness(
  k: Float64Array,
  o: number,
  EA: number,
  GJ: number,
  L: number,
  bends: Float64Array,
  bend = 0,
): void {
  k.fill(0, o, o + N * N);
  spring(k, o, 0, EA / L);
  spring(k, o, 3, GJ / L);
  for (let a = 0; a < 2; a++) {
    for (let b = 0; b < 2; b++) {
      const q = bends[bend + BEND_Q + a + b]!;
      const EI = bends[bend + BEND_EI + a + b]!;
      if (q === 0 && EI === 0) continue;
      const shear = (12 * q) / (L * L * L);
      const turn = (6 * q) / (L * L);
      const near = (EI + 3 * q) / L;
      const far = (3 * q - EI) / L;
      const [ta, tb] = [PLANES[a]!.translation, PLANES[b]!.translation];
      const [ra, rb] = [PLANES[a]!.rotation, PLANES[b]!.rotation];
      const [sa, sb] = [PLANES[a]!.sign, PLANES[b]!.sign];
      const set = (i: number, j: number, value: number): void => void (k[o + i * N + j] = value);
      set(ta, tb, shear);
      set(ta, tb + 6, -shear);
      set(ta + 6, tb, -shear);
      set(ta + 6, tb + 6, shear);
      set(ta, rb, sb * turn);
      set(ta, rb + 6, sb * turn);
      set(ta + 6, rb, -sb * turn);
      set(ta + 6, rb + 6, -sb * turn);
      set(ra, tb, sa * turn);
      set(ra + 6, tb, sa * turn);
      set(ra, tb + 6, -sa * turn);
      set(ra + 6, tb + 6, -sa * turn);
      set(ra, rb, sa * sb * near);
      set(ra + 6, rb + 6, sa * sb * near);
      set(ra, rb + 6, sa * sb * far);
      set(ra + 6, rb, sa * sb * far);
    }
  }
}

function spring(k: Float64Array, o: number, freedom: number, stiffness: number): void {
  const far = freedom + 6;
  k[o + freedom * N + freedom] = k[o + far * N + far] = stiffness;
  k[o + freedom * N + far] = k[o + far * N + freedom] = -stiffness;
}

/**
 * Adds k·d to f (12 numbers at `at`) without forming k: forces at the ends of an unreleased member from the displacements d of its ends.
 * The chord's own rotation is taken out first, which keeps digits that a rigid movement of the member would cost.
 */
export function addEndForces(
  f: Float64Array,
  at: number,
  d: Float64Array,
  EA: number,
  GJ: number,
  L: number,
  bends: Float64Array,
  bend: number,
): void {
  const axial = (EA / L) * (d[6]! - d[0]!);
  const torque = (GJ / L) * (d[9]! - d[3]!);
  const chordV = (d[7]! - d[1]!) / L;
  const startV = d[5]! - chordV;
  const endV = d[11]! - chordV;
  const EIz = bends[bend + BEND_EI]!;
  const EIyz = bends[bend + BEND_EI + 1]!;
  const EIy = bends[bend + BEND_EI + 2]!;
  const Qz = 3 * bends[bend + BEND_Q]!;
  const Qyz = 3 * bends[bend + BEND_Q + 1]!;
  const Qy = 3 * bends[bend + BEND_Q + 2]!;
  let nearV = ((EIz + Qz) * startV + (Qz - EIz) * endV) / L;
  let farV = ((Qz - EIz) * startV + (EIz + Qz) * endV) / L;
  if (EIy !== 0) {
    const chordW = (d[8]! - d[2]!) / L;
    const startW = -d[4]! - chordW;
    const endW = -d[10]! - chordW;
    let nearW = ((EIy + Qy) * startW + (Qy - EIy) * endW) / L;
    let farW = ((Qy - EIy) * startW + (EIy + Qy) * endW) / L;
    if (EIyz !== 0) {
      const near = (EIyz + Qyz) / L;
      const far = (Qyz - EIyz) / L;
      nearV += near * startW + far * endW;
      farV += far * startW + near * endW;
      nearW += near * startV + far * endV;
      farW += far * startV + near * endV;
    }
    const shearW = (nearW + farW) / L;
    f[at + 2]! += shearW;
    f[at + 8]! -= shearW;
    f[at + 4]! -= nearW;
    f[at + 10]! -= farW;
  }
  const shearV = (nearV + farV) / L;
  f[at]! -= axial;
  f[at + 6]! += axial;
  f[at + 1]! += shearV;
  f[at + 7]! -= shearV;
  f[at + 3]! -= torque;
  f[at + 9]! += torque;
  f[at + 5]! += nearV;
  f[at + 11]! += farV;
}
