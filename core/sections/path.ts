import type { Corner } from '../shapes/kind';

/** Area, centroid and second moments about it. SI; y up, z to the right. */
export interface Composite {
  readonly A: number;
  readonly y: number;
  readonly z: number;
  readonly Iz: number;
  readonly Iy: number;
  readonly Iyz: number;
}

/** A closed line of points, z (to the right) and y (up) in turn, metres; the outer one runs anticlockwise, a hole clockwise. */
export type Loop = readonly number[];

/** A straight piece, or an arc about (cz, cy) from one angle to another (radians; anticlockwise where the second is larger). */
export type Edge =
  | { readonly from: readonly [z: number, y: number]; readonly to: readonly [z: number, y: number] }
  | { readonly cz: number; readonly cy: number; readonly r: number; readonly begin: number; readonly end: number };

/** The edges of a closed line whose corners are rounded; the material lies on the left of it. */
export function edgesOf(corners: readonly Corner[]): readonly Edge[] {
  const arcs = corners.map((corner, i) => arcAt(corners.at(i - 1)!, corner, corners[(i + 1) % corners.length]!));
  return arcs.flatMap((arc, i) => {
    const next = arcs[(i + 1) % arcs.length]!;
    const [from, to] = [arc.leaves, next.enters];
    // Between two arcs that meet rounding leaves a straight piece of no length.
    const size = Math.abs(from[0]) + Math.abs(from[1]) + Math.abs(to[0]) + Math.abs(to[1]);
    return Math.hypot(to[0] - from[0], to[1] - from[1]) > 1e-12 * size ? [...arc.edges, { from, to }] : arc.edges;
  });
}

interface Rounded {
  readonly enters: readonly [number, number];
  readonly leaves: readonly [number, number];
  readonly edges: readonly Edge[];
}

/** How much of its two sides the circle of corner i takes. */
export function reachAt(corners: readonly Corner[], i: number): number {
  const { r = 0 } = corners[i]!;
  const turn = turnAt(corners.at(i - 1)!, corners[i]!, corners[(i + 1) % corners.length]!);
  return r * Math.abs(Math.tan(turn / 2));
}

/** The angle by which a line turns at a corner, anticlockwise. */
function turnAt(before: Corner, corner: Corner, after: Corner): number {
  const [u, v] = [direction(before, corner), direction(corner, after)];
  return Math.atan2(u[0] * v[1] - u[1] * v[0], u[0] * v[0] + u[1] * v[1]);
}

/** Where the circle of a corner touches its two sides, and the arc between, in pieces of at most an eighth of a circle. */
function arcAt(before: Corner, { z, y, r = 0 }: Corner, after: Corner): Rounded {
  if (r === 0) return { enters: [z, y], leaves: [z, y], edges: [] };
  const [u, v] = [direction(before, { z, y }), direction({ z, y }, after)];
  const turn = turnAt(before, { z, y }, after);
  const reach = r * Math.abs(Math.tan(turn / 2));
  const enters = [z - u[0] * reach, y - u[1] * reach] as const;
  const leaves = [z + v[0] * reach, y + v[1] * reach] as const;
  // The centre lies on the side to which the line turns.
  const side = Math.sign(turn);
  const [cz, cy] = [enters[0] - side * r * u[1], enters[1] + side * r * u[0]];
  const begin = Math.atan2(enters[1] - cy, enters[0] - cz);
  const pieces = Math.ceil(Math.abs(turn) / (Math.PI / 4) - 1e-9);
  const edges = Array.from({ length: pieces }, (_, i) => {
    const [from, to] = [begin + (turn * i) / pieces, begin + (turn * (i + 1)) / pieces];
    return { cz, cy, r, begin: from, end: to };
  });
  return { enters, leaves, edges };
}

function direction(a: Corner, b: Corner): readonly [number, number] {
  const length = Math.hypot(b.z - a.z, b.y - a.y);
  return [(b.z - a.z) / length, (b.y - a.y) / length];
}

/** Nodes and weights of Gauss and Legendre's rule with 8 points on −1 … 1 (Abramowitz and Stegun, table 25.4). */
const GAUSS = [
  [0.1834346424956498, 0.362683783378362],
  [0.525532409916329, 0.3137066458778873],
  [0.7966664774136267, 0.2223810344533745],
  [0.9602898564975363, 0.1012285362903763],
].flatMap(([node, weight]) => [[node!, weight!] as const, [-node!, weight!] as const]);

