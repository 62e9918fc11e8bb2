import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { clamp3, sketch, solved } from '../../test/build';
import type { Load, Model } from '../model';
import { loadTotal } from './load-total';

const size = fc.integer({ min: -9000, max: 9000 });
const place = fc.integer({ min: -4, max: 6 });
const part = fc.constantFrom(0, 0.2, 0.35);

/** A member somewhere in space, held at both ends, with one load. */
const held = (end: readonly [number, number, number], load: object, roll = 0): Model =>
  sketch({
    nodes: [['1', 0, 0, 0], ['2', ...end]],
    members: [['a', '1', '2', { roll }]],
    supports: [clamp3('1'), clamp3('2')],
    loads: [load as never],
  }); // oxfmt-ignore

/** What the supports carry is minus what is said to act. */
function agrees(model: Model): void {
  const reading = solved(model);
  const total = loadTotal(model.loads[0]!, model)!;
  const carried = ['1', '2'].map((node) => reading.reactions(node));
  total.forEach((force, k) => expect(force + carried[0]![k]! + carried[1]![k]!).toBeCloseTo(0, 5));
}

describe('a load’s total is what its supports carry, wherever its member lies', () => {
  const end = fc.tuple(fc.integer({ min: 2, max: 7 }), place, place);

  test.each(['global', 'local', 'projected'] as const)('a line load, %s', (axes) => {
    fc.assert(
      fc.property(end, fc.tuple(size, size, size), part, fc.integer({ min: 0, max: 90 }), (to, [a, b, c], at, roll) => {
        const ends = { from: { at, wx: c, wy: a }, to: { at: 1 - at, wy: b, wz: c } };
        agrees(held(to, { type: 'line', member: 'a', axes, ...ends }, roll));
      }),
      { numRuns: 30 },
    );
  });

  test.each(['global', 'local'] as const)('a force on a member, %s', (axes) => {
    fc.assert(
      fc.property(end, size, size, size, part, (to, fx, fy, fz, at) =>
        agrees(held(to, { type: 'point', member: 'a', at, axes, fx, fy, fz }, 25)),
      ),
      { numRuns: 30 },
    );
  });
});

const beam = held([4, 0, 0], { type: 'node', node: '2', fx: 3, fz: -2, my: 7 });

test.each<[string, object, readonly number[]]>([
  ['a force and a couple on a node', { type: 'node', node: '2', fx: 3, fz: -2, my: 7 }, [3, 0, -2]],
  ['a couple on a member', { type: 'point', member: 'a', at: 0.5, mz: 9 }, [0, 0, 0]],
  ['a change of temperature', { type: 'thermal', member: 'a', uniform: 20 }, [0, 0, 0]],
  ['a lack of fit', { type: 'strain', member: 'a', elongation: 0.01 }, [0, 0, 0]],
  ['a settlement', { type: 'settlement', node: '1', uy: -0.01 }, [0, 0, 0]],
  [
    'a load on lengths',
    { type: 'line', member: 'a', measure: 'length', from: { at: 1, wy: -2 }, to: { at: 3, wy: -6 } },
    [0, -8, 0],
  ],
])('%s', (_, load, total) => {
  expect(loadTotal({ id: '1', case: 'Q', ...load } as Load, beam)).toEqual(total);
});

test('of a notional load nothing is said: its weights are known only where it is compiled', () => {
  expect(loadTotal({ id: '1', case: 'Q', type: 'notional', of: 'G', share: 0.005, direction: 'right' }, beam)).toBeUndefined();
});
