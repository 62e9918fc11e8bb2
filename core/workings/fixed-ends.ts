import { BEND_D, BEND_EI, BEND_WIDTH, bendingOf } from '../stiffness/bending';
import { memberStiffness } from '../stiffness/member-stiffness';
import {
  FREEDOMS,
  LINE_WIDTH,
  MEMBER_FREEDOMS,
  POINT_WIDTH,
  STIFFNESS_WIDTH,
  STRAIN_WIDTH,
  type MemberLoadTable,
  type Structure,
} from '../stiffness/structure';
import { betweenJoints, holdsLength } from './following';

/** The formula by which fixed-end actions are found: closed ones, or by the shapes that a member takes as its ends move, along a stretch and at a point; or by what its ends move beside the numbered freedoms. */
export type FixedEndFormula =
  | 'uniform'
  | 'linear'
  | 'stretch'
  | 'force'
  | 'couple'
  | 'axial'
  | 'point'
  | 'strain'
  | 'gives'
  | 'follows'
  | 'shared';

/** A load on a member along or about one of its axes, and what the ends feel of it when they are held: 12 actions on the member, local axes. */
export interface FixedEnds {
  readonly formula: FixedEndFormula;
  /** Along (0, 1, 2) or about (3, 4, 5) which local axis it acts. */
  readonly axis: number;
  /** Where it is: from a to b, or at a; metres. */
  readonly a: number;
  readonly b: number;
  /** Intensities at a and b (N/m), a force or couple (N, N·m), or a strain and a curvature. */
  readonly at: number;
  readonly to: number;
  /** f, as the supports of the held ends act on the member. */
  readonly actions: readonly number[];
}

const N = MEMBER_FREEDOMS;

/** Of which plane bending is: the freedoms across and about, and the sign by which a slope is a turn about the axis. */
const PLANES = { 1: { across: 1, about: 5, sign: 1 }, 2: { across: 2, about: 4, sign: -1 } } as const;

/**
 * Fixed-end actions of every load on member m in a case, each on its own: closed formulas where they hold (Przemieniecki, Theory of Matrix Structural Analysis (1968), ch. 7), else by the shapes
 * that the member takes as its ends move, with Timoshenko's shear.
 */
export function fixedEndsOf(s: Structure, m: number, loadCase: number): readonly FixedEnds[] {
  const found: FixedEnds[] = [];
  const L = s.lengths[m]!;
  const bend = bendingOf(s, m);
  const joints = betweenJoints(s, m);
  rowsOf(s.lineLoads, m, loadCase, LINE_WIDTH, (row) => {
    const [a, b] = [row[0]!, row[1]!];
    for (let axis = 0; axis < 3; axis++) {
      const [at, to] = [row[2 + 2 * axis]!, row[3 + 2 * axis]!];
      if (at === 0 && to === 0) continue;
      const isWhole = a === 0 && Math.abs(b - L) <= 1e-12 * L;
      const isClosed = axis > 0 && isWhole && isSlender(bend, axis);
      const formula = !isClosed ? 'stretch' : at === to ? 'uniform' : 'linear';
      found.push({ formula, axis, a, b, at, to, actions: ofLine(L, bend, { formula, axis, a, b, at, to }) });
    }
  });
  rowsOf(s.pointLoads, m, loadCase, POINT_WIDTH, (row) => {
    for (let axis = 0; axis < 6; axis++) {
      const at = row[1 + axis]!;
      if (at === 0) continue;
      const plane = axis === 1 || axis === 5 ? 1 : 2;
      const formula = axis % 3 === 0 ? 'axial' : !isSlender(bend, plane) ? 'point' : axis < 3 ? 'force' : 'couple';
      found.push({ formula, axis, a: row[0]!, b: row[0]!, at, to: at, actions: ofPoint(L, bend, axis, row[0]!, at) });
    }
  });
  rowsOf(s.strains, m, loadCase, STRAIN_WIDTH, (row) => {
    const actions = new Array<number>(N).fill(0);
    // The length of a member that keeps it is imposed instead.
    const axial = joints ? joints.stiffness * L * row[0]! : holdsLength(s, m) ? 0 : s.stiffnesses[STIFFNESS_WIDTH * m]! * row[0]!;
    const mz = bend[BEND_EI]! * row[1]! + bend[BEND_EI + 1]! * row[2]!;
    const my = bend[BEND_EI + 1]! * row[1]! + bend[BEND_EI + 2]! * row[2]!;
    actions[0] = axial;
    actions[6] = -axial;
    [actions[5], actions[11]] = [mz, -mz];
    [actions[4], actions[10]] = [-my, my];
    const giving = row[3]! - 1;
    if (giving >= 0) return void found.push(ofGiving(s, m, giving, row[4]!));
    found.push({ formula: 'strain', axis: 0, a: 0, b: L, at: row[0]!, to: row[1]! !== 0 ? row[1]! : row[2]!, actions });
  });
  const atStart = joints?.atStart ?? (s.stiffnesses[STIFFNESS_WIDTH * m] === 0 ? 0.5 : undefined);
  return atStart === undefined ? found : found.map((one) => dealt(one, atStart));
}

/** Whether movements are imposed on a member rather than forces put on it. */
export const isImposed = (formula: FixedEndFormula): boolean =>
  formula === 'strain' || formula === 'follows' || formula === 'gives';

