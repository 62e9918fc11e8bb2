import { CholeskyDecomposition, EigenvalueDecomposition, inverse, Matrix } from 'ml-matrix';
import { FREEDOMS, STIFFNESS_WIDTH, type Structure } from '../stiffness/structure';

/** So many stretches a member: short enough that none of them swings by itself. */
const STRETCHES = 3;

/** exp(A·h): the series of A·h/2ⁿ, squared n times. */
function exponential(A: Matrix, h: number): Matrix {
  const size = A.rows;
  const scaled = A.clone().mul(h / 64);
  let [sum, term] = [Matrix.eye(size), Matrix.eye(size)];
  for (let n = 1; n < 24; n++) {
    term = term.mmul(scaled).div(n);
    sum = sum.add(term);
  }
  for (let n = 0; n < 6; n++) sum = sum.mmul(sum);
  return sum;
}

/** Dynamic stiffness of y and θ at both ends of a stretch, from how y, θ, M and T go along it. */
function bent(EI: number, GA: number, h: number, inert: { readonly mass: number; readonly rotary: number }): Matrix {
  // In units of the stretch itself, which keep the series even.
  const A = new Matrix([
    [0, 1, 0, -EI / (GA * h * h)],
    [0, 0, 1, 0],
    [0, (-inert.rotary * h * h) / EI, 0, 1],
    [(inert.mass * h ** 4) / EI, 0, 0, 0],
  ]);
  const T = exponential(A, 1);
  const part = (r: number, c: number): Matrix => T.subMatrix(r, r + 1, c, c + 1);
  const [P, Q, R, S] = [part(0, 0), part(0, 2), part(2, 0), part(2, 2)];
  const start = inverse(Q);
  const ofStart = start.clone().mmul(P).mul(-1);
  const end = S.mmul(start);
  const ofEnd = R.clone().add(S.mmul(ofStart));
  const k = Matrix.zeros(4, 4);
  for (let c = 0; c < 2; c++) {
    for (const [column, near, far] of [[c, ofStart, ofEnd], [c + 2, start, end]] as const) {
      k.set(0, column, near.get(1, c));
      k.set(1, column, -near.get(0, c));
      k.set(2, column, -far.get(1, c));
      k.set(3, column, far.get(0, c));
    }
  } // oxfmt-ignore
  // Back to metres and newtons.
  const units = [1, h, 1, h];
  for (let i = 0; i < 4; i++) for (let j = 0; j < 4; j++) k.set(i, j, (k.get(i, j) * EI * units[i]! * units[j]!) / h ** 3);
  return k;
}

/** Of a bar: EA·κ·cot κh and −EA·κ/sin κh. */
function straight(stiffness: number, inert: number, h: number): readonly [near: number, far: number] {
  const κ = Math.sqrt(inert / stiffness);
  return κ * h < 1e-6 ? [stiffness / h, -stiffness / h] : [(stiffness * κ) / Math.tan(κ * h), (-stiffness * κ) / Math.sin(κ * h)];
}

/** Dynamic stiffness K(λ) of the free freedoms, joints within members among them. `massOf`: kg/m of a member. */
function dynamicStiffness(s: Structure, λ: number, massOf: (m: number) => number): Matrix {
  const nodes = s.restraints.length / FREEDOMS;
  const joints = nodes + (STRETCHES - 1) * s.lengths.length;
  const K = Matrix.zeros(FREEDOMS * joints, FREEDOMS * joints);
  for (let m = 0; m < s.lengths.length; m++) {
    const h = s.lengths[m]! / STRETCHES;
    const [EA, GJ, EIz, EIy, , GAy, GAz] = s.stiffnesses.subarray(STIFFNESS_WIDTH * m) as unknown as readonly number[];
    const mass = λ * massOf(m);
    const k = Matrix.zeros(12, 12);
    const put = (places: readonly number[], signs: readonly number[], part: Matrix): void =>
      places.forEach((a, i) => places.forEach((b, j) => void k.set(a, b, signs[i]! * signs[j]! * part.get(i, j))));
    const ofBar = ([near, far]: readonly [number, number]): Matrix => new Matrix([[near, far], [far, near]]); // oxfmt-ignore
    put([0, 6], [1, 1], ofBar(straight(EA!, mass, h)));
    if (GJ! > 0) put([3, 9], [1, 1], ofBar(straight(GJ!, (mass * (EIz! + EIy!)) / EA!, h)));
    const rotary = (EI: number, GA: number): number => (GA === Infinity ? 0 : (mass * EI) / EA!);
    put([1, 5, 7, 11], [1, 1, 1, 1], bent(EIz!, GAy!, h, { mass, rotary: rotary(EIz!, GAy!) }));
    if (EIy! > 0) put([2, 4, 8, 10], [1, -1, 1, -1], bent(EIy!, GAz!, h, { mass, rotary: rotary(EIy!, GAz!) }));
    const R = Matrix.zeros(12, 12);
    for (let b = 0; b < 12; b += 3)
      for (let i = 0; i < 3; i++) for (let j = 0; j < 3; j++) R.set(b + i, b + j, s.axes[9 * m + 3 * i + j]!);
    const global = R.transpose().mmul(k).mmul(R);
    const inner = nodes + (STRETCHES - 1) * m;
    const row = [s.memberNodes[2 * m]!, ...Array.from({ length: STRETCHES - 1 }, (_, i) => inner + i), s.memberNodes[2 * m + 1]!];
    for (let part = 0; part < STRETCHES; part++) {
      const at = (i: number): number => FREEDOMS * row[part + (i < 6 ? 0 : 1)]! + (i % FREEDOMS);
      for (let i = 0; i < 12; i++) for (let j = 0; j < 12; j++) K.set(at(i), at(j), K.get(at(i), at(j)) + global.get(i, j));
    }
  }
  const free = Array.from({ length: FREEDOMS * joints }, (_, f) => f).filter(
    (f) => s.active.includes(f % FREEDOMS) && (f >= s.restraints.length || s.restraints[f] !== Infinity),
  );
  return K.selection(free, free);
}

const symmetric = (K: Matrix): Matrix => K.clone().add(K.transpose()).mul(0.5);

/** Whether no mode lies under λ. */
export const standsUnder = (s: Structure, λ: number, massOf: (m: number) => number): boolean =>
  new CholeskyDecomposition(symmetric(dynamicStiffness(s, λ, massOf))).isPositiveDefinite();

/** How many modes lie under λ. */
export const denseModesUnder = (s: Structure, λ: number, massOf: (m: number) => number): number =>
  new EigenvalueDecomposition(symmetric(dynamicStiffness(s, λ, massOf)), { assumeSymmetric: true }).realEigenvalues.filter(
    (one) => one < 0,
  ).length;
