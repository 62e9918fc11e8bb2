import type { MemberLoads } from '../stiffness/equivalent-loads';
import type { MemberMatrices } from '../stiffness/member-matrices';
import { FREEDOMS, isPlane, memberCount, MEMBER_FREEDOMS, nodeCount, type Structure } from '../stiffness/structure';
import type { Pieces } from './breakpoints';
import { largest } from './equilibrium';
import type { PieceLoads } from './piece-loads';
import { PIECE_WIDTH } from './quantities';
import { recoverOwnEnds } from './recover-ends';
import { recoverMember } from './recover-member';
import { INFO_WIDTH, recoveryKernels, TABLE_WIDTH, type RecoveryKernels } from './recovery-kernels';
import { recoveryTable } from './recovery-table';

const N = MEMBER_FREEDOMS;

/** One case, from the movements of the nodes (6n, nodes' axes) and its loads as the ends and as the pieces feel them. */
export interface MovedCase {
  readonly movements: Float64Array;
  readonly loads: MemberLoads;
  readonly along: PieceLoads;
}

/** What the members feel in one case. */
export interface Recovered {
  /** 12m, local: what the nodes exert on the member's ends. */
  readonly ends: Float64Array;
  /** PIECE_WIDTH numbers a piece. */
  readonly coefficients: Float64Array;
  /** 6n, nodes' axes: what the nodes exert on all members; valid until the next case. */
  readonly onNodes: Float64Array;
  readonly largestEnd: number;
}

type Use = (recovered: Recovered, i: number) => void;

/** Recovers the members of each case in turn: with kernels where the platform has them, else member by member. */
export function recoverMembers(s: Structure, matrices: MemberMatrices, cut: Pieces, cases: readonly MovedCase[], use: Use): void {
  const kernels = recoveryKernels();
  if (kernels) recoverWith(kernels, s, matrices, cut, cases, use);
  else recoverPlainly(s, matrices, cut, cases, use);
}

/** Without kernels: what they are held to. */
export function recoverPlainly(s: Structure, matrices: MemberMatrices, cut: Pieces, cases: readonly MovedCase[], use: Use): void {
  const starts = new Float64Array(FREEDOMS * memberCount(s));
  cases.forEach(({ movements, loads, along }, i) => {
    const ends = new Float64Array(N * memberCount(s));
    const coefficients = new Float64Array(PIECE_WIDTH * cut.from.length);
    const onNodes = new Float64Array(movements.length);
    for (let m = 0; m < memberCount(s); m++) {
      recoverOwnEnds(s, matrices, m, movements, loads, ends, starts, onNodes);
      recoverMember(s, m, cut, matrices.bends, along, ends, starts, coefficients);
    }
    use({ ends, coefficients, onNodes, largestEnd: largest(ends) }, i);
  });
}

function recoverWith(
  kernels: RecoveryKernels,
  s: Structure,
  matrices: MemberMatrices,
  cut: Pieces,
  cases: readonly MovedCase[],
  use: Use,
): void {
  const members = memberCount(s);
  const nodal = FREEDOMS * nodeCount(s);
  const most = (list: (one: MovedCase) => Float64Array): number => cases.reduce((max, one) => Math.max(max, list(one).length), 0);
  let length = 0;
  /** The next free place, for so many numbers. */
  const place = (count: number): number => (length += count) - count;
  const table = place(TABLE_WIDTH * members);
  const lengths = place(cut.from.length);
  const movementsAt = place(nodal);
  const onNodesAt = place(nodal);
  const endsAt = place(N * members);
  const startsAt = place(FREEDOMS * members);
  const coefficientsAt = place(PIECE_WIDTH * cut.from.length);
  const loadsAt = place(most(({ loads }) => loads.values));
  const recordsAt = place(most(({ along }) => along.values));
  // Integers lie two to a number.
  const info = 2 * place((INFO_WIDTH / 2) * (members + 1));
  const lists = 2 * place(members);
  const { numbers, integers } = kernels.reserve(length);
  const view = (at: number, count: number): Float64Array => numbers.subarray(at, at + count);
  const ends = view(endsAt, N * members);
  const starts = view(startsAt, FREEDOMS * members);
  const coefficients = view(coefficientsAt, PIECE_WIDTH * cut.from.length);
  const onNodes = view(onNodesAt, nodal);
  const fixed = recoveryTable(s, matrices);
  numbers.set(fixed.numbers, table);
  integers.set(fixed.info, info);
  for (let m = 0; m <= members; m++) integers[info + INFO_WIDTH * m + 3] = cut.first[m]!;
  for (let k = 0; k < cut.from.length; k++) numbers[lengths + k] = cut.to[k]! - cut.from[k]!;
  // What a plane structure has no part of is not written.
  coefficients.fill(0);
  cases.forEach(({ movements, loads, along }, i) => {
    numbers.set(movements, movementsAt);
    numbers.set(loads.values, loadsAt);
    numbers.set(along.values, recordsAt);
    integers.set(loads.at, lists);
    integers.set(along.at, lists + members);
    onNodes.fill(0);
    let largestEnd = kernels.ends(members, table, info, movementsAt, lists, loadsAt, endsAt, startsAt, onNodesAt);
    for (const m of fixed.indirect) {
      recoverOwnEnds(s, matrices, m, movements, loads, ends, starts, onNodes);
      largestEnd = Math.max(largestEnd, largest(ends.subarray(N * m, N * (m + 1))));
    }
    kernels.diagrams(members, table, info, lengths, lists + members, recordsAt, endsAt, startsAt, coefficientsAt, isPlane(s));
    use({ ends: ends.slice(), coefficients: coefficients.slice(), onNodes, largestEnd }, i);
  });
}
