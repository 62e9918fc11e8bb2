import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { clamp, sketch, solved } from '../../test/build';
import { dividedLoad } from './divided';
import type { LineLoad } from './primitive';

const size = fc.integer({ min: -9000, max: 9000 });

test('two parts of a load are together the same load, wherever it is divided', () => {
  fc.assert(
    fc.property(
      size,
      size,
      size,
      fc.integer({ min: 1, max: 9 }),
      fc.constantFrom('ratio', 'length'),
      (a, b, c, tenth, measure) => {
        const [at, end] = measure === 'ratio' ? [0.2, 0.9] : [0.5, 4];
        const load: LineLoad = {
          id: '1',
          case: 'Q',
          type: 'line',
          member: 'a',
          measure,
          from: { at, wy: a },
          to: { at: end, wy: b, wx: c },
        };
        const beam = sketch({ nodes: [['1', 0, 0], ['2', 3, 4]], members: [['a', '1', '2']], supports: [clamp('1'), clamp('2')] }); // oxfmt-ignore
        const [first, second] = dividedLoad(load, tenth / 10, 5)!;
        expect(first.to.at).toBe(second.from.at);
        const one = solved({ ...beam, loads: [load] });
        const two = solved({ ...beam, loads: [first, { ...second, id: '2' }] });
        for (const node of ['1', '2'])
          two.reaction(node).forEach((force, k) => expect(force).toBeCloseTo(one.reaction(node)[k]!, 6));
      },
    ),
    { numRuns: 20 },
  );
});

test('there is nothing to divide at an end', () => {
  const load: LineLoad = { id: '1', case: 'Q', type: 'line', member: 'a', from: { wy: 1 }, to: { wy: 1 } };
  expect([dividedLoad(load, 0, 3), dividedLoad(load, 1, 3), dividedLoad(load, NaN, 3)]).toEqual([
    undefined,
    undefined,
    undefined,
  ]);
});