/** Of end freedom r, whose joint gives by so much before its spring acts: as if the member's own end had moved back by it. */
function ofGiving(s: Structure, m: number, r: number, by: number): FixedEnds {
  const L = s.lengths[m]!;
  const joints = betweenJoints(s, m);
  const EA = joints ? joints.stiffness * L : holdsLength(s, m) ? 0 : s.stiffnesses[STIFFNESS_WIDTH * m]!;
  const k = new Float64Array(N * N);
  memberStiffness({ EA, GJ: s.stiffnesses[STIFFNESS_WIDTH * m + 1]!, L }, bendingOf(s, m, new Float64Array(BEND_WIDTH)), 0, k);
  const place = r < FREEDOMS ? 0 : L;
  const actions = Array.from({ length: N }, (_, i) => -k[N * i + r]! * by + 0);
  return { formula: 'gives', axis: r % FREEDOMS, a: place, b: place, at: by, to: by, actions };
}

/** What acts along a member that its EA does not deal out: of a slack one its ends take half each, so that its mean axial force is none. */
function dealt(one: FixedEnds, atStart: number): FixedEnds {
  if (one.axis !== 0 || isImposed(one.formula)) return one;
  const whole = one.actions[0]! + one.actions[6]!;
  const [start, end] = [atStart * whole, (1 - atStart) * whole];
  return { ...one, formula: 'shared', actions: one.actions.map((action, i) => (i === 0 ? start : i === 6 ? end : action)) };
}

function rowsOf(
  { first, cases, values }: MemberLoadTable,
  m: number,
  loadCase: number,
  width: number,
  take: (row: Float64Array) => void,
): void {
  for (let i = first[m]!; i < first[m + 1]!; i++) if (cases[i] === loadCase) take(values.subarray(width * i, width * i + width));
}

/** Whether shear does not deform the member in the plane of y (1) or z (2), and the planes bend apart: then the formulas of the textbook hold. */
function isSlender(bend: Float64Array, plane: number): boolean {
  const [vv, vw, wv, ww] = bend.subarray(BEND_D, BEND_D + 4) as unknown as [number, number, number, number];
  return vw === 0 && wv === 0 && (plane === 1 ? vv : ww) === 1;
}

function ofLine(L: number, bend: Float64Array, { formula, axis, a, b, at, to }: Omit<FixedEnds, 'actions'>): readonly number[] {
  const f = new Array<number>(N).fill(0);
  if (formula === 'uniform' || formula === 'linear') {
    const { across, about, sign } = PLANES[axis as 1 | 2];
    f[across] = -((7 * at + 3 * to) * L) / 20;
    f[across + 6] = -((3 * at + 7 * to) * L) / 20;
    f[about] = (-sign * (3 * at + 2 * to) * L * L) / 60;
    f[about + 6] = (sign * (2 * at + 3 * to) * L * L) / 60;
    return f;
  }
  // Three places of Gauss and Legendre are exact for a linear load.
  for (const [place, weight] of GAUSS) {
    const share = weight * (b - a);
    const one = ofPoint(L, bend, axis, a + place * (b - a), at + (to - at) * place);
    for (let i = 0; i < N; i++) f[i]! += share * one[i]!;
  }
  return f;
}

const GAUSS = [[(1 - Math.sqrt(0.6)) / 2, 5 / 18], [0.5, 8 / 18], [(1 + Math.sqrt(0.6)) / 2, 5 / 18]] as const; // oxfmt-ignore

/** A force or a couple at x; what of it bends goes by Hermite's cubics, what shears by straight lines (Friedman and Kosmatka, Computers & Structures 47, 1993). */
function ofPoint(L: number, bend: Float64Array, axis: number, x: number, size: number): readonly number[] {
  const f = new Array<number>(N).fill(0);
  const t = x / L;
  if (axis === 0 || axis === 3) {
    f[axis] = -(1 - t) * size;
    f[axis + 6] = -t * size;
    return f;
  }
  const isForce = axis < 3;
  const inV = axis === 1 || axis === 5;
  // A couple about y turns against the slope of w.
  const acts = axis === 4 ? -size : size;
  const D = bend.subarray(BEND_D, BEND_D + 4);
  for (const plane of [1, 2] as const) {
    const part = plane === 1 ? (inV ? D[0]! : D[2]!) : inV ? D[1]! : D[3]!;
    const whole = (plane === 1) === inV ? acts : 0;
    add(f, { plane, t, L, isForce }, part * acts, whole - part * acts);
  }
  return f;
}

interface Place {
  readonly plane: 1 | 2;
  readonly t: number;
  readonly L: number;
  readonly isForce: boolean;
}

function add(f: number[], { plane, t, L, isForce }: Place, bends: number, shears: number): void {
  const { across, about, sign } = PLANES[plane];
  const [t2, t3] = [t * t, t * t * t];
  if (isForce) {
    f[across]! -= (1 - 3 * t2 + 2 * t3) * bends + (1 - t) * shears;
    f[across + 6]! -= (3 * t2 - 2 * t3) * bends + t * shears;
    const bow = ((t - t2) * shears * L) / 2;
    f[about]! -= sign * ((t - 2 * t2 + t3) * L * bends + bow);
    f[about + 6]! -= sign * ((t3 - t2) * L * bends - bow);
    return;
  }
  const tilt = (6 * (t2 - t) * bends) / L;
  f[across]! -= tilt;
  f[across + 6]! += tilt;
  f[about]! -= sign * ((1 - 4 * t + 3 * t2) * bends + (1 - t) * shears);
  f[about + 6]! -= sign * ((3 * t2 - 2 * t) * bends + t * shears);
}
