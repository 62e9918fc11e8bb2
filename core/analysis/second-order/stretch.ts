import { solveSmall } from '../../linear-algebra/small-dense';
import { integral, OF_FORCE, OF_PUSH, OF_SLOPE, room, writePush } from './along';

/** How a section gives way in one plane or in two that it couples: EI⁻¹ (P × P by rows, 1/(N·m²)), and 1/GA by plane (1/N; 0 without shear deformation). */
export interface Yielding {
  readonly planes: 1 | 2;
  readonly flexibility: readonly number[];
  readonly shear: readonly number[];
  /** The largest row of EI⁻¹. */
  readonly softest: number;
}

/**
 * A stretch of a member, h metres long, under the axial force N (tension positive, newtons) and the push s across it, both as powers of t = x/h: s = N times
 * the slope that the axis has by itself, which is what the first order and imperfections lean it by. Written over and over: thousands of them are solved in
 * every round.
 */
export class Stretch {
  /** Its piece of the first order, and where it begins (metres from the member's start). */
  piece = 0;
  from = 0;
  h = 0;
  /** In the first order N, and by plane the slope with that by which the member leans by itself. */
  readonly force = room(OF_FORCE);
  readonly slopes: readonly number[][];
  /** How many powers N has. */
  powers = 1;
  /** N and s as they act now, s by plane. */
  readonly axial = room(OF_FORCE);
  readonly push: readonly number[][];
  /**
   * Solved: 4P × (4P + 1) by rows what holds it at both ends, of its end movements (y and θ by plane at the start, then at the end) and, last, with its ends at
   * rest: transverse force and couple by plane, start, then end.
   */
  readonly forces: number[];
  /** Moved: by plane y, θ and M as powers of t, so many of them. */
  readonly moved: number[][];
  terms = 0;

  constructor(readonly planes: 1 | 2) {
    const width = 4 * planes + 1;
    const byPlane = (length: number): number[][] => Array.from({ length: planes }, () => room(length));
    this.slopes = byPlane(OF_SLOPE);
    this.push = byPlane(OF_PUSH);
    this.forces = room(4 * planes * width);
    this.moved = Array.from({ length: 3 * planes }, () => []);
  }

  /** Lets N act with `more` of it, and a factor on all of it. */
  act(factor: number, more: number): void {
    const { force, axial, slopes } = this;
    axial[0] = factor * (force[0]! + more);
    axial[1] = factor * force[1]!;
    axial[2] = factor * force[2]!;
    for (let p = 0; p < slopes.length; p++) writePush(axial, slopes[p]!, this.push[p]!);
  }
}

/** Where so little of 1 + N/GA is left, shear is about to let a stretch buckle, and α is too large for the closed series. */
const NEAR_SHEARED = 0.1;
/** So small is the last term of a series beside its first. */
const LAST = 1e-17;

/** How many terms series need whose ratio of the n-th to the first is zⁿ/n!. */
function termsFor(z: number): number {
  let [n, term] = [1, z];
  while (term > LAST && n < 60) term *= z / ++n;
  return n;
}

/** kh of a stretch of length h under axial forces up to `size`: what its series converge by. */
export const reachOf = ({ softest }: Yielding, size: number, h: number): number => h * Math.sqrt(size * softest);

/**
 * Solves the beam-column on a stretch: θ′ = EI⁻¹·M, M′ = T + N·y′ + s, T′ = 0, y′ = θ − M′/GA (shear acts across the displaced axis: Engesser, Die
 * Knickfestigkeit gerader Stäbe, Zentralblatt der Bauverwaltung 11, 1891; Timoshenko and Gere, Theory of Elastic Stability, 1961, section 2.17).
 * By power series, which are exact whatever polynomial N is. False where shear alone would let it buckle.
 */
export function solveStretch(section: Yielding, stretch: Stretch): boolean {
  const { planes: P, shear } = section;
  for (let p = 0; p < P; p++) if (1 + stretch.axial[0]! * shear[p]! <= 0) return false;
  if (P === 2) return solveCoupled(section, stretch);
  const isEven = stretch.powers === 1 && 1 + stretch.axial[0]! * shear[0]! > NEAR_SHEARED;
  if (isEven) integrateEven(section, stretch);
  else integrate(section, stretch);
  joinEnds(stretch);
  return true;
}

function termsOf(section: Yielding, { axial, powers, h }: Stretch): number {
  return termsFor(reachOf(section, Math.abs(axial[0]!) + Math.abs(axial[1]!) + Math.abs(axial[2]!), h)) + 6 + powers;
}

