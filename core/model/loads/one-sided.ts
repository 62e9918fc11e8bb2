import { once } from '../../once';
import type { Behaviour, Model } from '../model';
import { uniqueNames } from '../unique-names';
import type { StrainLoad } from './primitive';

/** Whether a member is hinged at both ends: a bar, whichever way it acts. */
export const isBar = ({ behaviour = 'frame' }: { readonly behaviour?: Behaviour }): boolean => behaviour !== 'frame';

/** Which axial force a member can take alone: 1 tension, −1 compression; 0 both. */
export const sideOf = ({ behaviour }: { readonly behaviour?: Behaviour }): -1 | 0 | 1 =>
  behaviour === 'tensionOnly' ? 1 : behaviour === 'compressionOnly' ? -1 : 0;

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
  model.members.some((member) => sideOf(member) !== 0)
    ? casesOf(model.members, model.cases, model.combinations, model.actions)
    : NONE;

const casesOf = once(
  (members: Model['members'], cases: Model['cases'], combinations: Model['combinations'], actions: Model['actions'] = []) => {
    const free = uniqueNames([...cases, ...actions, ...combinations].map(({ id }) => id));
    return members.flatMap((member): OneSidedCase[] => {
      const side = sideOf(member);
      if (side === 0) return [];
      const id = free(`${member.id} too long by 1 m`);
      return [{ id, member: member.id, side, loads: [unitOf(member, id)] }];
    });
  },
);

/** The same load as long as it is of the same member: those who compare see that nothing changed. */
const units = new Map<string, StrainLoad>();
function unitOf({ id: member }: { readonly id: string }, loadCase: string): StrainLoad {
  const key = JSON.stringify([member, loadCase]);
  let found = units.get(key);
  if (!found) {
    if (units.size > 10_000) units.clear();
    units.set(key, (found = { id: loadCase, case: loadCase, type: 'strain', member, elongation: 1 }));
  }
  return found;
}

export const sameOneSided = (a: readonly OneSidedCase[], b: readonly OneSidedCase[]): boolean =>
  a === b || (a.length === b.length && a.every(({ id, side }, i) => id === b[i]!.id && side === b[i]!.side));
