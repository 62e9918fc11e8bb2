import { once } from '../once';
import { diametersOf } from '../shapes/dimensions';
import type { Shape } from '../shapes/shape';
import { outlineProperties } from './built/properties';
import { linesOf } from './lines-of';
import { MeshTrouble } from './mesh/mesh';
import { stressField, type StressField } from './mesh/stress';
import type { SectionSolution } from './mesh/warping';
import { composite } from './shape-properties';
import { edgesOf, type Edge } from './path';

/**
 * Places on the outline of a section, and the shear stress that each force causes there: along the outline, since across it there is none.
 * A force of one newton along y or z, acting in the centroid, and a torque of one newton metre about it. In Pa, positive anticlockwise.
 */
export interface ShearPoints {
  /** Of each place y and z from the centroid in turn, metres. */
  readonly places: Float64Array;
  /** Of each place what Vy, Vz and T cause in turn. */
  readonly stresses: Float64Array;
}

/** Places on a circle: between two of them nothing is larger by more than 0.14 %. */
const ROUND = 60;
/** Parts of a straight side at whose ends stresses are looked for, of one that is short beside the longest, and how near to its own ends. */
const PARTS = { long: 12, short: 4 };
const SHORT = 0.15;
const NEAR = 0.03;

/**
 * The places of a sound shape where shear and bending may act together most: in twelfths of straight sides (of short ones in quarters), at
 * and near their ends and where the axes cross them; in the middles of roundings; 60 on a circle. Corners that point inwards are notches, sharp or rounded: what torsion adds there depends on
 * the radius alone, has no bound in a sharp one, and is not counted. Undefined where the section is in several pieces, or cannot be filled with triangles. Takes as long as its mesh.
 */
export const shearPoints = once((shape: Shape): ShearPoints | undefined => {
  const circles = diametersOf(shape);
  if (circles) return onCircles(circles[0] / 2, (circles[1] ?? 0) / 2);
  if (linesOf(shape).length === 0) return undefined;
  try {
    const { solution } = outlineProperties(linesOf(shape));
    return solution && onOutline(shape, solution);
  } catch (error) {
    if (error instanceof MeshTrouble) return undefined;
    throw error;
  }
});

/**
 * Circle and ring, without Poisson's effect: φ = (a·r³ + b·r + c/r)·sin θ with ∇²φ = −y/I and no stress across the edges, so that
 * τ = (a·r² + b + c/r²)·cos θ along them (Timoshenko and Goodier, §§ 117, 118, for ν = 0); torsion τ = T·r/J.
 */
function onCircles(ro: number, ri: number): ShearPoints {
  const I = (Math.PI * (ro ** 4 - ri ** 4)) / 4;
  const a = -1 / (8 * I);
  const [b, c] = [-3 * a * (ri ** 2 + ro ** 2), -3 * a * ro ** 2 * ri ** 2];
  const [places, stresses]: [number[], number[]] = [[], []];
  for (const r of ri > 0 ? [ro, ri] : [ro])
    for (let k = 0; k < ROUND; k++) {
      const angle = (2 * Math.PI * k) / ROUND;
      const [across, up] = [Math.cos(angle), Math.sin(angle)];
      places.push(r * up, r * across);
      const size = a * r ** 2 + b + c / r ** 2;
      // Anticlockwise about x as z leads to y: a torque that turns y towards z pushes the other way.
      stresses.push(-size * across, size * up, -r / (2 * I));
    }
  return { places: Float64Array.from(places), stresses: Float64Array.from(stresses) };
}

/** A place on the outline: z and y where the shape is built, and the way along it; none where the stress along it is zero. */
interface Wanted {
  readonly z: number;
  readonly y: number;
  readonly way: readonly [z: number, y: number] | undefined;
}

