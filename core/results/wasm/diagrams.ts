import { n, put } from './numbers';
import { IMPOSED, PIECE_LOADS, PLANE_PIECE, SPACE_PIECE, TABLE } from './table';

/** Factors of integrals: a division takes several times as long. */
const THIRD: f64 = 1.0 / 6.0;
const FOURTH: f64 = 1.0 / 24.0;
const FIFTH: f64 = 1.0 / 120.0;

@inline
function cubic(out: usize, M: f64, V: f64, q: f64, dq: f64): void {
  put(out, 0, M);
  put(out, 1, V);
  put(out, 2, q * 0.5);
  put(out, 3, dq * THIRD);
}

@inline
function area(h: f64, M: f64, V: f64, q: f64, dq: f64): f64 {
  return h * (M + h * (V * 0.5 + h * (q * THIRD + h * dq * FOURTH)));
}

/**
 * The deflection in one plane, κ = EI⁻¹·M (2 × 2) integrated twice: `kappa` imposed, flex·M of its own plane and cross·M of the other one,
 * less the shear angle. Returns its value at the end of the piece. In the plane there is no other one.
 */
@inline
function deflection(
  plane: bool,
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
  const bend = flex * M + kappa;
  const c2 = ((plane ? bend : bend + cross * otherM) - q * shear) * 0.5;
  const c3 = ((plane ? flex * V : flex * V + cross * otherV) - dq * shear) * THIRD;
  const c4 = (plane ? flex * q : flex * q + cross * otherQ) * FOURTH;
  const c5 = (plane ? flex * dq : flex * dq + cross * otherDq) * FIFTH;
  put(out, 0, value);
  put(out, 1, c1);
  put(out, 2, c2);
  put(out, 3, c3);
  put(out, 4, c4);
  put(out, 5, c5);
  return value + h * (c1 + h * (c2 + h * (c3 + h * (c4 + h * c5))));
}

@inline
function run(
  plane: bool,
  members: i32,
  table: usize,
  info: usize,
  lengths: usize,
  recordsAt: usize,
  records: usize,
  ends: usize,
  starts: usize,
  out: usize,
): void {
  const width = plane ? PLANE_PIECE : SPACE_PIECE;
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
      record += IMPOSED;
    }
    for (let k = 0; k < pieces; k++, lengths += 8, out += width) {
      const h = f64.load(lengths);
      let qx: f64 = 0;
      let dx: f64 = 0;
      let qy: f64 = 0;
      let dy: f64 = 0;
      let qz: f64 = 0;
      let dz: f64 = 0;
      if (at >= 0) {
        // A couple on the part before the cut is balanced by the opposite moment; about y that is tension on the +z face.
        N -= n(record, 0);
        Vy += n(record, 1);
        Mz -= n(record, 5);
        qx = n(record, 6);
        dx = n(record, 7);
        qy = n(record, 8);
        dy = n(record, 9);
        if (!plane) {
          Vz += n(record, 2);
          T -= n(record, 3);
          My += n(record, 4);
          qz = n(record, 10);
          dz = n(record, 11);
        }
        record += PIECE_LOADS;
      }
      put(out, 0, N);
      put(out, 1, 0 - qx);
      put(out, 2, (0 - dx) * 0.5);
      put(out, 3, Vy);
      put(out, 4, qy);
      put(out, 5, dy * 0.5);
      cubic(out + (6 << 3), Mz, Vy, qy, dy);
      const u1 = N * perEA + strain;
      const u2 = (0 - qx) * perEA * 0.5;
      const u3 = (0 - dx) * perEA * THIRD;
      put(out, 10, u);
      put(out, 11, u1);
      put(out, 12, u2);
      put(out, 13, u3);
      u += h * (u1 + h * (u2 + h * u3));
      v = deflection(plane, out + (14 << 3), v, slopeV, h, kappaV, flexV, Mz, Vy, qy, dy, flexVW, My, Vz, qz, dz, shearV);
      const areaZ = area(h, Mz, Vy, qy, dy);
      if (!plane) {
        put(out, 20, Vz);
        put(out, 21, qz);
        put(out, 22, dz * 0.5);
        put(out, 23, T);
        cubic(out + (24 << 3), My, Vz, qz, dz);
        w = deflection(plane, out + (28 << 3), w, slopeW, h, kappaW, flexW, My, Vz, qz, dz, flexVW, Mz, Vy, qy, dy, shearW);
        const areaY = area(h, My, Vz, qz, dz);
        slopeV += h * kappaV + flexV * areaZ + flexVW * areaY;
        slopeW += h * kappaW + flexW * areaY + flexVW * areaZ;
        My += h * (Vz + h * (qz * 0.5 + h * dz * THIRD));
        Vz += h * (qz + h * dz * 0.5);
      } else slopeV += h * kappaV + flexV * areaZ;
      N -= h * (qx + h * dx * 0.5);
      Mz += h * (Vy + h * (qy * 0.5 + h * dy * THIRD));
      Vy += h * (qy + h * dy * 0.5);
    }
  }
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
  if (plane) run(true, members, table, info, lengths, recordsAt, records, ends, starts, out);
  else run(false, members, table, info, lengths, recordsAt, records, ends, starts, out);
}
