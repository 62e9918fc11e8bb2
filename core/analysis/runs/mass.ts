import type { Model } from '../../model/model';
import { massesOf } from '../../stiffness/compile';
import { memberBlocks } from '../../stiffness/member-blocks';
import type { MemberMatrices } from '../../stiffness/member-matrices';
import { MEMBER_FREEDOMS, STIFFNESS_WIDTH, type Structure } from '../../stiffness/structure';

const N = MEMBER_FREEDOMS;

/** Translation across the member and rotation with its slope, and the sign by which the slope is the rotation: v′ = rz, w′ = −ry. */
const PLANES = [
  { across: 1, turn: 5, sign: 1 },
  { across: 2, turn: 4, sign: -1 },
] as const;

/**
 * The consistent mass of the members, laid out as `MemberMatrices.nodal`: of their own mass, moving as the cubic shape and, along and about their
 * axes, in proportion. Archer, Consistent mass matrix for distributed mass systems, Journal of the Structural Division 89 (1963).
 */
export function consistentMass(model: Model, s: Structure, matrices: MemberMatrices): Float64Array {
  const massOf = massesOf(model);
  return memberBlocks(s, matrices, (m, k) => {
    const L = s.lengths[m]!;
    const mass = massOf(m) * L;
    const [EA, , EIz, EIy] = s.stiffnesses.subarray(STIFFNESS_WIDTH * m, STIFFNESS_WIDTH * m + 4);
    const set = (i: number, j: number, value: number): void => void (k[N * i + j] = k[N * j + i] = value);
    const along = (i: number, size: number): void => {
      set(i, i, size / 3);
      set(i + 6, i + 6, size / 3);
      set(i, i + 6, size / 6);
    };
    along(0, mass);
    along(3, (mass * (EIz! + EIy!)) / EA!);
    for (const { across: v, turn: r, sign } of PLANES) {
      const part = mass / 420;
      set(v, v, 156 * part);
      set(v + 6, v + 6, 156 * part);
      set(v, v + 6, 54 * part);
      set(r, r, 4 * L * L * part);
      set(r + 6, r + 6, 4 * L * L * part);
      set(r, r + 6, -3 * L * L * part);
      set(v, r, sign * 22 * L * part);
      set(v + 6, r + 6, -sign * 22 * L * part);
      set(v, r + 6, -sign * 13 * L * part);
      set(v + 6, r, sign * 13 * L * part);
    }
  });
}
