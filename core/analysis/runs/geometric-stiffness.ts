import type { MemberMatrices } from '../../stiffness/member-matrices';
import { memberBlocks } from '../../stiffness/member-blocks';
import { MEMBER_FREEDOMS, type Structure } from '../../stiffness/structure';

const N = MEMBER_FREEDOMS;
/** The translations across a member at its start; those at its end stand FREEDOMS behind them. */
const ACROSS = [1, 2];

/**
 * What the axial forces add to the stiffness that the nodes feel, laid out as `MemberMatrices.nodal`: a member under tension N that leans by ψ pulls
 * its ends apart by N·ψ across its axis (the chord rotates, P-Δ; what the member's own bow adds, P-δ, comes with shorter members).
 * Przemieniecki, Theory of Matrix Structural Analysis (1968), section 15.1, the string.
 * `ends`: 12m, local forces of the nodes on the members.
 */
export const geometricStiffness = (s: Structure, matrices: MemberMatrices, ends: Float64Array): Float64Array =>
  memberBlocks(s, matrices, (m, k) => {
    const tension = (ends[N * m + 6]! - ends[N * m]!) / 2;
    const pull = tension / s.lengths[m]!;
    for (const i of ACROSS) {
      k[N * i + i] = k[N * (i + 6) + i + 6] = pull;
      k[N * i + i + 6] = k[N * (i + 6) + i] = -pull;
    }
  });
