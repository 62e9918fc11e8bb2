import { once } from '../once';
import type { Shape } from '../shapes/shape';
import { linesOf } from './lines-of';
import type { Farthest } from '../shapes/kind';
import { edgesOf, enclosed, extentOf, pointsOf, type Edge, type Loop } from './path';
import { shapeFault } from './shape-fault';
import { diametersOf, dimensionsOf, kindOf } from '../shapes/dimensions';

/** Straight pieces of a whole circle. */
const FINE = 64;

/** The outline of a sound shape, with all its radii, in the place where it is built (`cornersOf`); empty where its shape is not known. */
export function outlineLoops(shape: Shape): readonly Loop[] {
  if (shape.type === 'general' || shapeFault(shape) !== undefined) return [];
  const circles = diametersOf(shape);
  if (circles) return circles.map((d, i) => circle(d!, i === 0 ? 1 : -1));
  return linesOf(shape).map((corners) => pointsOf(edgesOf(corners)));
}

const circle = (d: number, sense: 1 | -1): number[] =>
  Array.from({ length: FINE }, (_, i) => (sense * i * 2 * Math.PI) / FINE).flatMap((angle) => [
    (d / 2) * Math.cos(angle),
    (d / 2) * Math.sin(angle),
  ]);

/** How far a shape reaches from its centroid, metres: to both sides across and up. */
export interface Extent {
  readonly z: readonly [left: number, right: number];
  readonly y: readonly [down: number, up: number];
}

/** How far a sound shape reaches from its centroid; undefined where its shape is not known. */
export function extentOfShape(shape: Shape): Extent | undefined {
  if (shape.type === 'general' || shapeFault(shape) !== undefined) return undefined;
  return measured(shape);
}

const measured = once((shape: Shape): Extent => {
  const circles = diametersOf(shape);
  if (circles) {
    const r = circles[0] / 2;
    return { z: [-r, r], y: [-r, r] };
  }
  const edges = linesOf(shape).map(edgesOf);
  const { y, z } = enclosed(edges);
  const { z: across, y: up } = extentOf(edges.flat());
  return { z: [across[0] - z, across[1] - z], y: [up[0] - y, up[1] - y] };
});

/** What of a sound shape is farthest from its middle in any direction; undefined where its shape is not known. */
export function farthest(shape: Shape): Farthest | undefined {
  const [outer] = outlineLoops(shape);
  if (!outer) return undefined;
  const kind = kindOf(shape);
  if (!kind) return { points: hullOf(linesOf(shape).flatMap(edgesOf).flatMap(around)), radius: 0 };
  if (kind.body === 'circles') return { points: [[0, 0]], radius: diametersOf(shape)![0] / 2 };
  if (kind.farthest) return kind.farthest(dimensionsOf(shape));
  return { points: hullOf(pairsOf(outer)), radius: 0 };
}

/** Straight pieces around a whole circle where stresses are looked for: they reach 0.03 % of its radius beyond it. */
const VERY_FINE = 128;

/** Points whose hull has an edge in it: the ends of a straight one, the corners of a line that touches an arc from outside. */
function around(edge: Edge): Pair[] {
  if ('from' in edge) return [edge.from, edge.to];
  const turn = edge.end - edge.begin;
  const pieces = Math.max(1, Math.ceil((Math.abs(turn) * VERY_FINE) / (2 * Math.PI) - 1e-9));
  const reach = edge.r / Math.cos(turn / pieces / 2);
  return Array.from({ length: pieces }, (_, i) => edge.begin + (turn * (i + 0.5)) / pieces).map((angle) => [
    edge.cz + reach * Math.cos(angle),
    edge.cy + reach * Math.sin(angle),
  ]);
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
