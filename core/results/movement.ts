import { once } from '../once';
import { isPlane } from '../stiffness/structure';
import type { Point } from '../model/point';
import { inGlobal } from './bodies/vectors';
import { diagramOf } from './diagram';
import { extremesIn } from './extremes';
import type { PlaceOnMember } from './place-on-member';
import { valueIn } from './read';
import type { Solution } from './results';

/** The largest movement of a structure in an outcome of one value: where, how far and which way. */
export interface Movement {
  readonly at: PlaceOnMember;
  readonly size: number;
  readonly way: Point;
}

/** The movement of a place of a member, global. */
export function movedAt(solution: Solution, outcome: number, { member, x }: PlaceOnMember): Point {
  const diagram = diagramOf(solution, outcome, member);
  return inGlobal(solution.structure, member, [valueIn(diagram, 'u', x), valueIn(diagram, 'v', x), valueIn(diagram, 'w', x)]);
}

/** Among the ends of all members, or some of them, and the places where they bend farthest. */
export function largestMovement(solution: Solution, outcome: number, members?: readonly number[]): Movement | undefined {
  if (members) return amongMembers(solution, outcome, members);
  const known = found(solution);
  if (!known.has(outcome)) known.set(outcome, amongMembers(solution, outcome, solution.structure.names.members.map((_, m) => m))); // oxfmt-ignore
  return known.get(outcome);
}

/** Several lines ask for the same. */
const found = once((_: Solution) => new Map<number, Movement | undefined>());

function amongMembers(solution: Solution, outcome: number, members: readonly number[]): Movement | undefined {
  const { structure } = solution;
  let most: Movement | undefined;
  members.forEach((member) => {
    const diagram = diagramOf(solution, outcome, member);
    const places = new Set([0, structure.lengths[member]!]);
    for (const quantity of isPlane(structure) ? (['v'] as const) : (['v', 'w'] as const)) {
      const { max, min } = extremesIn(diagram, quantity, outcome);
      places.add(max.x).add(min.x);
    }
    for (const x of places) {
      const way = movedAt(solution, outcome, { member, x });
      const size = Math.hypot(...way);
      // Of equal ones the first: rounding must not carry it from one member to another.
      if (size > (most?.size ?? 0) * (1 + 1e-9)) most = { at: { member, x }, size, way };
    }
  });
  return most;
}
