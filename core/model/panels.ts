import { once } from '../once';
import type { Model } from './model';
import { isUpright, UPRIGHT } from './loads/area/panel';
import { bracesOf, groundLines, type Places, type Side } from './walls';
import { placesOf } from './places';
import { cross, dot, minus, size, times, type Point } from './point';

/** A ring of members in one plane with nothing of that plane inside: its corners in their order. */
export interface Ring {
  readonly corners: readonly string[];
  readonly points: readonly Point[];
  readonly normal: Point;
}

/** Which panels a load means: floors and roofs, walls, or either. */
export type PanelKind = 'floors' | 'walls' | 'any';

/** Of some rings those that are meant, as long as there is one; else all. */
export function meantRings(rings: readonly Ring[], kind: PanelKind): readonly Ring[] {
  const meant = kind === 'any' ? [] : rings.filter(({ normal }) => isUpright(normal) === (kind === 'walls'));
  return meant.length > 0 ? meant : rings;
}

/** Sides of a ring, and rings that are looked for, at most. */
const LONGEST = 60;
const MOST = 100_000;
/** Sine under which a direction lies in a plane, or along another. */
const FLAT = 1e-6;

/**
 * All closed rings of members that lie in a plane: bays of floors, roofs and walls. A wall whose posts stand on the ground is closed by it,
 * and its braces do not divide it. Found once for members and places of nodes.
 */
export const ringsOf = ({ members, nodes }: Pick<Model, 'nodes' | 'members'>): readonly Ring[] => found(members, nodes);

const found = once((members: Model['members'], nodes: Model['nodes']): readonly Ring[] => {
  const places = placesOf({ nodes });
  const ground = groundLines(members, places);
  const sides: readonly Side[] = [...members, ...ground];
  const braces = bracesOf(sides, places);
  const rings = ringsAmong(braces.size > 0 ? sides.filter((side) => !braces.has(side)) : sides, places);
  if (ground.length === 0) return rings;
  // The ground closes walls, and is no panel itself.
  const lines = new Set(ground.flatMap(({ start, end }) => [`${start}\n${end}`, `${end}\n${start}`]));
  const isOnGround = ({ corners }: Ring): boolean =>
    corners.some((id, i) => lines.has(`${id}\n${corners[(i + 1) % corners.length]!}`));
  return rings.filter((ring) => isUpright(ring.normal) || !isOnGround(ring));
});

function ringsAmong(members: readonly Side[], places: Places): readonly Ring[] {
  const beside = new Map<string, Set<string>>();
  const join = (a: string, b: string): void => void (beside.get(a) ?? beside.set(a, new Set()).get(a)!).add(b);
  for (const { start, end } of members)
    if (places.has(start) && places.has(end) && start !== end) {
      join(start, end);
      join(end, start);
    }
  const way = (from: string, to: string): Point => {
    const v = minus(places.get(to)!, places.get(from)!);
    return times(v, 1 / (size(v) || 1));
  };
  const walked = new Set<string>();
  const rings = new Map<string, Ring>();
  for (const [node, others] of beside)
    for (const first of others)
      for (const second of others) {
        if (first >= second || rings.size >= MOST) continue;
        const across = cross(way(node, first), way(node, second));
        if (size(across) < FLAT) continue;
        const normal = upright(times(across, 1 / size(across)));
        for (const to of [first, second]) {
          const ring = walk(node, to, normal);
          if (ring) rings.set(ring.corners.toSorted().join('\n'), ring);
        }
      }
  return [...rings.values()];

  /** The ring to the left of the way from one node to the next, as one looks against the normal. */
  function walk(start: string, next: string, normal: Point): Ring | undefined {
    const key = (a: string, b: string): string => `${a}\n${b}\n${normal.map((part) => part.toFixed(5)).join()}`;
    if (walked.has(key(start, next))) return undefined;
    const ids = [start];
    let [from, at] = [start, next];
    while (ids.length <= LONGEST) {
      walked.add(key(from, at));
      if (at === start) break;
      ids.push(at);
      const after = turnAt(from, at, normal);
      if (after === undefined) return undefined;
      [from, at] = [at, after];
    }
    if (at !== start) return undefined;
    return ringOf(ids, normal);
  }

  /** The member of the plane that comes first as one turns clockwise from the way back. */
  function turnAt(from: string, at: string, normal: Point): string | undefined {
    const back = way(at, from);
    const left = cross(normal, back);
    let [best, least] = [undefined as string | undefined, Infinity];
    for (const other of beside.get(at)!) {
      if (other === from) continue;
      const on = way(at, other);
      if (Math.abs(dot(on, normal)) > FLAT) continue;
      const angle = -Math.atan2(dot(on, left), dot(on, back));
      const turned = angle <= 1e-12 ? angle + 2 * Math.PI : angle;
      if (turned < least) [best, least] = [other, turned];
    }
    return best;
  }

  function ringOf(ids: readonly string[], normal: Point): Ring | undefined {
    const points = ids.map((id) => places.get(id)!);
    const twice = points
      .map((p, i) => cross(p, points[(i + 1) % points.length]!))
      .reduce((a, b) => [a[0] + b[0], a[1] + b[1], a[2] + b[2]]);
    if (dot(twice, normal) <= 0) return undefined;
    const isCorner = (i: number): boolean =>
      size(cross(way(ids.at(i - 1)!, ids[i]!), way(ids[i]!, ids[(i + 1) % ids.length]!))) > FLAT;
    const corners = ids.map((_, i) => i).filter(isCorner);
    if (corners.length < 3 || new Set(ids).size < ids.length) return undefined;
    return { corners: corners.map((i) => ids[i]!), points: corners.map((i) => points[i]!), normal };
  }
}

/** One of the two normals of a plane, always the same: up, else to the right, else towards the viewer. */
function upright(normal: Point): Point {
  const part = [normal[1], normal[0], normal[2]].find((value) => Math.abs(value) > UPRIGHT) ?? 1;
  return part < 0 ? times(normal, -1) : normal;
}
