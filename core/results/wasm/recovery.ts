// Recovery of one case in AssemblyScript: what `../recovery-kernels.ts` describes, on places in bytes. The formulas are those of
// `addEndForces` and `recoverMember`, member by member without a branch that depends on its loads.
// `node scripts/build-kernels.mjs` compiles this file into `../recovery-bytes.ts`.

/** Numbers of a member in the table, and of a piece's loads and diagrams. */
const TABLE: usize = 24 << 3;
const PIECE_LOADS: usize = 12 << 3;
const PIECE: usize = 34 << 3;
const BOWS_V: i32 = 1;
const BOWS_W: i32 = 2;
const DIRECT: i32 = 4;

@inline
function n(base: usize, index: i32): f64 {
  return f64.load(base + (<usize>index << 3));
}

@inline
function put(base: usize, index: i32, value: f64): void {
  f64.store(base + (<usize>index << 3), value);
}

/** Component i of three numbers in the axes R (by rows). */
@inline
function along(R: usize, i: i32, v: usize): f64 {
  return n(R, 3 * i) * n(v, 0) + n(R, 3 * i + 1) * n(v, 1) + n(R, 3 * i + 2) * n(v, 2);
}

/** Adds three components in the axes R to those of a node. */
@inline
function addTurned(R: usize, x: f64, y: f64, z: f64, to: usize): void {
  put(to, 0, n(to, 0) + n(R, 0) * x + n(R, 3) * y + n(R, 6) * z);
  put(to, 1, n(to, 1) + n(R, 1) * x + n(R, 4) * y + n(R, 7) * z);
  put(to, 2, n(to, 2) + n(R, 2) * x + n(R, 5) * y + n(R, 8) * z);
}

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

@inline
function cubic(out: usize, M: f64, V: f64, q: f64, dq: f64): void {
  put(out, 0, M);
  put(out, 1, V);
  put(out, 2, q / 2);
  put(out, 3, dq / 6);
}

@inline
function area(h: f64, M: f64, V: f64, q: f64, dq: f64): f64 {
  return h * (M + h * (V / 2 + h * (q / 6 + (h * dq) / 24)));
}

/**
 * The deflection in one plane, as `recoverMember` integrates it: `kappa` imposed, flex·M of its own plane and cross·M of the other one,
 * less the shear angle. Returns its value at the end of the piece.
 */
@inline
function deflection(
  out: usize,
  value: f64,
  slope: f64,
  h: f64,
  kappa: f64,
  flex: f64,
  M: f64,
  V: f64,
  q: f64,
  dq: f64,
  cross: f64,
  otherM: f64,
  otherV: f64,
  otherQ: f64,
  otherDq: f64,
  shear: f64,
): f64 {
  const c1 = slope - V * shear;
  const c2 = (kappa + flex * M + cross * otherM - q * shear) / 2;
  const c3 = (flex * V + cross * otherV - dq * shear) / 6;
  const c4 = (flex * q + cross * otherQ) / 24;
  const c5 = (flex * dq + cross * otherDq) / 120;
  put(out, 0, value);
  put(out, 1, c1);
  put(out, 2, c2);
  put(out, 3, c3);
  put(out, 4, c4);
  put(out, 5, c5);
  return value + h * (c1 + h * (c2 + h * (c3 + h * (c4 + h * c5))));
}

export function diagrams(
  members: i32,
  table: usize,
  info: usize,
  lengths: usize,
  recordsAt: usize,
  records: usize,
  ends: usize,
  starts: usize,
  out: usize,
  plane: i32,
): void {
  for (let m = 0; m < members; m++, table += TABLE, info += 16, ends += 96, starts += 48, recordsAt += 4) {
    const pieces = i32.load(info, 28) - i32.load(info, 12);
    const flexV = n(table, 18);
    const flexVW = n(table, 19);
    const flexW = n(table, 20);
    const perEA = n(table, 21);
    const shearV = n(table, 22);
    const shearW = n(table, 23);
    let N = 0 - n(ends, 0);
    let Vy = n(ends, 1);
    let Vz = n(ends, 2);
    let T = 0 - n(ends, 3);
    let My = n(ends, 4);
    let Mz = 0 - n(ends, 5);
    let u = n(starts, 0);
    let v = n(starts, 1);
    let w = n(starts, 2);
    let slopeV = n(starts, 5);
    let slopeW = 0 - n(starts, 4);
    const at = i32.load(recordsAt);
    let record = records + (<usize>max(at, 0) << 3);
    let strain: f64 = 0;
    let kappaV: f64 = 0;
    let kappaW: f64 = 0;
    if (at >= 0) {
      strain = n(record, 0);
      kappaV = n(record, 1);
      kappaW = n(record, 2);
      record += 24;
    }
    for (let k = 0; k < pieces; k++, lengths += 8, out += PIECE) {
      const h = f64.load(lengths);
      let qx: f64 = 0;
      let dx: f64 = 0;
      let qy: f64 = 0;
      let dy: f64 = 0;
      let qz: f64 = 0;
      let dz: f64 = 0;
      if (at >= 0) {
        N -= n(record, 0);
        Vy += n(record, 1);
        Vz += n(record, 2);
        T -= n(record, 3);
        // A couple on the part before the cut is balanced by the opposite moment; about y that is tension on the +z face.
        My += n(record, 4);
        Mz -= n(record, 5);
        qx = n(record, 6);
        dx = n(record, 7);
        qy = n(record, 8);
        dy = n(record, 9);
        qz = n(record, 10);
        dz = n(record, 11);
        record += PIECE_LOADS;
      }
      put(out, 0, N);
      put(out, 1, 0 - qx);
      put(out, 2, (0 - dx) / 2);
      put(out, 3, Vy);
      put(out, 4, qy);
      put(out, 5, dy / 2);
      cubic(out + (14 << 3), Mz, Vy, qy, dy);
      const u1 = N * perEA + strain;
      const u2 = ((0 - qx) * perEA) / 2;
      const u3 = ((0 - dx) * perEA) / 6;
      put(out, 18, u);
      put(out, 19, u1);
      put(out, 20, u2);
      put(out, 21, u3);
      u += h * (u1 + h * (u2 + h * u3));
      v = deflection(out + (22 << 3), v, slopeV, h, kappaV, flexV, Mz, Vy, qy, dy, flexVW, My, Vz, qz, dz, shearV);
      const areaZ = area(h, Mz, Vy, qy, dy);
      if (!plane) {
        put(out, 6, Vz);
        put(out, 7, qz);
        put(out, 8, dz / 2);
        put(out, 9, T);
        cubic(out + (10 << 3), My, Vz, qz, dz);
        w = deflection(out + (28 << 3), w, slopeW, h, kappaW, flexW, My, Vz, qz, dz, flexVW, Mz, Vy, qy, dy, shearW);
        const areaY = area(h, My, Vz, qz, dz);
        slopeV += h * kappaV + flexV * areaZ + flexVW * areaY;
        slopeW += h * kappaW + flexW * areaY + flexVW * areaZ;
        My += h * (Vz + h * (qz / 2 + (h * dz) / 6));
        Vz += h * (qz + (h * dz) / 2);
      } else slopeV += h * kappaV + flexV * areaZ;
      N -= h * (qx + (h * dx) / 2);
      Mz += h * (Vy + h * (qy / 2 + (h * dy) / 6));
      Vy += h * (qy + (h * dy) / 2);
    }
  }
}
