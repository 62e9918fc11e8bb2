import { expect, test } from '@jest/globals';
import type { Load } from '@rigid-beam/core/model/model';
import { lintelModel } from './test/demo';
import { contextOf } from './load-items';
import { plainView } from './view';

const line = (id: string, member: string, wy: number, more: object = {}): Load =>
  ({ id, type: 'line', case: 'G', member, from: { wy }, to: { wy }, ...more }) as Load;
/** Those of them that stand above others. */
const bases = (...loads: Load[]): Record<string, number> => {
  const { baseOf } = contextOf({ ...lintelModel, loads }, new Map([['G', 1]]), plainView);
  return Object.fromEntries(loads.flatMap(({ id }) => (baseOf(id) > 0 ? [[id, baseOf(id)]] : [])));
};

test('loads that add up stand one above the other, as high as those below them; what acts the other way, or elsewhere, does not', () => {
  const two = bases(line('1', 'a', -10e3), line('2', 'a', -5e3));
  expect(Object.keys(two)).toEqual(['2']);
  // The longest comb, and what lies between two.
  expect(two['2']).toBeCloseTo(40 * 0.72 + 7, 6);
  expect(bases(line('1', 'a', -10e3), line('2', 'a', -5e3), line('3', 'a', -5e3))['3']).toBeCloseTo(two['2']! + 20 * 0.72 + 7, 6);
  expect(bases(line('1', 'a', -10e3), line('2', 'a', 5e3))).toEqual({});
  expect(bases(line('1', 'a', -10e3), line('2', 'b', -5e3))).toEqual({});
  expect(
    bases(line('1', 'a', -10e3, { to: { wy: -10e3, at: 0.4 } }), line('2', 'a', -5e3, { from: { wy: -5e3, at: 0.5 } })),
  ).toEqual({});
});

test('a load along several members keeps its back straight over what lies on one of them', () => {
  const run = { id: '2', type: 'chain', case: 'G', members: ['a', 'b'], from: { wy: -5e3 }, to: { wy: -5e3 } } as unknown as Load;
  expect(Object.keys(bases(line('1', 'b', -10e3), run))).toEqual(['2']);
});

test('a load with a negative factor stands among those that act its way then', () => {
  const loads = [line('1', 'a', -10e3), { ...line('2', 'a', 5e3), case: 'W' }, { ...line('3', 'a', -5e3), case: 'W' }] as Load[];
  const model = { ...lintelModel, loads };
  const basesOf = (factor: number): boolean[] => {
    const factors = new Map([
      ['G', 1],
      ['W', factor],
    ]);
    const { baseOf } = contextOf(model, factors, plainView);
    return ['2', '3'].map((id) => baseOf(id) > 0);
  };
  expect(basesOf(1)).toEqual([false, true]);
  expect(basesOf(-1)).toEqual([true, false]);
});

test('a factor lengthens the scale of all loads where more acts than the largest of the model, and never shortens it', () => {
  const model = { ...lintelModel, loads: [line('1', 'a', -10e3), { ...line('2', 'a', 4e3), case: 'W' }] as Load[] };
  const largest = (of: string, factor: number): number => contextOf(model, new Map([[of, factor]]), plainView).largest.intensity;
  expect([largest('G', 0.5), largest('G', -1.5), largest('W', 2), largest('W', 3)]).toEqual([10e3, 15e3, 10e3, 12e3]);
});
