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
 * the same way.
 */
export interface SolvedStretch {
  readonly forces: readonly number[];
  readonly start: readonly number[];
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
  for (let p = 0; p < P; p++) if (1 + stretch.axial[0]! * shear[p]! <= 0) return undefined;
  return P === 1 ? solveInPlane(section, stretch) : solveCoupled(section, stretch);
}

function termsOf(section: Yielding, { axial, push, h }: Stretch): number {
  let [size, powers] = [0, axial.length];
  for (const one of axial) size += Math.abs(one);
  for (const one of push) powers = Math.max(powers, one.length);
  return termsFor(reachOf(section, size, h)) + 2 + powers;
}

/** Room for numbers: lists, since so many short typed arrays would burden the memory; −0 lets a list hold numbers with fractions from the start. */
export const room = (length: number): number[] => new Array<number>(length).fill(-0);

/** 1/n. */
const PER = Float64Array.from({ length: 100 }, (_, n) => 1 / n);
/** y, θ and M at the end, of θ = 1, M = 1 and T = 1 at the start, and of the push. */
const ends = new Float64Array(12);

/** In one plane, which is what nearly all members bend in: written out, since this runs for every member in every round. */
function solveInPlane(section: Yielding, stretch: Stretch): SolvedStretch {
  const { h, axial } = stretch;
  const push = stretch.push[0]!;
  const [flexible, shear] = [section.flexibility[0]!, section.shear[0]!];
  const terms = termsOf(section, stretch);
  const [N0, N1, N2] = [axial[0]!, axial[1] ?? 0, axial[2] ?? 0];
  const per = 1 / (1 + N0 * shear);
  for (let column = 0; column < 4; column++) {
    let [turn, M] = [column === 0 ? 1 : 0, column === 1 ? 1 : 0];
    let [sumY, sumTurn, sumM] = [0, turn, M];
    let [before, last] = [0, 0];
    for (let n = 0; n + 1 < terms; n++) {
      let given = N1 * last + N2 * before;
      if (column === 3) given += n < push.length ? push[n]! : 0;
      else if (n === 0 && column === 2) given += 1;
      const slope = (turn - shear * given) * per;
      const step = h * PER[n + 1]!;
      turn = step * flexible * M;
      M = step * (given + N0 * slope);
      sumY += step * slope;
      sumTurn += turn;
      sumM += M;
      before = last;
      last = slope;
    }
    ends[3 * column] = sumY;
    ends[3 * column + 1] = sumTurn;
    ends[3 * column + 2] = sumM;
  }
  const [yTurn, turnTurn, MTurn, yM, turnM, MM, yT, turnT, MT, yPush, turnPush, MPush] = ends as unknown as readonly number[];
  const inverse = 1 / (yM! * turnT! - yT! * turnM!);
  const start = room(10);
  const forces = room(20);
  const set = (j: number, y: number, turn: number, ofEnd: number): void => {
    const M = (turnT! * y - yT! * turn) * inverse;
    const T = (yM! * turn - turnM! * y) * inverse;
    start[j] = M;
    start[5 + j] = T;
    forces[j] = T;
    forces[5 + j] = -M;
    forces[10 + j] = -T;
    forces[15 + j] = ofEnd + MM! * M + MT! * T;
  };
  set(0, -1, 0, 0);
  set(1, -yTurn!, -turnTurn!, MTurn!);
  set(2, 1, 0, 0);
  set(3, 0, 1, 0);
  set(4, -yPush!, -turnPush!, MPush!);
  return { forces, start };
}

/** In two planes that the section couples. */
function solveCoupled(section: Yielding, stretch: Stretch): SolvedStretch | undefined {
  const P = section.planes;
  const width = 4 * P + 1;
  const terms = termsOf(section, stretch);
  const rest: Stretch = { ...stretch, push: stretch.push.map(() => new Float64Array(0)) };
  // By column (3P initial values, then the push) the values at the end.
  const at = Array.from({ length: 3 * P + 1 }, (_, column) => {
    const initial = room(4 * P);
    if (column < 3 * P) initial[4 * (column % P) + 1 + Math.floor(column / P)] = 1;
    return seriesOf(section, column < 3 * P ? rest : stretch, initial, terms).map((series) =>
      series.reduce((sum, one) => sum + one, 0),
    );
  });
  const B = new Float64Array(4 * P * P);
  const start = new Float64Array(2 * P * width);
  for (let p = 0; p < P; p++)
    for (let q = 0; q < 2; q++) {
      const row = 2 * p + q;
      const value = (column: number): number => at[column]![3 * p + q]!;
      for (let c = 0; c < P; c++) {
        B[2 * P * row + c] = value(P + c);
        B[2 * P * row + P + c] = value(2 * P + c);
        start[width * row + 2 * c + 1] = -value(c);
      }
      // y at the start moves all of it.
      if (q === 0) start[width * row + 2 * p]! -= 1;
      start[width * row + 2 * P + row] = 1;
      start[width * row + 4 * P] = -value(3 * P);
    }
  if (!solveSmall(B, 2 * P, start, width)) return undefined;
  const forces = new Float64Array(4 * P * width);
  for (let p = 0; p < P; p++)
    for (let j = 0; j < width; j++) {
      const T = start[width * (P + p) + j]!;
      forces[width * (2 * p) + j] = T;
      forces[width * (2 * p + 1) + j] = -start[width * p + j]!;
      forces[width * (2 * P + 2 * p) + j] = -T;
      // M at the end, of θ at the start, of M and T there, and of the push.
      let M = j === 4 * P ? at[3 * P]![3 * p + 2]! : 0;
      for (let c = 0; c < P; c++) {
        if (j === 2 * c + 1) M += at[c]![3 * p + 2]!;
        M += at[P + c]![3 * p + 2]! * start[width * c + j]!;
        M += at[2 * P + c]![3 * p + 2]! * start[width * (P + c) + j]!;
      }
      forces[width * (2 * P + 2 * p + 1) + j] = M;
    }
  return { forces: Array.from(forces), start: Array.from(start) };
}

