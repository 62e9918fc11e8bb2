import { BEND_EI, BEND_Q } from './bending';
import { MEMBER_FREEDOMS } from './structure';

const N = MEMBER_FREEDOMS;

/** Translation and rotation of each bending plane among the freedoms of an end, and the sign by which the slope is the rotation: v′ = rz, w′ = −ry. */
const PLANES = [
  { translation: 1, rotation: 5, sign: 1 },
  { translation: 2, rotation: 4, sign: -1 },
] as const;

/** A straight prismatic member along its own axis. */
export interface Bar {
  readonly EA: number;
  readonly GJ: number;
  readonly L: number;
}

/**
 * k, 12 × 12 by rows, from the bending matrices in `bends` at `bend`: stiffness of a straight prismatic member in local axes, ends fixed
 * to the nodes.
 * Axial EA, torsion GJ (St Venant), bending in both planes by Euler–Bernoulli or Timoshenko, coupled where the section has Iyz.
 * Przemieniecki, Theory of Matrix Structural Analysis (1968), ch. 5; with 2 × 2 matrices in place of EI and EI/(1 + Φ).
 */
export function memberStiffness({ EA, GJ, L }: Bar, bends: Float64Array, bend: number, k: Float64Array): void {
  k.fill(0);
  spring(k, 0, EA / L);
  spring(k, 3, GJ / L);
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
      const set = (i: number, j: number, value: number): void => void (k[i * N + j] = value);
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

function spring(k: Float64Array, freedom: number, stiffness: number): void {
  const far = freedom + 6;
  k[freedom * N + freedom] = k[far * N + far] = stiffness;
  k[freedom * N + far] = k[far * N + freedom] = -stiffness;
}
