import { BEND_WIDTH } from '../stiffness/bending';
import { condenseLoads, recoverEnds } from '../stiffness/condensation';
import { slotOf } from '../stiffness/load-slots';
import type { MemberLoads } from '../stiffness/equivalent-loads';
import type { MemberMatrices } from '../stiffness/member-matrices';
import { addEndForces } from '../stiffness/member-stiffness';
import { BOWS_V, BOWS_W, FREEDOMS, MEMBER_FREEDOMS, STIFFNESS_WIDTH, type Structure } from '../stiffness/structure';
import { addToNodes, endDisplacements } from '../stiffness/transformation';

const N = MEMBER_FREEDOMS;

const d = new Float64Array(N);
const NO_LOADS = new Float64Array(N);

/** End forces (12m), displacements of the start (6m) and forces on the nodes (6n, added) of member m, whatever joins it to them. */
export function recoverOwnEnds(
  s: Structure,
  matrices: MemberMatrices,
  m: number,
  displacements: Float64Array,
  loads: MemberLoads,
  ends: Float64Array,
  starts: Float64Array,
  onNodes: Float64Array,
): void {
  const B = matrices.transforms[m];
  const condensed = matrices.condensed[m];
  const place = slotOf(loads, m);
  endDisplacements(s, m, B, displacements, d);
  endForces(s, matrices, m, loads, ends);
  addToNodes(s, m, B, ends, N * m, onNodes);
  if (condensed) recoverEnds(condensed, d, place < 0 ? NO_LOADS : loads.values, Math.max(place, 0));
  for (let i = 0; i < 4; i++) starts[FREEDOMS * m + i] = d[i]!;
  // A member without a bow of its own is straight between its ends.
  starts[FREEDOMS * m + 4] = s.bows[m]! & BOWS_W ? d[4]! : (d[2]! - d[8]!) / s.lengths[m]!;
  starts[FREEDOMS * m + 5] = s.bows[m]! & BOWS_V ? d[5]! : (d[7]! - d[1]!) / s.lengths[m]!;
}

/** f = k·d − p with the condensed stiffness and loads, written to `ends`: exact zeros where an end is free. */
function endForces(s: Structure, matrices: MemberMatrices, m: number, loads: MemberLoads, ends: Float64Array): void {
  const at = slotOf(loads, m);
  const o = N * m;
  for (let i = 0; i < N; i++) ends[o + i] = at < 0 ? 0 : loads.values[at + i]!;
  const condensed = matrices.condensed[m];
  if (condensed && at >= 0) condenseLoads(condensed, ends, o);
  for (let i = 0; i < N; i++) ends[o + i] = 0 - ends[o + i]!;
  const k = matrices.local[m];
  if (!k) {
    const q = STIFFNESS_WIDTH * m;
    const EA = s.stiffnesses[q]!;
    addEndForces(ends, o, d, EA, s.stiffnesses[q + 1]!, s.lengths[m]!, matrices.bends, BEND_WIDTH * m);
    return;
  }
  for (let i = 0; i < N; i++) {
    let sum = 0;
    for (let j = 0; j < N; j++) sum += k[i * N + j]! * d[j]!;
    ends[o + i]! += sum;
  }
}
