import { expect, test } from '@jest/globals';
import { arranged } from './arranged';
import { columnsOf, rowsOf } from './lists';
import { tableAction } from './keys';
import { emptyModel } from '@rigid-beam/core/model/model';

const pressed = (key: string, held: Partial<Record<'shiftKey' | 'ctrlKey' | 'metaKey' | 'altKey', boolean>> = {}) =>
  tableAction({ key, shiftKey: false, ctrlKey: false, metaKey: false, altKey: false, ...held });

test('keys have the meaning that they have in a spreadsheet', () => {
  expect(pressed('ArrowDown', { shiftKey: true })).toEqual({ kind: 'step', rows: 1, columns: 0, range: 'extended' });
  expect(pressed('PageUp')).toEqual({ kind: 'step', rows: -12, columns: 0, range: 'alone' });
  expect(pressed('End', { ctrlKey: true })).toEqual({ kind: 'edge', end: 'last', ofAll: true, range: 'alone' });
  expect(pressed('ArrowUp', { altKey: true })).toEqual({ kind: 'sort', way: 1 });
  expect(pressed('7')).toEqual({ kind: 'edit', first: '7' });
  expect(pressed('F2')).toEqual({ kind: 'edit' });
  expect(pressed('d', { metaKey: true })).toEqual({ kind: 'fillDown' });
});

test('keys of the browser and of other things are left alone', () => {
  for (const key of ['Tab', 'Shift', 'F5']) expect(pressed(key)).toBeUndefined();
  expect(pressed('c', { ctrlKey: true })).toBeUndefined();
  expect(pressed('f', { altKey: true })).toBeUndefined();
});

test('rows are filtered by any of their texts, and numbers are sorted as numbers', () => {
  const model = {
    ...emptyModel('Shed'),
    nodes: [10, 9, -2].map((x, i) => ({ id: `n${i}`, x, y: 0 })),
    supports: [{ node: 'n1', ux: 'fixed', uy: 'fixed' } as const],
  };
  const columns = columnsOf(model, 'nodes');
  const shown = (filter: string, way?: 1 | -1): string[] =>
    arranged(rowsOf(model, 'nodes'), columns, filter, way && { key: 'x', way }).map(({ id }) => id);
  expect(shown('', 1)).toEqual(['n2', 'n1', 'n0']);
  expect(shown('', -1)).toEqual(['n0', 'n1', 'n2']);
  expect(shown(' PINNED ')).toEqual(['n1']);
  expect(shown('nothing of it')).toEqual([]);
});
