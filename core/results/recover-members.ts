import { loadsOnNodes } from '../stiffness/assemble';
import { slotOf, writeSlots } from '../stiffness/load-slots';
import { addNodal, isBare } from '../stiffness/nodal-table';
import type { MemberMatrices } from '../stiffness/member-matrices';
import { FREEDOMS, isPlane, memberCount, MEMBER_FREEDOMS, nodeCount, type Structure } from '../stiffness/structure';
import type { Pieces } from './breakpoints';
import type { CaseLoads } from './case-loads';
import { maxNorm } from '../linear-algebra/max-norm';
import { balanceOfNodes, type NodalBalance } from './nodal-balance';
import { pieceWidth } from './quantities';
import { recoverOwnEnds } from './recover-ends';
import { recoverMember } from './recover-member';
import type { LinearOutcome } from './results';
import { INFO_WIDTH, recoveryKernels, type RecoveryKernels } from './recovery-kernels';
import { writeInfo } from './recovery-info';

const N = MEMBER_FREEDOMS;

/** Case c with its pieces and loads, and the displacements of the nodes under them (6n, nodes' axes). */
export interface MovedCase {
  readonly c: number;
  readonly pieces: Pieces;
  readonly loads: Pick<CaseLoads, 'onMembers' | 'along'>;
  readonly displacements: Float64Array;
  /** Where its results may be written, if it is as long as they are. */
  readonly memory?: Float64Array | undefined;
}

/** What members and supports feel in one case. */
export interface Recovered extends NodalBalance {
  /** 6n, nodes' axes: the displacements once more, with the rest in one buffer where kernels found it. */
  readonly displacements: Float64Array;
  /** 12m, local: what the nodes exert on the member's ends. */
  readonly ends: Float64Array;
  /** `pieceWidth` numbers a piece. */
  readonly coefficients: Float64Array;
  /** The largest end force or fixed-end force. */
  readonly largestOnMembers: number;
}

/** What the results of a case were written into by kernels: all of it in one buffer. Undefined of those that were given away. */
export const memoryOf = (outcome: LinearOutcome | undefined): Float64Array | undefined =>
  outcome?.displacements.length ? new Float64Array(outcome.displacements.buffer) : undefined;

type Use = (recovered: Recovered, i: number) => void;

/** Recovers each case in turn: with kernels where the platform has them, else member by member. */
export function recoverMembers(s: Structure, matrices: MemberMatrices, cases: readonly MovedCase[], use: Use): void {
  const kernels = recoveryKernels();
  if (kernels) recoverWith(kernels, s, matrices, cases, use);
  else recoverPlainly(s, matrices, cases, use);
}

/** Without kernels: what they are held to. */
export function recoverPlainly(s: Structure, matrices: MemberMatrices, cases: readonly MovedCase[], use: Use): void {
  const starts = new Float64Array(FREEDOMS * memberCount(s));
  cases.forEach(({ c, pieces: cut, displacements, loads }, i) => {
    const { onMembers, along } = loads;
    const ends = new Float64Array(N * memberCount(s));
    const coefficients = new Float64Array(pieceWidth(s) * cut.from.length);
    const onNodes = new Float64Array(displacements.length);
    for (let m = 0; m < memberCount(s); m++) {
      recoverOwnEnds(s, matrices, m, displacements, onMembers, ends, starts, onNodes);
      recoverMember(s, m, cut, matrices.bends, along, ends, starts, coefficients);
    }
    const largestOnMembers = Math.max(maxNorm(ends), maxNorm(onMembers.values));
    const joints = balanceOfNodes(s, c, loadsOnNodes(s, c), onNodes, displacements);
    use({ ...joints, displacements: displacements.slice(), ends, coefficients, largestOnMembers }, i);
  });
}

