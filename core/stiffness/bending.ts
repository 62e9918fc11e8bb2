import { BOWS_V, BOWS_W, STIFFNESS_WIDTH, type Structure } from './structure';

/**
 * Bending of a member in both planes at once, as 2 × 2 matrices over (v, w), in BEND_WIDTH numbers: they are diagonal unless the
 * section has Iyz. EI = [EIz EIyz; EIyz EIy] and Q = (EI⁻¹ + 12/L²·GA⁻¹)⁻¹, which is EI without shear deformation, as vv, vw, ww;
 * D = EI⁻¹·Q (vv, vw, wv, ww; not symmetric in general) tells which part of an end's translation bends the member, I − D which part
 * shears it; last EI⁻¹ (vv, vw, ww), with zeros in a plane where the member's own bow is not known. For one plane
 * D = 1/(1 + Φ), Φ = 12 EI/(GA·L²).
 */
export const BEND_WIDTH = 13;
export const BEND_EI = 0;
export const BEND_Q = 3;
export const BEND_D = 6;
export const BEND_FLEXIBILITY = 10;

/** Shear parameter Φ = 12 EI / (GA·L²) of a Timoshenko member; 0 for Euler–Bernoulli. */
export const shearParameter = (EI: number, GA: number, L: number): number => (GA === Infinity ? 0 : (12 * EI) / (GA * L * L));

/** Writes the bending matrices of member m at `at`. */
export function bendingOf(s: Structure, m: number, out?: Float64Array, at = 0): Float64Array {
  const o = STIFFNESS_WIDTH * m;
  const k = s.stiffnesses;
  const section = { EIz: k[o + 2]!, EIy: k[o + 3]!, EIyz: k[o + 4]!, GAy: k[o + 5]!, GAz: k[o + 6]! };
  return bending(section, s.lengths[m]!, s.bows[m]!, out, at);
}

/** Stiffnesses of a section in bending (N·m²) and in shear (N; Infinity where it is not counted). */
export interface BendingStiffness {
  readonly EIz: number;
  readonly EIy: number;
  readonly EIyz: number;
  readonly GAy: number;
  readonly GAz: number;
}

/** Writes the bending matrices of a member with these stiffnesses and this length at `at`; returns what it wrote to. */
export function bending(
  { EIz, EIy, EIyz, GAy, GAz }: BendingStiffness,
  L: number,
  bows = BOWS_V | BOWS_W,
  out: Float64Array = new Float64Array(BEND_WIDTH),
  at = 0,
): Float64Array {
  put(out, at + BEND_EI, EIz, EIyz, EIy);
  if (EIyz === 0) {
    const v = 1 / (1 + shearParameter(EIz, GAy, L));
    const w = 1 / (1 + shearParameter(EIy, GAz, L));
    put(out, at + BEND_Q, EIz * v, 0, EIy * w);
    put(out, at + BEND_D, v, 0, 0);
    out[at + BEND_D + 3] = w;
    put(out, at + BEND_FLEXIBILITY, bows & BOWS_V ? 1 / EIz : 0, 0, bows & BOWS_W ? 1 / EIy : 0);
    return out;
  }
  const determinant = EIz * EIy - EIyz * EIyz;
  const vv = EIy / determinant;
  const vw = -EIyz / determinant;
  const ww = EIz / determinant;
  put(out, at + BEND_FLEXIBILITY, vv, vw, ww);
  if (GAy === Infinity && GAz === Infinity) {
    put(out, at + BEND_Q, EIz, EIyz, EIy);
    put(out, at + BEND_D, 1, 0, 0);
    out[at + BEND_D + 3] = 1;
    return out;
  }
  const a = vv + 12 / (L * L * GAy);
  const d = ww + 12 / (L * L * GAz);
  const size = a * d - vw * vw;
  const Qvv = d / size;
  const Qvw = -vw / size;
  const Qww = a / size;
  put(out, at + BEND_Q, Qvv, Qvw, Qww);
  put(out, at + BEND_D, vv * Qvv + vw * Qvw, vv * Qvw + vw * Qww, vw * Qvv + ww * Qvw);
  out[at + BEND_D + 3] = vw * Qvw + ww * Qww;
  return out;
}

function put(out: Float64Array, at: number, vv: number, vw: number, ww: number): void {
  out[at] = vv;
  out[at + 1] = vw;
  out[at + 2] = ww;
}
