import { solveSmall } from '../../linear-algebra/small-dense';

/** How a section gives way in one plane or in two that it couples: EI⁻¹ (P × P by rows, 1/(N·m²)), and 1/GA by plane (1/N; 0 without shear deformation). */
export interface Yielding {
  readonly planes: 1 | 2;
  readonly flexibility: Float64Array;
  readonly shear: Float64Array;
}

/**
 * A stretch of a member, h metres long, under the axial force N (tension positive, newtons) and the push s across it, both as powers of t = x/h: s = N times
 * the slope that the axis has by itself, which is what the first order and imperfections lean it by. `push` by plane.
 */
export interface Stretch {
  readonly h: number;
  readonly axial: Float64Array;
  readonly push: readonly Float64Array[];
}

/**
 * A stretch solved: by `forces` (4P × (4P + 1) by rows) what holds it at both ends, of its end movements (y and θ by plane at the start, then at the
 * end) and, last, with its ends at rest: transverse force and couple by plane, start, then end. `start` (2P × (4P + 1)) are M and T at its start by plane in
 * the same way. `columns`: the series of y, θ and M that begin with θ = 1, M = 1, T = 1 by plane, and those of the push alone.
 */
export interface SolvedStretch {
  readonly stretch: Stretch;
  readonly forces: Float64Array;
  readonly start: Float64Array;
  readonly columns: Series;
}

/** Power series in t: `values` of column c, quantity q (y, θ and M of plane p stand at 3p, 3p + 1 and 3p + 2) and power n at (3P·c + q)·terms + n. */
export interface Series {
  readonly terms: number;
  readonly values: Float64Array;
}

/** So small is the last term of a series beside its first. */
const LAST = 1e-17;

/** How many terms series need whose ratio of the n-th to the first is zⁿ/n!. */
function termsFor(z: number): number {
  let [n, term] = [1, z];
  while (term > LAST && n < 60) term *= z / ++n;
  return n;
}

/** kh of a stretch of length h under axial forces up to `size`: what its series converge by. */
export const reachOf = ({ flexibility, planes }: Yielding, size: number, h: number): number => {
  let most = 0;
  for (let a = 0; a < planes; a++) {
    let row = 0;
    for (let b = 0; b < planes; b++) row += Math.abs(flexibility[planes * a + b]!);
    most = Math.max(most, row);
  }
  return h * Math.sqrt(size * most);
};

/**
 * Solves the beam-column on a stretch: θ′ = EI⁻¹·M, M′ = T + N·y′ + s, T′ = 0, y′ = θ − M′/GA (shear acts across the displaced axis: Engesser, Die
 * Knickfestigkeit gerader Stäbe, Zentralblatt der Bauverwaltung 11, 1891; Timoshenko and Gere, Theory of Elastic Stability, 1961, section 2.17).
 * By power series, which are exact whatever polynomial N is. Undefined where shear alone would let it buckle.
 */
export function solveStretch(section: Yielding, stretch: Stretch): SolvedStretch | undefined {
  const { planes: P, shear } = section;
  const { axial, push, h } = stretch;
  const size = axial.reduce((sum, one) => sum + Math.abs(one), 0);
  for (let p = 0; p < P; p++) if (1 + axial[0]! * shear[p]! <= 0) return undefined;
  const terms = termsFor(reachOf(section, size, h)) + 2 + Math.max(axial.length, ...push.map((one) => one.length));
  const columns = seriesOf(section, stretch, terms);
  const width = 4 * P + 1;
  // The movements of the end: A·start + B·(M, T) + what the push does.
  const at = endValues(columns, P);
  const B = new Float64Array(4 * P * P);
  const right = new Float64Array(2 * P * width);
  for (let p = 0; p < P; p++)
    for (let q = 0; q < 2; q++) {
      const row = 2 * p + q;
      const value = (column: number): number => at[3 * P * column + 3 * p + q]!;
      for (let c = 0; c < P; c++) {
        B[2 * P * row + c] = value(P + c);
        B[2 * P * row + P + c] = value(2 * P + c);
        right[width * row + 2 * c + 1] = -value(c);
      }
      // y at the start moves all of it.
      if (q === 0) right[width * row + 2 * p]! -= 1;
      right[width * row + 2 * P + row] = 1;
      right[width * row + 4 * P] = -value(3 * P);
    }
  if (!solveSmall(B, 2 * P, right, width)) return undefined;
  const forces = new Float64Array(4 * P * width);
  for (let p = 0; p < P; p++)
    for (let j = 0; j < width; j++) {
      const T = right[width * (P + p) + j]!;
      forces[width * (2 * p) + j] = T;
      forces[width * (2 * p + 1) + j] = -right[width * p + j]!;
      forces[width * (2 * P + 2 * p) + j] = -T;
      // M at the end, of θ at the start, of M and T there, and of the push.
      let M = j === 4 * P ? at[3 * P * 3 * P + 3 * p + 2]! : 0;
      for (let c = 0; c < P; c++) {
        if (j === 2 * c + 1) M += at[3 * P * c + 3 * p + 2]!;
        M += at[3 * P * (P + c) + 3 * p + 2]! * right[width * c + j]!;
        M += at[3 * P * (2 * P + c) + 3 * p + 2]! * right[width * (P + c) + j]!;
      }
      forces[width * (2 * P + 2 * p + 1) + j] = M;
    }
  return { stretch, forces, start: right, columns };
}

