import { expect, test } from '@jest/globals';
import type { NaturalModesSettings } from '../model/analysis-settings';
import type { Model } from '../model/model';
import { solve } from '../analysis/session';
import { clamp, EI, inRow, pin, roller, sketch } from '../test/build';
import { harmonicOf } from '../tables/results/harmonic';
import type { Harmonic } from './harmonic';

const L = 5;
const swinging = (model: Model, naturalModes: NaturalModesSettings, density = 0): Harmonic => {
  const materials = model.materials.map((one) => ({ ...one, density }));
  const { solution } = solve({ ...model, materials, analysis: { naturalModes } });
  return harmonicOf(solution!)!;
};
const near = (found: number, exact: number, part = 1e-9): void => expect(Math.abs(found / exact - 1)).toBeLessThan(part);

test('a mass on a mast: F/k over √((1 − r²)² + (2ζr)²), behind by atan 2ζr/(1 − r²); an unbalance by Ω²', () => {
  const mast = sketch({ nodes: [['1', 0, 0], ['2', L, 0]], members: [['m', '1', '2']], supports: [clamp('1'), { node: '2', ux: 'fixed' }] }); // oxfmt-ignore
  const [mass, damping, F] = [400, 0.03, 250];
  const k = (3 * EI) / L ** 3;
  const f = Math.sqrt(k / mass) / (2 * Math.PI);
  const force = swinging(mast, { nodes: [{ node: '2', mass }], harmonic: { node: '2', along: 'y', force: F, damping } });
  const turning = swinging(mast, { nodes: [{ node: '2', mass }], harmonic: { node: '2', along: 'y', unbalance: 2, damping } });
  for (const r of [0.2, 0.9, 1, 1.7]) {
    const [a, b] = [1 - r * r, 2 * damping * r];
    const found = force.at(r * f);
    near(found.displacement, F / k / Math.hypot(a, b));
    near(found.acceleration, (2 * Math.PI * r * f) ** 2 * found.displacement);
    expect(found.phase).toBeCloseTo(-Math.atan2(b, a), 9);
    near(turning.at(r * f).displacement, (2 * (2 * Math.PI * r * f) ** 2) / k / Math.hypot(a, b));
  }
  // The largest acceleration lies a little above: r² = 1/(1 − 2ζ²).
  near(force.most(0, 2 * f).frequency, f / Math.sqrt(1 - 2 * damping ** 2), 1e-6);
});

test('a beam that is driven in its middle moves as (tan κL/2 − tanh κL/2)/(4EIκ³) has it, all modes in it', () => {
  const beam = sketch({ nodes: inRow(0, L / 2, L), members: [['a', '1', '2'], ['b', '2', '3']], supports: [pin('1'), roller('3')] }); // oxfmt-ignore
  const mass = 7850 * beam.sections[0]!.A!;
  const found = swinging(beam, { modes: 24, harmonic: { node: '2', along: 'y', force: 1000, damping: 1e-9 } }, 7850);
  for (const κL of [1, 2.5, 4, 6]) {
    const κ = κL / L;
    const f = (κ * κ * Math.sqrt(EI / mass)) / (2 * Math.PI);
    const exact = (1000 * (Math.tan(κL / 2) - Math.tanh(κL / 2))) / (4 * EI * κ ** 3);
    const { displacement, phase } = found.at(f);
    near(Math.abs(phase) < 1 ? displacement : -displacement, exact, 1e-5);
  }
});

test('what is read elsewhere is the same as driven there (reciprocity), and against a support nothing moves', () => {
  const frame = sketch({ nodes: [['1', 0, 0], ['2', 0, 4], ['3', 6, 4], ['4', 6, 0]], members: [['l', '1', '2'], ['t', '2', '3'], ['r', '4', '3']], supports: [clamp('1'), pin('4')] }); // oxfmt-ignore
  const read = (node: string, at: string): number =>
    swinging(frame, { harmonic: { node, at, along: 'x', force: 500, damping: 0.02 } }, 7850).at(3).displacement;
  near(read('2', '3'), read('3', '2'));
  expect(read('1', '2')).toBe(0);
});
