import { UPRIGHT } from './loads/area/panel';
import { cross, dot, minus, plus, size, times, type Point } from './point';

/** A line that can bound a panel: a member, or the ground between two posts. */
export interface Side {
  readonly start: string;
  readonly end: string;
}

export type Places = ReadonlyMap<string, Point>;

/** Parts of a length under which something is plumb, level, or in a plane. */
const SLACK = 1e-6;

/** Upright, level, or neither. */
function lie({ start, end }: Side, places: Places): 'upright' | 'level' | 'inclined' | undefined {
  const [a, b] = [places.get(start), places.get(end)];
  if (!a || !b) return undefined;
  const way = minus(b, a);
  const length = size(way);
  if (length === 0) return undefined;
  if (Math.hypot(way[0], way[2]) <= SLACK * length) return 'upright';
  return Math.abs(way[1]) <= SLACK * length ? 'level' : 'inclined';
}

/**
 * The ground between posts that stand on it side by side: below whatever joins two posts at their tops, from foot to foot, where these
 * stand at one level and no member joins them.
 */
export function groundLines(members: readonly Side[], places: Places): Side[] {
  const below = new Map<string, string>();
  const joined = new Set<string>();
  const key = (a: string, b: string): string => (a < b ? `${a}\n${b}` : `${b}\n${a}`);
  for (const member of members) {
    joined.add(key(member.start, member.end));
    if (lie(member, places) !== 'upright') continue;
    const isUp = places.get(member.end)![1] > places.get(member.start)![1];
    below.set(isUp ? member.end : member.start, isUp ? member.start : member.end);
  }
  const footOf = (node: string): string => {
    let at = node;
    for (let next = below.get(at); next !== undefined; next = below.get(at)) at = next;
    return at;
  };
  const lines = new Map<string, Side>();
  for (const member of members) {
    if (lie(member, places) === 'upright') continue;
    const [start, end] = [footOf(member.start), footOf(member.end)];
    // Under a beam that stands on the ground itself there is no wall.
    if (start === end || (start === member.start && end === member.end) || joined.has(key(start, end))) continue;
    const [a, b] = [places.get(start), places.get(end)];
    if (a && b && Math.abs(a[1] - b[1]) <= SLACK * size(minus(b, a))) lines.set(key(start, end), { start, end });
  }
  return [...lines.values()];
}

/** A bay of a wall between posts, beams and the ground: its corners. */
interface Bay {
  readonly points: readonly Point[];
  readonly normal: Point;
}

/** Inclined members that lie within a bay of a wall: braces, which stiffen it and bound nothing. Rafters lie above their bays. */
export function bracesOf<S extends Side>(sides: readonly S[], places: Places): ReadonlySet<S> {
  const kinds = sides.map((side) => lie(side, places));
  const inclined = sides.filter((_, i) => kinds[i] === 'inclined');
  if (inclined.length === 0) return new Set();
  const posts = new Map<string, string[]>();
  const beams: S[] = [];
  sides.forEach((side, i) => {
    if (kinds[i] === 'level') beams.push(side);
    if (kinds[i] !== 'upright') return;
    for (const [from, to] of [[side.start, side.end], [side.end, side.start]] as const) posts.set(from, [...(posts.get(from) ?? []), to]);
  }); // oxfmt-ignore
  const bays = new Map<string, Bay[]>();
  for (const bay of baysOf(beams, posts, places)) {
    const plane = planeKey(bay.normal, bay.points[0]!);
    const there = bays.get(plane);
    if (there) there.push(bay);
    else bays.set(plane, [bay]);
  }
  return new Set(
    inclined.filter((side) => {
      const [a, b] = [places.get(side.start)!, places.get(side.end)!];
      const normal = acrossWall(minus(b, a));
      const middle = times(plus(a, b), 1 / 2);
      return (bays.get(planeKey(normal, a)) ?? []).some((bay) => isInside(bay, middle));
    }),
  );
}

/** Bays below each beam: down its two posts as far as these go, to the next beam or the ground. */
function* baysOf(beams: readonly Side[], posts: ReadonlyMap<string, readonly string[]>, places: Places): Generator<Bay> {
  const downFrom = (node: string): string | undefined =>
    posts.get(node)?.find((other) => places.get(other)![1] < places.get(node)![1]);
  for (const { start, end } of beams) {
    const [a, b] = [places.get(start)!, places.get(end)!];
    let [left, right] = [downFrom(start), downFrom(end)];
    if (left === undefined || right === undefined) continue;
    // Posts may be of several parts: the lower ends meet at one level.
    for (let steps = 0; steps < 50 && left !== undefined && right !== undefined; steps++) {
      const [c, d]: [Point, Point] = [places.get(left)!, places.get(right)!];
      if (Math.abs(c[1] - d[1]) <= SLACK * size(minus(b, a))) {
        yield { points: [a, b, d, c], normal: acrossWall(minus(b, a)) };
        break;
      }
      if (c[1] > d[1]) left = downFrom(left);
      else right = downFrom(right);
    }
  }
}

/** The normal of the upright plane in which a direction lies, always the same of its two. */
function acrossWall(way: Point): Point {
  const normal = cross(way, [0, 1, 0]);
  const unit = times(normal, 1 / (size(normal) || 1));
  const part = Math.abs(unit[0]) > UPRIGHT ? unit[0] : unit[2];
  return part < 0 ? times(unit, -1) : unit;
}

const planeKey = (normal: Point, point: Point): string =>
  [...normal, dot(normal, point)].map((part) => (Math.round(part * 1e4) + 0).toString()).join();

/** Whether a point of its plane lies in a rectangle of posts and beams. */
function isInside({ points }: Bay, point: Point): boolean {
  const [a, b, , c] = points as [Point, Point, Point, Point];
  const along = minus(b, a);
  const t = dot(minus(point, a), along) / dot(along, along);
  const [high, low] = [a[1], c[1]];
  return t > 1e-3 && t < 1 - 1e-3 && point[1] < high - 1e-3 * (high - low) && point[1] > low + 1e-3 * (high - low);
}
