import { BEND_D, BEND_EI, BEND_WIDTH } from './bending';
import { loadSlots, type FormerSlots, type LoadSlots, type SlotWriter } from './load-slots';
import { memberStiffness } from './member-stiffness';
import type { Slot } from './slot';
import { LINE_WIDTH, MEMBER_FREEDOMS, POINT_WIDTH, STIFFNESS_WIDTH, STRAIN_WIDTH, type Structure } from './structure';

/** Gauss–Legendre points on [0, 1]: three are exact for the quartic that a linear load makes with a cubic shape. */
const POINTS = [(1 - Math.sqrt(3 / 5)) / 2, 1 / 2, (1 + Math.sqrt(3 / 5)) / 2];
const WEIGHTS = [5 / 18, 8 / 18, 5 / 18];

/** Forces fx, fy, fz and couples mx, my, mz. */
type Acting = readonly [fx: number, fy: number, fz: number, mx: number, my: number, mz: number];

/** Translation and rotation of a bending plane among the freedoms of an end, and the sign by which its slope is the rotation. */
interface BendingPlane {
  readonly translation: number;
  readonly rotation: number;
  readonly sign: 1 | -1;
}
const V: BendingPlane = { translation: 1, rotation: 5, sign: 1 };
const W: BendingPlane = { translation: 2, rotation: 4, sign: -1 };

/** What of a force bends and shears, what of a couple turns and skews. */
interface Work {
  readonly bend: number;
  readonly shear: number;
  readonly turn: number;
  readonly skew: number;
}

/** Members with their lengths and bending matrices. */
interface BentMembers {
  readonly s: Structure;
  readonly bends: Float64Array;
}

/**
 * Adds to p the end forces of member m that do the same work on every movement of its ends as forces and couples at x do. The shapes
 * solve the member's own equation without load, so the result is exact (Friedman and Kosmatka, Computers & Structures 47, 1993): the
 * part D of a movement bends the member by Hermite's cubics, the rest I − D shears it.
 */
function addForce(
  { s, bends }: BentMembers,
  m: number,
  x: number,
  [fx, fy, fz, mx, my, mz]: Acting,
  { values: p, at }: Slot,
): void {
  const L = s.lengths[m]!;
  const t = x / L;
  p[at]! += (1 - t) * fx;
  p[at + 6]! += t * fx;
  p[at + 3]! += (1 - t) * mx;
  p[at + 9]! += t * mx;
  // A couple about y works on −w′.
  const d = BEND_WIDTH * m + BEND_D;
  const vv = bends[d]!;
  const vw = bends[d + 1]!;
  const wv = bends[d + 2]!;
  const ww = bends[d + 3]!;
  const bendV = vv * fy + wv * fz;
  const bendW = vw * fy + ww * fz;
  const turnV = vv * mz - wv * my;
  const turnW = vw * mz - ww * my;
  addPlane(p, at, V, { t, L }, { bend: bendV, shear: fy - bendV, turn: turnV, skew: mz - turnV });
  if (fz !== 0 || my !== 0 || bendW !== 0 || turnW !== 0)
    addPlane(p, at, W, { t, L }, { bend: bendW, shear: fz - bendW, turn: turnW, skew: -my - turnW });
}

function addPlane(
  p: Float64Array,
  at: number,
  { translation, rotation, sign }: BendingPlane,
  { t, L }: { readonly t: number; readonly L: number },
  { bend, shear, turn, skew }: Work,
): void {
  const t2 = t * t;
  const t3 = t2 * t;
  const tilt = (6 * (t2 - t) * turn) / L;
  p[at + translation]! += (1 - 3 * t2 + 2 * t3) * bend + (1 - t) * shear + tilt;
  p[at + translation + 6]! += (3 * t2 - 2 * t3) * bend + t * shear - tilt;
  const bow = (L * (t - t2) * shear) / 2;
  p[at + rotation]! += sign * (L * (t - 2 * t2 + t3) * bend + bow + (1 - 4 * t + 3 * t2) * turn + (1 - t) * skew);
  p[at + rotation + 6]! += sign * (L * (t3 - t2) * bend - bow + (3 * t2 - 2 * t) * turn + t * skew);
}

/** Adds row i of the line loads, which lies on member m; so do the next two for the other tables. */
function addLine(members: BentMembers, m: number, i: number, p: Slot): void {
  const v = members.s.lineLoads.values;
  const o = i * LINE_WIDTH;
  const a = v[o]!;
  const b = v[o + 1]!;
  for (let g = 0; g < 3; g++) {
    const t = POINTS[g]!;
    const w = WEIGHTS[g]! * (b - a);
    const qx = mix(v[o + 2]!, v[o + 3]!, t);
    const qy = mix(v[o + 4]!, v[o + 5]!, t);
    const qz = mix(v[o + 6]!, v[o + 7]!, t);
    addForce(members, m, mix(a, b, t), [w * qx, w * qy, w * qz, 0, 0, 0], p);
  }
}

function addPoint(members: BentMembers, m: number, i: number, p: Slot): void {
  const v = members.s.pointLoads.values;
  const o = i * POINT_WIDTH;
  addForce(members, m, v[o]!, [v[o + 1]!, v[o + 2]!, v[o + 3]!, v[o + 4]!, v[o + 5]!, v[o + 6]!], p);
}

function addStrain({ s, bends }: BentMembers, m: number, i: number, { values: p, at }: Slot): void {
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
  const giving = v[o + 3]! - 1;
  if (giving < 0) return;
  // A joint that gives is a kink just inside: as if the member's own end had moved back by it.
  const bar = { EA: s.stiffnesses[STIFFNESS_WIDTH * m]!, GJ: s.stiffnesses[STIFFNESS_WIDTH * m + 1]!, L: s.lengths[m]! };
  memberStiffness(bar, bends, BEND_WIDTH * m, own);
  for (let i = 0; i < MEMBER_FREEDOMS; i++) p[at + i]! += own[MEMBER_FREEDOMS * i + giving]! * v[o + 4]!;
}
const own = new Float64Array(MEMBER_FREEDOMS * MEMBER_FREEDOMS);

const mix = (from: number, to: number, t: number): number => from + t * (to - from);

/** The equivalent loads of all members in one case: 12 numbers for each loaded member. */
export type MemberLoads = LoadSlots;

/**
 * The loads of every member in every case that is wanted, as forces at its two ends that do the same work (the negative of its
 * fixed-end forces). Local axes, N and N·m. `former`: those of a structure with the same stiffness but for the rewritten members.
 */
export function memberLoads(s: Structure, bends: Float64Array, wanted = everyCase(s), former?: FormerSlots): MemberLoads[] {
  const members = { s, bends };
  const writer: SlotWriter = {
    width: () => MEMBER_FREEDOMS,
    lineLoads: (m, i, p) => addLine(members, m, i, p),
    pointLoads: (m, i, p) => addPoint(members, m, i, p),
    strains: (m, i, p) => addStrain(members, m, i, p),
  };
  return loadSlots(s, writer, wanted, former);
}

const everyCase = ({ names }: Structure): boolean[] => names.cases.map(() => true);
