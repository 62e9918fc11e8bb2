import type { Graph } from './graph';
import { minimumDegree } from './minimum-degree';

/** Parts of fewer vertices are not cut. */
const LEAF = 150;
/** A cut leaves at least this part of the vertices on either side. */
const LEAST = 0.3;
const DEEPEST = 12;

/**
 * order = nested dissection of a graph whose vertices lie at `places` (3 numbers each): the vertices are cut by planes across the
 * axes, and what joins the two sides is eliminated after them (George, 1973, with the geometry to find the cuts). Within these
 * limits the order is that of minimum degree. For frames that fill a volume it needs less work than minimum degree alone.
 */
export function nestedDissection(graph: Graph, weights: Int32Array, places: Float64Array, steps = ranks(places)): Int32Array {
  const classes = new Uint8Array(graph.size);
  const side = new Int8Array(graph.size);
  const stack: { part: Int32Array; depth: number }[] = [{ part: Int32Array.from({ length: graph.size }, (_, v) => v), depth: 0 }];
  while (stack.length > 0) {
    const { part, depth } = stack.pop()!;
    const cut = part.length > LEAF && depth < DEEPEST ? bestCut(graph, part, steps, side) : undefined;
    if (!cut) continue;
    for (const v of cut.separator) classes[v] = DEEPEST - depth;
    stack.push({ part: cut.low, depth: depth + 1 }, { part: cut.high, depth: depth + 1 });
  }
  return minimumDegree(graph, weights, classes);
}

interface Cut {
  readonly low: Int32Array;
  readonly high: Int32Array;
  readonly separator: Int32Array;
}

/** Cuts are made across the axes, the diagonals of their planes and those of space: on a grid the last are the smallest. */
const DIRECTIONS: readonly (readonly number[])[] = [-1, 0, 1].flatMap((x) =>
  [-1, 0, 1].flatMap((y) => [-1, 0, 1].map((z) => [x, y, z]).filter(([i, j, k]) => 9 * i! + 3 * j! + k! > 0)),
);

/** The cut with the smallest separator, weighed against how unequal the sides are. */
function bestCut(graph: Graph, part: Int32Array, steps: Float64Array, side: Int8Array): Cut | undefined {
  let best: (() => Cut) | undefined;
  let least = Infinity;
  const along = new Float64Array(part.length);
  for (const [x, y, z] of DIRECTIONS) {
    part.forEach((v, i) => (along[i] = x! * steps[3 * v]! + y! * steps[3 * v + 1]! + z! * steps[3 * v + 2]!));
    const at = along.slice().sort()[part.length >> 1]!;
    part.forEach((v, i) => (side[v] = along[i]! < at ? LOW : HIGH));
    const [low, lowBorder, highBorder] = tally(graph, part, side);
    const separator = Math.min(lowBorder, highBorder);
    const [left, right] = lowBorder <= highBorder ? [low - lowBorder, part.length - low] : [low, part.length - low - highBorder];
    if (Math.min(left, right) < LEAST * (left + right)) continue;
    const cost = separator * (1 + Math.max(left, right) / part.length);
    // A separator as large as its sides saves nothing.
    if (cost >= least || separator >= part.length / 3) continue;
    least = cost;
    const [fx, fy, fz] = [x!, y!, z!];
    best = () => {
      part.forEach((v) => (side[v] = fx * steps[3 * v]! + fy * steps[3 * v + 1]! + fz * steps[3 * v + 2]! < at ? LOW : HIGH));
      return taken(graph, part, side, lowBorder <= highBorder ? LOW : HIGH);
    };
  }
  const result = best?.();
  for (const v of part) side[v] = 0;
  return result;
}

const LOW = 1;
const HIGH = 2;

/** Whether a vertex has a neighbour on the other side. Vertices outside the part are on side 0. */
function crosses(graph: Graph, side: Int8Array, v: number): boolean {
  const other = LOW + HIGH - side[v]!;
  for (let e = graph.pointers[v]!; e < graph.pointers[v + 1]!; e++) if (side[graph.neighbours[e]!] === other) return true;
  return false;
}

/** How many vertices lie low, and how many of the low and of the high ones touch the other side. */
function tally(graph: Graph, part: Int32Array, side: Int8Array): [number, number, number] {
  let [low, lowBorder, highBorder] = [0, 0, 0];
  for (const v of part) {
    const isLow = side[v] === LOW;
    if (isLow) low++;
    if (!crosses(graph, side, v)) continue;
    if (isLow) lowBorder++;
    else highBorder++;
  }
  return [low, lowBorder, highBorder];
}

/** The cut whose separator is taken from the vertices of side `from` that touch the other. */
function taken(graph: Graph, part: Int32Array, side: Int8Array, from: number): Cut {
  const separator = part.filter((v) => side[v] === from && crosses(graph, side, v));
  for (const v of separator) side[v] = 0;
  return { separator, low: part.filter((v) => side[v] === LOW), high: part.filter((v) => side[v] === HIGH) };
}

/**
 * How far vertices at such ranks fill a volume: a cut across their longest axis goes through s of n vertices, and s^1.5 / n is 1 for a cube
 * and little for a sheet, a tower, or what lies nowhere in rows.
 */
export function fillOf(steps: Float64Array): number {
  const count = steps.length / 3;
  const longest = steps.reduce((most, rank) => Math.max(most, rank), 0) + 1;
  return count === 0 ? 0 : (count / longest) ** 1.5 / count;
}

/** Coordinates as ranks along each axis, so that the bays of a frame are steps of one whatever their size. */
export function ranks(places: Float64Array): Float64Array {
  const count = places.length / 3;
  const result = new Float64Array(places.length);
  for (let axis = 0; axis < 3; axis++) {
    const order = Int32Array.from({ length: count }, (_, v) => v).sort((a, b) => places[3 * a + axis]! - places[3 * b + axis]!);
    const reach = count === 0 ? 0 : places[3 * order[count - 1]! + axis]! - places[3 * order[0]! + axis]!;
    let rank = 0;
    for (let i = 0; i < count; i++) {
      if (i > 0 && places[3 * order[i]! + axis]! - places[3 * order[i - 1]! + axis]! > 1e-6 * reach) rank++;
      result[3 * order[i]! + axis] = rank;
    }
  }
  return result;
}
