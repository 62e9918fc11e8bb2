import { expect, test } from '@jest/globals';
import { createTable } from '@tanstack/react-table';
import { schedules } from '@rigid-beam/core/tables/schedules/lists';
import { tableAction } from './keys';
import { gridColumns, gridModels } from './use-grid';
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
  const columns = gridColumns(schedules.nodes.columns(model));
  const shown = (filter: string, way?: 'up' | 'down'): string[] => {
    const sorting = way ? [{ id: 'x', desc: way === 'down' }] : [];
    const state = { globalFilter: filter, sorting, columnFilters: [], columnPinning: {}, grouping: [], expanded: {} };
    const grid = createTable({
      ...gridModels<{ readonly id: string }>(),
      ...{ data: schedules.nodes.rows(model), columns: columns as never, renderFallbackValue: null },
      ...{ state, onStateChange: () => undefined },
    });
    return grid.getRowModel().rows.map(({ original }) => original.id);
  };
  expect(shown('', 'up')).toEqual(['n2', 'n1', 'n0']);
  expect(shown('', 'down')).toEqual(['n0', 'n1', 'n2']);
  expect(shown('PINNED')).toEqual(['n1']);
  expect(shown('nothing of it')).toEqual([]);
});
