import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Model } from '../model/model';
import { clamp3, sketch, solved } from '../test/build';
import { diagramOf } from './diagram';
import { lineQuantities } from './quantities';
import { nodalAt, valueAt, valueIn } from './read';
import { responseOf } from './sums';
import { maxNorm as maxNorm } from '../linear-algebra/max-norm';

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
      const { solution } = solved(model(factors));
      const sum = responseOf(solution, 6)!;
      const all = diagramOf(solved(model(factors)).solution, 6, 0);
      for (const key of ['displacements', 'reactions', 'ends'] as const) {
        const size = Math.max(1e-12, ...solution.responses.map((one) => maxNorm(one[key])));
        sum[key].forEach((value, i) => {
          const expected = factors.reduce<number>((total, factor, c) => total + factor * solution.responses[c]![key][i]!, 0);
          expect(Math.abs(value - expected)).toBeLessThan(1e-12 * size);
          if (key !== 'ends') expect(Math.abs(nodalAt(solution, 6, key, i) - expected)).toBeLessThan(1e-12 * size);
        });
      }
      // Cut where any of its cases is; what is read of the member alone is the same.
      const L = solution.structure.lengths[0]!;
      for (const quantity of lineQuantities)
        for (const x of [0, 0.3 * L, 0.4 * L, 0.7 * L, L]) {
          const parts = ids.map((_, c) => factors[c]! * valueAt(solution, c, 0, quantity, x));
          const expected = parts.reduce((total, part) => total + part, 0);
          const size = Math.max(1e-12, ...ids.map((_, c) => Math.abs(valueAt(solution, c, 0, quantity, x))));
          expect(Math.abs(valueAt(solution, 6, 0, quantity, x) - expected)).toBeLessThan(1e-11 * size);
          expect(Math.abs(valueIn(all, quantity, x) - expected)).toBeLessThan(1e-11 * size);
        }
      expect(sum.equilibrium.residual).toBeLessThan(1e-9);
    }),
    { numRuns: 40 },
  );
});
