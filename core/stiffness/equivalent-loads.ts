import { bendingOf, type Bending } from './bending';
import {
  caseCount,
  LINE_WIDTH,
  memberCount,
  MEMBER_FREEDOMS,
  POINT_WIDTH,
  STIFFNESS_WIDTH,
  STRAIN_WIDTH,
  type Structure,
} from './structure';

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
  { D }: Bending,
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
  const bendV = D[0] * fy + D[2] * fz;
  const bendW = D[1] * fy + D[3] * fz;
  const turnV = D[0] * mz - D[2] * my;
  const turnW = D[1] * mz - D[3] * my;
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

/**
 * The loads of member m in case c, as forces at its two ends that do the same work (the negative of its fixed-end forces), added
 * to p (12 numbers at `at`). Local axes, N and N·m.
 */
export function addEquivalentLoads(s: Structure, m: number, c: number, bend: Bending, p: Float64Array, at: number): void {
  const L = s.lengths[m]!;
  const { lineLoads, pointLoads, strains } = s;
  for (let i = lineLoads.first[m]!; i < lineLoads.first[m + 1]!; i++) {
    if (lineLoads.cases[i] !== c) continue;
    const v = lineLoads.values;
    const o = i * LINE_WIDTH;
    const [a, b] = [v[o]!, v[o + 1]!];
    for (let g = 0; g < 3; g++) {
      const t = POINTS[g]!;
      const w = WEIGHTS[g]! * (b - a);
      const qx = mix(v[o + 2]!, v[o + 3]!, t);
      const qy = mix(v[o + 4]!, v[o + 5]!, t);
      const qz = mix(v[o + 6]!, v[o + 7]!, t);
      addForce(p, at, L, bend, mix(a, b, t), w * qx, w * qy, w * qz, 0, 0, 0);
    }
  }
  for (let i = pointLoads.first[m]!; i < pointLoads.first[m + 1]!; i++) {
    if (pointLoads.cases[i] !== c) continue;
    const v = pointLoads.values;
    const o = i * POINT_WIDTH;
    addForce(p, at, L, bend, v[o]!, v[o + 1]!, v[o + 2]!, v[o + 3]!, v[o + 4]!, v[o + 5]!, v[o + 6]!);
  }
  for (let i = strains.first[m]!; i < strains.first[m + 1]!; i++) {
    if (strains.cases[i] !== c) continue;
    const [strain, kv, kw] = strains.values.subarray(i * STRAIN_WIDTH, i * STRAIN_WIDTH + 3) as unknown as [
      number,
      number,
      number,
    ];
    const axial = s.stiffnesses[STIFFNESS_WIDTH * m]! * strain;
    const [mz, slopeW] = [bend.EI[0] * kv + bend.EI[1] * kw, bend.EI[1] * kv + bend.EI[2] * kw];
    p[at]! -= axial;
    p[at + 6]! += axial;
    p[at + 5]! -= mz;
    p[at + 11]! += mz;
    p[at + 4]! += slopeW;
    p[at + 10]! -= slopeW;
  }
}

const mix = (from: number, to: number, t: number): number => from + t * (to - from);

/** Equivalent loads of one member in one case, 12 numbers. */
export function equivalentLoads(s: Structure, m: number, c: number): Float64Array {
  const p = new Float64Array(MEMBER_FREEDOMS);
  addEquivalentLoads(s, m, c, bendingOf(s, m), p, 0);
  return p;
}

/** The equivalent loads of all members in one case: only loaded members have an entry. */
export interface MemberLoads {
  /** m: where the 12 numbers of a member begin in `values`; -1 where the case leaves the member alone. */
  readonly at: Int32Array;
  readonly values: Float64Array;
}

/** The equivalent loads of every member in every case that is wanted (all of them by default); the others come out empty. */
export function memberLoads(s: Structure, bends: readonly Bending[], wanted?: readonly boolean[]): MemberLoads[] {
  const count = memberCount(s);
  const cases = caseCount(s);
  const at = Array.from({ length: cases }, () => new Int32Array(count).fill(-1));
  const used = new Int32Array(cases);
  for (const table of [s.lineLoads, s.pointLoads, s.strains])
    for (let m = 0; m < count; m++)
      for (let i = table.first[m]!; i < table.first[m + 1]!; i++) {
        const c = table.cases[i]!;
        if (at[c]![m] === -1) at[c]![m] = MEMBER_FREEDOMS * used[c]!++;
      }
  const loads = at.map((places, c) => ({ at: places, values: new Float64Array(MEMBER_FREEDOMS * used[c]!) }));
  for (let c = 0; c < cases; c++) {
    if (wanted && !wanted[c]) continue;
    for (let m = 0; m < count; m++) if (at[c]![m] !== -1) addEquivalentLoads(s, m, c, bends[m]!, loads[c]!.values, at[c]![m]!);
  }
  return loads;
}
