import { assembled, type Prepared } from '../analysis/prepare';
import { without } from '../analysis/without';
import { oneSidedIn } from '../model/loads/one-sided';
import type { Model } from '../model/model';
import { once } from '../once';
import type { LiftedSupport } from '../results/results';
import { caseCount } from '../stiffness/structure';
import type { Acting } from './acting';

/** What acts in an outcome where members or supports act one way: the structure without what has let go, and its cases. */
export interface Holding {
  readonly prepared: Prepared;
  readonly acting: Acting;
  /** Members by place. */
  readonly slack: readonly number[];
  readonly lifted: readonly LiftedSupport[];
}

/**
 * Takes what has let go out of the structure, with the lengths by which it is off, which the analysis adds in their place. That a gap has closed stays: the ground
 * under its support has moved by it.
 */
export function holdingIn(model: Model, prepared: Prepared, acting: Acting): Holding {
  const cases = oneSidedIn(model);
  const { structure } = prepared;
  const first = caseCount(structure) - cases.length;
  const factors = new Map(acting);
  const gone = cases.flatMap((one, i) => {
    const closed = one.of === 'support' ? -one.side * one.gap : 0;
    return (factors.get(first + i) ?? 0) === closed ? [] : [i];
  });
  const slack = gone.flatMap((i) => {
    const one = cases[i]!;
    return one.of === 'member' ? [structure.names.members.indexOf(one.member)] : [];
  });
  const lifted = gone.flatMap((i) => {
    const one = cases[i]!;
    return one.of === 'support' ? [{ node: structure.names.nodes.indexOf(one.node), along: one.along }] : [];
  });
  return {
    prepared: gone.length === 0 ? prepared : restOf(prepared, model, gone.join(' '), slack, lifted),
    acting: acting.filter(([at]) => !gone.includes(at - first)),
    slack,
    lifted,
  };
}

/** The same set is asked for by every step. */
const restOf = once(
  (prepared: Prepared, model: Model, _gone: string, slack: readonly number[], lifted: readonly LiftedSupport[]): Prepared =>
    assembled(model, { structure: without(prepared.structure, slack, lifted) }, prepared),
  (a, b) => Object.is(a, b) || (Array.isArray(a) && Array.isArray(b)),
);