/** The columns of a stretch: 3P initial values, then the push. */
function seriesOf({ planes: P, flexibility, shear }: Yielding, { h, axial, push }: Stretch, terms: number): Series {
  const values = new Float64Array((3 * P + 1) * 3 * P * terms);
  const slopes = new Float64Array(P * terms);
  for (let column = 0; column <= 3 * P; column++) {
    const o = 3 * P * column * terms;
    const first = Math.floor(column / P);
    if (first < 2) values[o + (3 * (column % P) + 1 + first) * terms] = 1;
    for (let n = 0; n + 1 < terms; n++)
      for (let p = 0; p < P; p++) {
        const [y, turn, M] = [o + 3 * p * terms, o + (3 * p + 1) * terms, o + (3 * p + 2) * terms];
        let given = column === 3 * P ? (push[p]![n] ?? 0) : 0;
        if (n === 0 && column === 2 * P + p) given += 1;
        for (let j = 1; j < axial.length && j <= n; j++) given += axial[j]! * slopes[p * terms + n - j]!;
        const slope = (values[turn + n]! - shear[p]! * given) / (1 + axial[0]! * shear[p]!);
        slopes[p * terms + n] = slope;
        const step = h / (n + 1);
        values[y + n + 1] = step * slope;
        values[M + n + 1] = step * (given + axial[0]! * slope);
        let bent = 0;
        for (let b = 0; b < P; b++) bent += flexibility[P * p + b]! * values[o + (3 * b + 2) * terms + n]!;
        values[turn + n + 1] = step * bent;
      }
  }
  return { terms, values };
}

/** By column and quantity the value at t = 1. */
function endValues({ terms, values }: Series, P: number): Float64Array {
  const at = new Float64Array((3 * P + 1) * 3 * P);
  for (let i = 0; i < at.length; i++) for (let n = terms - 1; n >= 0; n--) at[i]! += values[i * terms + n]!;
  return at;
}

/** What a stretch does when its ends move so (4P: y and θ by plane, start, then end): y and M by plane as powers of t. */
export function movedStretch({ start, columns }: SolvedStretch, planes: number, ends: Float64Array): Float64Array[] {
  const P = planes;
  const { terms, values } = columns;
  const width = 4 * P + 1;
  const weights = new Float64Array(3 * P + 1);
  for (let p = 0; p < P; p++) weights[p] = ends[2 * p + 1]!;
  for (let i = 0; i < 2 * P; i++) {
    let sum = start[width * i + 4 * P]!;
    for (let j = 0; j < 4 * P; j++) sum += start[width * i + j]! * ends[j]!;
    weights[P + i] = sum;
  }
  weights[3 * P] = 1;
  return Array.from({ length: 2 * P }, (_, i) => {
    const [p, q] = [i >> 1, i % 2 === 0 ? 0 : 2];
    const sum = new Float64Array(terms);
    for (let c = 0; c <= 3 * P; c++) {
      const from = (3 * P * c + 3 * p + q) * terms;
      const weight = weights[c]!;
      if (weight !== 0) for (let n = 0; n < terms; n++) sum[n]! += weight * values[from + n]!;
    }
    if (q === 0) sum[0]! += ends[2 * p]!;
    return sum;
  });
}
