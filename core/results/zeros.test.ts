import { describe, expect, test } from '@jest/globals';
import { clamp, pin, roller, sketch, solved, type Sketch } from '../test/build';
import { diagramOf } from './diagram';
import { inflectionPoints, zeroPoints } from './zeros';

const L = 6;
const q = 5e3;
const beam = (supports: Sketch['supports'], loads: Sketch['loads']): Sketch => ({
  nodes: [
    ['1', 0, 0],
    ['2', L, 0],
  ],
  members: [['a', '1', '2']],
  supports,
  ...(loads && { loads }),
});
const zeros = (model: Sketch, quantity: 'N' | 'Vy' | 'Mz'): number[] => {
  const { solution } = solved(sketch(model));
  return zeroPoints(diagramOf(solution, 0, 0), quantity);
};
const close = (...xs: number[]) => xs.map((x) => expect.closeTo(x, 9));
const uniform: Sketch['loads'] = [{ type: 'line', member: 'a', from: { wy: -q }, to: { wy: -q } }];

describe('zero points', () => {
  test('of a fixed beam under a uniform load: M at L(1/2 ± 1/√12), V in the middle', () => {
    const model = beam([clamp('1'), clamp('2')], uniform);
    expect(zeros(model, 'Mz')).toEqual(close(L * (0.5 - 1 / Math.sqrt(12)), L * (0.5 + 1 / Math.sqrt(12))));
    expect(zeros(model, 'Vy')).toEqual(close(L / 2));
  });

  test('of a simple beam: V changes at the jump under the load, M nowhere inside', () => {
    const model = beam([pin('1'), roller('2')], [{ type: 'point', member: 'a', at: 0.25, fy: -q }]);
    expect(zeros(model, 'Vy')).toEqual(close(L / 4));
    expect(zeros(model, 'Mz')).toEqual([]);
    expect(zeros(model, 'N')).toEqual([]);
  });

  test('a stretch of zero between two signs is told where the first ends', () => {
    const model = beam(
      [pin('1'), roller('2')],
      [
        { type: 'point', member: 'a', at: 0.25, fy: -q },
        { type: 'point', member: 'a', at: 0.75, fy: -q },
      ],
    );
    expect(zeros(model, 'Vy')).toEqual(close(L / 4));
  });

  test('a moment that touches zero in the middle of a piece has a sign there: it changes at the couple that follows', () => {
    const model = beam(
      [pin('1'), roller('2')],
      [
        { type: 'line', member: 'a', from: { wy: -q }, to: { at: 0.5, wy: -q } },
        { type: 'node', node: '1', mz: (q * (L / 2) ** 2) / 8 },
        { type: 'point', member: 'a', at: 0.5, mz: (-5 * q * (L / 2) ** 2) / 8 },
      ],
    );
    expect(zeros(model, 'Mz')).toEqual(close(L / 2));
  });
});

describe('inflection points', () => {
  test('lie where the moment vanishes: of a propped cantilever at a quarter', () => {
    const { solution } = solved(sketch(beam([clamp('1'), roller('2')], uniform)));
    expect(inflectionPoints(diagramOf(solution, 0, 0), 'v')).toEqual(close(L / 4));
    expect(zeroPoints(diagramOf(solution, 0, 0), 'Mz')).toEqual(close(L / 4));
  });
});
