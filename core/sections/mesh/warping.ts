import { analyse } from '../../linear-algebra/analysis';
import { factorize } from '../../linear-algebra/factor';
import { graphOfPairs } from '../../linear-algebra/graph';
import { giveBackKernels, takeKernels } from '../../linear-algebra/kernel-pool';
import { solveInPlace } from '../../linear-algebra/solve';
import { fromTriplets } from '../../linear-algebra/sparse-symmetric';
import type { Corner } from '../../shapes/kind';
import { edgesOf, enclosed, type Composite, type Loop } from '../path';
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
  /** From which stresses follow; not where the section is in several pieces. */
  readonly solution?: SectionSolution;
}

/** What was solved on the mesh. */
export interface SectionSolution {
  readonly mesh: Quadratic;
  readonly about: Composite;
  readonly J: number;
  /** At each node: warping per twist (m²), and the functions whose slopes are the shear stresses of Vy = −1 and Vz = −1. */
  readonly omega: Float64Array;
  readonly phiY: Float64Array;
  readonly phiZ: Float64Array;
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
  return [[a, a, b, weight], [a, b, a, weight], [b, a, a, weight]]; // oxfmt-ignore
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
  const whole = quadratic(mesh, about);
  const { count } = whole;
  const pieces = piecesOf(whole);
  const { factor, kernels, unknown } = laplacian(whole, pieces.first);
  try {
    const sides = sidesOf(whole, about);
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
      ...centred(omega!, whole, about),
      Ay: 1 / dot(phiY!, sides[1]!),
      Az: 1 / dot(phiZ!, sides[2]!),
      triangles,
      solution: { mesh: whole, about, J, omega: omega!, phiY: phiY!, phiZ: phiZ! },
    };
  } finally {
    giveBackKernels(kernels);
  }
}

/** The corners of a line of points. */
const cornersOf = (loop: Loop): Corner[] =>
  Array.from({ length: loop.length / 2 }, (_, i) => ({ z: loop[2 * i]!, y: loop[2 * i + 1]! }));

const dot = (a: Float64Array, b: Float64Array): number => a.reduce((sum, value, i) => sum + value * b[i]!, 0);

