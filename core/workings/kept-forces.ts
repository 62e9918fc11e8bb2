import type { StructuralResponse } from '../results/results';
import { FREEDOMS, MEMBER_FREEDOMS, type Structure } from '../stiffness/structure';
import { forcesOfLengths, type Following } from './following';
import type { Numbered } from './freedoms';
import { timesVector, transposed } from './matrix';
import { nodalFreedom, transformOf, type WorkedMember } from './worked-member';

const N = MEMBER_FREEDOMS;

interface Nodal {
  readonly own: readonly number[];
  readonly places: Numbered;
  readonly onNodes: Float64Array;
  readonly reactions: readonly number[];
  readonly followed: ReadonlyMap<number, { readonly reaction: number }>;
}

/** What the nodes lack of balance before the forces are known that keep lengths (6n). */
export function lackOf(
  s: Structure,
  { own, places, onNodes, reactions, followed }: Nodal,
  members: readonly WorkedMember[],
): Float64Array {
  const lack = onNodes.slice();
  lack.forEach((_, f) => places.places[f]! >= 0 && (lack[f]! += reactions[places.places[f]!]!));
  for (const [f, { reaction }] of followed) lack[f]! += reaction;
  for (const { index, forces } of members) {
    const T = transformOf(s, index, own);
    timesVector(transposed(T), forces).forEach((force, j) => (lack[nodalFreedom(s, index, own[j]!)]! -= force));
  }
  return lack;
}

interface Keeping {
  readonly following: Following;
  readonly own: readonly number[];
  readonly isFree: (freedom: number) => boolean;
  /** By member the forces along it that are known, N. */
  readonly given: ReadonlyMap<number, number>;
}

interface Leading extends Pick<Keeping, 'following' | 'own'> {
  readonly isOuter: Uint8Array | undefined;
}

/** Of a part the forces along members that keep their lengths and lead away: what they bear there only the whole tells, as it does the movements of their far ends. */
export function givenForces(
  s: Structure,
  { following, isOuter, own }: Leading,
  members: readonly WorkedMember[],
  response: StructuralResponse,
): ReadonlyMap<number, number> {
  const found = new Map<number, number>();
  const end = own.indexOf(FREEDOMS);
  for (const { member: m } of isOuter ? following.lengths : [])
    if (isOuter![s.memberNodes[2 * m]!] || isOuter![s.memberNodes[2 * m + 1]!])
      found.set(m, response.ends[N * m + FREEDOMS]! - members[m]!.forces[end]!);
  return found;
}

/** The members with the axial forces that keep their lengths. */
export function withKept(
  s: Structure,
  { following, own, isFree, given }: Keeping,
  members: readonly WorkedMember[],
  lack: Float64Array,
): readonly WorkedMember[] {
  const left = lack.slice();
  // Tension pulls the nodes of a member together: each is lengthened against it.
  for (const { member, shares } of following.lengths)
    for (const [f, share] of shares) left[f]! -= share * (given.get(member) ?? 0);
  const lengths = following.lengths.filter(({ member }) => !given.has(member));
  const found = forcesOfLengths(s, { ...following, lengths }, left, isFree);
  const kept = new Map([...given, ...lengths.map(({ member }, i) => [member, found[i]!] as const)]);
  const [start, end] = [own.indexOf(0), own.indexOf(FREEDOMS)];
  return members.map((one): WorkedMember => {
    const N = kept.get(one.index);
    if (N === undefined) return one;
    return { ...one, kept: N, forces: one.forces.map((force, a) => force + (a === start ? -N : a === end ? N : 0)) };
  });
}
