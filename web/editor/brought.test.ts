import { expect, test } from '@jest/globals';
import { applyIntent } from '@rigid-beam/core/model/edits/apply-intent';
import type { Intent } from '@rigid-beam/core/model/edits/intent';
import type { Model } from '@rigid-beam/core/model/model';
import { giveShape } from '@rigid-beam/core/sections/catalogue/give';
import { shapeCalled } from '@rigid-beam/core/sections/catalogue/search';
import { pin, sketch } from '@rigid-beam/core/test/build';
import { broughtBy, otherGrade } from './brought';

const shape = sketch({ nodes: [['1', 0, 0], ['2', 4, 0], ['3', 8, 0]], members: [['a', '1', '2'], ['b', '2', '3']], supports: [pin('1')] }); // oxfmt-ignore
const model: Model = { ...shape, materials: [{ id: 'S235', E: 210e9 }], members: shape.members.map((member) => ({ ...member, material: 'S235' })) }; // oxfmt-ignore
const made = (before: Model, intent: Intent): Model => {
  const applied = applyIntent(before, intent);
  if (!applied.ok) throw new Error(applied.faults[0]!.message);
  return applied.model;
};
const given = (before: Model, members: string[], designation: string): { after: Model; intent: Intent } => {
  const intent: Intent = { type: 'batch', intents: giveShape(before, members, shapeCalled(designation)!).intents };
  return { after: made(before, intent), intent };
};

test('a timber shape brings a timber, and any grade of it can be taken instead', () => {
  const { after, intent } = given(model, ['a'], 'Sawn AU 90x35');
  const brought = broughtBy(model, after, intent)!;
  expect(brought).toMatchObject({ material: 'MGP10', members: ['a'], grades: ['MGP10', 'MGP12', 'MGP15'] });
  const other = otherGrade(brought, 'MGP12', after)!;
  const stronger = made(after, other);
  expect(stronger.members.map(({ material }) => material)).toEqual(['MGP12', 'S235']);
  expect(stronger.materials.map(({ id }) => id)).toEqual(['S235', 'MGP12']);
  expect(broughtBy(after, stronger, other)).toBeUndefined();
});

test('a shape that fits brings nothing, nor does a grade that is given with a shape', () => {
  const fits = given(model, ['a', 'b'], 'IPE 300');
  expect(broughtBy(model, fits.after, fits.intent)).toBeUndefined();
  const intents: Intent[] = [
    { type: 'put', list: 'materials', entry: { id: 'S355', E: 210e9 } },
    { type: 'put', list: 'members', entry: { ...fits.after.members[1]!, material: 'S355' }, key: 'b' },
  ];
  const graded: Intent = { type: 'batch', intents };
  expect(broughtBy(model, made(fits.after, graded), graded)).toBeUndefined();
});

test('what is called like the grade, and is another material, stays what it is', () => {
  const named: Model = { ...model, materials: [{ id: 'MGP10', E: 210e9 }], members: model.members.map((one) => ({ ...one, material: 'MGP10' })) }; // oxfmt-ignore
  const { after } = given(named, ['a'], 'Sawn AU 90x35');
  expect(after.members.map(({ material }) => material)).toEqual(['MGP10 2', 'MGP10']);
  expect(after.materials[0]).toEqual({ id: 'MGP10', E: 210e9 });
});
