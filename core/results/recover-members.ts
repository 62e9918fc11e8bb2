import { loadsOnNodes } from '../stiffness/assemble';
import { writeSlots } from '../stiffness/load-slots';
import { addNodal, isBare } from '../stiffness/nodal-table';
import type { MemberMatrices } from '../stiffness/member-matrices';
import { FREEDOMS, givingIn, isPlane, memberCount, MEMBER_FREEDOMS, nodeCount, type Structure } from '../stiffness/structure';
import type { Pieces } from './breakpoints';
import type { CaseLoads } from './case-loads';
import { pieceWidth } from './quantities';
import { OWN_WIDTH, recoverOwnEnds } from './recover-ends';
import type { StructuralResponse } from './results';
import { INFO_WIDTH, recoveryKernels, DIRECT } from './recovery-kernels';

const N = MEMBER_FREEDOMS;

/** What acts, with its pieces and loads on members, and the displacements of the nodes under it (6n, nodes' axes). */
export interface MovedCase {
  /** The case whose loads on nodes and settlements act, or the forces on the nodes (6n, nodes' axes) that act beside no other load. */
  readonly c: number | Float64Array;
  readonly pieces: Pieces;
  readonly loads: Pick<CaseLoads, 'onMembers' | 'along'>;
  readonly displacements: Float64Array;
  /** Where its results may be written, if it is as long as they are. */
  readonly memory?: Float64Array | undefined;
}

/** What members and supports feel in one case. */
export interface Recovered {
  /** 6n, nodes' axes: the displacements once more, with the rest in one buffer where kernels found it. */
  readonly displacements: Float64Array;
  /** 12m, local: what the nodes exert on the member's ends. */
  readonly ends: Float64Array;
  /** `pieceWidth` numbers a piece. */
  readonly coefficients: Float64Array;
  /** 6n, nodes' axes: what the supports exert. */
  readonly reactions: Float64Array;
  readonly largestReaction: number;
  /** What is left at the worst joint. */
  readonly worstNode: number;
  /** The largest end force or fixed-end force. */
  readonly largestOnMembers: number;
}

/** What the results of a case were written into by kernels: all of it in one buffer. Undefined of those that were given away. */
export const memoryOf = (outcome: StructuralResponse | undefined): Float64Array | undefined =>
  outcome?.displacements.length ? new Float64Array(outcome.displacements.buffer) : undefined;

type Use = (recovered: Recovered, i: number) => void;

/** Recovers each case in turn. */
export function recoverMembers(s: Structure, matrices: MemberMatrices, cases: readonly MovedCase[], use: Use): void {
  const kernels = recoveryKernels();
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
  const own = place(OWN_WIDTH);
  const { numbers, integers } = kernels.reserve(length);
  const view = (at: number, count: number): Float64Array => numbers.subarray(at, at + count);
  const ends = view(endsAt, N * members);
  const taken = view(takenAt, nodal);
  numbers.set(matrices.rows, table);
  numbers.set(s.restraints, restraintsAt);
  const indirect = writeInfo(s, matrices, integers, info);
  // What a plane structure has no part of is not written.
  view(reactionsAt, nodal).fill(0);
  ends.fill(0);
  view(startsAt, FREEDOMS * members).fill(0);
  const places = {
    ...{ members, table, info, ends: endsAt, starts: startsAt, plane, displacements: displacementsAt, onNodes: takenAt },
    ...{ loadsAt: lists, loads: loadsAt, recordsAt: lists + members, records: recordsAt, lengths, out: coefficientsAt, own },
  };
  const joints = {
    ...{ nodes: nodeCount(s), restraints: restraintsAt, settlements: settlementsAt, loads: onNodesAt, onNodes: takenAt },
    ...{ displacements: displacementsAt, reactions: reactionsAt, sizes, plane },
  };
  const recovery = { structure: s, matrices, kernels, heap: { numbers, integers }, places, onNodes: taken };
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
    if (typeof c !== 'number') numbers.set(c, onNodesAt);
    else {
      addNodal(s.settlements, c, numbers, settlementsAt);
      if (!isBare(s.nodeLoads, c)) numbers.set(loadsOnNodes(s, c), onNodesAt);
    }
    taken.fill(0);
    let most = kernels.ends(places);
    for (const m of indirect)
      most = Math.max(
        most,
        recoverOwnEnds(recovery, m, displacements, { loads: onMembers, giving: typeof c === 'number' ? givingIn(s, m, c) : [] }),
      );
    kernels.diagrams(places);
    kernels.joints(joints);
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

/** Writes the integers that the kernels need of every member, but for its pieces; returns the members whose ends they leave out. */
function writeInfo(s: Structure, { transforms, condensed }: MemberMatrices, info: Int32Array, at: number): number[] {
  const indirect: number[] = [];
  for (let m = 0; m < memberCount(s); m++) {
    const direct = !transforms[m] && !condensed[m];
    if (!direct) indirect.push(m);
    const o = at + INFO_WIDTH * m;
    info[o] = s.memberNodes[2 * m]!;
    info[o + 1] = s.memberNodes[2 * m + 1]!;
    info[o + 2] = s.bows[m]! | (direct ? DIRECT : 0);
  }
  return indirect;
}
