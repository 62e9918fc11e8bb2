import { n, put } from './numbers';
import { TABLE } from './table';

/** Bytes of what acts on a piece, and of its diagrams. */
const PIECE_LOADS: usize = 12 << 3;
const PIECE: usize = 34 << 3;

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
