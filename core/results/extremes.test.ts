import { describe, expect, test } from '@jest/globals';
import { clamp, pin, roller, sketch, solved, type Sketch } from '../test/build';
import { outcomes } from '../combinations/outcomes';

const beam = (rest: Partial<Sketch>): Sketch => ({
  nodes: [
    ['1', 0, 0],
    ['2', 6, 0],
  ],
  members: [['a', '1', '2']],
  supports: [pin('1'), roller('2')],
  ...rest,
});

describe('extremes', () => {
  test('both sides of a jump count', () => {
    const r = solved(
      sketch(
        beam({
          loads: [
            { type: 'point', member: 'a', at: 0.5, fy: -6e3 },
            { type: 'point', member: 'a', at: 0.5, mz: 24e3 },
          ],
        }),
      ),
    );
    expect(r.max('a', 'Mz').value - r.min('a', 'Mz').value).toBeGreaterThanOrEqual(24e3 - 1e-6);
    expect([r.max('a', 'Mz').x, r.min('a', 'Mz').x]).toEqual([expect.closeTo(3, 9), expect.closeTo(3, 9)]);
  });

  test('of equal values the one nearest the start counts, whatever rounding says', () => {
    const r = solved(sketch(beam({ loads: [{ type: 'node', node: '2', fx: 1e3 }] })));
    expect(r.max('a', 'N')).toMatchObject({ x: 0, value: expect.closeTo(1e3, 6) });
    expect(r.min('a', 'N')).toMatchObject({ x: 0 });
  });

  test('a force right at the free end is seen in the shear just before it', () => {
    const r = solved(
      sketch(
        beam({ supports: [clamp('1')], loads: [{ type: 'point', member: 'a', at: 6, measure: 'length', fy: -2e3, mz: 3e3 }] }),
      ),
    );
    expect(r.max('a', 'Vy').value).toBeCloseTo(2e3, 6);
    expect(r.min('a', 'Vy').value).toBeCloseTo(0, 6);
    expect(r.at('a', 'Mz', 6)).toBeCloseTo(3e3, 6);
    expect(r.at('a', 'Mz', 0)).toBeCloseTo(3e3 - 12e3, 6);
  });

  test('loads that begin or stand within a billionth of each other are one place', () => {
    const model = sketch(
      beam({
        loads: [
          { type: 'point', member: 'a', at: 0.5, fy: -1 },
          { type: 'point', member: 'a', at: 0.5 + 1e-12, fy: -1 },
          { type: 'line', member: 'a', from: { at: 1e-12, wy: -1 }, to: { at: 1 - 1e-12, wy: -1 } },
        ],
      }),
    );
    expect([...solved(model).solution.responses[0]!.pieces.from]).toEqual([0, expect.closeTo(3, 9)]);
  });
});

describe('outcomes', () => {
  test('sums of sums are factors on cases, envelopes of envelopes a set of those at the bottom', () => {
    const model = sketch(
      beam({
        extra: {
          cases: [
            { id: 'G', category: 'permanent' },
            { id: 'Q', category: 'imposed' },
          ],
          combinations: [
            { id: 'E2', type: 'envelope', of: ['E1', 'S1', 'G'] },
            { id: 'S2', type: 'sum', factors: { S1: 2, G: -1 } },
            { id: 'S1', type: 'sum', factors: { G: 1.35, Q: 1.5 }, limitState: 'strength' },
            { id: 'E1', type: 'envelope', of: ['S1', 'S2'] },
          ],
        },
      }),
    );
    const all = outcomes(model);
    expect(all.map(({ id }) => id)).toEqual(['G', 'Q', 'E2', 'S2', 'S1', 'E1']);
    const sum = all[3]!;
    expect(sum.kind === 'superposed' && [...sum.factors]).toEqual([expect.closeTo(1.7, 12), 3]);
    expect(all[2]).toMatchObject({ kind: 'envelope', parts: [4, 3, 0] });
  });
});
