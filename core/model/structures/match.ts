import type { Part } from '../part';
import { between, pointOf, type Point } from '../point';
import { typicalOf } from './placed';

/** What of a structure with other measures is what it was before, by places in the old part; −1 of what is new. */
export interface Matched {
  readonly nodes: readonly number[];
  readonly members: readonly number[];
  /** Of what is new the two of its family beside it that were there, by their places in the new part; of some there is one or none. */
  readonly beside: { readonly nodes: Beside; readonly members: Beside };
}
export type Beside = ReadonlyMap<number, readonly number[]>;

/** A node or the middle of a member: what it can be taken for, and where it is in the box of its part, 0 to 1 along each axis. */
interface Placed {
  readonly family: string;
  readonly place: Point;
}
type Parts<T> = { readonly nodes: T; readonly members: T };

/** Places within the box of a part. */
function placesIn({ nodes }: Part): readonly Point[] {
  const all = nodes.map(pointOf);
  const range = [0, 1, 2].map((k) => {
    const values = all.map((point) => point[k]!);
    const least = values.reduce((low, value) => Math.min(low, value), Infinity);
    return { least, size: values.reduce((high, value) => Math.max(high, value), -Infinity) - least || 1 };
  });
  return all.map((point) => point.map((value, k) => (value - range[k]!.least) / range[k]!.size) as unknown as Point);
}

const WORDS_AND_NUMBERS = /\d+|\D+/g;
const isNumber = (piece: string): boolean => /^\d/.test(piece);
const piecesOf = (id: string): readonly string[] => id.match(WORDS_AND_NUMBERS) ?? [];
/** What the name of a node says beside its numbers: of a chord, eaves, ridges. */
const shapeOf = (pieces: readonly string[]): string => pieces.map((piece) => (isNumber(piece) ? '#' : piece)).join('');

/**
 * What nodes can be taken for each other: those of one name but for the numbers of which there are others than before. Where a vault has more
 * segments, a node remains in its arch; where a frame has a further storey, over its column.
 */
function familiesOf(before: Part, after: Part): (id: string) => string {
  const numbers = (part: Part): ReadonlyMap<string, ReadonlySet<string>> => {
    const found = new Map<string, Set<string>>();
    for (const { id } of part.nodes) {
      const pieces = piecesOf(id);
      const shape = shapeOf(pieces);
      pieces.forEach((piece, at) => {
        if (!isNumber(piece)) return;
        const key = `${shape} ${at}`;
        const there = found.get(key);
        if (there) there.add(piece);
        else found.set(key, new Set([piece]));
      });
    }
    return found;
  };
  const [had, has] = [numbers(before), numbers(after)];
  return (id) => {
    const pieces = piecesOf(id);
    const shape = shapeOf(pieces);
    const isSame = (at: number): boolean => had.get(`${shape} ${at}`)?.size === has.get(`${shape} ${at}`)?.size;
    return pieces.map((piece, at) => (isNumber(piece) && !isSame(at) ? '#' : piece)).join('');
  };
}

/** The nodes and members of a part with their families: a member's is its group, and those of its ends. */
function placedIn(part: Part, familyOf: (id: string) => string): Parts<readonly Placed[]> {
  const places = placesIn(part);
  const groups = groupsOf(part);
  const nodes = part.nodes.map(({ id }, i): Placed => ({ family: familyOf(id), place: places[i]! }));
  const at = new Map(part.nodes.map(({ id }, i) => [id, nodes[i]!]));
  const members = part.members.map(({ id, start, end }): Placed => {
    const [from, to] = [at.get(start)!, at.get(end)!];
    return { family: [groups.get(id), from.family, to.family].join('|'), place: between(from.place, to.place, 0.5) };
  });
  return { nodes, members };
}

/** The group of each member of a part. */
const groupsOf = ({ groups = [] }: Part): ReadonlyMap<string, string> =>
  new Map(groups.flatMap(({ id, members = [] }) => members.map((member) => [member, id] as const)));

