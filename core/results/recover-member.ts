import { BEND_FLEXIBILITY, BEND_WIDTH } from '../stiffness/bending';
import { slotOf } from '../stiffness/load-slots';
import { isPlane, STIFFNESS_WIDTH, type Structure } from '../stiffness/structure';
import type { Pieces } from './breakpoints';
import { IMPOSED_WIDTH, PIECE_LOAD_WIDTH, type PieceLoads } from './piece-loads';
import { offsetOf, pieceWidth } from './quantities';

const [OVY, OVZ, OT, OMY, OMZ, OU, OV, OW] = (['Vy', 'Vz', 'T', 'My', 'Mz', 'u', 'v', 'w'] as const).map(offsetOf) as [
  number,
  number,
  number,
  number,
  number,
  number,
  number,
  number,
];

/** What acts on a piece without loads. */
const NOTHING = new Float64Array(PIECE_LOAD_WIDTH);

/**
 * The diagrams of member m as polynomials of s = x − from over each piece, written into `out` (`pieceWidth` numbers a piece). `ends`: forces that the nodes exert on the members, local (12m); `starts`: the displacements of the
 * members' own starts (6m). N′ = −qx, V′ = q, M′ = V; curvatures κ = EI⁻¹·M (2 × 2) plus what is imposed; the slopes rz and −ry
 * grow by κ, v′ and w′ are the slopes less the shear angles, u′ = N/EA + ε. `wasm/recovery.ts` does the same for all members.
 */
export function recoverMember(
  s: Structure,
  m: number,
  cut: Pieces,
  bends: Float64Array,
  loads: PieceLoads,
  ends: Float64Array,
  starts: Float64Array,
  out: Float64Array,
): void {
  const o = STIFFNESS_WIDTH * m;
  const EA = s.stiffnesses[o]!;
  const shearV = 1 / s.stiffnesses[o + 5]!;
  const shearW = 1 / s.stiffnesses[o + 6]!;
  const flexV = bends[BEND_WIDTH * m + BEND_FLEXIBILITY]!;
  const flexVW = bends[BEND_WIDTH * m + BEND_FLEXIBILITY + 1]!;
  const flexW = bends[BEND_WIDTH * m + BEND_FLEXIBILITY + 2]!;
  const plane = isPlane(s);
  const width = pieceWidth(s);
  const at = 12 * m;
  const start = 6 * m;
  let N = -ends[at]!;
  let Vy = ends[at + 1]!;
  let Vz = ends[at + 2]!;
  let T = -ends[at + 3]!;
  let My = ends[at + 4]!;
  let Mz = -ends[at + 5]!;
  let u = starts[start]!;
  let v = starts[start + 1]!;
  let w = starts[start + 2]!;
  let slopeV = starts[start + 5]!;
  let slopeW = -starts[start + 4]!;
  const record = slotOf(loads, m);
  const [strain, kappaV, kappaW] = record < 0 ? [0, 0, 0] : imposed(loads.values, record);
  for (let k = cut.first[m]!; k < cut.first[m + 1]!; k++) {
    const h = cut.to[k]! - cut.from[k]!;
    const f = record < 0 ? NOTHING : loads.values;
    const p = record < 0 ? 0 : record + IMPOSED_WIDTH + PIECE_LOAD_WIDTH * (k - cut.first[m]!);
    N -= f[p]!;
    Vy += f[p + 1]!;
    Vz += f[p + 2]!;
    T -= f[p + 3]!;
    // A couple on the part before the cut is balanced by the opposite moment; about y that is tension on the +z face.
    My += f[p + 4]!;
    Mz -= f[p + 5]!;
    const qx = f[p + 6]!;
    const dx = f[p + 7]!;
    const qy = f[p + 8]!;
    const dy = f[p + 9]!;
    const P = k * width;
    out[P] = N;
    out[P + 1] = -qx;
    out[P + 2] = -dx / 2;
    out[P + OVY] = Vy;
    out[P + OVY + 1] = qy;
    out[P + OVY + 2] = dy / 2;
    cubic(out, P + OMZ, Mz, Vy, qy, dy);
    out[P + OU] = u;
    out[P + OU + 1] = N / EA + strain;
    out[P + OU + 2] = -qx / (2 * EA);
    out[P + OU + 3] = -dx / (6 * EA);
    if (!plane) {
      const qz = f[p + 10]!;
      const dz = f[p + 11]!;
      out[P + OVZ] = Vz;
      out[P + OVZ + 1] = qz;
      out[P + OVZ + 2] = dz / 2;
      out[P + OT] = T;
      cubic(out, P + OMY, My, Vz, qz, dz);
      quintic(out, P + OW, w, slopeW, kappaW, P + OMY, flexW, P + OMZ, flexVW, Vz, qz, dz, shearW);
      const areaY = area(out, P + OMY, h);
      w = valueAtEnd(out, P + OW, h);
      slopeW += h * kappaW + flexW * areaY + flexVW * area(out, P + OMZ, h);
      My += h * (Vz + h * (qz / 2 + (h * dz) / 6));
      Vz += h * (qz + (h * dz) / 2);
    }
    // In the plane nothing bends out of it: flexVW is zero, whatever it is multiplied by.
    const other = P + (plane ? OMZ : OMY);
    quintic(out, P + OV, v, slopeV, kappaV, P + OMZ, flexV, other, flexVW, Vy, qy, dy, shearV);
    // Carry to the end of the piece.
    u += h * (out[P + OU + 1]! + h * (out[P + OU + 2]! + h * out[P + OU + 3]!));
    v = valueAtEnd(out, P + OV, h);
    slopeV += h * kappaV + flexV * area(out, P + OMZ, h) + flexVW * area(out, other, h);
    Mz += h * (Vy + h * (qy / 2 + (h * dy) / 6));
    Vy += h * (qy + (h * dy) / 2);
    N -= h * (qx + (h * dx) / 2);
  }
}

