import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Model } from '../model/model';
import { clamp3, sketch, solved } from '../test/build';

const ids = ['A', 'B', 'C', 'D', 'E', 'F'];

/** A cantilever in space under six cases, and their weighted sum. */
const model = (factors: readonly number[]): Model =>
  sketch({
    nodes: [
      ['1', 0, 0, 0],
      ['2', 3, 1, 2],
    ],
    members: [['a', '1', '2', { roll: 20 }]],
    supports: [clamp3('1')],
    loads: [
      { case: 'A', type: 'node', node: '2', fx: 1e3, my: 200 },
      { case: 'B', type: 'line', member: 'a', from: { wy: -800 }, to: { wz: 300 } },
      { case: 'C', type: 'point', member: 'a', at: 0.4, fz: 700, mx: 90 },
      { case: 'D', type: 'thermal', member: 'a', uniform: 12, gradientY: 5 },
      { case: 'E', type: 'settlement', node: '1', uy: 0.01, rx: 0.002 },
      { case: 'F', type: 'strain', member: 'a', elongation: 1e-3 },
    ],
    extra: {
      cases: ids.map((id) => ({ id, category: 'imposed' as const })),
      combinations: [{ id: 'S', type: 'sum', factors: Object.fromEntries(ids.map((id, i) => [id, factors[i]!])) }],
    },
  });

test('a sum of any number of cases is each of them times its factor, in every number', () => {
  fc.assert(
    fc.property(fc.array(fc.constantFrom(0, 1, -1.5, 1.35, 0.7), { minLength: 6, maxLength: 6 }), (factors) => {
      const { linear } = solved(model(factors)).solution;
      const sum = linear.at(-1)!;
      for (const key of ['displacements', 'reactions', 'ends', 'coefficients'] as const) {
        const size = Math.max(
          1e-12,
          ...linear.slice(0, 6).map((one) => one![key].reduce((max, x) => Math.max(max, Math.abs(x)), 0)),
        );
        sum[key].forEach((value, i) => {
          const expected = factors.reduce<number>((total, factor, c) => total + factor * linear[c]![key][i]!, 0);
          expect(Math.abs(value - expected)).toBeLessThan(1e-12 * size);
        });
      }
      expect(sum.equilibrium.residual).toBeLessThan(1e-9);
    }),
    { numRuns: 40 },
  );
});
