import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Model } from '../model/model';
import { pin, roller, sketch, solved } from '../test/build';
import { randomFrame } from '../test/random-frame';
import { governing } from './envelope';
import { extremes } from './extremes';
import { ofMembers } from './of-member';
import type { Quantity } from './quantities';
import { valueAt } from './read';
import { governedAs, quantityExtremes, rangeAt } from './read-quantity';

const L = 8;

/** A beam under three cases that govern in turn: a force at either third, and a load over all. */
const beam = (forces: readonly [number, number, number]): Model =>
  sketch({
    nodes: [
      ['1', 0, 0],
      ['2', L, 0],
    ],
    members: [['a', '1', '2']],
    supports: [pin('1'), roller('2')],
    loads: [
      { case: 'A', type: 'point', member: 'a', at: 0.25, fy: -forces[0] },
      { case: 'B', type: 'point', member: 'a', at: 0.75, fy: -forces[1] },
      { case: 'C', type: 'line', member: 'a', from: { wy: -forces[2] }, to: { wy: 0 } },
    ],
    extra: {
      cases: ['A', 'B', 'C'].map((id) => ({ id, category: 'imposed' as const })),
      combinations: [{ id: 'E', type: 'envelope', of: ['A', 'B', 'C'] }],
    },
  });

describe('envelopes', () => {
  test('change over exactly where two diagrams cross', () => {
    const { solution } = solved(beam([8e3, 8e3, 0]));
    const stretches = governing(solution, [0, 1], 0, 'Mz', 1);
    // Two triangles with their peaks at the quarters cross in the middle.
    expect(stretches.map(({ outcome }) => outcome)).toEqual([0, 0, 1, 1]);
    expect(stretches[1]!.to).toBeCloseTo(L / 2, 9);
    expect(stretches.map(({ from }) => from)).toEqual([0, 2, expect.closeTo(4, 9), 6]);
  });

  test('cover the member without a gap, and no part rises above them', () => {
    const force = fc.integer({ min: -20_000, max: 20_000 });
    fc.assert(
      fc.property(fc.tuple(force, force, force), fc.double({ min: 0.001, max: L - 0.001, noNaN: true }), (forces, x) => {
        const { solution } = solved(beam(forces));
        for (const side of [1, -1] as const)
          for (const quantity of ['Vy', 'Mz', 'v'] as const) {
            const stretches = governing(solution, [0, 1, 2], 0, quantity, side);
            expect(stretches[0]!.from).toBe(0);
            expect(stretches.at(-1)!.to).toBe(L);
            stretches.slice(1).forEach(({ from }, i) => expect(from).toBe(stretches[i]!.to));
            const here = stretches.find(({ from, to }) => x >= from && x <= to)!;
            const mine = valueAt(solution, here.outcome, 0, quantity, x);
            const scale = 1e-9 * (1 + Math.abs(mine)) + 1e-5 * Number(Math.min(x - here.from, here.to - x) < 1e-9);
            for (const part of [0, 1, 2])
              expect(side * valueAt(solution, part, 0, quantity, x)).toBeLessThanOrEqual(side * mine + scale);
          }
      }),
      { numRuns: 60 },
    );
  });

  test('of many sums of a random frame, on every member: no part rises above the one that governs', () => {
    const factor = fc.integer({ min: -2, max: 3 });
    fc.assert(
      fc.property(randomFrame, fc.array(fc.tuple(factor, factor), { minLength: 6, maxLength: 10 }), (frame, factors) => {
        const cases = ['Q', 'R'];
        const { solution } = solved({
          ...frame,
          cases: cases.map((id) => ({ id, category: 'imposed' as const })),
          loads: frame.loads.map((load, i) => ({ ...load, case: cases[i % 2]! })),
          combinations: factors.map(([Q, R], i) => ({ id: `U${i}`, type: 'sum' as const, factors: { Q, R } })),
        });
        const parts = factors.map((_, i) => 2 + i);
        const read = (of: number, m: number, quantity: Quantity, x: number): number => rangeAt(solution, of, m, quantity, x)!.max;
        for (const quantity of ['N', 'Vy', 'Mz', 'v', 'uX', 'uY'] as const) {
          const most = parts.flatMap((part) => frame.members.map((_, m) => quantityExtremes(solution, part, m, quantity)!));
          const rounding = 1e-8 * Math.max(...most.flatMap(({ max, min }) => [max.value, -min.value])) + 1e-12;
          for (let m = 0; m < frame.members.length; m++)
            for (const side of [1, -1] as const)
              for (const { from, to, outcome } of governing(
                solution,
                parts,
                m,
                governedAs(quantity, ofMembers(solution)[m]!)!,
                side,
              ))
                for (const part of [0.01, 0.3, 0.5, 0.77, 0.99]) {
                  const x = from + part * (to - from);
                  const mine = side * read(outcome, m, quantity, x);
                  for (const other of parts) expect(side * read(other, m, quantity, x)).toBeLessThanOrEqual(mine + rounding);
                }
        }
      }),
      { numRuns: 6 },
    );
  });

  test('have the extremes of their parts, and name the one that governs', () => {
    const { solution } = solved(beam([8e3, 10e3, 0]));
    const { max, min } = extremes(solution, 3, 0, 'Mz');
    expect(max).toEqual({ x: expect.closeTo(6, 9), value: expect.closeTo((10e3 * 2 * 6) / 8, 6), from: 1 });
    expect(min.value).toBeCloseTo(0, 6);
  });
});
