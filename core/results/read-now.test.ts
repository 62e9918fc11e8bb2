import { expect, test } from '@jest/globals';
import { clamp, inRow, sketch, solved } from '../test/build';
import { readNow } from './read-now';
import { isReady } from './readings';

/** Cantilevers in a row, under so many sums of one load. */
const inSums = (members: number, sums: number) =>
  solved(
    sketch({
      nodes: inRow(...Array.from({ length: members + 1 }, (_, i) => i)),
      members: Array.from({ length: members }, (_, i) => [`m${i}`, String(i + 1), String(i + 2)] as const),
      supports: [clamp('1')],
      loads: [{ type: 'node', node: String(members + 1), fy: -1e3 }],
      extra: {
        combinations: [
          ...Array.from({ length: sums }, (_, i) => ({ id: `U${i}`, type: 'sum' as const, factors: { Q: 1 + i / sums } })),
          { id: 'U', type: 'envelope' as const, of: Array.from({ length: sums }, (_, i) => `U${i}`) },
        ],
      },
    }),
  ).solution;

test('an envelope that is read ahead is read when it is to be drawn; whatever is ready stays as it is', () => {
  const small = inSums(3, 4);
  expect(readNow(small, 5, 'Mz')).toBe(small);
  const large = inSums(310, 100);
  expect(isReady(large, 101, 'Mz')).toBe(false);
  const read = readNow(large, 101, 'Mz');
  expect(isReady(read, 101, 'Mz')).toBe(true);
  expect(isReady(read, 101, 'Vy')).toBe(false);
  const both = readNow(read, 101, 'Vy');
  expect([isReady(both, 101, 'Mz'), isReady(both, 101, 'Vy')]).toEqual([true, true]);
  expect(readNow(both, 101, 'Mz')).toBe(both);
});
