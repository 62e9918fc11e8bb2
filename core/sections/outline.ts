import type { Shape } from '../model/model';
import { cornersOf } from './corners';
import { edgesOf, pointsOf } from './path';
import { dimensionsOf, shapeFault } from './shape-table';

/** A closed line of points, z (to the right) and y (up) in turn, metres; the outer one runs anticlockwise, a hole clockwise. */
export type Loop = readonly number[];

/** Straight pieces of a whole circle. */
const FINE = 64;

/** The outline of a sound shape, with all its radii, in the place where it is built (`cornersOf`); empty where its shape is not known. */
export function outlineLoops(shape: Shape): readonly Loop[] {
  if (shape.type === 'general' || shapeFault(shape) !== undefined) return [];
  const { d, t } = dimensionsOf(shape);
  if (shape.type === 'round') return [circle(d, 1)];
  if (shape.type === 'chs') return [circle(d, 1), circle(d - 2 * t, -1)];
  return cornersOf(shape).map((corners) => pointsOf(edgesOf(corners)));
}

const circle = (d: number, sense: 1 | -1): number[] =>
  Array.from({ length: FINE }, (_, i) => (sense * i * 2 * Math.PI) / FINE).flatMap((angle) => [
    (d / 2) * Math.cos(angle),
    (d / 2) * Math.sin(angle),
  ]);

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
  if (shape.type === 'rhs') {
    const [z, y] = [b / 2 - ro, h / 2 - ro];
    return { points: [[z, y], [-z, y], [-z, -y], [z, -y]], radius: ro }; // prettier-ignore
  }
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
