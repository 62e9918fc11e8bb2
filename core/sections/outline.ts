import type { Shape } from '../model/model';
import { dimensionsOf, shapeFault } from './shape-properties';

/** Straight pieces for a quarter of a circle. */
const FINE = 8;

/** A closed line of points, z (to the right) and y (up) in turn, metres; the outer one runs anticlockwise, a hole clockwise. */
export type Loop = readonly number[];

/** The outline of a sound shape, with its root and corner radii, in the place where it is built (`openParts`); empty where its shape is not known. */
export function outlineLoops(shape: Shape): readonly Loop[] {
  if (shape.type === 'general' || shapeFault(shape) !== undefined) return [];
  const { h, b, tw, tf, r, t, ro, d, bTop, tfTop } = dimensionsOf(shape);
  switch (shape.type) {
    case 'rectangle':
      return [box(h, b, 0)];
    case 'round':
      return [circle(d)];
    case 'chs':
      return [circle(d), turned(circle(d - 2 * t))];
    case 'rhs':
      return [box(h, b, ro), turned(box(h - 2 * t, b - 2 * t, Math.max(0, ro - t)))];
    case 'i':
      return [
        [
          ...[-b / 2, 0, b / 2, 0, b / 2, tf],
          ...corner(tw / 2, tf, r, 1, 1, 'from the side'),
          ...corner(tw / 2, h - tfTop, r, 1, -1, 'from the web'),
          ...[bTop / 2, h - tfTop, bTop / 2, h, -bTop / 2, h, -bTop / 2, h - tfTop],
          ...corner(-tw / 2, h - tfTop, r, -1, -1, 'from the side'),
          ...corner(-tw / 2, tf, r, -1, 1, 'from the web'),
          ...[-b / 2, tf],
        ],
      ];
    case 'channel':
      return [
        [
          ...[0, 0, b, 0, b, tf],
          ...corner(tw, tf, r, 1, 1, 'from the side'),
          ...corner(tw, h - tf, r, 1, -1, 'from the web'),
          ...[b, h - tf, b, h, 0, h],
        ],
      ];
    case 'angle':
      return [[...[0, 0, b, 0, b, t], ...corner(t, t, r, 1, 1, 'from the side'), ...[t, h, 0, h]]];
    case 'tee':
      return [
        [
          ...[-tw / 2, 0, tw / 2, 0],
          ...corner(tw / 2, h - tf, r, 1, -1, 'from the web'),
          ...[b / 2, h - tf, b / 2, h, -b / 2, h, -b / 2, h - tf],
          ...corner(-tw / 2, h - tf, r, -1, -1, 'from the side'),
        ],
      ];
  }
}

/** Corners of the convex outline, z and y; or circles of one radius about such points. */
interface Farthest {
  readonly points: readonly (readonly [z: number, y: number])[];
  readonly radius: number;
}

/** What of a sound shape is farthest from its middle in any direction; undefined where its shape is not known. */
export function farthest(shape: Shape): Farthest | undefined {
  const [outer] = outlineLoops(shape);
  if (!outer) return undefined;
  const { h, b, ro, d } = dimensionsOf(shape);
  if (shape.type === 'round' || shape.type === 'chs') return { points: [[0, 0]], radius: d / 2 };
  if (shape.type === 'rhs') return { points: pairsOf(box(h - 2 * ro, b - 2 * ro, 0)), radius: ro };
  return { points: hullOf(pairsOf(outer)), radius: 0 };
}

type Pair = readonly [z: number, y: number];
const pairsOf = (loop: Loop): Pair[] => Array.from({ length: loop.length / 2 }, (_, i) => [loop[2 * i]!, loop[2 * i + 1]!]);

/** The convex hull, anticlockwise (Andrew's monotone chain). */
function hullOf(points: readonly Pair[]): Pair[] {
  const sorted = [...points].sort((a, b) => a[0] - b[0] || a[1] - b[1]);
  const half = (all: readonly Pair[]): Pair[] => {
    const chain: Pair[] = [];
    for (const p of all) {
      while (chain.length > 1 && !isLeft(chain.at(-2)!, chain.at(-1)!, p)) chain.pop();
      chain.push(p);
    }
    return chain.slice(0, -1);
  };
  return [...half(sorted), ...half(sorted.toReversed())];
}

const isLeft = (a: Pair, b: Pair, p: Pair): boolean => (b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0]) > 0;

function arc(z: number, y: number, r: number, from: number, to: number): number[] {
  return Array.from({ length: FINE + 1 }, (_, i) => from + ((to - from) * i) / FINE).flatMap((angle) => [
    z + r * Math.cos(angle),
    y + r * Math.sin(angle),
  ]);
}

/** The fillet in the corner at (z, y), lying towards (towardsZ, towardsY); it is met from the flange's side, or from the web. */
function corner(
  z: number,
  y: number,
  r: number,
  ...[towardsZ, towardsY, from]: [1 | -1, 1 | -1, 'from the side' | 'from the web']
): number[] {
  if (r === 0) return [z, y];
  const [cz, cy] = [z + towardsZ * r, y + towardsY * r];
  const atFlange = Math.atan2(-towardsY, 0);
  // The short way round from the flange to the web, whose side of the circle faces the corner.
  const atWeb = atFlange + (towardsZ * towardsY > 0 ? -1 : 1) * (Math.PI / 2);
  return from === 'from the side' ? arc(cz, cy, r, atFlange, atWeb) : arc(cz, cy, r, atWeb, atFlange);
}

function box(h: number, b: number, r: number): number[] {
  const [z, y] = [b / 2 - r, h / 2 - r];
  if (r === 0) return [z, y, -z, y, -z, -y, z, -y];
  const quarter = Math.PI / 2;
  return [
    ...arc(z, y, r, 0, quarter),
    ...arc(-z, y, r, quarter, 2 * quarter),
    ...arc(-z, -y, r, 2 * quarter, 3 * quarter),
    ...arc(z, -y, r, 3 * quarter, 4 * quarter),
  ];
}

const circle = (d: number): number[] =>
  Array.from({ length: 8 * FINE }, (_, i) => (i * 2 * Math.PI) / (8 * FINE)).flatMap((angle) => [
    (d / 2) * Math.cos(angle),
    (d / 2) * Math.sin(angle),
  ]);

function turned(loop: readonly number[]): number[] {
  const points: number[] = [];
  for (let i = loop.length - 2; i >= 0; i -= 2) points.push(loop[i]!, loop[i + 1]!);
  return points;
}
