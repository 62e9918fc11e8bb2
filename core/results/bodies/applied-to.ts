import type { Point } from '../../model/point';
import { LINE_WIDTH, POINT_WIDTH, type Structure } from '../../stiffness/structure';
import { COINCIDENT } from '../breakpoints';
import type { Resultant } from '../results';
import { atPoint, inGlobal, nodePoint, NOTHING, plus, pointOf } from './vectors';

/** A part of a member, metres from its start. Loads at a place where two parts meet belong to the one that ends there. */
export interface MemberPart {
  readonly member: number;
  readonly from: number;
  readonly to: number;
}

/** All that is applied in case c to some nodes, about the origin; straight from the load tables and not from the solution. */
export function appliedToNodes(s: Structure, c: number, isIn: (node: number) => boolean): Resultant {
  const { first, nodes, values } = s.nodeLoads;
  let sum = NOTHING;
  for (let row = first[c]!; row < first[c + 1]!; row++) {
    const node = nodes[row]!;
    if (!isIn(node)) continue;
    const [fx, fy, fz, mx, my, mz] = values.subarray(6 * row, 6 * row + 6) as unknown as Resultant;
    sum = plus(sum, atPoint(nodePoint(s, node), [fx, fy, fz], [mx, my, mz]));
  }
  return sum;
}

/** The same of what is applied to a part of a member, by case: only those that put something on it. */
export function appliedToPart(s: Structure, { member: m, from, to }: MemberPart): ReadonlyMap<number, Resultant> {
  const sums = new Map<number, Resultant>();
  const add = (c: number, x: number, force: Point, couple: Point): void => {
    const one = atPoint(pointOf(s, m, x), inGlobal(s, m, force), inGlobal(s, m, couple));
    sums.set(c, plus(sums.get(c) ?? NOTHING, one));
  };
  const slack = COINCIDENT * s.lengths[m]!;
  const { first, cases, values: q } = s.lineLoads;
  for (let i = first[m]!; i < first[m + 1]!; i++) {
    const o = LINE_WIDTH * i;
    const [a, b] = [q[o]!, q[o + 1]!];
    const [low, high] = [Math.max(a, from), Math.min(b, to)];
    if (!(high > low)) continue;
    const at = (k: number, x: number): number =>
      q[o + 2 + 2 * k]! + ((q[o + 3 + 2 * k]! - q[o + 2 + 2 * k]!) * (x - a)) / (b - a);
    const h = high - low;
    const force = [0, 1, 2].map((k) => ((at(k, low) + at(k, high)) / 2) * h) as unknown as Point;
    // The moment of the trapezium about its own middle, kept apart: a load that changes sign may have no resultant.
    const turn = (k: number): number => ((at(k, high) - at(k, low)) * h * h) / 12;
    add(cases[i]!, (low + high) / 2, force, [0, -turn(2), turn(1)]);
  }
  const points = s.pointLoads;
  for (let i = points.first[m]!; i < points.first[m + 1]!; i++) {
    const o = POINT_WIDTH * i;
    const x = points.values[o]!;
    const isAfter = from === 0 ? x >= -slack : x > from + slack;
    if (!isAfter || x > to + slack) continue;
    const [fx, fy, fz, mx, my, mz] = points.values.subarray(o + 1, o + 7) as unknown as Resultant;
    add(points.cases[i]!, x, [fx, fy, fz], [mx, my, mz]);
  }
  return sums;
}
