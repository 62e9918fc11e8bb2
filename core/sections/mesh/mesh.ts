import Delaunator from 'delaunator';
import type { Loop } from '../path';
import { Area } from './area';

/** Triangles that fill an area: places of the points as z and y in turn, and three points a triangle, anticlockwise. */
export interface Mesh {
  readonly places: Float64Array;
  readonly triangles: Int32Array;
}

/** Why an area cannot be filled with triangles, in words. */
export class MeshTrouble extends Error {}

/** Times that boundary pieces which the triangles do not keep are halved. */
const MOST_ROUNDS = 24;
/** Pieces of the boundary. */
export const MOST_PIECES = 12_000;
/** Twice the area of a triangle beside the square of the size, under which it is flat. */
const FLAT = 1e-7;
/** Points nearer than this part of the whole are one. */
const SAME = 1e-9;

/**
 * Fills what closed lines enclose with triangles of about one size (metres). Lines of several parts may touch: where they do, their
 * triangles share points. The points of the lines and of a lattice inside are joined by Delaunay's rule; a piece of a line that is no side
 * of a triangle is halved until it is one.
 */
export function meshOf(loops: readonly Loop[], size: number): Mesh {
  const extent = loops.flat().reduce((most, value) => Math.max(most, Math.abs(value)), 0);
  const points = new PointList(SAME * extent);
  let pieces = touching(loops, SAME * extent).flatMap((segment) => divided(segment, size, points));
  const border = pieces.map(([a, b]) => [...points.at(a), ...points.at(b)] as const);
  const area = new Area(loops);
  lattice(area, border, size, points);
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const triangles = joined(points, area, size);
    const sides = new Set<number>();
    const key = (a: number, b: number): number => Math.min(a, b) * points.count + Math.max(a, b);
    for (let t = 0; t < triangles.length; t += 3)
      for (let k = 0; k < 3; k++) sides.add(key(triangles[t + k]!, triangles[t + ((k + 1) % 3)]!));
    const missing = pieces.filter(([a, b]) => !sides.has(key(a, b)));
    if (missing.length === 0) return { places: points.places(), triangles };
    if (pieces.length > MOST_PIECES) break;
    const lost = new Set(missing);
    pieces = pieces.flatMap((piece) => (lost.has(piece) ? halves(piece, points) : [piece]));
  }
  throw new MeshTrouble('its outline cannot be filled with triangles');
}

type Segment = readonly [z0: number, y0: number, z1: number, y1: number];
type Piece = readonly [a: number, b: number];

/** Points by number; one that is there already keeps its number. */
class PointList {
  private readonly all: number[] = [];
  private readonly known = new Map<string, number>();

  constructor(private readonly tolerance: number) {}

  get count(): number {
    return this.all.length / 2;
  }

  at(i: number): readonly [number, number] {
    return [this.all[2 * i]!, this.all[2 * i + 1]!];
  }

  places(): Float64Array {
    return Float64Array.from(this.all);
  }

  add(z: number, y: number): number {
    const step = 8 * this.tolerance;
    const [i, j] = [Math.round(z / step), Math.round(y / step)];
    for (let di = -1; di <= 1; di++)
      for (let dj = -1; dj <= 1; dj++) {
        const near = this.known.get(`${i + di} ${j + dj}`);
        if (near === undefined) continue;
        const [nz, ny] = this.at(near);
        if (Math.hypot(nz - z, ny - y) <= this.tolerance) return near;
      }
    const number = this.count;
    this.all.push(z, y);
    this.known.set(`${i} ${j}`, number);
    return number;
  }
}

/** The sides of all lines, cut where a corner of another lies on them; a side that two parts share comes once. */
function touching(loops: readonly Loop[], tolerance: number): Segment[] {
  const corners = loops.flatMap((loop) =>
    Array.from({ length: loop.length / 2 }, (_, i) => [loop[2 * i]!, loop[2 * i + 1]!] as const),
  );
  const seen = new Set<string>();
  return loops.flatMap((loop) =>
    Array.from({ length: loop.length / 2 }, (_, i): Segment => {
      const next = (2 * i + 2) % loop.length;
      return [loop[2 * i]!, loop[2 * i + 1]!, loop[next]!, loop[next + 1]!];
    }).flatMap(([z0, y0, z1, y1]) => {
      const length = Math.hypot(z1 - z0, y1 - y0);
      if (length <= tolerance) return [];
      const [uz, uy] = [(z1 - z0) / length, (y1 - y0) / length];
      const cuts = corners
        .filter(([z, y]) => Math.abs((z - z0) * uy - (y - y0) * uz) <= tolerance)
        .map(([z, y]) => (z - z0) * uz + (y - y0) * uy)
        .filter((at) => at > tolerance && at < length - tolerance)
        .sort((a, b) => a - b)
        .filter((at, k, all) => k === 0 || at - all[k - 1]! > tolerance);
      const ends = [0, ...cuts, length];
      return ends.slice(1).flatMap((to, k): Segment[] => {
        const from = ends[k]!;
        const segment: Segment = [z0 + from * uz, y0 + from * uy, z0 + to * uz, y0 + to * uy];
        const places = [segment.slice(0, 2), segment.slice(2)].map((p) =>
          p.map((x) => Math.round(x / (8 * tolerance))).join(' '),
        );
        const name = places.sort().join('|');
        if (seen.has(name)) return [];
        seen.add(name);
        return [segment];
      });
    }),
  );
}

