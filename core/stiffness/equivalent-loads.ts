import { BEND_D, BEND_EI, BEND_WIDTH } from './bending';
import { loadSlots, type FormerSlots, type LoadSlots, type SlotWriter } from './load-slots';
import { LINE_WIDTH, MEMBER_FREEDOMS, POINT_WIDTH, STIFFNESS_WIDTH, STRAIN_WIDTH, type Structure } from './structure';

/** Gauss–Legendre points on [0, 1]: three are exact for the quartic that a linear load makes with a cubic shape. */
const POINTS = [(1 - Math.sqrt(3 / 5)) / 2, 1 / 2, (1 + Math.sqrt(3 / 5)) / 2];
const WEIGHTS = [5 / 18, 8 / 18, 5 / 18];

/**
 * Adds to p (12 numbers at `at`) the end forces that do the same work on every movement of the ends as forces and couples at
 * x do. The shapes solve the member's own equation without load, so the result is exact (Friedman and Kosmatka, Computers &
 * Structures 47, 1993): the part D of a movement bends the member by Hermite's cubics, the rest I − D shears it.
 */
function addForce(
  p: Float64Array,
  at: number,
  L: number,
  bends: Float64Array,
  bend: number,
  x: number,
  fx: number,
  fy: number,
  fz: number,
  mx: number,
  my: number,
  mz: number,
): void {
  const t = x / L;
  p[at]! += (1 - t) * fx;
  p[at + 6]! += t * fx;
  p[at + 3]! += (1 - t) * mx;
  p[at + 9]! += t * mx;
  // A couple about y works on −w′.
  const vv = bends[bend + BEND_D]!;
  const vw = bends[bend + BEND_D + 1]!;
  const wv = bends[bend + BEND_D + 2]!;
  const ww = bends[bend + BEND_D + 3]!;
  const bendV = vv * fy + wv * fz;
  const bendW = vw * fy + ww * fz;
  const turnV = vv * mz - wv * my;
  const turnW = vw * mz - ww * my;
  addPlane(p, at + 1, at + 5, 1, t, L, bendV, fy - bendV, turnV, mz - turnV);
  if (fz !== 0 || my !== 0 || bendW !== 0 || turnW !== 0)
    addPlane(p, at + 2, at + 4, -1, t, L, bendW, fz - bendW, turnW, -my - turnW);
}

function addPlane(
  p: Float64Array,
  translation: number,
  rotation: number,
  sign: number,
  t: number,
  L: number,
  bend: number,
  shear: number,
  turn: number,
  skew: number,
): void {
  const t2 = t * t;
  const t3 = t2 * t;
  const tilt = (6 * (t2 - t) * turn) / L;
  p[translation]! += (1 - 3 * t2 + 2 * t3) * bend + (1 - t) * shear + tilt;
  p[translation + 6]! += (3 * t2 - 2 * t3) * bend + t * shear - tilt;
  const bow = (L * (t - t2) * shear) / 2;
  p[rotation]! += sign * (L * (t - 2 * t2 + t3) * bend + bow + (1 - 4 * t + 3 * t2) * turn + (1 - t) * skew);
  p[rotation + 6]! += sign * (L * (t3 - t2) * bend - bow + (3 * t2 - 2 * t) * turn + t * skew);
}

/** Adds row i of the line loads, which lies on member m; so do the next two for the other tables. */
function addLine(s: Structure, m: number, i: number, bends: Float64Array, p: Float64Array, at: number): void {
  const v = s.lineLoads.values;
  const o = i * LINE_WIDTH;
  const a = v[o]!;
  const b = v[o + 1]!;
  for (let g = 0; g < 3; g++) {
    const t = POINTS[g]!;
    const w = WEIGHTS[g]! * (b - a);
    const qx = mix(v[o + 2]!, v[o + 3]!, t);
    const qy = mix(v[o + 4]!, v[o + 5]!, t);
    const qz = mix(v[o + 6]!, v[o + 7]!, t);
    addForce(p, at, s.lengths[m]!, bends, BEND_WIDTH * m, mix(a, b, t), w * qx, w * qy, w * qz, 0, 0, 0);
  }
}

function addPoint(s: Structure, m: number, i: number, bends: Float64Array, p: Float64Array, at: number): void {
  const v = s.pointLoads.values;
  const o = i * POINT_WIDTH;
  const bend = BEND_WIDTH * m;
  addForce(p, at, s.lengths[m]!, bends, bend, v[o]!, v[o + 1]!, v[o + 2]!, v[o + 3]!, v[o + 4]!, v[o + 5]!, v[o + 6]!);
}

function addStrain(s: Structure, m: number, i: number, bends: Float64Array, p: Float64Array, at: number): void {
  const v = s.strains.values;
  const o = i * STRAIN_WIDTH;
  const EI = BEND_WIDTH * m + BEND_EI;
  const axial = s.stiffnesses[STIFFNESS_WIDTH * m]! * v[o]!;
  const mz = bends[EI]! * v[o + 1]! + bends[EI + 1]! * v[o + 2]!;
  const slopeW = bends[EI + 1]! * v[o + 1]! + bends[EI + 2]! * v[o + 2]!;
  p[at]! -= axial;
  p[at + 6]! += axial;
  p[at + 5]! -= mz;
  p[at + 11]! += mz;
  p[at + 4]! += slopeW;
  p[at + 10]! -= slopeW;
}

const mix = (from: number, to: number, t: number): number => from + t * (to - from);

/** The equivalent loads of all members in one case: 12 numbers for each loaded member. */
export type MemberLoads = LoadSlots;

/**
 * The loads of every member in every case that is wanted, as forces at its two ends that do the same work (the negative of its
 * fixed-end forces). Local axes, N and N·m. `former`: those of a structure with the same stiffness but for the rewritten members.
 */
export function memberLoads(s: Structure, bends: Float64Array, wanted = everyCase(s), former?: FormerSlots): MemberLoads[] {
  const writer: SlotWriter = {
    width: () => MEMBER_FREEDOMS,
    lineLoads: (m, i, p, at) => addLine(s, m, i, bends, p, at),
    pointLoads: (m, i, p, at) => addPoint(s, m, i, bends, p, at),
    strains: (m, i, p, at) => addStrain(s, m, i, bends, p, at),
  };
  return loadSlots(s, writer, wanted, former);
}

const everyCase = ({ names }: Structure): boolean[] => names.cases.map(() => true);
