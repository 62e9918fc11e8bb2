import { actingCases } from '../../combinations/outcome';
import { memberCount } from '../../stiffness/structure';
import type { Resultant, Solution } from '../results';
import { responseOf } from '../sums';
import { appliedToNodes } from './applied-to';
import { about, atPoint, inGlobal, nodePoint, NOTHING, plus, pointOf } from './vectors';

/** What the end of a member exerts on its joint: forces, and couples about the node, global. */
export interface JointForce {
  readonly member: number;
  readonly side: 'start' | 'end';
  readonly force: Resultant;
}

/** A joint cut free: all that acts on it, each about the node, N and N·m. */
export interface Joint {
  readonly node: number;
  readonly members: readonly JointForce[];
  readonly applied: Resultant;
  readonly reaction: Resultant;
  /** What is left of all of it, beside the largest of it. */
  readonly residual: number;
}

/** The free body of a node in a case or sum: the ends of its members, what is put on it, and what its support exerts. */
export function jointOf(solution: Solution, outcome: number, node: number): Joint {
  const { structure: s } = solution;
  const { ends, reactions } = responseOf(solution, outcome)!;
  const here = nodePoint(s, node);
  const members: JointForce[] = [];
  for (let m = 0; m < memberCount(s); m++)
    (['start', 'end'] as const).forEach((side, i) => {
      if (s.memberNodes[2 * m + i] !== node) return;
      const o = 12 * m + 6 * i;
      // The node exerts these on the member; the member exerts the opposite on the node.
      const own = (k: number): number => -ends[o + k]!;
      const force = inGlobal(s, m, [own(0), own(1), own(2)]);
      const couple = inGlobal(s, m, [own(3), own(4), own(5)]);
      members.push({ member: m, side, force: about(here, atPoint(pointOf(s, m, i * s.lengths[m]!), force, couple)) });
    });
  let applied = NOTHING;
  for (const [c, factor] of actingCases(solution.outcomes[outcome]!))
    applied = plus(
      applied,
      about(
        here,
        appliedToNodes(s, c, (one) => one === node),
      ),
      factor,
    );
  const reaction = solution.supported[node]
    ? (Array.from(reactions.subarray(6 * node, 6 * node + 6)) as unknown as Resultant)
    : NOTHING;
  const all = [...members.map(({ force }) => force), applied, reaction];
  const left = all.reduce((sum, one) => plus(sum, one), NOTHING);
  const size = Math.max(0, ...all.flat().map(Math.abs));
  // What turns about axes in which nothing takes part is not asked for.
  const rest = Math.max(...s.active.map((k) => Math.abs(left[k]!)));
  return { node, members, applied, reaction, residual: size > 0 ? rest / size : 0 };
}
