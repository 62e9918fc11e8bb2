import { expect, test } from '@jest/globals';
import { checkModel } from '@rigid-beam/core/model/check';
import { applyIntent } from '@rigid-beam/core/model/edits/apply-intent';
import { emptyModel, type Model } from '@rigid-beam/core/model/model';
import { typicals } from '@rigid-beam/core/model/typical/all';
import { initialValues } from '@rigid-beam/core/model/typical/typical';
import { spaceBuilding } from '../bench/structures';
import walk from '../examples/canopy-walk.rbm.json';
import { carriesAxially, opensOn } from './opens-on';
import { lintelModel, ribModel, solutionOf } from './test/demo';

/** The typical tower, pushed at its top. */
function tower(): Model {
  const typical = typicals.find(({ id }) => id === 'tower' || /tower/i.test(id))!;
  const applied = applyIntent(emptyModel('', 'space'), {
    type: 'insert',
    part: typical.build(initialValues(typical), { section: 'beam', material: 'steel' }),
    at: [0, 0, 0],
  });
  if (!applied.ok) throw new Error(applied.faults[0]!.message);
  const { model } = applied;
  const top = model.nodes.reduce((a, b) => (b.y > a.y ? b : a));
  return { ...model, loads: [{ id: 'w', type: 'node', case: 'G', node: top.id, fx: 2e3 }] };
}

test.each<[string, Model, string]>([
  ['a bridge of trusses, whose cross beams bend', checkModel(walk).model!, 'N'],
  ['a lattice tower in its own weight and a push, whose rings hardly carry', tower(), 'N'],
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
