import {
  BOWS_V,
  BOWS_W,
  caseCount,
  LINE_WIDTH,
  memberCount,
  POINT_WIDTH,
  STRAIN_WIDTH,
  type MemberLoadTable,
  type Structure,
} from '../stiffness/structure';
import { COINCIDENT, type Pieces } from './breakpoints';

/** Numbers of a loaded member before those of its pieces: axial strain, and the curvatures v″ and w″ where its bow is known. */
export const IMPOSED_WIDTH = 3;
/** Numbers of a piece: fx, fy, fz, mx, my, mz that act where it begins, then value and slope of qx, qy and qz along it. */
export const PIECE_LOAD_WIDTH = 12;

/** What acts along the members in one case: only loaded members have an entry. */
export interface PieceLoads {
  /** m: where the numbers of a member begin in `values`; -1 where the case leaves the member alone. */
  readonly at: Int32Array;
  readonly values: Float64Array;
}

/** What acts on every piece in every case that is wanted; the others come out empty. Local axes, SI. */
export function pieceLoads(s: Structure, cut: Pieces, wanted: readonly boolean[]): PieceLoads[] {
  const members = memberCount(s);
  const used = new Int32Array(caseCount(s));
  const at = wanted.map((isWanted) => new Int32Array(isWanted ? members : 0).fill(-1));
  for (const { first, cases } of [s.lineLoads, s.pointLoads, s.strains])
    for (let m = 0; m < members; m++)
      for (let i = first[m]!; i < first[m + 1]!; i++) {
        const c = cases[i]!;
        if (!wanted[c] || at[c]![m] !== -1) continue;
        at[c]![m] = used[c]!;
        used[c]! += IMPOSED_WIDTH + PIECE_LOAD_WIDTH * (cut.first[m + 1]! - cut.first[m]!);
      }
  const loads = at.map((places, c) => ({ at: places, values: new Float64Array(used[c]!) }));
  const add = ({ first, cases }: MemberLoadTable, addRow: typeof addLine): void => {
    for (let m = 0; m < members; m++)
      for (let i = first[m]!; i < first[m + 1]!; i++) {
        const c = cases[i]!;
        if (wanted[c]) addRow(s, cut, m, i, loads[c]!.values, loads[c]!.at[m]!);
      }
  };
  add(s.lineLoads, addLine);
  add(s.pointLoads, addPoint);
  add(s.strains, addStrain);
  return loads;
}

/** Adds row i of the line loads, which lies on member m, to its numbers at `at`; so do the next two for the other tables. */
function addLine(s: Structure, cut: Pieces, m: number, i: number, values: Float64Array, at: number): void {
  const slack = COINCIDENT * s.lengths[m]!;
  const q = s.lineLoads.values;
  const o = LINE_WIDTH * i;
  const from = q[o]!;
  const to = q[o + 1]!;
  if (to - from <= slack) return;
  const first = cut.first[m]!;
  for (let k = first; k < cut.first[m + 1]!; k++) {
    const a = cut.from[k]!;
    if (from > a + slack || to < cut.to[k]! - slack) continue;
    const p = at + IMPOSED_WIDTH + PIECE_LOAD_WIDTH * (k - first) + 6;
    for (let j = 0; j < 6; j += 2) {
      const slope = (q[o + j + 3]! - q[o + j + 2]!) / (to - from);
      values[p + j]! += q[o + j + 2]! + slope * (a - from);
      values[p + j + 1]! += slope;
    }
  }
}

/** A load at the far end acts beyond the last piece; it shows in the end forces only. */
function addPoint(s: Structure, cut: Pieces, m: number, i: number, values: Float64Array, at: number): void {
  const slack = COINCIDENT * s.lengths[m]!;
  const f = s.pointLoads.values;
  const o = POINT_WIDTH * i;
  const first = cut.first[m]!;
  for (let k = first; k < cut.first[m + 1]!; k++) {
    if (Math.abs(f[o]! - cut.from[k]!) > slack) continue;
    const p = at + IMPOSED_WIDTH + PIECE_LOAD_WIDTH * (k - first);
    for (let j = 0; j < 6; j++) values[p + j]! += f[o + 1 + j]!;
  }
}

function addStrain(s: Structure, _cut: Pieces, m: number, i: number, values: Float64Array, at: number): void {
  const o = STRAIN_WIDTH * i;
  values[at]! += s.strains.values[o]!;
  if (s.bows[m]! & BOWS_V) values[at + 1]! += s.strains.values[o + 1]!;
  if (s.bows[m]! & BOWS_W) values[at + 2]! += s.strains.values[o + 2]!;
}
