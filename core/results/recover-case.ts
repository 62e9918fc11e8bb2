import { loadsOnNodes } from '../stiffness/assemble';
import { bendingOf, type Bending } from '../stiffness/bending';
import { condenseLoads, recoverEnds } from '../stiffness/condensation';
import type { MemberLoads } from '../stiffness/equivalent-loads';
import { MATRIX_WIDTH, type MemberMatrices } from '../stiffness/member-matrices';
import { BOWS_V, BOWS_W, FREEDOMS, memberCount, MEMBER_FREEDOMS, nodeCount, type Structure } from '../stiffness/structure';
import { addToNodes, endMovements, toGlobalAxes } from '../stiffness/transformation';
import type { Pieces } from './breakpoints';
import { appliedResultant, equilibriumOf, reactionResultant } from './equilibrium';
import { PIECE_WIDTH } from './quantities';
import { recoverMember } from './recover-member';
import type { LinearOutcome } from './results';

const N = MEMBER_FREEDOMS;
const NO_LOADS = new Float64Array(N);

/** The bending matrices of all members, which every case needs. */
export const bendings = (s: Structure): Bending[] => Array.from({ length: memberCount(s) }, (_, m) => bendingOf(s, m));

/** All results of case c from the movements of the nodes (6n, nodes' axes) and the loads of the members (as ends feel them). */
export function recoverCase(
  s: Structure,
  matrices: MemberMatrices,
  bends: readonly Bending[],
  c: number,
  movements: Float64Array,
  memberLoads: MemberLoads,
  cut: Pieces,
): LinearOutcome {
  const ends = new Float64Array(N * memberCount(s));
  const coefficients = new Float64Array(PIECE_WIDTH * cut.from.length);
  const onMembers = new Float64Array(movements.length);
  const own = new Float64Array(N);
  for (let m = 0; m < memberCount(s); m++) {
    const condensed = matrices.condensed[m];
    endMovements(s, m, matrices.transforms[m], movements, own);
    const place = memberLoads.at[m]!;
    const [loads, at] = place < 0 ? [NO_LOADS, 0] : [memberLoads.values, place];
    // f = k·d − p with the condensed stiffness and loads: exact zeros where an end is free.
    let [felt, feltAt] = [loads, at];
    if (condensed && place >= 0) {
      felt = loads.slice(at, at + N);
      feltAt = 0;
      condenseLoads(condensed, felt);
    }
    const k = MATRIX_WIDTH * m;
    for (let i = 0; i < N; i++) {
      let sum = -felt[feltAt + i]!;
      for (let j = 0; j < N; j++) sum += matrices.local[k + i * N + j]! * own[j]!;
      ends[N * m + i] = sum;
    }
    addToNodes(s, m, matrices.transforms[m], ends, N * m, onMembers);
    if (condensed) recoverEnds(condensed, own, loads, at);
    // A member without a bow of its own is straight between its ends.
    if (!(s.bows[m]! & BOWS_V)) own[5] = (own[7]! - own[1]!) / s.lengths[m]!;
    if (!(s.bows[m]! & BOWS_W)) own[4] = (own[2]! - own[8]!) / s.lengths[m]!;
    recoverMember(s, m, c, cut, bends[m]!, ends, N * m, own, coefficients);
  }
  const reactions = reactionsOf(s, c, movements, onMembers);
  const equilibrium = equilibriumOf(appliedResultant(s, c), reactionResultant(s, reactions), [reactions, ends]);
  const displacements = movements.slice();
  toGlobalAxes(s, displacements);
  return { displacements, reactions, ends, coefficients, equilibrium };
}

/**
 * What the supports exert: at a fixed freedom the forces on the members less the load on the node, at a sprung one the spring's
 * own force. Global axes.
 */
function reactionsOf(s: Structure, c: number, movements: Float64Array, onMembers: Float64Array): Float64Array {
  const count = FREEDOMS * nodeCount(s);
  const reactions = new Float64Array(count);
  const loads = loadsOnNodes(s, c);
  for (let f = 0; f < count; f++) {
    const restraint = s.restraints[f]!;
    if (restraint === Infinity) reactions[f] = onMembers[f]! - loads[f]!;
    else if (restraint > 0) reactions[f] = restraint * (s.settlements[c * count + f]! - movements[f]!);
  }
  toGlobalAxes(s, reactions);
  return reactions;
}
