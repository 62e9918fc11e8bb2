import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import { FREEDOMS, STIFFNESS_WIDTH, type Structure } from '../stiffness/structure';

/**
 * The second order by the stability functions of the textbook and a dense matrix: frames of rigid joints under forces on nodes, without shear
 * deformation (Livesley and Chandler, Stability Functions for Structural Frameworks, 1956). Tension N positive.
 */
function endStiffness(EI: number, L: number, N: number): readonly [near: number, far: number] {
  const u = L * Math.sqrt(Math.abs(N) / EI);
  if (u < 1e-3) return [(4 * EI) / L + (2 * N * L) / 15, (2 * EI) / L - (N * L) / 30];
  const [sin, cos] = N < 0 ? [Math.sin(u), Math.cos(u)] : [Math.sinh(u), Math.cosh(u)];
  const bottom = N < 0 ? 2 - 2 * cos - u * sin : 2 - 2 * cos + u * sin;
  return N < 0
    ? [(EI * u * (sin - u * cos)) / (L * bottom), (EI * u * (u - sin)) / (L * bottom)]
    : [(EI * u * (u * cos - sin)) / (L * bottom), (EI * u * (sin - u)) / (L * bottom)];
}

/** K in global axes, all freedoms, under the axial forces `N` of the members. */
function stiffnessUnder(s: Structure, N: readonly number[]): Matrix {
  const size = s.restraints.length;
  const K = Matrix.zeros(size, size);
  for (let m = 0; m < s.lengths.length; m++) {
    const L = s.lengths[m]!;
    const [EA, GJ, EIz, EIy] = s.stiffnesses.subarray(STIFFNESS_WIDTH * m, STIFFNESS_WIDTH * m + 4) as unknown as [number, number, number, number]; // oxfmt-ignore
    const k = Matrix.zeros(12, 12);
    const both = (i: number, j: number, value: number): void => {
      k.set(i, j, value);
      k.set(j, i, value);
    };
    for (const [i, stiffness] of [[0, EA / L], [3, GJ / L]] as const) { both(i, i, stiffness); both(i + 6, i + 6, stiffness); both(i, i + 6, -stiffness); } // oxfmt-ignore
    for (const [v, r, sign, EI] of [[1, 5, 1, EIz], [2, 4, -1, EIy]] as const) {
      if (EI === 0) continue;
      const [near, far] = endStiffness(EI, L, N[m]!);
      const turn = (near + far) / L;
      const shear = (2 * turn + N[m]!) / L;
      both(v, v, shear); both(v + 6, v + 6, shear); both(v, v + 6, -shear);
      both(r, r, near); both(r + 6, r + 6, near); both(r, r + 6, far);
      both(v, r, sign * turn); both(v, r + 6, sign * turn); both(v + 6, r, -sign * turn); both(v + 6, r + 6, -sign * turn);
    } // oxfmt-ignore
    const R = Matrix.zeros(12, 12);
    for (let b = 0; b < 12; b += 3)
      for (let i = 0; i < 3; i++) for (let j = 0; j < 3; j++) R.set(b + i, b + j, s.axes[9 * m + 3 * i + j]!);
    const global = R.transpose().mmul(k).mmul(R);
    const at = (i: number): number => FREEDOMS * s.memberNodes[2 * m + (i < 6 ? 0 : 1)]! + (i % 6);
    for (let i = 0; i < 12; i++) for (let j = 0; j < 12; j++) K.set(at(i), at(j), K.get(at(i), at(j)) + global.get(i, j));
  }
  return K;
}

/** The freedoms that move, in the order of K. */
const free = (s: Structure): number[] =>
  Array.from(s.restraints.keys()).filter((f) => s.active.includes(f % FREEDOMS) && s.restraints[f] !== Infinity);

/** The displacements (6n) under forces on the nodes (6n) while the members have the axial forces `N`; undefined beyond the critical load. */
export function denseSecondOrder(s: Structure, loads: Float64Array, N: readonly number[]): number[] | undefined {
  const moving = free(s);
  const f = Matrix.columnVector(moving.map((i) => loads[i]!));
  const K = stiffnessUnder(s, N).selection(moving, moving);
  // Rounding alone keeps it from being symmetric.
  const cholesky = new CholeskyDecomposition(K.clone().add(K.transpose()).mul(0.5));
  if (!cholesky.isPositiveDefinite()) return undefined;
  const x = cholesky.solve(f);
  x.add(cholesky.solve(f.clone().sub(K.mmul(x))));
  const d = new Array<number>(s.restraints.length).fill(0);
  x.to1DArray().forEach((value, i) => (d[moving[i]!] = value)); // oxfmt-ignore
  return d;
}
