import { expect, test } from '@jest/globals';
import type { Model } from '../../model/model';
import { quantityExtremes } from '../../results/read-quantity';
import type { Results } from '../../results/results';
import { A, clamp, E, EI, pin, roller, sketch } from '../../test/build';
import { solve } from '../session';

const density = 7850;
const modes = (model: Model): Results => {
  const materials = model.materials.map((one) => ({ ...one, density }));
  return solve({ ...model, materials }, [], ['natural-modes']).others!.get('natural-modes')!;
};
const frequencies = (model: Model): number[] =>
  modes(model).solution!.outcomes.map((one) => (one.kind === 'shape' ? one.value : NaN));

const beam = (n: number, L: number, supports: Model['supports']): Model =>
  sketch({
    nodes: Array.from({ length: n + 1 }, (_, i) => [`${i}`, (L * i) / n, 0] as const),
    members: Array.from({ length: n }, (_, i) => [`m${i}`, `${i}`, `${i + 1}`] as const),
    supports,
  });
/** Of bending, over all: those along the beam fall away by its own stiffness. */
const bending = (λ: number, L: number): number => ((λ / L) ** 2 / (2 * Math.PI)) * Math.sqrt(EI / (density * A));

test('a beam on two supports swings as (nπ)², a cantilever as the roots of cos λ · cosh λ = −1', () => {
  const [n, L] = [20, 8];
  const ofBeam = frequencies(beam(n, L, [pin('0'), roller(`${n}`)]));
  [1, 2, 3].forEach((i) => expect(Math.abs(ofBeam[i - 1]! / bending(i * Math.PI, L) - 1)).toBeLessThan(5e-5));
  const ofMast = frequencies(beam(n, L, [clamp('0')]));
  [1.875104068711961, 4.694091132974175, 7.854757438237613].forEach((λ, i) =>
    expect(Math.abs(ofMast[i]! / bending(λ, L) - 1)).toBeLessThan(5e-5),
  );
});

test('a bar along itself swings as its members let it: ω² = 6 (c/h)² (1 − cos κh) / (2 + cos κh), near to κ c', () => {
  const [n, L] = [24, 10];
  const model = beam(n, L, [clamp('0'), ...Array.from({ length: n }, (_, i) => ({ node: `${i + 1}`, uy: 'fixed' as const, rz: 'fixed' as const }))]); // oxfmt-ignore
  const c = Math.sqrt(E / density);
  const h = L / n;
  frequencies(model).forEach((f, i) => {
    const κh = ((2 * i + 1) * Math.PI * h) / (2 * L);
    const ω = (c / h) * Math.sqrt((6 * (1 - Math.cos(κh))) / (2 + Math.cos(κh)));
    expect(f).toBeCloseTo(ω / (2 * Math.PI), 6);
    expect((2 * Math.PI * f * h) / (κh * c) - 1).toBeLessThan(0.03);
  });
});

test('a mode balances with its inertia forces and can be read like anything else; without mass there is none', () => {
  const model = beam(10, 6, [pin('0'), roller('10')]);
  const { solution } = modes(model);
  solution!.responses.forEach(({ equilibrium }) => expect(equilibrium.jointResidual).toBeLessThan(1e-10));
  const mid = quantityExtremes(solution!, 0, 4, 'v')!;
  expect(Math.max(Math.abs(mid.max.value), Math.abs(mid.min.value))).toBeGreaterThan(0);
  const { status, notices } = solve(model, [], ['natural-modes']).others!.get('natural-modes')!;
  expect([status, notices.at(-1)!.message]).toEqual(['invalid', 'Nothing has mass: give the materials a density.']);
});
