import { loadsOnNodes } from '../stiffness/assemble';
import { condenseLoads, recoverEnds } from '../stiffness/condensation';
import type { MemberLoads } from '../stiffness/equivalent-loads';
import type { MemberMatrices } from '../stiffness/member-matrices';
import { addEndForces } from '../stiffness/member-stiffness';
import {
  BOWS_V,
  BOWS_W,
  FREEDOMS,
  memberCount,
  MEMBER_FREEDOMS,
  nodeCount,
  STIFFNESS_WIDTH,
  type Structure,
} from '../stiffness/structure';
import { addToNodes, endMovements, toGlobalAxes } from '../stiffness/transformation';
import type { Pieces } from './breakpoints';
import { appliedResultant, balance, largest, reactionResultant } from './equilibrium';
import { PIECE_WIDTH } from './quantities';
import { recoverMember } from './recover-member';
import type { LinearOutcome } from './results';

const N = MEMBER_FREEDOMS;
const NO_LOADS = new Float64Array(N);

/**
 * All results of case c from the movements of the nodes (6n, nodes' axes) and the loads of the members (as ends feel them).
 * `solution`: how well the equations were solved, and the largest force that drives them, imposed movements included: what the
 * balance is measured by where the structure only follows its ground and feels nothing.
 */
export function recoverCase(
  s: Structure,
  matrices: MemberMatrices,
  c: number,
  movements: Float64Array,
  memberLoads: MemberLoads,
  cut: Pieces,
  solution: { readonly residual: number; readonly driving: number },
): LinearOutcome {
  const ends = new Float64Array(N * memberCount(s));
  const coefficients = new Float64Array(PIECE_WIDTH * cut.from.length);
  const onMembers = new Float64Array(movements.length);
  const own = new Float64Array(N);
  for (let m = 0; m < memberCount(s); m++) {
    const B = matrices.transforms[m];
    endMovements(s, m, B, movements, own);
    const place = memberLoads.at[m]!;
    endForces(s, matrices, m, own, memberLoads, ends);
    addToNodes(s, m, B, ends, N * m, onMembers);
    const condensed = matrices.condensed[m];
    if (condensed) recoverEnds(condensed, own, place < 0 ? NO_LOADS : memberLoads.values, Math.max(place, 0));
    // A member without a bow of its own is straight between its ends.
    const bows = s.bows[m]!;
    if (!(bows & BOWS_V)) own[5] = (own[7]! - own[1]!) / s.lengths[m]!;
    if (!(bows & BOWS_W)) own[4] = (own[2]! - own[8]!) / s.lengths[m]!;
    recoverMember(s, m, place < 0 ? -1 : c, cut, matrices.bends[m]!, ends, N * m, own, coefficients);
  }
  const reactions = reactionsOf(s, c, movements, onMembers);
  const loads = loadsOnNodes(s, c);
  const size = Math.max(solution.driving, largest(loads), largest(ends), largest(memberLoads.values), largest(reactions));
  const unbalanced = worstJoint(s, c, movements, onMembers, loads);
  const equilibrium = {
    ...balance(appliedResultant(s, c), reactionResultant(s, reactions), size),
    solutionResidual: solution.residual,
    jointResidual: size === 0 ? 0 : unbalanced / size,
    size,
  };
  const displacements = movements.slice();
  toGlobalAxes(s, displacements);
  return { displacements, reactions, ends, coefficients, equilibrium };
}

/** f = k·d − p with the condensed stiffness and loads, written to `ends`: exact zeros where an end is free. */
function endForces(
  s: Structure,
  matrices: MemberMatrices,
  m: number,
  own: Float64Array,
  loads: MemberLoads,
  ends: Float64Array,
): void {
  const at = loads.at[m]!;
  const o = N * m;
  if (at >= 0) for (let i = 0; i < N; i++) ends[o + i] = loads.values[at + i]!;
  const condensed = matrices.condensed[m];
  if (condensed && at >= 0) condenseLoads(condensed, ends, o);
  if (at >= 0) for (let i = 0; i < N; i++) ends[o + i] = -ends[o + i]!;
  const k = matrices.local[m];
  if (!k) {
    const q = STIFFNESS_WIDTH * m;
    addEndForces(ends, o, own, s.stiffnesses[q]!, s.stiffnesses[q + 1]!, matrices.bends[m]!, s.lengths[m]!);
    return;
  }
  for (let i = 0; i < N; i++) {
    let sum = 0;
    for (let j = 0; j < N; j++) sum += k[i * N + j]! * own[j]!;
    ends[o + i]! += sum;
  }
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

/** What is left at the worst joint: forces on members and springs less what is loaded there, over all freedoms that are not fixed. */
function worstJoint(s: Structure, c: number, movements: Float64Array, onMembers: Float64Array, loads: Float64Array): number {
  const count = loads.length;
  let worst = 0;
  for (let f = 0; f < count; f++) {
    const restraint = s.restraints[f]!;
    if (restraint === Infinity) continue;
    const spring = restraint > 0 ? restraint * (s.settlements[c * count + f]! - movements[f]!) : 0;
    worst = Math.max(worst, Math.abs(onMembers[f]! - loads[f]! - spring));
  }
  return worst;
}