/** The square of the distance: as good for an order. */
const apart = (a: Point, b: Point): number => (a[0] - b[0]) ** 2 + (a[1] - b[1]) ** 2 + (a[2] - b[2]) ** 2;
const ALIKE = 1e-18;

/** Members of each family, by their places in the list. */
function byFamily(all: readonly Placed[], counts: (i: number) => boolean): ReadonlyMap<string, number[]> {
  const found = new Map<string, number[]>();
  all.forEach(({ family }, i) => {
    if (!counts(i)) return;
    const there = found.get(family);
    if (there) there.push(i);
    else found.set(family, [i]);
  });
  return found;
}

/** Each of `after` that has found none yet finds one of `before` of its family, the nearest pairs first. */
function nearest(before: readonly Placed[], after: readonly Placed[], found: number[]): void {
  const taken = new Set(found);
  const old = byFamily(before, (i) => !taken.has(i));
  for (const [family, open] of byFamily(after, (j) => found[j]! < 0)) {
    const pairs = open.flatMap((j) =>
      (old.get(family) ?? []).map((i) => ({ i, j, far: apart(before[i]!.place, after[j]!.place) })),
    );
    // Of two that are equally near the first.
    pairs.sort((a, b) => (Math.abs(a.far - b.far) > ALIKE ? a.far - b.far : a.j - b.j || a.i - b.i));
    for (const { i, j } of pairs) {
      if (found[j]! >= 0 || taken.has(i)) continue;
      found[j] = i;
      taken.add(i);
    }
  }
}

/** For what is new (−1 in `found`) the two of its family that are nearest of those that were there. */
function besideIn(after: readonly Placed[], found: readonly number[]): Beside {
  const old = byFamily(after, (j) => found[j]! >= 0);
  return new Map(
    found.flatMap((one, j): [number, readonly number[]][] => {
      if (one >= 0) return [];
      const { family, place } = after[j]!;
      let [first, second, least, next] = [-1, -1, Infinity, Infinity];
      for (const at of old.get(family) ?? []) {
        const far = apart(after[at]!.place, place);
        if (far < least) [first, second, least, next] = [at, first, far, least];
        else if (far < next) [second, next] = [at, far];
      }
      return [[j, [first, second].filter((at) => at >= 0)]];
    }),
  );
}

/**
 * What of the part before is what of the part after. Spacings are a list: what stands in front of a further one stays what it is, by its name.
 * Where parts are counted they are spread anew, and most of them find one that was near.
 */
export function matched(type: string, before: Part, after: Part): Matched {
  const isSpread = typicalOf(type)!.fields.some(({ kind }) => kind === 'count') && before.nodes.length !== after.nodes.length;
  const familyOf = familiesOf(before, after);
  const [was, is] = [placedIn(before, familyOf), placedIn(after, familyOf)];
  const byId = new Map(before.nodes.map(({ id }, i) => [id, i]));
  const nodes = after.nodes.map(({ id }) => (isSpread ? -1 : (byId.get(id) ?? -1)));
  if (isSpread) nearest(was.nodes, is.nodes, nodes);

  const [groupsBefore, groupsAfter] = [groupsOf(before), groupsOf(after)];
  const beforeOf = new Map(after.nodes.map(({ id }, j) => [id, nodes[j]! < 0 ? undefined : before.nodes[nodes[j]!]!.id]));
  const pairs = new Map(before.members.map(({ id, start, end }, i) => [`${groupsBefore.get(id)} ${start} ${end}`, i]));
  const members = after.members.map(({ id, start, end }) => {
    const [from, to] = [beforeOf.get(start), beforeOf.get(end)];
    return from === undefined || to === undefined ? -1 : (pairs.get(`${groupsAfter.get(id)} ${from} ${to}`) ?? -1);
  });
  if (isSpread) nearest(was.members, is.members, members);
  return { nodes, members, beside: { nodes: besideIn(is.nodes, nodes), members: besideIn(is.members, members) } };
}
