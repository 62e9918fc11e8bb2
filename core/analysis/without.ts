import { translations } from '../model/model';
import type { LiftedSupport } from '../results/results';
import { FREEDOMS, STIFFNESS_WIDTH, type Structure } from '../stiffness/structure';

/** A structure while some of its members are slack and some of its supports are lifted off: it has nothing of their stiffness. */
export function without(s: Structure, slack: readonly number[], lifted: readonly LiftedSupport[]): Structure {
  if (slack.length === 0 && lifted.length === 0) return s;
  const stiffnesses = s.stiffnesses.slice();
  for (const m of slack) stiffnesses[STIFFNESS_WIDTH * m] = 0;
  const restraints = s.restraints.slice();
  for (const { node, along } of lifted) restraints[FREEDOMS * node + translations.indexOf(along)] = 0;
  return { ...s, stiffnesses, restraints };
}
