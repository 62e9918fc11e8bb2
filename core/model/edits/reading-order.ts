import type { Model } from '../model';
import { memberEnds } from '../model';
import type { Point } from '../point';
import { placesOf } from '../places';
import { lettersOf } from './next-id';

/** As one reads a drawing of a building: level by level from the ground, on each from left to right, then from front to back. */
const compare = (a: Point, b: Point): number => step(a[1] - b[1]) || step(a[0] - b[0]) || step(b[2] - a[2]);
const step = (difference: number): number => (Math.abs(difference) < 1e-3 ? 0 : difference);

/** New names for all nodes (1, 2, …) or all members (a, b, …) in reading order; names that stay are left out. */
export function readingNames(model: Model, list: 'nodes' | 'members'): Record<string, string> {
  const places = placesOf(model);
  const middle = (ids: readonly string[]): Point =>
    [0, 1, 2].map((k) => ids.reduce((sum, id) => sum + places.get(id)![k]!, 0) / ids.length) as unknown as Point;
  const entries =
    list === 'nodes'
      ? model.nodes.map(({ id }) => ({ id, at: places.get(id)! }))
      : model.members.map((member) => ({ id: member.id, at: middle(memberEnds.map((end) => member[end])) }));
  entries.sort((a, b) => compare(a.at, b.at));
  const named = entries.map(({ id }, i) => [id, list === 'nodes' ? String(i + 1) : lettersOf(i + 1)] as const);
  return Object.fromEntries(named.filter(([id, name]) => id !== name));
}
