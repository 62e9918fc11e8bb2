import { condenseLoads, recoverEnds } from '../stiffness/condensation';
import type { MemberMatrices } from '../stiffness/member-matrices';
import { freedomOf } from '../stiffness/assemble';
import { FREEDOMS, memberCount, MEMBER_FREEDOMS, nodeCount, type Structure } from '../stiffness/structure';
import { apply, applyTransposed } from '../stiffness/transformation';
import type { Pieces } from './breakpoints';
import { appliedResultant, equilibriumOf, reactionResultant } from './equilibrium';
import { PIECE_WIDTH } from './quantities';
import { recoverMember } from './recover-member';
import type { LinearOutcome } from './results';

const N = MEMBER_FREEDOMS;

const NO_LOADS = new Float64Array(N);

/** All results of case c from the movements of the nodes (3n, nodes' axes) and the loads of the members (as ends feel them). */
export function recoverCase(
  s: Structure,
  matrices: readonly MemberMatrices[],
  c: number,
  movements: Float64Array,
  memberLoads: readonly (Float64Array | undefined)[],
  cut: Pieces,
): LinearOutcome {
  const ends = new Float64Array(N * memberCount(s));
  const coefficients = new Float64Array(PIECE_WIDTH * cut.from.length);
  const onMembers = new Float64Array(movements.length);
  const atNodes = new Float64Array(N);
  for (let m = 0; m < memberCount(s); m++) {
    const { condensed, transformation } = matrices[m]!;
    for (let i = 0; i < N; i++) atNodes[i] = movements[freedomOf(s, m, i)]!;
    const own = apply(transformation, atNodes);
    const loads = memberLoads[m] ?? NO_LOADS;
    const memberEnds = endForces(condensed.stiffness, own, condensed, loads);
    ends.set(memberEnds, N * m);
    const nodal = applyTransposed(transformation, memberEnds);
    for (let i = 0; i < N; i++) onMembers[freedomOf(s, m, i)]! += nodal[i]!;

    recoverEnds(condensed, own, loads);
    // A member without a bow of its own is straight between its ends.
    if (s.stiffnesses[4 * m + 3] === 0) own[2] = (own[4]! - own[1]!) / s.lengths[m]!;
    recoverMember(s, m, c, cut, memberEnds, own, coefficients);
  }
  const reactions = reactionsOf(s, c, movements, onMembers);
  const equilibrium = equilibriumOf(appliedResultant(s, c), reactionResultant(s, reactions), [reactions, ends]);
  return { displacements: toGlobal(s, movements), reactions, ends, coefficients, equilibrium };
}

/** f = k·d − p with the condensed stiffness and loads: exact zeros where an end is free. */
function endForces(
  stiffness: Float64Array,
  d: Float64Array,
  condensed: MemberMatrices['condensed'],
  loads: Float64Array,
): Float64Array {
  const force = loads.slice();
  condenseLoads(condensed, force);
  for (let i = 0; i < N; i++) {
    let sum = -force[i]!;
    for (let j = 0; j < N; j++) sum += stiffness[i * N + j]! * d[j]!;
    force[i] = sum;
  }
  return force;
}

/**
 * What the supports exert: at a fixed freedom the forces on the members less the load on the node, at a sprung one the spring's
 * own force. Global axes.
 */
function reactionsOf(s: Structure, c: number, movements: Float64Array, onMembers: Float64Array): Float64Array {
  const n = nodeCount(s);
  const reactions = new Float64Array(FREEDOMS * n);
  for (let i = 0; i < n; i++) {
    const o = FREEDOMS * (c * n + i);
    const [tc, ts] = [s.turns[2 * i]!, s.turns[2 * i + 1]!];
    const load = [
      tc * s.nodeLoads[o]! + ts * s.nodeLoads[o + 1]!,
      tc * s.nodeLoads[o + 1]! - ts * s.nodeLoads[o]!,
      s.nodeLoads[o + 2]!,
    ];
    for (let k = 0; k < FREEDOMS; k++) {
      const f = FREEDOMS * i + k;
      const restraint = s.restraints[f]!;
      if (restraint === Infinity) reactions[f] = onMembers[f]! - load[k]!;
      else if (restraint > 0) reactions[f] = restraint * (s.settlements[o + k]! - movements[f]!);
    }
  }
  return toGlobal(s, reactions);
}

/** Vectors at nodes (3n) from the nodes' own axes to global ones. */
function toGlobal(s: Structure, own: Float64Array): Float64Array {
  const result = own.slice();
  for (let i = 0; i < nodeCount(s); i++) {
    const [tc, ts] = [s.turns[2 * i]!, s.turns[2 * i + 1]!];
    result[FREEDOMS * i] = tc * own[FREEDOMS * i]! - ts * own[FREEDOMS * i + 1]!;
    result[FREEDOMS * i + 1] = ts * own[FREEDOMS * i]! + tc * own[FREEDOMS * i + 1]!;
  }
  return result;
}
