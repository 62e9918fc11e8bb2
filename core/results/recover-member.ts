import type { Bending } from '../stiffness/bending';
import {
  BOWS_V,
  BOWS_W,
  isPlane,
  LINE_WIDTH,
  POINT_WIDTH,
  STIFFNESS_WIDTH,
  STRAIN_WIDTH,
  type Structure,
} from '../stiffness/structure';
import { COINCIDENT, type Pieces } from './breakpoints';
import { offsetOf, PIECE_WIDTH } from './quantities';

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

/** qx, qx′, qy, qy′, qz, qz′ of the piece at hand. */
const q = new Float64Array(6);

/**
 * The diagrams of member m in case c (-1 for a case that does not load it) as polynomials of s = x − from over each piece, written into `out` (PIECE_WIDTH numbers a
 * piece, in the order of `lineQuantities`). `ends`: forces that the nodes exert on the member, local (12, at `at`); `start`: the
 * movement of the member's own start (6). N′ = −qx, V′ = q, M′ = V; curvatures κ = EI⁻¹·M (2 × 2) plus what is imposed; the slopes
 * rz and −ry grow by κ, v′ and w′ are the slopes less the shear angles, u′ = N/EA + ε.
 */
export function recoverMember(
  s: Structure,
  m: number,
  c: number,
  cut: Pieces,
  bend: Bending,
  ends: Float64Array,
  at: number,
  start: Float64Array,
  out: Float64Array,
): void {
  const o = STIFFNESS_WIDTH * m;
  const EA = s.stiffnesses[o]!;
  const shearV = 1 / s.stiffnesses[o + 5]!;
  const shearW = 1 / s.stiffnesses[o + 6]!;
  const L = s.lengths[m]!;
  const flexV = bend.flexibility[0];
  const flexVW = bend.flexibility[1];
  const flexW = bend.flexibility[2];
  const plane = isPlane(s);
  let N = -ends[at]!;
  let Vy = ends[at + 1]!;
  let Vz = ends[at + 2]!;
  let T = -ends[at + 3]!;
  let My = ends[at + 4]!;
  let Mz = -ends[at + 5]!;
  let u = start[0]!;
  let v = start[1]!;
  let w = start[2]!;
  let slopeV = start[5]!;
  let slopeW = -start[4]!;
  if (c < 0 && cut.first[m + 1]! - cut.first[m]! === 1) {
    // Nothing acts between the ends: straight moments, cubic deflections, and nothing to carry on.
    const P = cut.first[m]! * PIECE_WIDTH;
    out[P] = N;
    out[P + OVY] = Vy;
    out[P + OMZ] = Mz;
    out[P + OMZ + 1] = Vy;
    out[P + OU] = u;
    out[P + OU + 1] = N / EA;
    bent(out, P + OV, v, slopeV, flexV, Mz, Vy, flexVW, My, Vz, shearV);
    if (plane) return;
    out[P + OVZ] = Vz;
    out[P + OT] = T;
    out[P + OMY] = My;
    out[P + OMY + 1] = Vz;
    bent(out, P + OW, w, slopeW, flexW, My, Vz, flexVW, Mz, Vy, shearW);
    return;
  }
  let strain = 0;
  let kappaV = 0;
  let kappaW = 0;
  const { strains, pointLoads } = s;
  for (let i = strains.first[m]!; i < strains.first[m + 1]!; i++) {
    if (strains.cases[i] !== c) continue;
    strain += strains.values[STRAIN_WIDTH * i]!;
    kappaV += s.bows[m]! & BOWS_V ? strains.values[STRAIN_WIDTH * i + 1]! : 0;
    kappaW += s.bows[m]! & BOWS_W ? strains.values[STRAIN_WIDTH * i + 2]! : 0;
  }

  for (let k = cut.first[m]!; k < cut.first[m + 1]!; k++) {
    const a = cut.from[k]!;
    const h = cut.to[k]! - a;
    for (let i = pointLoads.first[m]!; i < pointLoads.first[m + 1]!; i++) {
      const p = POINT_WIDTH * i;
      const f = pointLoads.values;
      // A load at the far end acts beyond the last piece; it shows in the end forces only.
      if (pointLoads.cases[i] !== c || Math.abs(f[p]! - a) > COINCIDENT * L) continue;
      N -= f[p + 1]!;
      Vy += f[p + 2]!;
      Vz += f[p + 3]!;
      T -= f[p + 4]!;
      // A couple on the part before the cut is balanced by the opposite moment; about y that is tension on the +z face.
      My += f[p + 5]!;
      Mz -= f[p + 6]!;
    }
    if (c >= 0) intensities(s, m, c, a, a + h);
    else q.fill(0);
    const qx = q[0]!;
    const dx = q[1]!;
    const qy = q[2]!;
    const dy = q[3]!;
    const P = k * PIECE_WIDTH;
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
      const qz = q[4]!;
      const dz = q[5]!;
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
    quintic(out, P + OV, v, slopeV, kappaV, P + OMZ, flexV, P + OMY, flexVW, Vy, qy, dy, shearV);
    // Carry to the end of the piece.
    u += h * (out[P + OU + 1]! + h * (out[P + OU + 2]! + h * out[P + OU + 3]!));
    v = valueAtEnd(out, P + OV, h);
    slopeV += h * kappaV + flexV * area(out, P + OMZ, h) + flexVW * area(out, P + OMY, h);
    Mz += h * (Vy + h * (qy / 2 + (h * dy) / 6));
    Vy += h * (qy + (h * dy) / 2);
    N -= h * (qx + (h * dx) / 2);
  }
}

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

/** The deflection of an unloaded piece: slope, and the curvatures of two straight moments, integrated. */
function bent(
  out: Float64Array,
  at: number,
  value: number,
  slope: number,
  flex: number,
  M: number,
  V: number,
  cross: number,
  otherM: number,
  otherV: number,
  shear: number,
): void {
  out[at] = value;
  out[at + 1] = slope - V * shear;
  out[at + 2] = (flex * M + cross * otherM) / 2;
  out[at + 3] = (flex * V + cross * otherV) / 6;
}

const valueAtEnd = (c: Float64Array, at: number, h: number): number =>
  c[at]! + h * (c[at + 1]! + h * (c[at + 2]! + h * (c[at + 3]! + h * (c[at + 4]! + h * c[at + 5]!))));

/** Integral of a cubic over the piece. */
const area = (c: Float64Array, at: number, h: number): number =>
  h * (c[at]! + h * (c[at + 1]! / 2 + h * (c[at + 2]! / 3 + (h * c[at + 3]!) / 4)));

/** Local intensities on [a, b] into `q`: value at a and slope, along x, y and z. */
function intensities({ lineLoads, lengths }: Structure, m: number, c: number, a: number, b: number): void {
  q.fill(0);
  const slack = COINCIDENT * lengths[m]!;
  const values = lineLoads.values;
  for (let i = lineLoads.first[m]!; i < lineLoads.first[m + 1]!; i++) {
    if (lineLoads.cases[i] !== c) continue;
    const o = LINE_WIDTH * i;
    const from = values[o]!;
    const to = values[o + 1]!;
    if (to - from <= slack || from > a + slack || to < b - slack) continue;
    for (let k = 0; k < 3; k++) {
      const slope = (values[o + 2 * k + 3]! - values[o + 2 * k + 2]!) / (to - from);
      q[2 * k]! += values[o + 2 * k + 2]! + slope * (a - from);
      q[2 * k + 1]! += slope;
    }
  }
}
