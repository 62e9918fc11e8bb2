import { everywhere, type Rule, type SectionSolution } from './warping';

/** Forces in a section, as diagrams give them: N, Vy, Vz in N, T, My, Mz in N·m. */
export interface SectionForces {
  readonly N: number;
  readonly Vy: number;
  readonly Vz: number;
  readonly T: number;
  readonly My: number;
  readonly Mz: number;
}

/** Stresses at a place of a section, Pa: σ along the member, tension positive; τ on the face towards its end, along y and z. */
export interface Stress {
  readonly sigma: number;
  readonly tauY: number;
  readonly tauZ: number;
}

/** √(σ² + 3τ²), the equivalent stress of von Mises (EN 1993-1-1, 6.2.1). */
export const equivalent = ({ sigma, tauY, tauZ }: Stress): number => Math.sqrt(sigma ** 2 + 3 * (tauY ** 2 + tauZ ** 2));

/** Stresses at the corners of a mesh, and its triangles. */
export interface StressField {
  /** z and y of each corner in turn, from the centroid. */
  readonly places: Float64Array;
  readonly triangles: Int32Array;
  /** By corner: σ, τ along y, τ along z in turn. */
  readonly stresses: Float64Array;
}

/** The corners and middles of an element, as barycentric places. */
const NODES: Rule = [[1, 0, 0, 0], [0, 1, 0, 0], [0, 0, 1, 0], [0.5, 0.5, 0, 0], [0, 0.5, 0.5, 0], [0.5, 0, 0.5, 0]]; // oxfmt-ignore
/** The middles of the sides, exact for squares. */
const MIDDLES: Rule = [[0.5, 0.5, 0, 1 / 3], [0, 0.5, 0.5, 1 / 3], [0.5, 0, 0.5, 1 / 3]]; // oxfmt-ignore

/** σ = N/A − y·κv − z·κw with (κv, κw) = [Iz Iyz; Iyz Iy]⁻¹ (Mz, My): as diagrams of bending have their signs. */
export function normalStressAt(
  { about: { A, Iz, Iy, Iyz } }: SectionSolution,
  { N, My, Mz }: SectionForces,
  z: number,
  y: number,
): number {
  // oxfmt-ignore
  const determinant = Iz * Iy - Iyz * Iyz;
  return N / A - (y * (Iy * Mz - Iyz * My) + z * (Iz * My - Iyz * Mz)) / determinant;
}

/**
 * Stresses from all six forces of a section. Shear: τ = −Vy ∇φy − Vz ∇φz (no effect of Poisson's ratio); torsion: τy = T/J (ω,y − z),
 * τz = T/J (ω,z + y) (St Venant). The forces act in the centroid, so that what the shear flow turns about it is taken from T. Slopes of
 * neighbouring elements are averaged at their common nodes.
 */
export function stressField(solution: SectionSolution, forces: SectionForces): StressField {
  const { mesh } = solution;
  const count = mesh.count;
  const torque = forces.T - turningOf(solution, forces);
  const stresses = new Float64Array(3 * count);
  const shares = new Uint16Array(count);
  let k = 0;
  everywhere(mesh, NODES, (place) => {
    const node = mesh.elements[place.e + (k++ % 6)]!;
    const [tauY, tauZ] = shearAt(solution, forces, torque, place);
    stresses[3 * node + 1]! += tauY;
    stresses[3 * node + 2]! += tauZ;
    shares[node]!++;
  });
  for (let node = 0; node < count; node++) {
    stresses[3 * node] = normalStressAt(solution, forces, mesh.nodes[2 * node]!, mesh.nodes[2 * node + 1]!);
    if (shares[node]! > 0) for (const i of [1, 2]) stresses[3 * node + i]! /= shares[node]!;
  }
  return { places: mesh.nodes, triangles: quartersOf(mesh.elements), stresses };
}

interface At {
  readonly e: number;
  readonly slopes: Float64Array;
  readonly z: number;
  readonly y: number;
}

function shearAt(
  { mesh, J, omega, phiY, phiZ }: SectionSolution,
  { Vy, Vz }: SectionForces,
  torque: number,
  { e, slopes, z, y }: At,
): readonly [number, number] {
  // oxfmt-ignore
  const twist = torque / J;
  let [tauY, tauZ] = [-twist * z, twist * y];
  for (let i = 0; i < 6; i++) {
    const node = mesh.elements[e + i]!;
    const value = twist * omega[node]! - Vy * phiY[node]! - Vz * phiZ[node]!;
    tauZ += slopes[2 * i]! * value;
    tauY += slopes[2 * i + 1]! * value;
  }
  return [tauY, tauZ];
}

/** How much the shear stresses of Vy and Vz turn about the centroid. */
function turningOf(solution: SectionSolution, forces: SectionForces): number {
  let sum = 0;
  everywhere(solution.mesh, MIDDLES, (place) => {
    const [tauY, tauZ] = shearAt(solution, forces, 0, place);
    sum += place.weight * (place.y * tauZ - place.z * tauY);
  });
  return sum;
}

/** Each triangle with its middles as four. */
function quartersOf(elements: Int32Array): Int32Array {
  const quarters = new Int32Array(2 * elements.length);
  for (let e = 0; e < elements.length; e += 6) {
    const [a, b, c, ab, bc, ca] = [0, 1, 2, 3, 4, 5].map((i) => elements[e + i]!) as [number, number, number, number, number, number]; // oxfmt-ignore
    quarters.set([a, ab, ca, ab, b, bc, ca, bc, c, ab, bc, ca], 2 * e);
  }
  return quarters;
}

/** The stresses at a place of the section (from the centroid); undefined outside it. Linear within a quarter of an element. */
export function stressAt({ places, triangles, stresses }: StressField, z: number, y: number): Stress | undefined {
  for (let t = 0; t < triangles.length; t += 3) {
    const [a, b, c] = [triangles[t]!, triangles[t + 1]!, triangles[t + 2]!];
    const shares = barycentric(places, [a, b, c], z, y);
    if (shares.some((share) => share < -1e-9)) continue;
    const at = (k: number): number =>
      shares[0]! * stresses[3 * a + k]! + shares[1]! * stresses[3 * b + k]! + shares[2]! * stresses[3 * c + k]!;
    return { sigma: at(0), tauY: at(1), tauZ: at(2) };
  }
  return undefined;
}

function barycentric(
  places: Float64Array,
  [a, b, c]: readonly [number, number, number],
  z: number,
  y: number,
): readonly number[] {
  // oxfmt-ignore
  const [az, ay] = [places[2 * a]! - places[2 * c]!, places[2 * a + 1]! - places[2 * c + 1]!];
  const [bz, by] = [places[2 * b]! - places[2 * c]!, places[2 * b + 1]! - places[2 * c + 1]!];
  const [pz, py] = [z - places[2 * c]!, y - places[2 * c + 1]!];
  const twice = az * by - ay * bz;
  const [first, second] = [(pz * by - py * bz) / twice, (az * py - ay * pz) / twice];
  return [first, second, 1 - first - second];
}