function onOutline(shape: Shape, solution: SectionSolution): ShearPoints {
  const about = composite(shape);
  const fields = (['Vy', 'Vz', 'T'] as const).map((force) =>
    stressField(solution, { N: 0, Vy: 0, Vz: 0, T: 0, My: 0, Mz: 0, [force]: 1 }),
  );
  const [places, stresses]: [number[], number[]] = [[], []];
  const taken = new Set<number>();
  for (const { z, y, way } of linesOf(shape).flatMap((line) => wantedOn(edgesOf(line), about))) {
    const node = nearest(fields[0]!, z - about.z, y - about.y);
    if (taken.has(node)) continue;
    taken.add(node);
    places.push(fields[0]!.places[2 * node + 1]!, fields[0]!.places[2 * node]!);
    for (const { stresses: all } of fields) stresses.push(way ? all[3 * node + 2]! * way[0] + all[3 * node + 1]! * way[1] : 0);
  }
  return { places: Float64Array.from(places), stresses: Float64Array.from(stresses) };
}

function wantedOn(edges: readonly Edge[], about: { readonly y: number; readonly z: number }): Wanted[] {
  const wanted: Wanted[] = [];
  const longest = Math.max(...edges.map((edge) => ('from' in edge ? lengthOf(edge) : 0)));
  edges.forEach((edge, i) => {
    if (isNotch(edge)) return;
    const inside = 'from' in edge ? [...partsOf(edge, longest), ...crossed(edge, about)] : [0.5];
    for (const t of inside) {
      const [z, y] = placeAt(edge, t);
      wanted.push({ z, y, way: wayAt(edge, t) });
    }
    const before = edges.at(i - 1)!;
    if (isNotch(before)) return;
    const [now, then] = [wayAt(edge, 0), wayAt(before, 1)];
    const turn = then[0] * now[1] - then[1] * now[0];
    const [z, y] = placeAt(edge, 0);
    // A smooth joint lies on both; a sharp corner that points outwards feels no shear.
    if (Math.abs(turn) < SMOOTH) wanted.push({ z, y, way: now });
    else if (turn > 0) wanted.push({ z, y, way: undefined });
  });
  return wanted;
}
/** Sine of the angle under which two edges go on in one direction. */
const SMOOTH = 1e-3;

/** Whether an edge rounds a corner that points inwards: the material lies on the left. */
const isNotch = (edge: Edge): boolean => !('from' in edge) && edge.end < edge.begin;

type Side = Extract<Edge, { readonly from: unknown }>;
const lengthOf = ({ from, to }: Side): number => Math.hypot(to[0] - from[0], to[1] - from[1]);

/** Places along a straight side, 0 to 1, without its ends. */
function partsOf(side: Side, longest: number): number[] {
  const count = lengthOf(side) < SHORT * longest ? PARTS.short : PARTS.long;
  return [NEAR, ...Array.from({ length: count - 1 }, (_, k) => (k + 1) / count), 1 - NEAR];
}

/** Where the axes of the centroid cross a straight side, 0 to 1. */
function crossed({ from, to }: Side, { z, y }: { readonly y: number; readonly z: number }): number[] {
  return [(z - from[0]) / (to[0] - from[0]), (y - from[1]) / (to[1] - from[1])].filter((t) => t > 0 && t < 1);
} // oxfmt-ignore

function placeAt(edge: Edge, t: number): readonly [z: number, y: number] {
  if ('from' in edge) return [edge.from[0] + t * (edge.to[0] - edge.from[0]), edge.from[1] + t * (edge.to[1] - edge.from[1])];
  const angle = edge.begin + t * (edge.end - edge.begin);
  return [edge.cz + edge.r * Math.cos(angle), edge.cy + edge.r * Math.sin(angle)];
}

/** The direction along an edge, of length one. */
function wayAt(edge: Edge, t: number): readonly [z: number, y: number] {
  if ('from' in edge) {
    const [dz, dy] = [edge.to[0] - edge.from[0], edge.to[1] - edge.from[1]];
    const length = Math.hypot(dz, dy);
    return [dz / length, dy / length];
  }
  const angle = edge.begin + t * (edge.end - edge.begin);
  const sense = Math.sign(edge.end - edge.begin);
  return [-sense * Math.sin(angle), sense * Math.cos(angle)];
}

function nearest({ places }: StressField, z: number, y: number): number {
  let [found, least] = [0, Infinity];
  for (let i = 0; i < places.length; i += 2) {
    const distance = (places[i]! - z) ** 2 + (places[i + 1]! - y) ** 2;
    if (distance < least) [found, least] = [i / 2, distance];
  }
  return found;
}
