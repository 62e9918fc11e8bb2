import { once } from '../../once';
import { forceSenseOf } from '../behaviour';
import { gappedJoints, type GappedJoint } from '../member-ends';
import { translations, type Member, type Model, type Support, type Translation } from '../model';
import { uniqueNames } from '../unique-names';
import type { SettlementLoad, StrainLoad } from './primitive';

/**
 * A case that only the solution has. A member that acts one way is too long by a metre: so much of it as leaves the member without force is added where it is
 * slack, and what it does then is what it would do if it had the length that its ends leave it. The ground under a support that pushes one way moves by a metre
 * along its axis: so much of it as leaves the support without force is added where the structure lifts off. A sprung joint with a gap is two springs, each of which
 * pushes one way; while both act the joint is twice as stiff, and gives by half of what one of them is off.
 */
export type OneSidedCase = { readonly id: string; readonly side: -1 | 1 } & (
  | { readonly of: 'member'; readonly member: string; readonly loads: readonly [StrainLoad] }
  | {
      readonly of: 'support';
      readonly node: string;
      readonly along: Translation;
      /** How far the ground lies behind the structure before anything moves, metres. */
      readonly gap: number;
      readonly loads: readonly [SettlementLoad];
    }
  | (Pick<GappedJoint, 'end' | 'freedom' | 'gap' | 'spring'> & {
      readonly of: 'joint';
      readonly member: string;
      readonly loads: readonly [StrainLoad];
    })
);

const NONE: readonly OneSidedCase[] = [];

/** The members, supports and joints of a model that act one way, each with its case; found once of lists that an edit leaves alone. */
export const oneSidedIn = (model: Model): readonly OneSidedCase[] =>
  model.members.some((member) => forceSenseOf(member) !== 0 || member.gaps) || model.supports.some(({ oneWay }) => oneWay)
    ? casesOf(model.members, model.supports, model.cases, model.combinations, model.actions)
    : NONE;

const casesOf = once(
  (
    members: Model['members'],
    supports: Model['supports'],
    cases: Model['cases'],
    combinations: Model['combinations'],
    actions: Model['actions'] = [],
  ) => {
    const free = uniqueNames([...cases, ...actions, ...combinations].map(({ id }) => id));
    const ofMembers = members.flatMap((member): OneSidedCase[] => {
      const side = forceSenseOf(member);
      if (side === 0) return [];
      const id = free(`${member.id} too long by 1 m`);
      return [{ of: 'member', id, member: member.id, side, loads: [unitOf(member, id)] }];
    });
    const ofSupports = supports.flatMap((support) =>
      translations.flatMap((along): OneSidedCase[] => {
        const way = support.oneWay?.[along];
        if (!way) return [];
        const { node } = support;
        const id = free(`ground at ${node} moved by 1 m along ${along}`);
        const side = way === 'positive' ? 1 : -1;
        return [{ of: 'support', id, node, along, side, gap: support.gaps?.[along] ?? 0, loads: [groundOf(support, along, id)] }];
      }),
    );
    const ofJoints = members.flatMap((member) =>
      gappedJoints(member).flatMap((joint) =>
        ([1, -1] as const).map((side): OneSidedCase => {
          const id = free(`${member.id} gives at its ${joint.end} in ${joint.freedom}, ${side > 0 ? '+' : '−'}`);
          return { of: 'joint', id, member: member.id, side, ...joint, loads: [givingOf(member, joint, id)] };
        }),
      ),
    );
    return [...ofMembers, ...ofSupports, ...ofJoints];
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

const givings = new WeakMap<Member, Map<string, StrainLoad>>();
function givingOf(member: Member, { end, freedom }: GappedJoint, loadCase: string): StrainLoad {
  let known = givings.get(member);
  if (!known) givings.set(member, (known = new Map()));
  let now = known.get(loadCase);
  if (!now)
    known.set(loadCase, (now = { id: loadCase, case: loadCase, type: 'strain', member: member.id, elongation: 1 / 2, joint: { end, freedom } })); // oxfmt-ignore
  return now;
}

const grounds = new WeakMap<Support, Map<string, SettlementLoad>>();
function groundOf(support: Support, along: Translation, loadCase: string): SettlementLoad {
  let known = grounds.get(support);
  if (!known) grounds.set(support, (known = new Map()));
  let now = known.get(loadCase);
  if (!now) known.set(loadCase, (now = { id: loadCase, case: loadCase, type: 'settlement', node: support.node, [along]: 1 }));
  return now;
}

export const sameOneSided = (a: readonly OneSidedCase[], b: readonly OneSidedCase[]): boolean =>
  a === b || (a.length === b.length && a.every(({ id, side }, i) => id === b[i]!.id && side === b[i]!.side));
