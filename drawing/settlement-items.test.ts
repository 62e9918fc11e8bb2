import { expect, test } from '@jest/globals';
import { clamp, inRow, sketch } from '@rigid-beam/core/test/build';
import type { Load } from '@rigid-beam/core/model/model';
import type { Item } from './display-list';
import { contextOf } from './load-items';
import { settlementItems } from './settlement-items';
import { view } from './test/demo';

const model = sketch({ nodes: inRow(0, 4), members: [['a', '1', '2']], supports: [clamp('1')] });
type Settlement = Extract<Load, { type: 'settlement' }>;
const drawn = (parts: Partial<Settlement>, factor = 1, angle = 0): Item[] => {
  const supports = [{ ...clamp('1'), angle }];
  const load: Settlement = { id: 's', case: 'Q', type: 'settlement', node: '1', ...parts };
  const context = contextOf({ ...model, supports, loads: [load] }, new Map([['Q', factor]]), view);
  return settlementItems(context, { x: 0, y: 0 }, load, { kind: 'load', id: 's' }, factor);
};
const tip = (items: Item[]): number[] => {
  const head = items.find((item) => item.kind === 'path' && item.fill === 'load');
  return head?.kind === 'path' ? [...head.vertices.slice(2, 4)].map((part) => Math.round(part * 100) / 100 + 0) : [];
};
const words = (items: Item[]): string[] => items.flatMap((item) => (item.kind === 'label' ? [item.text] : []));

test('the arrow starts beyond the support and points the way it moves, as long whatever the size', () => {
  expect(tip(drawn({ uy: -0.01 }))).toEqual([0, -50 * view.weight]);
  expect(tip(drawn({ uy: -0.02 }, -1))).toEqual([0, 50 * view.weight]);
  expect(tip(drawn({ ux: 0.003, uy: 0.004 }))).toEqual([30 * view.weight, 40 * view.weight]);
});

test('at a turned support it goes along the axes of that', () => {
  expect(tip(drawn({ uy: -0.01 }, 1, 90))).toEqual([50 * view.weight, 0]);
});

test('its size is written, with the factor of the case; a turn is an arc', () => {
  expect(words(drawn({ ux: 0.003, uy: 0.004 }))).toEqual(['5 mm']);
  expect(words(drawn({ uy: -0.01 }, 1.5))).toEqual(['1.5 × 10 mm']);
  expect(words(drawn({ uy: -0.01, rz: 0.002 }))).toEqual(['10 mm', '2 mrad']);
});

test('what moves at the viewer is a ring with a dot', () => {
  const items = drawn({ uz: 0.01 });
  expect(items.filter(({ kind }) => kind === 'path')).toHaveLength(2);
  expect(words(items)).toEqual(['10 mm']);
});
