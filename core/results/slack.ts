import { endFreedomAt } from '../model/member-ends';
import { translations } from '../model/model';
import { FREEDOMS, MEMBER_FREEDOMS, type Structure } from '../stiffness/structure';
import type { LiftedSupport, OpenJoint, Solution } from './results';

/** The mean axial force along member m, tension positive: it tells whether a member that acts one way is slack. `ends` as of a response. */
export const meanAxialForce = (ends: Float64Array, m: number): number =>
  (ends[MEMBER_FREEDOMS * m + 6]! - ends[MEMBER_FREEDOMS * m]!) / 2;

/** Where a joint of member m stands among those of a structure. */
export const jointAt = ({ end, freedom }: Pick<OpenJoint, 'end' | 'freedom'>, m: number): number =>
  MEMBER_FREEDOMS * m + endFreedomAt(end, freedom);

/** What a support exerts along an axis of its own. `reactions` as of a response. */
export function reactionAlong({ supportRotations }: Structure, { node, along }: LiftedSupport, reactions: Float64Array): number {
  const own = translations.indexOf(along);
  const turn = supportRotations.get(node);
  const at = FREEDOMS * node;
  if (!turn) return reactions[at + own]!;
  return [0, 1, 2].reduce((sum, k) => sum + turn[3 * own + k]! * reactions[at + k]!, 0);
}

/** In how many of the outcomes that are solved for themselves each member is slack, by its place; and how many of these there are. */
export function slackCounts(letGo: NonNullable<Solution['letGo']>): {
  readonly of: number;
  readonly byMember: ReadonlyMap<number, number>;
} {
  const known = letGo.filter((one) => one !== undefined);
  const byMember = new Map<number, number>();
  for (const { slack } of known) for (const m of slack) byMember.set(m, (byMember.get(m) ?? 0) + 1);
  return { of: known.length, byMember };
}
