import { analyse } from '../../linear-algebra/analysis';
import { factorize } from '../../linear-algebra/factor';
import { graphOfPairs } from '../../linear-algebra/graph';
import { giveBackKernels, takeKernels } from '../../linear-algebra/kernel-pool';
import { solveInPlace } from '../../linear-algebra/solve';
import { fromTriplets } from '../../linear-algebra/sparse-symmetric';
import type { Loop } from '../outline';
import { edgesOf, enclosed, type Composite, type Corner } from '../path';
import { meshOf, twiceArea, type Mesh } from './mesh';

/** What only a solution over the whole section tells. SI; places from the centroid, y up, z to the right. */
export interface Warping {
  /** St Venant's torsion constant. */
  readonly J: number;
  /** Warping constant about the shear centre, and that centre; not where the section is in several pieces. */
  readonly Iw?: number;
  readonly shearCentre?: { readonly y: number; readonly z: number };
  /** Shear areas along y and z, by the energy of the shear stress without Poisson's effect. */
  readonly Ay?: number;
  readonly Az?: number;
  readonly triangles: number;
}

/** Nodes and weight of the rule on a triangle that is exact for squares: the middles of its sides. */
const MIDDLES = [
  [0.5, 0.5, 0, 1 / 3],
  [0, 0.5, 0.5, 1 / 3],
  [0.5, 0, 0.5, 1 / 3],
] as const;

/** The rule of degree 4 with six points (Dunavant, Int. J. Numer. Meth. Eng. 21, 1985): barycentric coordinates and weight. */
const SIX: readonly (readonly [number, number, number, number])[] = [
  ...turnedThrough(0.445948490915965, 0.223381589678011),
  ...turnedThrough(0.091576213509771, 0.109951743655322),
];
function turnedThrough(a: number, weight: number): (readonly [number, number, number, number])[] {
  const b = 1 - 2 * a;
  return [[a, a, b, weight], [a, b, a, weight], [b, a, a, weight]]; // prettier-ignore
}

/**
 * Torsion, warping and shear of a section on a mesh of quadratic triangles of about one size. The warping function minimises
 * ∫ (ω,y − z)² + (ω,z + y)² dA, from which J = Iz + Iy − ωᵀF (Pilkey, Analysis and Design of Elastic Beams, chapters 5 and 6); the shear
 * centre is where ω has no moments (Trefftz); shear along an axis follows from ∇²φ = −(Iy·y − Iyz·z)/(Iz·Iy − Iyz²).
 * J is a small difference of large numbers: the second moments are those of the very polygon that the mesh fills.
 */
export function warpingOf(loops: readonly Loop[], size: number): Warping {
  const about = enclosed(loops.map((loop) => edgesOf(cornersOf(loop))));
  const mesh = meshOf(loops, size);
  const { nodes, elements, count } = quadratic(mesh, about);
  const pieces = piecesOf(elements, count);
  const { factor, kernels, unknown } = laplacian(nodes, elements, count, pieces.first);
  try {
    const sides = sidesOf(nodes, elements, count, about);
    const held = new Set(pieces.first);
    // The unknowns stand in the order of elimination.
    const columns = sides.map((side) => {
      const column = new Float64Array(count);
      for (let node = 0; node < count; node++) if (!held.has(node)) column[unknown[node]!] = side[node]!;
      return column;
    });
    solveInPlace(factor, columns);
    const [omega, phiY, phiZ] = columns.map((column) => Float64Array.from(unknown.subarray(0, count), (at) => column[at]!));
    const J = about.Iz + about.Iy - dot(omega!, sides[0]!);
    const triangles = mesh.triangles.length / 3;
    if (pieces.first.length > 1) return { J, triangles };
    return {
      J,
      ...centred(omega!, { nodes, elements, count }, about),
      Ay: 1 / dot(phiY!, sides[1]!),
      Az: 1 / dot(phiZ!, sides[2]!),
      triangles,
    };
  } finally {
    giveBackKernels(kernels);
  }
}

/** The corners of a line of points. */
const cornersOf = (loop: Loop): Corner[] =>
  Array.from({ length: loop.length / 2 }, (_, i) => ({ z: loop[2 * i]!, y: loop[2 * i + 1]! }));

