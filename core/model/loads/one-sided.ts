import { once } from '../../once';
import { forceSenseOf } from '../behaviour';
import type { Member, Model } from '../model';
import { uniqueNames } from '../unique-names';
import type { StrainLoad } from './primitive';

/**
 * A case that only the solution has: a member that acts one way is too long by a metre. So much of it as leaves the member without force is added where it
 * is slack: what it does then is what it would do if it had the length that its ends leave it.
 */
export interface OneSidedCase {
  readonly id: string;
  readonly member: string;
  readonly side: -1 | 1;
  readonly loads: readonly [StrainLoad];
}

const NONE: readonly OneSidedCase[] = [];

/** The members of a model that act one way, each with its case; found once of lists that an edit leaves alone. */
export const oneSidedIn = (model: Model): readonly OneSidedCase[] =>
  model.members.some((member) => forceSenseOf(member) !== 0)
    ? casesOf(model.members, model.cases, model.combinations, model.actions)
    : NONE;

const casesOf = once(
  (members: Model['members'], cases: Model['cases'], combinations: Model['combinations'], actions: Model['actions'] = []) => {
    const free = uniqueNames([...cases, ...actions, ...combinations].map(({ id }) => id));
    return members.flatMap((member): OneSidedCase[] => {
      const side = forceSenseOf(member);
      if (side === 0) return [];
      const id = free(`${member.id} too long by 1 m`);
      return [{ id, member: member.id, side, loads: [unitOf(member, id)] }];
    });
  },
);

/** The same load as long as the member is the same: those who compare see that nothing changed. */
const units = new WeakMap<Member, StrainLoad>();
function unitOf(member: Member, loadCase: string): StrainLoad {
  const before = units.get(member);
  if (before?.case === loadCase) return before;
  const now: StrainLoad = { id: loadCase, case: loadCase, type: 'strain', member: member.id, elongation: 1 };
  units.set(member, now);
  return now;
}

export const sameOneSided = (a: readonly OneSidedCase[], b: readonly OneSidedCase[]): boolean =>
  a === b || (a.length === b.length && a.every(({ id, side }, i) => id === b[i]!.id && side === b[i]!.side));
