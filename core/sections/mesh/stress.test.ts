import { expect, test } from '@jest/globals';
import { outlineProperties } from '../built/properties';
import { linesOf } from '../lines-of';
import type { Shape } from '../../shapes/shape';
import { shapeCalled } from '../catalogue/search';
import { equivalent, stressAt, stressField, type SectionForces, type StressField } from './stress';

const solved = (shape: Shape) => outlineProperties(linesOf(shape)).solution!;
const forces = (some: Partial<SectionForces>): SectionForces => ({ N: 0, Vy: 0, Vz: 0, T: 0, My: 0, Mz: 0, ...some });

/** What the stresses of a field add up to. */
function resultants({ places, triangles, stresses }: StressField): SectionForces {
  const sum = { N: 0, Vy: 0, Vz: 0, T: 0, My: 0, Mz: 0 };
  for (let t = 0; t < triangles.length; t += 3) {
    const [a, b, c] = [triangles[t]!, triangles[t + 1]!, triangles[t + 2]!];
    const at = (list: Float64Array, width: number, k: number) => [a, b, c].map((node) => list[width * node + k]!);
    const [zs, ys] = [at(places, 2, 0), at(places, 2, 1)];
    const area = ((zs[1]! - zs[0]!) * (ys[2]! - ys[0]!) - (zs[2]! - zs[0]!) * (ys[1]! - ys[0]!)) / 2;
    // Middles of the sides: exact for products of linear functions.
    for (const [i, j] of [[0, 1], [1, 2], [2, 0]] as const) {
      const middle = (values: readonly number[]): number => (values[i]! + values[j]!) / 2;
      const [z, y, s, tauY, tauZ] = [zs, ys, at(stresses, 3, 0), at(stresses, 3, 1), at(stresses, 3, 2)].map(middle) as [number, number, number, number, number];
      const w = area / 3;
      sum.N += w * s;
      sum.Mz -= w * s * y;
      sum.My -= w * s * z;
      sum.Vy -= w * tauY;
      sum.Vz -= w * tauZ;
      sum.T += w * (y * tauZ - z * tauY);
    }
  }
  return sum;
} // oxfmt-ignore

test.each(['IPE 200', 'UPN 200', 'L 100x65x8'])('stresses in %s add up to the forces they come from', (designation) => {
  const solution = solved(shapeCalled(designation)!.shape);
  const given = forces({ N: 3e4, Vy: -2e4, Vz: 5e3, T: 100, My: 700, Mz: 9e3 });
  const found = resultants(stressField(solution, given));
  for (const key of ['N', 'My', 'Mz'] as const) expect(Math.abs(found[key] / given[key] - 1)).toBeLessThan(1e-6);
  // Slopes are averaged at the nodes.
  for (const key of ['Vy', 'Vz'] as const) expect(Math.abs(found[key] / given[key] - 1)).toBeLessThan(0.03);
  expect(Math.abs(found.T - given.T)).toBeLessThan(0.06 * (given.T + 0.03 * 2e4));
});

test('a rectangle: shear 1.5·V/A in the middle and none at its edges, torsion k·T/(h·b²) at the middle of the long side', () => {
  const [h, b] = [0.2, 0.1];
  const solution = solved({ type: 'rectangle', h, b });
  // ν = 0 (no side effect): parabolic over the depth, even over the width (Timoshenko and Goodier, §124).
  const shear = stressField(solution, forces({ Vy: -1000 }));
  expect(stressAt(shear, 0, 0)!.tauY / ((1.5 * 1000) / (h * b))).toBeCloseTo(1, 2);
  expect(Math.abs(stressAt(shear, 0.03, h / 2)!.tauY)).toBeLessThan(0.03 * 75_000);
  // Timoshenko and Goodier, §109: k = 1/0.246 for h/b = 2.
  const torsion = stressField(solution, forces({ T: 500 }));
  const side = stressAt(torsion, b / 2 - 1e-6, 0)!;
  expect(Math.abs(side.tauY) / (500 / (0.246 * h * b * b))).toBeCloseTo(1, 1);
  // T about +x turns y towards z: on the right side the stress points down.
  expect(side.tauY).toBeLessThan(0);
  expect(stressAt(torsion, b, 0)).toBeUndefined();
});

test('bending, axial force and the equivalent stress at a corner', () => {
  const solution = solved({ type: 'rectangle', h: 0.2, b: 0.1 });
  const field = stressField(solution, forces({ N: 2e4, Mz: 1e4, My: -2e3 }));
  const [A, Iz, Iy] = [0.02, (0.1 * 0.2 ** 3) / 12, (0.2 * 0.1 ** 3) / 12];
  const corner = stressAt(field, 0.05, -0.1)!;
  expect(corner.sigma).toBeCloseTo(2e4 / A + (1e4 * 0.1) / Iz + (2e3 * 0.05) / Iy, 2);
  expect(equivalent(corner)).toBeCloseTo(corner.sigma, 2);
  expect(equivalent({ sigma: 3, tauY: 4, tauZ: 0 })).toBeCloseTo(Math.sqrt(57), 12);
});