const dot = (a: Float64Array, b: Float64Array): number => a.reduce((sum, value, i) => sum + value * b[i]!, 0);

interface Quadratic {
  /** z and y of each node in turn, from the centroid. */
  readonly nodes: Float64Array;
  /** Six nodes an element: corners, then the middles of the sides 12, 23, 31. */
  readonly elements: Int32Array;
  readonly count: number;
}

/** The corners of a mesh, and a node in the middle of each side. */
function quadratic({ places, triangles }: Mesh, { y, z }: Composite): Quadratic {
  const corners = places.length / 2;
  const nodes = Array.from(places, (value, i) => value - (i % 2 === 0 ? z : y));
  const middles = new Map<number, number>();
  const middle = (a: number, b: number): number => {
    const key = Math.min(a, b) * corners + Math.max(a, b);
    const known = middles.get(key);
    if (known !== undefined) return known;
    const number = nodes.length / 2;
    nodes.push((nodes[2 * a]! + nodes[2 * b]!) / 2, (nodes[2 * a + 1]! + nodes[2 * b + 1]!) / 2);
    middles.set(key, number);
    return number;
  };
  const elements: number[] = [];
  for (let t = 0; t < triangles.length; t += 3) {
    const [a, b, c] = [triangles[t]!, triangles[t + 1]!, triangles[t + 2]!];
    elements.push(a, b, c, middle(a, b), middle(b, c), middle(c, a));
  }
  return { nodes: Float64Array.from(nodes), elements: Int32Array.from(elements), count: nodes.length / 2 };
}

/** One node of each piece that hangs together. Nodes of no triangle are pieces of their own, and are held too. */
function piecesOf(elements: Int32Array, count: number): { readonly first: readonly number[] } {
  const parent = Int32Array.from({ length: count }, (_, i) => i);
  const root = (i: number): number => {
    while (parent[i] !== i) i = parent[i] = parent[parent[i]!]!;
    return i;
  };
  for (let e = 0; e < elements.length; e += 6) for (let k = 1; k < 6; k++) parent[root(elements[e + k]!)] = root(elements[e]!);
  return { first: Array.from({ length: count }, (_, i) => i).filter((i) => root(i) === i) };
}

/** At a place of an element: its nodes' shares, their slopes along z and y, and the place. */
interface Place {
  readonly shares: readonly number[];
  readonly slopes: readonly (readonly [z: number, y: number])[];
  readonly z: number;
  readonly y: number;
  readonly weight: number;
}

type Rule = readonly (readonly [number, number, number, number])[];

function* placesOf(nodes: Float64Array, elements: Int32Array, e: number, rule: Rule): Generator<Place> {
  const corner = [0, 1, 2].map((k) => elements[e + k]!);
  const area = twiceArea(nodes, corner[0]!, corner[1]!, corner[2]!) / 2;
  const [cz, cy] = [0, 1].map((d) => corner.map((c) => nodes[2 * c + d]!)) as [number[], number[]];
  // Slopes of the barycentric coordinates.
  const slope = [0, 1, 2].map((k) => {
    const [i, j] = [(k + 1) % 3, (k + 2) % 3];
    return [(cy[i]! - cy[j]!) / (2 * area), (cz[j]! - cz[i]!) / (2 * area)] as const;
  });
  for (const l of rule) {
    const shares = [0, 1, 2].map((k) => l[k]! * (2 * l[k]! - 1)).concat([0, 1, 2].map((k) => 4 * l[k]! * l[(k + 1) % 3]!));
    const slopes = [0, 1, 2]
      .map((k) => scaled(slope[k]!, 4 * l[k]! - 1))
      .concat([0, 1, 2].map((k) => sum(scaled(slope[k]!, 4 * l[(k + 1) % 3]!), scaled(slope[(k + 1) % 3]!, 4 * l[k]!))));
    const at = (of: readonly number[]): number => l[0] * of[0]! + l[1] * of[1]! + l[2] * of[2]!;
    yield { shares, slopes, z: at(cz), y: at(cy), weight: area * l[3] };
  }
}
const scaled = ([z, y]: readonly [number, number], by: number): readonly [number, number] => [z * by, y * by];
const sum = (a: readonly [number, number], b: readonly [number, number]): readonly [number, number] => [a[0] + b[0], a[1] + b[1]];

