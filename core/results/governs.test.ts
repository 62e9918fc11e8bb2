import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Combination, Model } from '../model/model';
import { clamp, inRow, pin, roller, sketch, solved } from '../test/build';
import { randomFrame } from '../test/random-frame';
import { memberReader } from './read-quantity';
import { readGoverning, readGoverningSums } from './governs';
import { quantitiesOf } from './quantities';
import { nodalAt } from './read';

const whole = <T>(reading: Generator<number, T>): T => {
  let step = reading.next();
  while (!step.done) step = reading.next();
  return step.value;
};
const sum = (id: string, factors: Readonly<Record<string, number>>, limitState: 'strength' | 'service' = 'strength'): Combination => ({ id, type: 'sum', factors, limitState }); // oxfmt-ignore

const beam: Model = sketch({
  nodes: inRow(0, 4, 8),
  members: [['a', '1', '2'], ['b', '2', '3']],
  supports: [pin('1'), roller('2'), roller('3')],
  loads: [
    { type: 'line', member: 'a', case: 'G', from: { wy: -1e3 }, to: { wy: -1e3 } },
    { type: 'line', member: 'b', case: 'G', from: { wy: -1e3 }, to: { wy: -1e3 } },
    { type: 'line', member: 'a', case: 'Q', from: { wy: -2e3 }, to: { wy: -2e3 } },
  ],
  extra: {
    cases: [{ id: 'G', category: 'permanent' }, { id: 'Q', category: 'imposed' }],
    combinations: [
      sum('U1', { G: 1.35 }),
      sum('U2', { G: 1.35, Q: 1.5 }),
      sum('U3', { G: 1 }),
      sum('U4', { G: 1.2, Q: 0.5 }),
      sum('E', { G: 1 }, 'service'),
    ],
  },
}); // oxfmt-ignore

describe('what governs', () => {
  test('of the sums for a limit state, what lies between others governs nothing', () => {
    const { solution } = solved(beam);
    const found = whole(readGoverningSums(beam, solution));
    expect(found.get('U4')).toBe(0);
    for (const id of ['U1', 'U2', 'U3', 'E']) expect(found.get(id)).toBeGreaterThan(0);
  });

  test('and it makes no difference to any envelope whether that is there', () => {
    fc.assert(
      fc.property(randomFrame, fc.array(fc.tuple(fc.integer({ min: -2, max: 3 }), fc.integer({ min: -2, max: 3 })), { minLength: 3, maxLength: 7 }), (frame, factors) => {
        const model: Model = {
          ...frame,
          cases: [{ id: 'Q', category: 'imposed' }, { id: 'R', category: 'imposed' }],
          loads: frame.loads.map((load, i) => ({ ...load, case: i % 2 === 0 ? 'Q' : 'R' })),
          combinations: factors.map(([Q, R], i) => sum(`U${i}`, { Q, R })),
        };
        const { solution } = solved(model);
        const parts = factors.map((_, i) => 2 + i);
        const counts = whole(readGoverning(solution, parts));
        const kept = parts.filter((_, i) => counts[i]! > 0);
        if (kept.length === 0) return;
        const bounds = (some: readonly number[], read: (part: number) => { max: number; min: number } | undefined): [number, number] => {
          const all = some.map(read);
          return [Math.max(...all.map((one) => one?.max ?? 0)), Math.min(...all.map((one) => one?.min ?? 0))];
        };
        const same = (read: (part: number) => { max: number; min: number } | undefined, size: number): void =>
          bounds(parts, read).forEach((value, k) => expect(Math.abs(value - bounds(kept, read)[k]!)).toBeLessThanOrEqual(1e-8 * size));
        for (const quantity of quantitiesOf(solution.structure).filter((one) => one !== 'sigmaV')) {
          const of = (m: number) => (part: number) => {
            const found = memberReader(solution, part, m).extremes(quantity);
            return found && { max: found.max.value, min: found.min.value };
          };
          const size = Math.max(...model.members.flatMap((_, m) => bounds(parts, of(m)).map(Math.abs)));
          for (let m = 0; m < model.members.length; m++) same(of(m), size + 1);
        }
        for (let f = 0; f < 6 * model.nodes.length; f++)
          for (const key of ['reactions', 'displacements'] as const) {
            const of = (part: number) => ({ max: nodalAt(solution, part, key, f), min: nodalAt(solution, part, key, f) });
            same(of, key === 'reactions' ? 1e5 : 1);
          }
      }),
      { numRuns: 25 },
    );
  });

  test('a mode of rounding does not: in a row of cantilevers under forces across, axial forces are nothing', () => {
    const rod = sketch({
      nodes: inRow(0, 3),
      members: [['a', '1', '2']],
      supports: [clamp('1')],
      loads: [{ type: 'node', node: '2', fy: -1e3 }],
      extra: { combinations: [sum('U1', { Q: 1 }), sum('U2', { Q: 0.5 }), sum('U3', { Q: 0.7 })] },
    });
    const found = whole(readGoverningSums(rod, solved(rod).solution));
    expect(found.get('U3')).toBe(0);
  });
}); // oxfmt-ignore
