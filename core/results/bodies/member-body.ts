import { actingCases } from '../../combinations/outcome';
import type { Resultant, Solution } from '../results';
import { responseOf } from '../sums';
import { appliedToPart } from './applied-to';
import { displacedCouple } from './displaced-couple';
import { about, atPoint, inGlobal, NOTHING, plus, pointOf } from './vectors';

/** A member cut free at both ends: what its nodes exert on it and what lies on it, global, about its start. N and N·m. */
export interface MemberBody {
  readonly start: Resultant;
  readonly end: Resultant;
  readonly applied: Resultant;
  /** Of the second order: the couple of axial forces on the displaced axis. */
  readonly displaced: Resultant;
  /** What is left of all of it, beside the largest of it. */
  readonly residual: number;
}

/** The free body of member m in a case or sum of cases. */
export function memberBody(solution: Solution, outcome: number, m: number): MemberBody {
  const { structure: s } = solution;
  const { ends } = responseOf(solution, outcome)!;
  const here = pointOf(s, m, 0);
  const at = (side: 0 | 1): Resultant => {
    const o = 12 * m + 6 * side;
    const own = (k: number): number => ends[o + k]!;
    const force = inGlobal(s, m, [own(0), own(1), own(2)]);
    const couple = inGlobal(s, m, [own(3), own(4), own(5)]);
    return about(here, atPoint(pointOf(s, m, side * s.lengths[m]!), force, couple));
  };
  const factors = new Map(actingCases(solution.outcomes[outcome]!));
  let applied = NOTHING;
  for (const [c, load] of appliedToPart(s, { member: m, from: 0, to: s.lengths[m]! }))
    applied = plus(applied, about(here, load), factors.get(c) ?? 0);
  const [start, end] = [at(0), at(1)];
  const displaced = displacedCouple(solution, outcome, m);
  const left = [start, end, applied, displaced].reduce((sum, one) => plus(sum, one), NOTHING);
  const size = Math.max(0, ...[start, end, applied, displaced].flat().map(Math.abs));
  const rest = Math.max(...s.active.map((k) => Math.abs(left[k]!)));
  return { start, end, applied, displaced, residual: size > 0 ? rest / size : 0 };
}