/** ∫ ∇Nᵢ·∇Nⱼ dA, with one node of each piece held. */
function laplacian(nodes: Float64Array, elements: Int32Array, count: number, held: readonly number[]) {
  const size = (elements.length / 6) * 21;
  const [rows, columns, values] = [new Int32Array(size), new Int32Array(size), new Float64Array(size)];
  const pairs: number[] = [];
  let at = 0;
  for (let e = 0; e < elements.length; e += 6) {
    const local = new Float64Array(36);
    for (const { slopes, weight } of placesOf(nodes, elements, e, MIDDLES))
      for (let i = 0; i < 6; i++)
        for (let j = 0; j <= i; j++)
          local[6 * i + j]! += weight * (slopes[i]![0] * slopes[j]![0] + slopes[i]![1] * slopes[j]![1]);
    for (let i = 0; i < 6; i++)
      for (let j = 0; j <= i; j++) {
        [rows[at], columns[at], values[at]] = [elements[e + i]!, elements[e + j]!, local[6 * i + j]!];
        at++;
        if (i !== j) pairs.push(elements[e + i]!, elements[e + j]!);
      }
  }
  const analysis = analyse(graphOfPairs(count, Int32Array.from(pairs)), new Int32Array(count).fill(1));
  const kernels = takeKernels();
  // The unknowns stand in the order of elimination.
  const unknown = analysis.firstUnknown;
  const order = (list: Int32Array): Int32Array => list.map((node) => unknown[node]!);
  const matrix = fromTriplets(count, at, order(rows), order(columns), values);
  return { factor: factorize(analysis, matrix, kernels, { held: held.map((node) => unknown[node]!) }), kernels, unknown };
}

/** The right-hand sides: of the warping function, and of the shear along y and along z. */
function sidesOf(nodes: Float64Array, elements: Int32Array, count: number, { Iz, Iy, Iyz }: Composite): Float64Array[] {
  const [twist, alongY, alongZ] = [new Float64Array(count), new Float64Array(count), new Float64Array(count)];
  const determinant = Iz * Iy - Iyz * Iyz;
  for (let e = 0; e < elements.length; e += 6)
    for (const { shares, slopes, z, y, weight } of placesOf(nodes, elements, e, SIX)) {
      const [bentY, bentZ] = [(Iy * y - Iyz * z) / determinant, (Iz * z - Iyz * y) / determinant];
      for (let i = 0; i < 6; i++) {
        const node = elements[e + i]!;
        twist[node]! += weight * (slopes[i]![1] * z - slopes[i]![0] * y);
        alongY[node]! += weight * shares[i]! * bentY;
        alongZ[node]! += weight * shares[i]! * bentZ;
      }
    }
  return [twist, alongY, alongZ];
}

/**
 * The shear centre, about which the warping function ω − zₛ·y + yₛ·z + c has no moments, and the integral of its square, the warping
 * constant.
 */
function centred(
  omega: Float64Array,
  { nodes, elements }: Quadratic,
  { A, Iz, Iy, Iyz }: Composite,
): Pick<Warping, 'Iw' | 'shearCentre'> {
  let [S, My, Mz, square] = [0, 0, 0, 0];
  for (let e = 0; e < elements.length; e += 6)
    for (const { shares, z, y, weight } of placesOf(nodes, elements, e, SIX)) {
      const value = shares.reduce((total, share, i) => total + share * omega[elements[e + i]!]!, 0);
      S += weight * value;
      My += weight * value * y;
      Mz += weight * value * z;
      square += weight * value * value;
    }
  // zₛ·Iz − yₛ·Iyz = ∫ωy and zₛ·Iyz − yₛ·Iy = ∫ωz.
  const determinant = Iz * Iy - Iyz * Iyz;
  const z = (My * Iy - Mz * Iyz) / determinant;
  const y = (My * Iyz - Mz * Iz) / determinant;
  return { Iw: square - (S * S) / A - z * My + y * Mz, shearCentre: { y, z } };
}
