import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { inRow, pin, roller, sketch, solved } from '../test/build';
import { randomFrame } from '../test/random-frame';
import { quantitiesOf } from './quantities';
import { memberReader } from './read-quantity';
import { solve } from '../analysis/session';

test('a beam with a force at 0.3711 of its span: the peak and both sides of the step are points of the curve', () => {
  const at = 0.3711;
  const beam = sketch({
    nodes: inRow(0, 10),
    members: [['a', '1', '2']],
    supports: [pin('1'), roller('2')],
    loads: [{ type: 'point', member: 'a', at, fy: -20e3 }],
  });
  const reader = memberReader(solved(beam).solution, 0, 0);
  const moments = reader.curve('Mz')!;
  expect(Math.max(...moments.map(({ max }) => max))).toBeCloseTo(20e3 * at * (1 - at) * 10, 6);
  const step = reader.curve('Vy')!.filter(({ x }) => Math.abs(x - 10 * at) < 1e-9);
  expect([step[0]!.max, step.at(-1)!.max]).toEqual([expect.closeTo(20e3 * (1 - at), 6), expect.closeTo(-20e3 * at, 6)]);
});

test('any curve has the exact extremes among its points, ascends, and is what is read at each place', () => {
  fc.assert(
    fc.property(randomFrame, (model) => {
      const { solution } = solve({ ...model, combinations: [{ id: 'E', type: 'envelope', of: ['Q', 'S'] }, { id: 'S', type: 'sum', factors: { Q: -0.6 } }] }); // oxfmt-ignore
      for (const outcome of solution!.outcomes.keys())
        for (const m of solution!.structure.names.members.keys()) {
          const reader = memberReader(solution!, outcome, m);
          for (const quantity of quantitiesOf(solution!.structure)) {
            const [curve, extremes] = [reader.curve(quantity), reader.extremes(quantity)];
            expect(curve === undefined).toBe(extremes === undefined);
            if (!curve || !extremes) continue;
            const size = Math.max(Math.abs(extremes.max.value), Math.abs(extremes.min.value), 1e-9);
            expect(Math.abs(Math.max(...curve.map(({ max }) => max)) - extremes.max.value)).toBeLessThan(1e-9 * size);
            expect(Math.abs(Math.min(...curve.map(({ min }) => min)) - extremes.min.value)).toBeLessThan(1e-9 * size);
            for (let i = 1; i < curve.length; i++) expect(curve[i]!.x).toBeGreaterThanOrEqual(curve[i - 1]!.x);
            const inside = curve.filter(
              ({ x }, i) => i > 0 && i + 1 < curve.length && x > curve[i - 1]!.x && x < curve[i + 1]!.x,
            );
            for (const { x, max } of inside.slice(0, 20))
              expect(Math.abs(reader.at(quantity, x)!.max - max)).toBeLessThan(1e-9 * size);
          }
        }
    }),
    { numRuns: 8 },
  );
});
