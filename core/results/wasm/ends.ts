import { addTurned, along, n, put } from './numbers';
import { BOWS_V, BOWS_W, DIRECT, TABLE } from './table';

/** The larger of what is known and the sizes of three numbers. */
@inline
function largestOf(known: f64, a: f64, b: f64, c: f64): f64 {
  return max(max(known, abs(a)), max(abs(b), abs(c)));
}

/** In the plane, members do not leave it: their z axis is Z or −Z, and only N, V_y and M_z are found. */
@inline
function run(
  plane: bool,
  members: i32,
  table: usize,
  info: usize,
  displacements: usize,
  loadsAt: usize,
  loads: usize,
  ends: usize,
  starts: usize,
  onNodes: usize,
): f64 {
  let largest: f64 = 0;
  for (let m = 0; m < members; m++, table += TABLE, info += 16, ends += 96, starts += 48, loadsAt += 4) {
    const flags = i32.load(info, 8);
    if (!(flags & DIRECT)) continue;
    const start = <usize>i32.load(info) * 48;
    const end = <usize>i32.load(info, 4) * 48;
    const from = displacements + start;
    const to = displacements + end;
    const d0 = along(plane, table, 0, from);
    const d1 = along(plane, table, 1, from);
    const d2 = plane ? 0 : along(false, table, 2, from);
    const d3 = plane ? 0 : along(false, table, 0, from + 24);
    const d4 = plane ? 0 : along(false, table, 1, from + 24);
    const d5 = plane ? n(table, 8) * n(from, 5) : along(false, table, 2, from + 24);
    const d11 = plane ? n(table, 8) * n(to, 5) : along(false, table, 2, to + 24);
    const per = n(table, 11);
    const axial = n(table, 9) * (along(plane, table, 0, to) - d0);
    // The chord's own rotation is taken out first, which keeps digits that a rigid movement of the member would cost.
    const chordV = (along(plane, table, 1, to) - d1) * per;
    const startV = d5 - chordV;
    const endV = d11 - chordV;
    const nearVV = n(table, 12);
    const farVV = n(table, 15);
    let nearV = nearVV * startV + farVV * endV;
    let farV = farVV * startV + nearVV * endV;
    let torque: f64 = 0;
    let chordW: f64 = 0;
    let nearW: f64 = 0;
    let farW: f64 = 0;
    let shearW: f64 = 0;
    if (!plane) {
      torque = n(table, 10) * (along(false, table, 0, to + 24) - d3);
      chordW = (along(false, table, 2, to) - d2) * per;
      const startW = 0 - d4 - chordW;
      const endW = 0 - along(false, table, 1, to + 24) - chordW;
      const nearVW = n(table, 13);
      const nearWW = n(table, 14);
      const farVW = n(table, 16);
      const farWW = n(table, 17);
      nearV += nearVW * startW + farVW * endW;
      farV += farVW * startW + nearVW * endW;
      nearW = nearWW * startW + farWW * endW + nearVW * startV + farVW * endV;
      farW = farWW * startW + nearWW * endW + farVW * startV + nearVW * endV;
      shearW = (nearW + farW) * per;
    }
    const shearV = (nearV + farV) * per;
    let f0 = 0 - axial;
    let f1 = shearV;
    let f2 = shearW;
    let f3 = 0 - torque;
    let f4 = 0 - nearW;
    let f5 = nearV;
    let f6 = axial;
    let f7 = 0 - shearV;
    let f8 = 0 - shearW;
    let f9 = torque;
    let f10 = 0 - farW;
    let f11 = farV;
    const at = i32.load(loadsAt);
    if (at >= 0) {
      const p = loads + (<usize>at << 3);
      f0 -= n(p, 0);
      f1 -= n(p, 1);
      f5 -= n(p, 5);
      f6 -= n(p, 6);
      f7 -= n(p, 7);
      f11 -= n(p, 11);
      largest = largestOf(largest, n(p, 0), n(p, 1), n(p, 5));
      largest = largestOf(largest, n(p, 6), n(p, 7), n(p, 11));
      if (!plane) {
        f2 -= n(p, 2);
        f3 -= n(p, 3);
        f4 -= n(p, 4);
        f8 -= n(p, 8);
        f9 -= n(p, 9);
        f10 -= n(p, 10);
        largest = largestOf(largest, n(p, 2), n(p, 3), n(p, 4));
        largest = largestOf(largest, n(p, 8), n(p, 9), n(p, 10));
      }
    }
    put(ends, 0, f0);
    put(ends, 1, f1);
    put(ends, 5, f5);
    put(ends, 6, f6);
    put(ends, 7, f7);
    put(ends, 11, f11);
    largest = largestOf(largest, f0, f1, f5);
    largest = largestOf(largest, f6, f7, f11);
    put(starts, 0, d0);
    put(starts, 1, d1);
    // A member without a bow of its own is straight between its ends.
    put(starts, 5, flags & BOWS_V ? d5 : chordV);
    addTurned(plane, table, f0, f1, f2, onNodes + start);
    addTurned(plane, table, f6, f7, f8, onNodes + end);
    if (plane) {
      put(onNodes + start, 5, n(onNodes + start, 5) + n(table, 8) * f5);
      put(onNodes + end, 5, n(onNodes + end, 5) + n(table, 8) * f11);
    } else {
      put(ends, 2, f2);
      put(ends, 3, f3);
      put(ends, 4, f4);
      put(ends, 8, f8);
      put(ends, 9, f9);
      put(ends, 10, f10);
      largest = largestOf(largest, f2, f3, f4);
      largest = largestOf(largest, f8, f9, f10);
      put(starts, 2, d2);
      put(starts, 3, d3);
      put(starts, 4, flags & BOWS_W ? d4 : 0 - chordW);
      addTurned(false, table, f3, f4, f5, onNodes + start + 24);
      addTurned(false, table, f9, f10, f11, onNodes + end + 24);
    }
  }
  return largest;
}

export function ends(
  members: i32,
  table: usize,
  info: usize,
  displacements: usize,
  loadsAt: usize,
  loads: usize,
  ends: usize,
  starts: usize,
  onNodes: usize,
  plane: i32,
): f64 {
  return plane
    ? run(true, members, table, info, displacements, loadsAt, loads, ends, starts, onNodes)
    : run(false, members, table, info, displacements, loadsAt, loads, ends, starts, onNodes);
}
