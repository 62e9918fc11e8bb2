import { PANEL_CORNERS } from '../../../limits';
import { ringTrouble, type Place, type RingTrouble } from '../../../polygons/rings';
import { cross, dot, minus, plus, size, times, type Point } from '../../point';
import type { Bars } from '../compound-kind';

/** Why a pressure cannot be carried where it is put, in words. */
export class PanelTrouble extends Error {}

/** A place in a panel: along its first side, and across it to the left as its corners run, metres. */
export type Flat = Place;

/** A plane polygon in space, its corners anticlockwise as one looks against its normal. */
export interface Panel {
  readonly ids: readonly string[];
  readonly corners: readonly Flat[];
  readonly normal: Point;
  readonly flat: (point: Point) => Flat;
  /** How far a point lies off the plane, metres. */
  readonly off: (point: Point) => number;
  readonly extent: number;
}

/** Parts of a panel's extent that count as nothing. */
export const SLACK = 1e-7;
/** So much of a unit normal may point up or down while the panel stands upright: a millimetre in a metre out of plumb. */
export const UPRIGHT = 1e-3;

export const isUpright = (normal: Point): boolean => Math.abs(normal[1]) <= UPRIGHT;
/** The way in which a pressure square to a panel acts: from above, on an upright one along its normal. */
export const pressedAlong = (normal: Point): Point => (normal[1] > UPRIGHT ? times(normal, -1) : normal);

/** The panel between nodes that follow each other once around it; corners on a straight side are left out. */
export function panelOf(ids: readonly string[], bars: Bars): Panel {
  if (ids.length > PANEL_CORNERS)
    throw new PanelTrouble(`it has ${ids.length} corners, and ${PANEL_CORNERS} at the most are allowed`);
  const again = ids.find((id, i) => ids.indexOf(id) < i);
  if (again !== undefined) throw new PanelTrouble(`node ${again} is named twice`);
  const points = ids.map((id) => {
    const point = bars.places.get(id);
    if (!point) throw new PanelTrouble(`there is no node ${id}`);
    return point;
  });
  if (ids.length < 3) throw new PanelTrouble('a panel has at least three corners');
  const twice = points.map((p, i) => cross(p, points[(i + 1) % points.length]!)).reduce(plus);
  const extent = Math.max(...points.map((p) => size(minus(p, points[0]!))));
  if (size(twice) <= SLACK * extent * extent) throw new PanelTrouble('its corners lie in one line, or its sides cross');
  const normal = times(twice, 1 / size(twice));
  const along = minus(points[1]!, points[0]!);
  const inPlane = minus(along, times(normal, dot(along, normal)));
  const u = times(inPlane, 1 / size(inPlane));
  const v = cross(normal, u);
  const origin = points[0]!;
  const off = (point: Point): number => Math.abs(dot(minus(point, origin), normal));
  const out = points.findIndex((point) => off(point) > 1e-6 * extent);
  if (out >= 0) throw new PanelTrouble(`node ${ids[out]} does not lie in one plane with the others`);
  const flat = (point: Point): Flat => [dot(minus(point, origin), u), dot(minus(point, origin), v)];
  const all = points.map(flat);
  const trouble = ringTrouble(all, SLACK * extent);
  if (trouble) throw new PanelTrouble(wordsOf(trouble, ids));
  const turn = (i: number): number => {
    const [p, q, r] = [all.at(i - 1)!, all[i]!, all[(i + 1) % all.length]!];
    return (q[0] - p[0]) * (r[1] - q[1]) - (q[1] - p[1]) * (r[0] - q[0]);
  };
  const kept = ids.map((_, i) => i).filter((i) => Math.abs(turn(i)) > SLACK * extent * extent);
  return { ids: kept.map((i) => ids[i]!), corners: kept.map((i) => all[i]!), normal, flat, off, extent };
}

/** Why nodes in their order do not go once around a panel. */
function wordsOf(trouble: RingTrouble, ids: readonly string[]): string {
  const side = (i: number): string => `${ids[i]}–${ids[(i + 1) % ids.length]}`;
  if (trouble.kind === 'together') return `nodes ${ids[trouble.corners[0]]} and ${ids[trouble.corners[1]]} lie in one place`;
  if (trouble.kind === 'spike') return `at node ${ids[trouble.corner]} its line turns back on itself`;
  return `its sides ${side(trouble.sides[0])} and ${side(trouble.sides[1])} cross or touch: name the corners in their order around it`;
}

/** Whether a panel has no corner that points inwards. */
export function isConvex({ corners, extent }: Panel): boolean {
  return corners.every((q, i) => {
    const [p, r] = [corners.at(i - 1)!, corners[(i + 1) % corners.length]!];
    return (q[0] - p[0]) * (r[1] - q[1]) - (q[1] - p[1]) * (r[0] - q[0]) > -SLACK * extent * extent;
  });
}

/** The area that a line of places encloses, anticlockwise positive. */
export const areaOf = (corners: readonly Flat[]): number =>
  corners.reduce((sum, [a, b], i) => {
    const [c, d] = corners[(i + 1) % corners.length]!;
    return sum + (a * d - c * b) / 2;
  }, 0);

/** A member along a line: from and to along it in metres, and which way it runs. */
export interface Link {
  readonly member: string;
  readonly from: number;
  readonly to: number;
  readonly way: 'along' | 'against';
}

/** The members that lead in a straight line from one node to another. */
export function linksBetween(start: string, end: string, bars: Bars): readonly Link[] {
  const [from, to] = [bars.places.get(start)!, bars.places.get(end)!];
  const length = size(minus(to, from));
  const way = times(minus(to, from), 1 / length);
  const links: Link[] = [];
  let [at, done] = [start, 0];
  while (at !== end) {
    const next = bars.at(at).find(({ id, start: a, end: b }) => {
      const other = bars.places.get(a === at ? b : a);
      if (!other || links.some(({ member }) => member === id)) return false;
      const reach = minus(other, from);
      const x = dot(reach, way);
      return x > done + SLACK * length && x <= length * (1 + SLACK) && size(minus(reach, times(way, x))) <= 1e-6 * length;
    });
    if (!next) throw new PanelTrouble(`no member leads from node ${start} to node ${end}`);
    const isAlong = next.start === at;
    const other = isAlong ? next.end : next.start;
    const x = dot(minus(bars.places.get(other)!, from), way);
    links.push({ member: next.id, from: done, to: x, way: isAlong ? 'along' : 'against' });
    [at, done] = [other, x];
  }
  return links;
}
