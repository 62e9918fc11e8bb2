import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { evaluate } from '@rigid-beam/core/results/polynomial';
import { clamp, loadsOf, pin, roller, sketch, solved } from '@rigid-beam/core/test/build';
import { valueAt } from '@rigid-beam/core/results/read';
import { bulgeOf, rangesOf, roughBounds, samplesOf, signRuns } from './samples';

const beam = sketch({
  nodes: [
    ['1', 0, 0],
    ['2', 8, 0],
  ],
  members: [['a', '1', '2']],
  supports: [clamp('1'), roller('2')],
  loads: [{ type: 'line', member: 'a', from: { wy: -1e3 }, to: { wy: -1e3 } }],
});
const { solution } = solved(beam);
const whole = [{ from: 0, to: 8, outcome: 0 }];

describe('points of a diagram', () => {
  test('a curve has its steps and its tip, ascending; a straight line only its ends', () => {
    const moment = samplesOf(solution, 0, whole, 'Mz', { steps: 7, miss: 0 });
    expect(moment.xs).toHaveLength(9);
    expect(moment.xs).toEqual([...moment.xs].sort((a, b) => a - b));
    // 5/8 qL of the shear is carried by the clamp: the tip lies there, 9/128 qL² above.
    const tip = moment.xs.findIndex((x) => Math.abs(x - 5) < 1e-9);
    expect(moment.values[tip]).toBeCloseTo((9 / 128) * 1e3 * 64, 6);
    expect(samplesOf(solution, 0, whole, 'Vy', { steps: 7, miss: 0 }).xs).toEqual([0, 8]);
  });

  test('are cut where the sign changes, on the axis, and nothing is left out', () => {
    const runs = signRuns(samplesOf(solution, 0, whole, 'Mz', { steps: 12, miss: 0 }));
    expect(runs).toHaveLength(2);
    expect(runs[0]!.xs.at(-1)).toBe(runs[1]!.xs[0]);
    expect(runs[0]!.values.at(-1)).toBe(0);
    expect(runs[0]!.values.every((value) => value <= 0) && runs[1]!.values.every((value) => value >= -1e-6)).toBe(true);
  });

  test('a curve keeps within its bulge of the straight line between its ends, and the bulge is not much more than that', () => {
    // A clamped beam under a line load: the second derivative of x²(1 − x)² is greatest at its ends, where it is 2.
    expect(bulgeOf(Float64Array.of(0, 0, 1, -2, 1, 0), 0, 5, 1)).toBeCloseTo(2 / 8, 12);
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -9, max: 9, noNaN: true }), { minLength: 6, maxLength: 6 }),
        fc.integer({ min: 0, max: 5 }),
        (all, degree) => {
          const c = Float64Array.from(all);
          const h = 1.7;
          const ends = [evaluate(c, 0, degree, 0), evaluate(c, 0, degree, h)] as const;
          const bulge = bulgeOf(c, 0, degree, h);
          for (let i = 1; i < 20; i++) {
            const left = evaluate(c, 0, degree, (h * i) / 20) - ends[0] - ((ends[1] - ends[0]) * i) / 20;
            expect(Math.abs(left)).toBeLessThanOrEqual(bulge + 1e-9);
          }
        },
      ),
    );
  });

  test('a force that is nothing has no curve', () => {
    const { solution: still } = solved(sketch({ nodes: [['1', 0, 0], ['2', 3, 0]], members: [['a', '1', '2']], supports: [pin('1'), roller('2')] })); // oxfmt-ignore
    expect(signRuns(samplesOf(still, 0, [{ from: 0, to: 3, outcome: 0 }], 'Mz', { steps: 5, miss: 0 }))).toEqual([]);
  });

  test('what is derived steps at a jump, also on a long member', () => {
    const pulled = sketch({
      nodes: [['1', 0, 0], ['2', 7, 0]], members: [['a', '1', '2']], supports: [clamp('1')],
      loads: [{ type: 'point', member: 'a', at: 0.3, fx: 5e3 }],
      section: { A: 0.01, Iz: 1e-5, Wz: 1e-4 },
    }); // oxfmt-ignore
    const { xs, values } = rangesOf(
      { solution: solved(pulled).solution, outcome: 0, quantity: 'sigma' },
      0,
      { steps: 4, miss: 0 },
      [],
    )!.max;
    const there = values.filter((_, i) => Math.abs(xs[i]! - 2.1) < 1e-7);
    expect(there).toEqual([expect.closeTo(5e5, 3), expect.closeTo(0, 6)]);
  });
});

test('what is derived is left out between places only where a straight line does not miss it by more than is seen', () => {
  const size = fc.integer({ min: -20, max: 20 });
  fc.assert(
    fc.property(size, size, fc.integer({ min: 0, max: 6 }), (from, to, finer) => {
      const loads = [{ type: 'line', member: 'a', from: { wy: from * 1e3 }, to: { wy: to * 1e3, wx: 2e3 } } as const];
      const shown = { solution: solved({ ...beam, loads: loadsOf(loads) }).solution, outcome: 0 };
      for (const quantity of ['uX', 'uY', 'M'] as const) {
        const fine = rangesOf({ ...shown, quantity }, 0, { steps: 12, miss: 0 }, [])!.max;
        const miss = Math.max(...fine.values.map(Math.abs)) / 10 ** finer;
        const { xs, values } = rangesOf({ ...shown, quantity }, 0, { steps: 12, miss }, [])!.max;
        fine.xs.forEach((x, i) => {
          const k = Math.max(
            1,
            xs.findIndex((one) => one >= x),
          );
          const [a, b] = [xs[k - 1]!, xs[k]!];
          const drawn = values[k - 1]! + ((values[k]! - values[k - 1]!) * (x - a)) / (b - a);
          expect(Math.abs(drawn - fine.values[i]!)).toBeLessThanOrEqual(miss * (1 + 1e-9));
        });
        expect(xs.length === 2 || xs.length === fine.xs.length).toBe(true);
      }
    }),
    { numRuns: 30 },
  );
});

test('rough bounds of several outcomes are what these have at their places, at both sides of a jump', () => {
  const cases = ['Q', 'W'].map((id) => ({ id, category: 'imposed' as const }));
  const model = {
    ...beam,
    cases,
    loads: [...beam.loads, { id: 'P', type: 'point' as const, case: 'W', member: 'a', at: 0.375, fy: 6e3 }],
  };
  const both = solved(model as typeof beam).solution;
  for (const quantity of ['Vy', 'Mz'] as const) {
    const [max, min] = roughBounds(both, [0, 1], 0, quantity);
    const own = max.xs.map((x) => [0, 1].map((outcome) => valueAt(both, outcome, 0, quantity, x)));
    expect(max.values).toEqual(own.map((values) => Math.max(...values)));
    expect(min.values).toEqual(own.map((values) => Math.min(...values)));
    expect(max.xs).toEqual([...max.xs].sort((a, b) => a - b));
  }
  const [shear] = roughBounds(both, [1], 0, 'Vy');
  const at = shear.xs.findIndex((x) => x > 3);
  expect(shear.values[at]! - shear.values[at - 1]!).toBeCloseTo(6e3, 3);
});
