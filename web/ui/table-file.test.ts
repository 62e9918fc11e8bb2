import { expect, test } from '@jest/globals';
import { sliceOf } from './table-file';

test('rows are read in slices of time, each of them once and in order, one at least', () => {
  const rows = Array.from({ length: 25 }, (_, i) => ({ i }));
  const table = { title: 'Some', rows, columns: [{ key: 'i', title: 'I', value: ({ i }: { i: number }) => i }] };
  let clock = 0;
  const now = (): number => clock++;
  const read: unknown[] = [];
  const sizes: number[] = [];
  for (let at = 0; at < rows.length;) {
    const { cells, next } = sliceOf(table, at, sizes.length === 1 ? 0 : 10, now);
    read.push(...cells.map(([i]) => i));
    sizes.push(next - at);
    at = next;
  }
  expect(read).toEqual(rows.map(({ i }) => i));
  expect(sizes).toEqual([10, 1, 10, 4]);
});
