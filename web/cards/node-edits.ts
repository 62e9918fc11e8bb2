import type { Intent } from '@rigid-beam/core/model/edits/intent';
import type { LoadCase, Freedom, Load, Model, ModelNode, Restraint, Support, Translation } from '@rigid-beam/core/model/model';
import { isTranslation } from '@rigid-beam/core/model/model';
import { pushing } from '@rigid-beam/core/model/one-way';
import { membersAt, turnedAlong, type Meeting } from '@rigid-beam/core/model/support-along';
import { turnOf } from '@rigid-beam/core/model/support-axes';
import { kindOf, supportKindsOf, supportOf } from '@rigid-beam/core/model/support-kinds';
import { withAxes } from '@rigid-beam/core/quantities/axis-names';
import type { DisplayUnits } from '@rigid-beam/core/quantities/display';
import { nodeCard as WORDS } from './words';

interface Choice {
  readonly id: string;
  readonly text: string;
}

/** How a node may be held, and how it is. */
export function supportChoices(model: Model, node: string, display: DisplayUnits): { kind: string; choices: readonly Choice[] } {
  const support = model.supports.find((one) => one.node === node);
  const kind = support ? (kindOf(support, model.space) ?? 'other') : 'none';
  const choices = [
    { id: 'none', text: WORDS.noSupport },
    ...supportKindsOf(model.space).map(({ id, text }) => ({ id, text: withAxes(text, display) })),
    ...(kind === 'other' ? [{ id: 'other', text: WORDS.withSpringsOrOther }] : []),
  ];
  return { kind, choices };
}

/** Holds all these nodes in one way, or none of them; undefined where there is nothing to do. */
export function supportEdit(model: Model, nodes: readonly ModelNode[], kind: string): Intent | undefined {
  const intents = nodes.flatMap(({ id }): Intent[] => {
    const before = model.supports.find((one) => one.node === id);
    if (kind !== 'none') return [{ type: 'put', list: 'supports', entry: { ...supportOf(kind, id, before, model.space) } }];
    return before ? [{ type: 'remove', list: 'supports', keys: [id] }] : [];
  });
  return intents.length > 1 ? { type: 'batch', intents, label: WORDS.supportNodes(nodes.length) } : intents[0];
}

/** A support that holds a freedom otherwise; what does not hold does not push. */
export function withRestraint(support: Support, freedom: Freedom, restraint: Restraint): Support {
  const set = { ...support, [freedom]: restraint };
  return restraint === 'free' && isTranslation(freedom) ? pushing(set, freedom, undefined) : set;
}

/** Members of a node that are offered. */
const MOST_MEMBERS = 12;
const IDENTITY = Float64Array.of(1, 0, 0, 0, 1, 0, 0, 0, 1);

/** Along what a support may hold beside the axes of the structure, and along what it does: a member of its node, those, or axes of its own. */
export function directionsOf(model: Model, support: Support): { meeting: readonly Meeting[]; value: string } {
  const meeting = membersAt(model, support.node).slice(0, MOST_MEMBERS);
  const isAlong = (one: Meeting): boolean => {
    const [own, other] = [turnOf(support), turnOf(turnedAlong(support, one, model.space))];
    return (own ?? IDENTITY).every((part, i) => Math.abs(part - (other ?? IDENTITY)[i]!) < 1e-9);
  };
  const turned = support.axes || support.angle ? meeting.find(isAlong) : undefined;
  return { meeting, value: turned ? `along ${turned.id}` : support.axes ? 'own' : 'global' };
}

/** The support turned to what was chosen of these; undefined where it stays. */
export function turnedTo(model: Model, support: Support, chosen: string): Support | undefined {
  const member = directionsOf(model, support).meeting.find(({ id }) => chosen === `along ${id}`);
  if (member) return turnedAlong(support, member, model.space);
  const { angle: _, axes: __, ...along } = support;
  return chosen === 'global' ? along : undefined;
}

type Settlement = Extract<Load, { readonly type: 'settlement' }>;

/** By which a support settles in a case, where that is said, and along which of its axes it may: those that it holds. */
export function settlementOf(
  { loads }: Model,
  support: Support,
  acting: LoadCase,
): { load?: Settlement; holds: readonly Translation[] } {
  const load = loads.find(
    (one): one is Settlement => one.type === 'settlement' && one.node === support.node && one.case === acting.id,
  );
  const holds = (['ux', 'uy', 'uz'] as const).filter((freedom) => {
    const restraint = support[freedom];
    return restraint === 'fixed' || (typeof restraint === 'number' && restraint > 0);
  });
  return { ...(load && { load }), holds };
}
