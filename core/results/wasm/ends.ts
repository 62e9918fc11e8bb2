import { addTurned, along, n, put } from './numbers';
import { BOWS_V, BOWS_W, DIRECT, TABLE } from './table';

export function ends(
  members: i32,
  table: usize,
  info: usize,
  movements: usize,
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
    const from = movements + start;
    const to = movements + end;
    const d0 = along(table, 0, from);
    const d1 = along(table, 1, from);
    const d2 = along(table, 2, from);
    const d3 = along(table, 0, from + 24);
    const d4 = along(table, 1, from + 24);
    const d5 = along(table, 2, from + 24);
    const d7 = along(table, 1, to);
    const d8 = along(table, 2, to);
    const per = n(table, 11);
    const axial = n(table, 9) * (along(table, 0, to) - d0);
    const torque = n(table, 10) * (along(table, 0, to + 24) - d3);
    // The chord's own rotation is taken out first, which keeps digits that a rigid movement of the member would cost.
    const chordV = (d7 - d1) * per;
    const chordW = (d8 - d2) * per;
    const startV = d5 - chordV;
    const endV = along(table, 2, to + 24) - chordV;
    const startW = 0 - d4 - chordW;
    const endW = 0 - along(table, 1, to + 24) - chordW;
    const nearVV = n(table, 12);
    const nearVW = n(table, 13);
    const nearWW = n(table, 14);
    const farVV = n(table, 15);
    const farVW = n(table, 16);
    const farWW = n(table, 17);
    const nearV = nearVV * startV + farVV * endV + nearVW * startW + farVW * endW;
    const farV = farVV * startV + nearVV * endV + farVW * startW + nearVW * endW;
    const nearW = nearWW * startW + farWW * endW + nearVW * startV + farVW * endV;
    const farW = farWW * startW + nearWW * endW + farVW * startV + nearVW * endV;
    const shearV = (nearV + farV) * per;
    const shearW = (nearW + farW) * per;
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
      f2 -= n(p, 2);
      f3 -= n(p, 3);
      f4 -= n(p, 4);
      f5 -= n(p, 5);
      f6 -= n(p, 6);
      f7 -= n(p, 7);
      f8 -= n(p, 8);
      f9 -= n(p, 9);
      f10 -= n(p, 10);
      f11 -= n(p, 11);
    }
    put(ends, 0, f0);
    put(ends, 1, f1);
    put(ends, 2, f2);
    put(ends, 3, f3);
    put(ends, 4, f4);
    put(ends, 5, f5);
    put(ends, 6, f6);
    put(ends, 7, f7);
    put(ends, 8, f8);
    put(ends, 9, f9);
    put(ends, 10, f10);
    put(ends, 11, f11);
    let most = max(max(max(abs(f0), abs(f1)), max(abs(f2), abs(f3))), max(abs(f4), abs(f5)));
    most = max(most, max(max(max(abs(f6), abs(f7)), max(abs(f8), abs(f9))), max(abs(f10), abs(f11))));
    largest = max(largest, most);
    addTurned(table, f0, f1, f2, onNodes + start);
    addTurned(table, f3, f4, f5, onNodes + start + 24);
    addTurned(table, f6, f7, f8, onNodes + end);
    addTurned(table, f9, f10, f11, onNodes + end + 24);
    put(starts, 0, d0);
    put(starts, 1, d1);
    put(starts, 2, d2);
    put(starts, 3, d3);
    // A member without a bow of its own is straight between its ends.
    put(starts, 4, flags & BOWS_W ? d4 : 0 - chordW);
    put(starts, 5, flags & BOWS_V ? d5 : chordV);
  }
  return largest;
}
