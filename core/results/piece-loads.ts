import { loadSlots, type FormerSlots, type LoadSlots, type SlotWriter } from '../stiffness/load-slots';
import type { Slot } from '../stiffness/slot';
import { BOWS_V, BOWS_W, LINE_WIDTH, POINT_WIDTH, STRAIN_WIDTH, type Structure } from '../stiffness/structure';
import { COINCIDENT, type Pieces } from './breakpoints';

/** Numbers of a loaded member before those of its pieces: axial strain, and the curvatures v″ and w″ where its bow is known. */
export const IMPOSED_WIDTH = 3;
/** Numbers of a piece: fx, fy, fz, mx, my, mz that act where it begins, then value and slope of qx, qy and qz along it. */
export const PIECE_LOAD_WIDTH = 12;

/** What acts along the members in one case: IMPOSED_WIDTH numbers for each loaded member, then PIECE_LOAD_WIDTH for each of its pieces. */
export type PieceLoads = LoadSlots;

/**
 * What acts on every piece in every case that is wanted; `cuts`: the pieces by case. Local axes, SI. `former`: that of a structure whose
 * members have as many pieces each in the cases that fit, and are the same but for the rewritten ones.
 */
export function pieceLoads(
  s: Structure,
  cuts: readonly Pieces[],
  wanted: readonly boolean[],
  former?: FormerSlots,
): PieceLoads[] {
  const writer: SlotWriter = {
    width: (m, c) => IMPOSED_WIDTH + PIECE_LOAD_WIDTH * (cuts[c]!.first[m + 1]! - cuts[c]!.first[m]!),
    lineLoads: (m, i, to, c) => addLine(s, cuts[c]!, m, i, to),
    pointLoads: (m, i, to, c) => addPoint(s, cuts[c]!, m, i, to),
    strains: (m, i, to) => addStrain(s, m, i, to),
  };
  return loadSlots(s, writer, wanted, former);
}

/** The first piece of member m that begins at x or beyond. */
function pieceFrom({ first, from }: Pieces, m: number, x: number): number {
  let [low, high] = [first[m]!, first[m + 1]!];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (from[middle]! < x) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** Adds row i of the line loads, which lies on member m, to its numbers; so do the next two for the other tables. */
function addLine(s: Structure, cut: Pieces, m: number, i: number, { values, at }: Slot): void {
  const slack = COINCIDENT * s.lengths[m]!;
  const q = s.lineLoads.values;
  const o = LINE_WIDTH * i;
  const from = q[o]!;
  const to = q[o + 1]!;
  if (to - from <= slack) return;
  const first = cut.first[m]!;
  for (let k = pieceFrom(cut, m, from - slack); k < cut.first[m + 1]!; k++) {
    const a = cut.from[k]!;
    if (to < cut.to[k]! - slack) break;
    const p = at + IMPOSED_WIDTH + PIECE_LOAD_WIDTH * (k - first) + 6;
    for (let j = 0; j < 6; j += 2) {
      const slope = (q[o + j + 3]! - q[o + j + 2]!) / (to - from);
      values[p + j]! += q[o + j + 2]! + slope * (a - from);
      values[p + j + 1]! += slope;
    }
  }
}

/** A load at the far end acts beyond the last piece; it shows in the end forces only. */
function addPoint(s: Structure, cut: Pieces, m: number, i: number, { values, at }: Slot): void {
  const slack = COINCIDENT * s.lengths[m]!;
  const f = s.pointLoads.values;
  const o = POINT_WIDTH * i;
  const first = cut.first[m]!;
  for (let k = pieceFrom(cut, m, f[o]! - slack); k < cut.first[m + 1]!; k++) {
    if (cut.from[k]! > f[o]! + slack) break;
    const p = at + IMPOSED_WIDTH + PIECE_LOAD_WIDTH * (k - first);
    for (let j = 0; j < 6; j++) values[p + j]! += f[o + 1 + j]!;
  }
}

function addStrain(s: Structure, m: number, i: number, { values, at }: Slot): void {
  const o = STRAIN_WIDTH * i;
  values[at]! += s.strains.values[o]!;
  if (s.bows[m]! & BOWS_V) values[at + 1]! += s.strains.values[o + 1]!;
  if (s.bows[m]! & BOWS_W) values[at + 2]! += s.strains.values[o + 2]!;
}
