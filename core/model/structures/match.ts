import type { Member } from '../model';
import type { Part } from '../part';
import { between, distance, pointOf, type Point } from '../point';
import { typicalOf } from './placed';

/** What of a structure with other measures is what it was before, by places in the new part; −1 of what is new. */
export interface Matched {
  readonly nodes: readonly number[];
  readonly members: readonly number[];
}

/** Places within the box of a part, 0 to 1 along each axis. */
function placesIn({ nodes }: Part): readonly Point[] {
  const all = nodes.map(pointOf);
  const range = [0, 1, 2].map((k) => {
    const values = all.map((point) => point[k]!);
    const least = Math.min(...values);
    return { least, size: Math.max(...values) - least || 1 };
  });
  return all.map((point) => point.map((value, k) => (value - range[k]!.least) / range[k]!.size) as unknown as Point);
}

/** What its name says of a node beside its number: those of a chord, eaves, ridges. */
const familyOf = (id: string): string => id.replaceAll(/\d+/g, '');

/** The group of each member of a part. */
const groupsOf = ({ groups = [] }: Part): ReadonlyMap<string, string> =>
  new Map(groups.flatMap(({ id, members = [] }) => members.map((member) => [member, id] as const)));

interface Placed {
  readonly family: string;
  readonly place: Point;
}

/**
 * Each of `after` finds one of `before` of its family, the nearest pairs first: where parts are counted they are spread anew, and most of
 * them find one. Those that have found one already are left out.
 */
function nearest(before: readonly Placed[], after: readonly Placed[], found: number[]): void {
  const taken = new Set(found);
  const families = new Map<string, number[]>();
  before.forEach(({ family }, i) => {
    if (!taken.has(i)) families.set(family, [...(families.get(family) ?? []), i]);
  });
  const pairs = after.flatMap(({ family, place }, j) =>
    found[j]! >= 0 ? [] : (families.get(family) ?? []).map((i) => ({ i, j, far: distance(before[i]!.place, place) })),
  );
  // Of two that are equally near the first.
  pairs.sort((a, b) => (Math.abs(a.far - b.far) > 1e-9 ? a.far - b.far : a.j - b.j || a.i - b.i));
  for (const { i, j } of pairs) {
    if (found[j]! >= 0 || taken.has(i)) continue;
    found[j] = i;
    taken.add(i);
  }
}

/** What of the part before is what of the part after. */
export function matched(type: string, before: Part, after: Part): Matched {
  const isCounted = typicalOf(type)!.fields.some(({ kind }) => kind === 'count') && before.nodes.length !== after.nodes.length;
  const byId = new Map(before.nodes.map(({ id }, i) => [id, i]));
  // Spacings are a list: what stands in front of a further one stays what it is.
  const nodes = after.nodes.map(({ id }) => (isCounted ? -1 : (byId.get(id) ?? -1)));
  const [placesBefore, placesAfter] = [placesIn(before), placesIn(after)];
  const placed = (part: Part, places: readonly Point[]): readonly Placed[] =>
    part.nodes.map(({ id }, i) => ({ family: familyOf(id), place: places[i]! }));
  if (isCounted) nearest(placed(before, placesBefore), placed(after, placesAfter), nodes);

  const [groupsBefore, groupsAfter] = [groupsOf(before), groupsOf(after)];
  const beforeOf = new Map(after.nodes.map(({ id }, j) => [id, nodes[j]! < 0 ? undefined : before.nodes[nodes[j]!]!.id]));
  const pairs = new Map(before.members.map(({ id, start, end }, i) => [`${groupsBefore.get(id)} ${start} ${end}`, i]));
  const members = after.members.map(({ id, start, end }) => {
    const [from, to] = [beforeOf.get(start), beforeOf.get(end)];
    return from === undefined || to === undefined ? -1 : (pairs.get(`${groupsAfter.get(id)} ${from} ${to}`) ?? -1);
  });
  if (isCounted) {
    const middles = (part: Part, places: readonly Point[], groups: ReadonlyMap<string, string>): readonly Placed[] => {
      const at = new Map(part.nodes.map(({ id }, i) => [id, places[i]!]));
      const middle = ({ start, end }: Member): Point => between(at.get(start)!, at.get(end)!, 0.5);
      return part.members.map((one) => ({ family: groups.get(one.id)!, place: middle(one) }));
    };
    nearest(middles(before, placesBefore, groupsBefore), middles(after, placesAfter, groupsAfter), members);
  }
  return { nodes, members };
}

/** For what is new (−1 in `found`) the two of its family beside it that were there, by their places in `after`; of some there is one or none. */
export function neighboursOf(
  after: Part,
  found: readonly number[],
  list: 'nodes' | 'members',
): ReadonlyMap<number, readonly number[]> {
  const places = placesIn(after);
  const at = new Map(after.nodes.map(({ id }, i) => [id, places[i]!]));
  const groups = groupsOf(after);
  const placed: readonly Placed[] =
    list === 'nodes'
      ? after.nodes.map(({ id }, i) => ({ family: familyOf(id), place: places[i]! }))
      : after.members.map(({ id, start, end }) => ({
          family: groups.get(id)!,
          place: between(at.get(start)!, at.get(end)!, 0.5),
        }));
  const old = new Map<string, number[]>();
  found.forEach((one, j) => {
    if (one < 0) return;
    const { family } = placed[j]!;
    old.set(family, [...(old.get(family) ?? []), j]);
  });
  return new Map(
    found.flatMap((one, j): [number, readonly number[]][] => {
      if (one >= 0) return [];
      const { family, place } = placed[j]!;
      return [[j, twoNearest(old.get(family) ?? [], (at) => apart(placed[at]!.place, place))]];
    }),
  );
}

/** The square of the distance: quicker, and as good for an order. */
const apart = (a: Point, b: Point): number => (a[0] - b[0]) ** 2 + (a[1] - b[1]) ** 2 + (a[2] - b[2]) ** 2;

/** The two of some that are nearest, the nearest first; of equally near ones those that come first. */
function twoNearest(some: readonly number[], far: (one: number) => number): readonly number[] {
  let [first, second, nearest, next] = [-1, -1, Infinity, Infinity];
  for (const one of some) {
    const distance = far(one);
    if (distance < nearest) [first, second, nearest, next] = [one, first, distance, nearest];
    else if (distance < next) [second, next] = [one, distance];
  }
  return [first, second].filter((one) => one >= 0);
}
