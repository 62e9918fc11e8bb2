import { BOWS_V, BOWS_W, STIFFNESS_WIDTH, type Structure } from './structure';

/**
 * Bending of a member in both planes at once, as 2 × 2 matrices over (v, w): they are diagonal unless the section has Iyz.
 * EI = [EIz EIyz; EIyz EIy]; Q = (EI⁻¹ + 12/L²·GA⁻¹)⁻¹, which is EI without shear deformation; D = EI⁻¹·Q tells which part of an
 * end's translation bends the member, I − D which part shears it. For one plane D = 1/(1 + Φ), Φ = 12 EI/(GA·L²).
 */
export interface Bending {
  readonly EI: readonly [vv: number, vw: number, ww: number];
  readonly Q: readonly [vv: number, vw: number, ww: number];
  /** By rows; not symmetric in general. */
  readonly D: readonly [vv: number, vw: number, wv: number, ww: number];
  /** EI⁻¹, with zeros in a plane where the member's own bow is not known. */
  readonly flexibility: readonly [vv: number, vw: number, ww: number];
}

/** Shear parameter Φ = 12 EI / (GA·L²) of a Timoshenko member; 0 for Euler–Bernoulli. */
export const shearParameter = (EI: number, GA: number, L: number): number => (GA === Infinity ? 0 : (12 * EI) / (GA * L * L));

/** The bending matrices of member m. */
export function bendingOf(s: Structure, m: number): Bending {
  const o = STIFFNESS_WIDTH * m;
  const k = s.stiffnesses;
  return bending(k[o + 2]!, k[o + 3]!, k[o + 4]!, k[o + 5]!, k[o + 6]!, s.lengths[m]!, s.bows[m]);
}

export function bending(
  EIz: number,
  EIy: number,
  EIyz: number,
  GAy: number,
  GAz: number,
  L: number,
  bows = BOWS_V | BOWS_W,
): Bending {
  const EI = [EIz, EIyz, EIy] as const;
  if (EIyz === 0) {
    const [v, w] = [1 / (1 + shearParameter(EIz, GAy, L)), 1 / (1 + shearParameter(EIy, GAz, L))];
    const flexibility = [bows & BOWS_V ? 1 / EIz : 0, 0, bows & BOWS_W ? 1 / EIy : 0] as const;
    return { EI, Q: [EIz * v, 0, EIy * w], D: [v, 0, 0, w], flexibility };
  }
  const determinant = EIz * EIy - EIyz * EIyz;
  const inverse = [EIy / determinant, -EIyz / determinant, EIz / determinant] as const;
  if (GAy === Infinity && GAz === Infinity) return { EI, Q: EI, D: [1, 0, 0, 1], flexibility: inverse };
  const [a, b, d] = [inverse[0] + 12 / (L * L * GAy), inverse[1], inverse[2] + 12 / (L * L * GAz)];
  const size = a * d - b * b;
  const Q = [d / size, -b / size, a / size] as const;
  return {
    EI,
    Q,
    D: [
      inverse[0] * Q[0] + inverse[1] * Q[1],
      inverse[0] * Q[1] + inverse[1] * Q[2],
      inverse[1] * Q[0] + inverse[2] * Q[1],
      inverse[1] * Q[1] + inverse[2] * Q[2],
    ],
    flexibility: inverse,
  };
}