const imposed = (values: Float64Array, at: number): readonly [number, number, number] => [
  values[at]!,
  values[at + 1]!,
  values[at + 2]!,
];

/** M = M0 + V s + q s²/2 + q′ s³/6 */
function cubic(out: Float64Array, at: number, M: number, V: number, q0: number, slope: number): void {
  out[at] = M;
  out[at + 1] = V;
  out[at + 2] = q0 / 2;
  out[at + 3] = slope / 6;
}

/** Twice integrated: κ = imposed + flex·M + cross·(moment of the other plane); less the shear angle V/GA once integrated. */
function quintic(
  out: Float64Array,
  at: number,
  value: number,
  slope: number,
  imposed: number,
  moment: number,
  flex: number,
  other: number,
  cross: number,
  V: number,
  q0: number,
  dq: number,
  shear: number,
): void {
  out[at] = value;
  out[at + 1] = slope - V * shear;
  out[at + 2] = (imposed + flex * out[moment]! + cross * out[other]! - q0 * shear) / 2;
  out[at + 3] = (flex * out[moment + 1]! + cross * out[other + 1]! - dq * shear) / 6;
  out[at + 4] = (flex * out[moment + 2]! + cross * out[other + 2]!) / 12;
  out[at + 5] = (flex * out[moment + 3]! + cross * out[other + 3]!) / 20;
}

const valueAtEnd = (c: Float64Array, at: number, h: number): number =>
  c[at]! + h * (c[at + 1]! + h * (c[at + 2]! + h * (c[at + 3]! + h * (c[at + 4]! + h * c[at + 5]!))));

/** Integral of a cubic over the piece. */
const area = (c: Float64Array, at: number, h: number): number =>
  h * (c[at]! + h * (c[at + 1]! / 2 + h * (c[at + 2]! / 3 + (h * c[at + 3]!) / 4)));