/** y, θ and M by plane as powers of t, from y, θ, M and T by plane at the start. */
function seriesOf(
  { planes: P, flexibility, shear }: Yielding,
  { h, axial, push }: Stretch,
  initial: readonly number[],
  terms: number,
): number[][] {
  const series: number[][] = [];
  const slopes: number[][] = [];
  for (let i = 0; i < 3 * P; i++) {
    const values = room(terms);
    values[0] = initial[4 * Math.floor(i / 3) + (i % 3)]!;
    series.push(values);
    if (i % 3 === 0) slopes.push(room(terms));
  }
  for (let n = 0; n + 1 < terms; n++)
    for (let p = 0; p < P; p++) {
      const [y, turn, M] = [series[3 * p]!, series[3 * p + 1]!, series[3 * p + 2]!];
      let given = push[p]![n] ?? 0;
      if (n === 0) given += initial[4 * p + 3]!;
      for (let j = 1; j < axial.length && j <= n; j++) given += axial[j]! * slopes[p]![n - j]!;
      const slope = (turn[n]! - shear[p]! * given) / (1 + axial[0]! * shear[p]!);
      slopes[p]![n] = slope;
      const step = h * PER[n + 1]!;
      y[n + 1] = step * slope;
      M[n + 1] = step * (given + axial[0]! * slope);
      let bent = 0;
      for (let b = 0; b < P; b++) bent += flexibility[P * p + b]! * series[3 * b + 2]![n]!;
      turn[n + 1] = step * bent;
    }
  return series;
}

/** What a stretch does when its ends move so (4P: y and θ by plane, start, then end): y, θ and M by plane as powers of t. */
export function movedStretch(section: Yielding, stretch: Stretch, { start }: SolvedStretch, ends: readonly number[]): number[][] {
  const P = section.planes;
  const width = 4 * P + 1;
  const initial = room(4 * P);
  for (let p = 0; p < P; p++) {
    initial[4 * p] = ends[2 * p]!;
    initial[4 * p + 1] = ends[2 * p + 1]!;
    for (let q = 0; q < 2; q++) {
      const row = width * (P * q + p);
      let sum = start[row + 4 * P]!;
      for (let j = 0; j < 4 * P; j++) sum += start[row + j]! * ends[j]!;
      initial[4 * p + 2 + q] = sum;
    }
  }
  const terms = termsOf(section, stretch);
  return P === 1 ? seriesInPlane(section, stretch, initial, terms) : seriesOf(section, stretch, initial, terms);
}

/** `seriesOf` in one plane, written out. */
function seriesInPlane(section: Yielding, { h, axial, push }: Stretch, initial: readonly number[], terms: number): number[][] {
  const own = push[0]!;
  const [flexible, shear] = [section.flexibility[0]!, section.shear[0]!];
  const [N0, N1, N2] = [axial[0]!, axial[1] ?? 0, axial[2] ?? 0];
  const per = 1 / (1 + N0 * shear);
  const [y, turns, moments] = [room(terms), room(terms), room(terms)];
  let [turn, M, before, last] = [initial[1]!, initial[2]!, 0, 0];
  y[0] = initial[0]!;
  turns[0] = turn;
  moments[0] = M;
  for (let n = 0; n + 1 < terms; n++) {
    const given = (n === 0 ? initial[3]! : 0) + (n < own.length ? own[n]! : 0) + N1 * last + N2 * before;
    const slope = (turn - shear * given) * per;
    const step = h * PER[n + 1]!;
    turn = step * flexible * M;
    M = step * (given + N0 * slope);
    y[n + 1] = step * slope;
    turns[n + 1] = turn;
    moments[n + 1] = M;
    before = last;
    last = slope;
  }
  return [y, turns, moments];
}