function recoverWith(
  kernels: RecoveryKernels,
  s: Structure,
  matrices: MemberMatrices,
  cases: readonly MovedCase[],
  use: Use,
): void {
  const members = memberCount(s);
  const nodal = FREEDOMS * nodeCount(s);
  const plane = isPlane(s);
  const longest = (list: (one: MovedCase) => Float64Array): number =>
    cases.reduce((max, one) => Math.max(max, list(one).length), 0);
  const mostPieces = longest(({ pieces }) => pieces.from);
  let length = 0;
  /** The next free place, for so many numbers. */
  const place = (count: number): number => (length += count) - count;
  const table = place(matrices.rows.length);
  const lengths = place(mostPieces);
  const restraintsAt = place(nodal);
  const settlementsAt = place(nodal);
  const onNodesAt = place(nodal);
  const takenAt = place(nodal);
  const startsAt = place(FREEDOMS * members);
  const loadsAt = place(longest(({ loads }) => loads.onMembers.values));
  const recordsAt = place(longest(({ loads }) => loads.along.values));
  const sizes = place(2);
  // What leaves the kernels stands together, and is copied at once.
  const displacementsAt = place(nodal);
  const reactionsAt = place(nodal);
  const endsAt = place(N * members);
  const coefficientsAt = place(pieceWidth(s) * mostPieces);
  // Integers lie two to a number.
  const info = 2 * place((INFO_WIDTH / 2) * (members + 1));
  const lists = 2 * place(members);
  const { numbers, integers } = kernels.reserve(length);
  const view = (at: number, count: number): Float64Array => numbers.subarray(at, at + count);
  const ends = view(endsAt, N * members);
  const starts = view(startsAt, FREEDOMS * members);
  const taken = view(takenAt, nodal);
  numbers.set(matrices.rows, table);
  numbers.set(s.restraints, restraintsAt);
  const indirect = writeInfo(s, matrices, integers, info);
  // What a plane structure has no part of is not written.
  view(reactionsAt, nodal).fill(0);
  ends.fill(0);
  starts.fill(0);
  let cut: Pieces | undefined;
  cases.forEach(({ c, pieces, displacements, loads, memory }, i) => {
    if (pieces !== cut) {
      cut = pieces;
      for (let m = 0; m <= members; m++) integers[info + INFO_WIDTH * m + 3] = cut.first[m]!;
      for (let k = 0; k < cut.from.length; k++) numbers[lengths + k] = cut.to[k]! - cut.from[k]!;
    }
    const diagrams = pieceWidth(s) * pieces.from.length;
    const results = coefficientsAt + diagrams;
    const { onMembers, along } = loads;
    numbers.set(displacements, displacementsAt);
    numbers.set(onMembers.values, loadsAt);
    numbers.set(along.values, recordsAt);
    writeSlots(onMembers, members, integers, lists);
    writeSlots(along, members, integers, lists + members);
    view(settlementsAt, 2 * nodal).fill(0);
    addNodal(s.settlements, c, numbers, settlementsAt);
    if (!isBare(s.nodeLoads, c)) numbers.set(loadsOnNodes(s, c), onNodesAt);
    taken.fill(0);
    let most = kernels.ends(members, table, info, displacementsAt, lists, loadsAt, endsAt, startsAt, takenAt, plane);
    for (const m of indirect) {
      recoverOwnEnds(s, matrices, m, displacements, onMembers, ends, starts, taken);
      most = Math.max(most, maxNorm(ends.subarray(N * m, N * (m + 1))), largestLoad(onMembers, m));
    }
    kernels.diagrams(members, table, info, lengths, lists + members, recordsAt, endsAt, startsAt, coefficientsAt, plane);
    kernels.joints(nodeCount(s), restraintsAt, settlementsAt, onNodesAt, takenAt, displacementsAt, reactionsAt, sizes, plane);
    const copy = memory?.length === results - displacementsAt ? memory : new Float64Array(results - displacementsAt);
    copy.set(view(displacementsAt, copy.length));
    const part = (at: number, count: number): Float64Array => copy.subarray(at - displacementsAt, at - displacementsAt + count);
    use(
      {
        displacements: part(displacementsAt, nodal),
        reactions: part(reactionsAt, nodal),
        ends: part(endsAt, N * members),
        coefficients: part(coefficientsAt, diagrams),
        largestOnMembers: most,
        worstNode: numbers[sizes]!,
        largestReaction: numbers[sizes + 1]!,
      },
      i,
    );
  });
}

/** The largest fixed-end force of a member. */
function largestLoad(loads: CaseLoads['onMembers'], m: number): number {
  const at = slotOf(loads, m);
  return at < 0 ? 0 : maxNorm(loads.values.subarray(at, at + N));
}