/** The rule with 2 points, exact for the cubes along a straight edge. */
const GAUSS_OF_LINE = [
  [-Math.sqrt(1 / 3), 1],
  [Math.sqrt(1 / 3), 1],
] as const;

/**
 * Area, centroid and second moments of what closed lines enclose (Green's theorem: A = ∮ z dy, ∫y = −∮ y²/2 dz, ∫z = ∮ z²/2 dy,
 * ∫y² = −∮ y³/3 dz, ∫z² = ∮ z³/3 dy, ∫yz = ∮ z²y/2 dy). Exact for straight edges, and for arcs to the last digits.
 */
export function enclosed(loops: readonly (readonly Edge[])[]): Composite {
  let [A, sy, sz, yy, zz, yz] = [0, 0, 0, 0, 0, 0];
  // Far from the origin the moments are small differences of large numbers: they are taken about a place of the line itself.
  const [oz, oy] = anyPlaceOf(loops);
  const add = (z: number, y: number, dz: number, dy: number): void => {
    A += z * dy;
    sy -= (y * y * dz) / 2;
    sz += (z * z * dy) / 2;
    yy -= (y ** 3 * dz) / 3;
    zz += (z ** 3 * dy) / 3;
    yz += (z * z * y * dy) / 2;
  };
  for (const edge of loops.flat())
    for (const [node, weight] of 'from' in edge ? GAUSS_OF_LINE : GAUSS) {
      const { z, y, dz, dy } = placeOn(edge, (1 + node) / 2);
      add(z - oz, y - oy, (weight / 2) * dz, (weight / 2) * dy);
    }
  const [y, z] = [sy / A, sz / A];
  return { A, y: y + oy, z: z + oz, Iz: yy - A * y * y, Iy: zz - A * z * z, Iyz: yz - A * y * z };
}

/** Where the first edge begins, or the middle of its arc lies. */
function anyPlaceOf(loops: readonly (readonly Edge[])[]): readonly [z: number, y: number] {
  const first = loops.flat()[0];
  if (!first) return [0, 0];
  return 'from' in first ? first.from : [first.cz, first.cy];
}

/**
 * What of the enclosed area lies below a level: its area, its first moment ∫y dA, and the range of all heights. Along the level itself
 * dy = 0, so that ∮ z dy and ∮ z y dy need the edges below it only; each is cut where it crosses.
 */
export function partBelow(
  loops: readonly (readonly Edge[])[],
  level: number,
): { readonly A: number; readonly Sy: number; readonly range: readonly [number, number] } {
  let [A, Sy, least, greatest] = [0, 0, Infinity, -Infinity];
  for (const edge of loops.flat()) {
    const heights = 'from' in edge ? [edge.from[1], edge.to[1]] : [edge.cy + edge.r, edge.cy - edge.r];
    least = Math.min(least, ...heights);
    greatest = Math.max(greatest, ...heights);
    const cuts = [0, ...crossings(edge, level).sort((a, b) => a - b), 1];
    for (let i = 1; i < cuts.length; i++) {
      const [begin, end] = [cuts[i - 1]!, cuts[i]!];
      if (placeOn(edge, (begin + end) / 2).y >= level) continue;
      for (const [node, weight] of 'from' in edge ? GAUSS_OF_LINE : GAUSS) {
        const { z, y, dy } = placeOn(edge, begin + ((end - begin) * (1 + node)) / 2);
        const step = (weight / 2) * (end - begin) * dy;
        A += z * step;
        Sy += z * y * step;
      }
    }
  }
  return { A, Sy, range: [least, greatest] };
}

interface Place {
  readonly z: number;
  readonly y: number;
  readonly dz: number;
  readonly dy: number;
}

/** Place at a parameter of 0 to 1, and its change per parameter. */
function placeOn(edge: Edge, at: number): Place {
  if ('from' in edge) {
    const [dz, dy] = [edge.to[0] - edge.from[0], edge.to[1] - edge.from[1]];
    return { z: edge.from[0] + at * dz, y: edge.from[1] + at * dy, dz, dy };
  }
  const turn = edge.end - edge.begin;
  const angle = edge.begin + at * turn;
  const [across, up] = [edge.r * Math.cos(angle), edge.r * Math.sin(angle)];
  return { z: edge.cz + across, y: edge.cy + up, dz: -turn * up, dy: turn * across };
}

