import { devicesOf, membersOf, supportsOf } from '../analysis/one-sided';
import { assembled, type Prepared } from '../analysis/prepare';
import { without } from '../analysis/without';
import { oneSidedIn } from '../model/loads/one-sided';
import type { Model } from '../model/model';
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
  const { structure } = prepared;
  const cases = oneSidedIn(model);
  const devices = devicesOf(cases, structure);
  const first = caseCount(structure) - cases.length;
  const factors = new Map(acting);
  const gone = devices.flatMap(({ sense, gap }, i) => ((factors.get(first + i) ?? 0) === -sense * gap + 0 ? [] : [i]));
  const [slack, lifted] = [membersOf({ cases, devices }, gone), supportsOf({ cases, devices }, gone)];
  return {
    prepared: gone.length === 0 ? prepared : assembled(model, { structure: without(structure, slack, lifted) }, prepared),
    acting: acting.filter(([at]) => !gone.includes(at - first)),
    slack,
    lifted,
  };
}