function divided([z0, y0, z1, y1]: Segment, size: number, points: PointList): Piece[] {
  const count = Math.max(1, Math.ceil(Math.hypot(z1 - z0, y1 - y0) / size));
  const numbers = Array.from({ length: count + 1 }, (_, i) =>
    points.add(z0 + ((z1 - z0) * i) / count, y0 + ((y1 - y0) * i) / count),
  );
  return numbers.slice(1).map((b, i) => [numbers[i]!, b]);
}

function halves([a, b]: Piece, points: PointList): Piece[] {
  const [[z0, y0], [z1, y1]] = [points.at(a), points.at(b)];
  const middle = points.add((z0 + z1) / 2, (y0 + y1) / 2);
  return [[a, middle], [middle, b]]; // oxfmt-ignore
}

/** Points of a lattice of triangles inside, not too near to the lines. */
function lattice(area: Area, border: readonly Segment[], size: number, points: PointList): void {
  const [left, right, low, high] = area.range;
  const rise = (size * Math.sqrt(3)) / 2;
  const nearby = cellsOf(border, size);
  for (let row = 1; low + row * rise < high; row++) {
    const y = low + row * rise;
    for (let z = left + (row % 2 === 0 ? size / 2 : size); z < right; z += size)
      if (area.holds(z, y) && nearby(z, y).every((segment) => distance(segment, z, y) > 0.6 * size)) points.add(z, y);
  }
}

/** Finds the segments, none longer than `size`, that may lie within 0.6 of it from a place: by cells in which their middles lie. */
function cellsOf(segments: readonly Segment[], size: number): (z: number, y: number) => readonly Segment[] {
  const width = 1.2 * size;
  const cells = new Map<number, Map<number, Segment[]>>();
  const cell = (value: number): number => Math.floor(value / width);
  for (const segment of segments) {
    const [i, j] = [cell((segment[0] + segment[2]) / 2), cell((segment[1] + segment[3]) / 2)];
    const row = cells.get(j) ?? new Map<number, Segment[]>();
    cells.set(j, row);
    const list = row.get(i);
    if (list) list.push(segment);
    else row.set(i, [segment]);
  }
  return (z, y) => {
    const found: Segment[] = [];
    for (let j = cell(y) - 1; j <= cell(y) + 1; j++) {
      const row = cells.get(j);
      if (row) for (let i = cell(z) - 1; i <= cell(z) + 1; i++) found.push(...(row.get(i) ?? []));
    }
    return found;
  };
}

function distance([z0, y0, z1, y1]: Segment, z: number, y: number): number {
  const [dz, dy] = [z1 - z0, y1 - y0];
  const at = Math.max(0, Math.min(1, ((z - z0) * dz + (y - y0) * dy) / (dz * dz + dy * dy)));
  return Math.hypot(z - z0 - at * dz, y - y0 - at * dy);
}

/** The triangles of all points that lie inside, anticlockwise. */
function joined(points: PointList, area: Area, size: number): Int32Array {
  const places = points.places();
  const { triangles } = new Delaunator(places);
  const kept: number[] = [];
  for (let t = 0; t < triangles.length; t += 3) {
    const [a, b, c] = [triangles[t]!, triangles[t + 1]!, triangles[t + 2]!];
    const z = (places[2 * a]! + places[2 * b]! + places[2 * c]!) / 3;
    const y = (places[2 * a + 1]! + places[2 * b + 1]! + places[2 * c + 1]!) / 3;
    if (!area.holds(z, y)) continue;
    const twice = twiceArea(places, a, b, c);
    // Three points of one straight side are no triangle.
    if (Math.abs(twice) < FLAT * size * size) continue;
    kept.push(a, ...(twice > 0 ? [b, c] : [c, b]));
  }
  return Int32Array.from(kept);
}

export const twiceArea = (places: Float64Array, a: number, b: number, c: number): number =>
  (places[2 * b]! - places[2 * a]!) * (places[2 * c + 1]! - places[2 * a + 1]!) -
  (places[2 * c]! - places[2 * a]!) * (places[2 * b + 1]! - places[2 * a + 1]!);