export interface Quadratic {
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
function piecesOf({ elements, count }: Quadratic): { readonly first: readonly number[] } {
  const parent = Int32Array.from({ length: count }, (_, i) => i);
  const root = (i: number): number => {
    while (parent[i] !== i) i = parent[i] = parent[parent[i]!]!;
    return i;
  };
  for (let e = 0; e < elements.length; e += 6) for (let k = 1; k < 6; k++) parent[root(elements[e + k]!)] = root(elements[e]!);
  return { first: Array.from({ length: count }, (_, i) => i).filter((i) => root(i) === i) };
}

/** At a place of the element that begins at `e`: its nodes' shares, their slopes along z and y in turn, and the place. Arrays are used again. */
export interface Place {
  e: number;
  readonly shares: Float64Array;
  readonly slopes: Float64Array;
  z: number;
  y: number;
  weight: number;
}

export type Rule = readonly (readonly [number, number, number, number])[];

/** Goes to the places of a rule in every element. */
export function everywhere({ nodes, elements }: Quadratic, rule: Rule, visit: (place: Place) => void): void {
  const place: Place = { e: 0, shares: new Float64Array(6), slopes: new Float64Array(12), z: 0, y: 0, weight: 0 };
  const [cz, cy, gz, gy] = [new Float64Array(3), new Float64Array(3), new Float64Array(3), new Float64Array(3)];
  for (let e = 0; e < elements.length; e += 6) {
    for (let k = 0; k < 3; k++) {
      cz[k] = nodes[2 * elements[e + k]!]!;
      cy[k] = nodes[2 * elements[e + k]! + 1]!;
    }
    const twice = twiceArea(nodes, elements[e]!, elements[e + 1]!, elements[e + 2]!);
    // Slopes of the barycentric coordinates.
    for (let k = 0; k < 3; k++) {
      const [i, j] = [(k + 1) % 3, (k + 2) % 3];
      gz[k] = (cy[i]! - cy[j]!) / twice;
      gy[k] = (cz[j]! - cz[i]!) / twice;
    }
    for (const l of rule) {
      for (let k = 0; k < 3; k++) {
        const next = (k + 1) % 3;
        place.shares[k] = l[k]! * (2 * l[k]! - 1);
        place.shares[k + 3] = 4 * l[k]! * l[next]!;
        place.slopes[2 * k] = (4 * l[k]! - 1) * gz[k]!;
        place.slopes[2 * k + 1] = (4 * l[k]! - 1) * gy[k]!;
        place.slopes[2 * k + 6] = 4 * (l[next]! * gz[k]! + l[k]! * gz[next]!);
        place.slopes[2 * k + 7] = 4 * (l[next]! * gy[k]! + l[k]! * gy[next]!);
      }
      place.e = e;
      place.z = l[0] * cz[0]! + l[1] * cz[1]! + l[2] * cz[2]!;
      place.y = l[0] * cy[0]! + l[1] * cy[1]! + l[2] * cy[2]!;
      place.weight = (twice / 2) * l[3];
      visit(place);
    }
  }
}

/** ∫ ∇Nᵢ·∇Nⱼ dA, with one node of each piece held. */
function laplacian(whole: Quadratic, held: readonly number[]) {
  const { elements, count } = whole;
  const size = (elements.length / 6) * 21;
  const [rows, columns, values] = [new Int32Array(size), new Int32Array(size), new Float64Array(size)];
  const pairs = new Int32Array((elements.length / 6) * 30);
  let [at, pair] = [0, 0];
  for (let e = 0; e < elements.length; e += 6)
    for (let i = 0; i < 6; i++)
      for (let j = 0; j <= i; j++) {
        [rows[at], columns[at]] = [elements[e + i]!, elements[e + j]!];
        at++;
        if (i !== j) [pairs[pair++], pairs[pair++]] = [elements[e + i]!, elements[e + j]!];
      }
  everywhere(whole, MIDDLES, ({ e, slopes, weight }) => {
    let k = (e / 6) * 21;
    for (let i = 0; i < 6; i++)
      for (let j = 0; j <= i; j++)
        values[k++]! += weight * (slopes[2 * i]! * slopes[2 * j]! + slopes[2 * i + 1]! * slopes[2 * j + 1]!);
  });
  const analysis = analyse(graphOfPairs(count, pairs), new Int32Array(count).fill(1));
  const kernels = takeKernels();
  const unknown = analysis.firstUnknown;
  const order = (list: Int32Array): Int32Array => list.map((node) => unknown[node]!);
  const matrix = fromTriplets(count, at, order(rows), order(columns), values);
  return { factor: factorize(analysis, matrix, kernels, { held: held.map((node) => unknown[node]!) }), kernels, unknown };
}

/** The right-hand sides: of the warping function, and of the shear along y and along z. */
function sidesOf(whole: Quadratic, { Iz, Iy, Iyz }: Composite): Float64Array[] {
  const { elements, count } = whole;
  const [twist, alongY, alongZ] = [new Float64Array(count), new Float64Array(count), new Float64Array(count)];
  const determinant = Iz * Iy - Iyz * Iyz;
  everywhere(whole, SIX, ({ e, shares, slopes, z, y, weight }) => {
    const [bentY, bentZ] = [(Iy * y - Iyz * z) / determinant, (Iz * z - Iyz * y) / determinant];
    for (let i = 0; i < 6; i++) {
      const node = elements[e + i]!;
      twist[node]! += weight * (slopes[2 * i + 1]! * z - slopes[2 * i]! * y);
      alongY[node]! += weight * shares[i]! * bentY;
      alongZ[node]! += weight * shares[i]! * bentZ;
    }
  });
  return [twist, alongY, alongZ];
}

/**
 * The shear centre, about which the warping function ω − zₛ·y + yₛ·z + c has no moments, and the integral of its square, the warping
 * constant.
 */
function centred(omega: Float64Array, whole: Quadratic, { A, Iz, Iy, Iyz }: Composite): Pick<Warping, 'Iw' | 'shearCentre'> {
  let [S, My, Mz, square] = [0, 0, 0, 0];
  everywhere(whole, SIX, ({ e, shares, z, y, weight }) => {
    let value = 0;
    for (let i = 0; i < 6; i++) value += shares[i]! * omega[whole.elements[e + i]!]!;
    S += weight * value;
    My += weight * value * y;
    Mz += weight * value * z;
    square += weight * value * value;
  });
  // zₛ·Iz − yₛ·Iyz = ∫ωy and zₛ·Iyz − yₛ·Iy = ∫ωz.
  const determinant = Iz * Iy - Iyz * Iyz;
  const z = (My * Iy - Mz * Iyz) / determinant;
  const y = (My * Iyz - Mz * Iz) / determinant;
  return { Iw: square - (S * S) / A - z * My + y * Mz, shearCentre: { y, z } };
}
