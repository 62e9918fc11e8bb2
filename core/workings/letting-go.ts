import { devicesOf, letGoOf } from '../analysis/one-sided';
import { assembled, type Prepared } from '../analysis/prepare';
import { without } from '../analysis/without';
import { oneSidedIn } from '../model/loads/one-sided';
import type { Model } from '../model/model';
import type { LetGo } from '../results/results';
import { caseCount } from '../stiffness/structure';
import type { Acting } from './acting';

/** What acts in an outcome where something acts one way: the structure without what has let go, and its cases. */
export interface Holding {
  readonly prepared: Prepared;
  readonly acting: Acting;
  readonly letGo: LetGo;
}

/**
 * Takes what has let go out of the structure, with the lengths by which it is off, which the analysis adds in their place. That a gap has closed stays: the ground
 * under its support has moved by it, and its joint gives by it.
 */
export function holdingIn(model: Model, prepared: Prepared, acting: Acting): Holding {
  const { structure } = prepared;
  const cases = oneSidedIn(model);
  const devices = devicesOf(cases, structure);
  const first = caseCount(structure) - cases.length;
  const factors = new Map(acting);
  const gone = devices.flatMap(({ sense, gap }, i) => ((factors.get(first + i) ?? 0) === -sense * gap + 0 ? [] : [i]));
  // The way of a joint that holds is all of its spring then, where it was half of both.
  const times = (at: number): number => (cases[at - first]?.of === 'joint' ? 2 : 1);
  return {
    prepared:
      gone.length === 0 ? prepared : assembled(model, { structure: without(structure, { cases, devices }, gone) }, prepared),
    acting: acting.flatMap(([at, factor]) => (gone.includes(at - first) ? [] : [[at, times(at) * factor] as const])),
    letGo: letGoOf({ cases, devices }, gone),
  };
}