/** 1/n. */
const PER = Float64Array.from({ length: 100 }, (_, n) => 1 / n);
/** y, θ and M at the end, of θ = 1, M = 1 and T = 1 at the start, and of the push. */
const ends = new Float64Array(12);

/** In one plane, which is what nearly all members bend in: written out, since this runs for every member in every round. */
function integrate(section: Yielding, stretch: Stretch): void {
  const { h, axial } = stretch;
  const push = stretch.push[0]!;
  const [flexible, shear] = [section.flexibility[0]!, section.shear[0]!];
  const terms = termsOf(section, stretch);
  const [N0, N1, N2] = [axial[0]!, axial[1]!, axial[2]!];
  const per = 1 / (1 + N0 * shear);
  for (let column = 0; column < 4; column++) {
    let [turn, M] = [column === 0 ? 1 : 0, column === 1 ? 1 : 0];
    let [sumY, sumTurn, sumM] = [0, turn, M];
    let [before, last] = [0, 0];
    for (let n = 0; n + 1 < terms; n++) {
      let given = N1 * last + N2 * before;
      if (column === 3) given += n < OF_PUSH ? push[n]! : 0;
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
}

/** n!, and S_j = Σ αⁿ/(2n + j)!. */
const FACTORIAL = [1, 1, 2, 6, 24, 120, 720, 5040, 40320];
const S = room(OF_SLOPE + 3);

/** The same where N is the same all along: with α = h²·N/EI/(1 + N/GA) all is made of S_j, the last two of which are summed, the others found from S_j = 1/j! + α·S_(j+2). */
function integrateEven(section: Yielding, { h, axial, push }: Stretch): void {
  const [s] = push as [number[]];
  const [flexible, shear, N] = [section.flexibility[0]!, section.shear[0]!, axial[0]!];
  const per = 1 / (1 + N * shear);
  const soft = h * h * flexible * per;
  const α = N * soft;
  for (let j = S.length - 1; j >= 0; j--) {
    if (j < S.length - 2) {
      S[j] = 1 / FACTORIAL[j]! + α * S[j + 2]!;
      continue;
    }
    let [sum, term] = [1, 1];
    for (let n = j + 1; Math.abs(term) > LAST; n += 2) sum += term *= α * PER[n]! * PER[n + 1]!;
    S[j] = sum / FACTORIAL[j]!;
  }
  let [y, turn, M] = [0, 0, 0];
  for (let j = 0; j < OF_SLOPE; j++) {
    const part = s[j]! * FACTORIAL[j]!;
    y += part * S[j + 3]!;
    turn += part * S[j + 2]!;
    M += part * S[j + 1]!;
  }
  const sheared = shear * per * h;
  const across = soft * per * h;
  ends[0] = per * h * S[1]!;
  ends[1] = S[0]!;
  ends[2] = N * per * h * S[1]!;
  ends[3] = soft * S[2]!;
  ends[4] = h * flexible * S[1]!;
  ends[5] = S[0]!;
  ends[6] = across * S[3]! - sheared;
  ends[7] = soft * S[2]!;
  ends[8] = per * h * S[1]!;
  ends[9] = across * y - sheared * integral(s);
  ends[10] = soft * turn;
  ends[11] = per * h * M;
}

/** What holds both ends, from what the start does to the end. */
function joinEnds({ forces }: Stretch): void {
  const [yTurn, turnTurn, MTurn, yM, turnM, MM, yT, turnT, MT, yPush, turnPush, MPush] = ends as unknown as readonly number[];
  const inverse = 1 / (yM! * turnT! - yT! * turnM!);
  for (let j = 0; j < 5; j++) {
    const y = j === 0 ? -1 : j === 1 ? -yTurn! : j === 2 ? 1 : j === 3 ? 0 : -yPush!;
    const turn = j === 1 ? -turnTurn! : j === 3 ? 1 : j === 4 ? -turnPush! : 0;
    const M = (turnT! * y - yT! * turn) * inverse;
    const T = (yM! * turn - turnM! * y) * inverse;
    forces[j] = T;
    forces[5 + j] = -M;
    forces[10 + j] = -T;
    forces[15 + j] = (j === 1 ? MTurn! : j === 4 ? MPush! : 0) + MM! * M + MT! * T;
  }
}

/** In two planes that the section couples. */
function solveCoupled(section: Yielding, stretch: Stretch): boolean {
  const P = section.planes;
  const width = 4 * P + 1;
  const terms = termsOf(section, stretch);
  // By column (3P initial values, then the push) the values at the end.
  const at = Array.from({ length: 3 * P + 1 }, (_, column) => {
    const initial = room(4 * P);
    if (column < 3 * P) initial[4 * (column % P) + 1 + Math.floor(column / P)] = 1;
    const series = Array.from({ length: 3 * P }, () => room(terms));
    writeSeries(section, { ...stretch, push: column < 3 * P ? AT_REST : stretch.push, moved: series, terms }, initial);
    return series.map((one) => one.reduce((sum, value) => sum + value, 0));
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
  if (!solveSmall(B, 2 * P, start, width)) return false;
  const { forces } = stretch;
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
  return true;
}
const AT_REST = [room(OF_PUSH), room(OF_PUSH)];

/** Writes y, θ and M by plane as powers of t, from y, θ, M and T by plane at the start. */
function writeSeries(
  { planes: P, flexibility, shear }: Yielding,
  { h, axial, push, moved, terms }: Pick<Stretch, 'h' | 'axial' | 'push' | 'moved' | 'terms'>,
  initial: readonly number[],
): void {
  const slopes = Array.from({ length: P }, () => room(terms));
  for (let i = 0; i < 3 * P; i++) moved[i]![0] = initial[4 * Math.floor(i / 3) + (i % 3)]!;
  for (let n = 0; n + 1 < terms; n++)
    for (let p = 0; p < P; p++) {
      const [y, turn, M] = [moved[3 * p]!, moved[3 * p + 1]!, moved[3 * p + 2]!];
      let given = push[p]![n] ?? 0;
      if (n === 0) given += initial[4 * p + 3]!;
      for (let j = 1; j < OF_FORCE && j <= n; j++) given += axial[j]! * slopes[p]![n - j]!;
      const slope = (turn[n]! - shear[p]! * given) / (1 + axial[0]! * shear[p]!);
      slopes[p]![n] = slope;
      const step = h * PER[n + 1]!;
      y[n + 1] = step * slope;
      M[n + 1] = step * (given + axial[0]! * slope);
      let bent = 0;
      for (let b = 0; b < P; b++) bent += flexibility[P * p + b]! * moved[3 * b + 2]![n]!;
      turn[n + 1] = step * bent;
    }
}

const initial = room(8);

/** Writes what a stretch does when its ends move so (4P: y and θ by plane, start, then end). */
export function moveStretch(section: Yielding, stretch: Stretch, moves: readonly number[]): void {
  const P = section.planes;
  const width = 4 * P + 1;
  const { forces } = stretch;
  for (let p = 0; p < P; p++) {
    initial[4 * p] = moves[2 * p]!;
    initial[4 * p + 1] = moves[2 * p + 1]!;
    // T, then the couple, which is −M.
    for (let q = 0; q < 2; q++) {
      const row = width * (2 * p + q);
      let sum = forces[row + 4 * P]!;
      for (let j = 0; j < 4 * P; j++) sum += forces[row + j]! * moves[j]!;
      initial[4 * p + 3 - q] = q === 0 ? sum : -sum;
    }
  }
  const { moved } = stretch;
  const terms = (stretch.terms = termsOf(section, stretch));
  if (moved[0]!.length < terms) for (let i = 0; i < moved.length; i++) moved[i] = room(terms);
  if (P === 1) writeInPlane(section, stretch, initial);
  else writeSeries(section, stretch, initial);
}

/** `writeSeries` in one plane, written out, up to the last term that counts. */
function writeInPlane(section: Yielding, stretch: Stretch, given: readonly number[]): void {
  const { h, axial, push, terms } = stretch;
  const own = push[0]!;
  const [flexible, shear] = [section.flexibility[0]!, section.shear[0]!];
  const [N0, N1, N2] = [axial[0]!, axial[1]!, axial[2]!];
  const per = 1 / (1 + N0 * shear);
  const [y, turns, moments] = stretch.moved as [number[], number[], number[]];
  let [turn, M, before, last] = [given[1]!, given[2]!, 0, 0];
  y[0] = given[0]!;
  turns[0] = turn;
  moments[0] = M;
  for (let n = 0; n + 1 < terms; n++) {
    const acts = (n === 0 ? given[3]! : 0) + (n < OF_PUSH ? own[n]! : 0) + N1 * last + N2 * before;
    const slope = (turn - shear * acts) * per;
    const step = h * PER[n + 1]!;
    turn = step * flexible * M;
    M = step * (acts + N0 * slope);
    y[n + 1] = step * slope;
    turns[n + 1] = turn;
    moments[n + 1] = M;
    before = last;
    last = slope;
  }
  const counts = (series: readonly number[], n: number): boolean =>
    Math.abs(series[n]!) > LAST * (Math.abs(series[0]!) + Math.abs(series[1]!) + Math.abs(series[2]!));
  let end = terms - 1;
  while (end > 2 && !counts(y, end) && !counts(turns, end) && !counts(moments, end)) end--;
  stretch.terms = end + 1;
}
