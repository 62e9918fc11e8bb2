import { expect, test } from '@jest/globals';
import { checkModel } from '@rigid-beam/core/model/check';
import type { Model } from '@rigid-beam/core/model/model';
import { spaceBuilding } from '../bench/structures';
import walk from '../examples/canopy-walk.rbm.json';
import { carriesAxially, opensOn } from './opens-on';
import { lintelModel, ribModel, solutionOf } from './test/demo';

test.each<[string, Model, string]>([
  ['a bridge of trusses, whose cross beams bend', checkModel(walk).model!, 'N'],
  ['an arch rib', ribModel, 'Mz'],
  ['a beam', lintelModel, 'Mz'],
  ['a building, whose columns are pressed and whose beams bend', spaceBuilding(2, 2, 4, 1), 'Mz'],
])('%s', (_what, model, quantity) => {
  const solution = solutionOf(model);
  expect([opensOn(model, solution), carriesAxially(model, solution)]).toEqual([quantity, quantity === 'N']);
});

test('bars that cannot bend need no solution', () => {
  const bars: Model = { ...ribModel, members: ribModel.members.map((member) => ({ ...member, behaviour: 'truss' })) };
  expect(opensOn(bars, undefined)).toBe('N');
});
