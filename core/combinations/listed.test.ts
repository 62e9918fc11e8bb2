import { expect, test } from '@jest/globals';
import type { Model } from '../model/model';
import { listed } from './listed';

const model: Pick<Model, 'cases' | 'combinations'> = {
  cases: [{ id: 'G', title: 'Weight', category: 'permanent' }, { id: 'Q', category: 'imposed' }],
  combinations: [
    { id: 'E', type: 'envelope', of: ['U1'] },
    { id: 'S1', type: 'sum', factors: { G: 1 }, limitState: 'service' },
    { id: 'U1', type: 'sum', factors: { G: 1.35 }, limitState: 'strength' },
    { id: 'U2', type: 'sum', factors: { G: 1, Q: 1.5 }, limitState: 'strength', made: { rules: 'r', situation: 's', clause: 'c', reason: 'Q leads' } },
    { id: 'O', type: 'sum', factors: { Q: 1 } },
  ],
}; // oxfmt-ignore

test('by kinds, each with its place among the outcomes; without a title a sum is called as it is written', () =>
  expect(listed(model).map(({ id, kind, outcome, why }) => [id, kind, outcome, why])).toEqual([
    ['G', 'case', 0, 'Weight'],
    ['Q', 'case', 1, ''],
    ['U1', 'strength', 4, '1.35 G'],
    ['U2', 'strength', 5, '1 G + 1.5 Q · Q leads'],
    ['S1', 'service', 3, '1 G'],
    ['O', 'other', 6, '1 Q'],
    ['E', 'envelope', 2, ''],
  ]));

test('what governs nothing comes last among its kind', () =>
  expect(listed(model, new Map([['U1', 0], ['U2', 7], ['S1', 0]])).map(({ id, governs }) => `${id} ${governs}`)).toEqual([
    'G undefined', 'Q undefined', 'U2 7', 'U1 0', 'S1 0', 'O undefined', 'E undefined',
  ])); // oxfmt-ignore