/** The parameters between 0 and 1 at which an edge crosses a level. */
function crossings(edge: Edge, level: number): number[] {
  if ('from' in edge) {
    const at = (level - edge.from[1]) / (edge.to[1] - edge.from[1]);
    return at > 0 && at < 1 ? [at] : [];
  }
  const sine = (level - edge.cy) / edge.r;
  if (!(Math.abs(sine) < 1)) return [];
  const turn = edge.end - edge.begin;
  return [Math.asin(sine), Math.PI - Math.asin(sine)].flatMap((angle) =>
    [-2, -1, 0, 1, 2].map((round) => (angle + 2 * Math.PI * round - edge.begin) / turn).filter((at) => at > 0 && at < 1),
  );
}

/** Lines turned by a quarter, so that what was level stands upright. */
export const turned = (lines: readonly (readonly Corner[])[]): Corner[][] =>
  lines.map((line) => line.map((corner) => ({ ...corner, z: corner.y, y: -corner.z })));

/** Where a line is leftmost, rightmost, lowest and highest, arcs included. */
export function extentOf(edges: readonly Edge[]): {
  readonly z: readonly [number, number];
  readonly y: readonly [number, number];
} {
  const places = edges.flatMap((edge) => {
    if ('from' in edge) return [edge.from, edge.to];
    const [low, high] = [Math.min(edge.begin, edge.end), Math.max(edge.begin, edge.end)];
    const quarters = [-4, -3, -2, -1, 0, 1, 2, 3, 4].map((k) => (k * Math.PI) / 2).filter((angle) => angle > low && angle < high);
    return [low, ...quarters, high].map(
      (angle) => [edge.cz + edge.r * Math.cos(angle), edge.cy + edge.r * Math.sin(angle)] as const,
    );
  });
  const range = (k: 0 | 1): readonly [number, number] => [
    places.reduce((least, place) => Math.min(least, place[k]), Infinity),
    places.reduce((most, place) => Math.max(most, place[k]), -Infinity),
  ];
  return { z: range(0), y: range(1) };
}

/** How long a line is, arcs included. */
export const lengthOfEdges = (edges: readonly Edge[]): number =>
  edges.reduce(
    (sum, edge) =>
      sum +
      ('from' in edge
        ? Math.hypot(edge.to[0] - edge.from[0], edge.to[1] - edge.from[1])
        : edge.r * Math.abs(edge.end - edge.begin)),
    0,
  );

/**
 * A closed line as points, z and y in turn; each arc in pieces of at most an angle (radians). With `same area` the points between the ends
 * of an arc lie a little outside it, so that the straight pieces enclose as much as it does.
 */
export function pointsOf(
  edges: readonly Edge[],
  where: 'on the arc' | 'same area' = 'on the arc',
  most = Math.PI / 16,
): number[] {
  return edges.flatMap((edge) => {
    if ('from' in edge) return [edge.from[0], edge.from[1]];
    const turn = edge.end - edge.begin;
    const pieces = Math.max(1, Math.ceil(Math.abs(turn) / most - 1e-9));
    const outside = where === 'same area' ? swelling(pieces, Math.abs(turn) / pieces) : 1;
    return Array.from({ length: pieces }, (_, i) => i).flatMap((i) => {
      const angle = edge.begin + (turn * i) / pieces;
      const r = i === 0 ? edge.r : edge.r * outside;
      return [edge.cz + r * Math.cos(angle), edge.cy + r * Math.sin(angle)];
    });
  });
}

/** By how much the points between go out: k pieces of angle θ have the area of the arc, (k − 2)x² + 2x = kθ/sin θ. */
function swelling(pieces: number, angle: number): number {
  if (pieces === 1) return 1;
  const wanted = (pieces * angle) / Math.sin(angle);
  return pieces === 2 ? wanted / 2 : (Math.sqrt(1 + (pieces - 2) * wanted) - 1) / (pieces - 2);
}
