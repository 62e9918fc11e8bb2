import { expect, test } from '@jest/globals';
import { inRow, pin, roller, sketch } from '../../test/build';
import { checkModel } from '../check';
import type { Model } from '../model';
import { applyIntent } from './apply-intent';
import type { Intent } from './intent';

const model: Model = sketch({
  nodes: inRow(0, 4, 8), members: [['a', '1', '2'], ['b', '2', '3']], supports: [pin('1'), roller('2'), roller('3')],
  extra: {
    cases: [{ id: 'Q', title: 'Q', category: 'imposed' }],
    combinations: [{ id: 'U', title: '', type: 'sum', factors: { Q: 1.5 } }],
    expected: [
      { id: 'E1', outcome: 'Q', member: 'a', quantity: 'Mz', value: 2e3 },
      { id: 'E2', outcome: 'U', member: 'b', quantity: 'Vy', value: 3e3 },
    ],
  },
}); // oxfmt-ignore
const after = (...intents: Intent[]): Model['expected'] =>
  intents.reduce((now, intent) => {
    const applied = applyIntent(now, intent);
    if (!applied.ok) throw new Error(applied.faults[0]!.message);
    return applied.model;
  }, model).expected;

test('what is expected is of a member and an outcome that are there, is greater than zero, and follows their names', () => {
  expect(checkModel(model).notices.filter(({ severity }) => severity === 'error')).toEqual([]);
  const wrong = (change: object) => checkModel({ ...model, expected: [{ ...model.expected![0], ...change }] }).notices.map(({ code, message }) => `${code} ${message}`).join(); // oxfmt-ignore
  expect(wrong({ member: 'z' })).toMatch(/broken-reference .*There is no member “z”/);
  expect(wrong({ outcome: 'X' })).toMatch(/broken-reference .*There is no case or combination “X”/);
  for (const change of [{ value: -1 }, { value: 0 }, { quantity: 'sigma' }, { value: undefined }])
    expect(wrong(change)).not.toBe('');
  expect(after({ type: 'rename', list: 'members', names: { a: 'c' } }, { type: 'rename', list: 'combinations', names: { U: 'W' } })).toEqual([
    expect.objectContaining({ id: 'E1', member: 'c' }),
    expect.objectContaining({ id: 'E2', outcome: 'W' }),
  ]); // oxfmt-ignore
});

test('it is measured as its quantity is, and may be worked out by an expression that follows', () => {
  const parameters = [{ id: 'span', unit: 'm', value: 4 }, { id: 'load', unit: 'kN/m', value: 2e3 }]; // oxfmt-ignore
  const given = checkModel({
    ...model,
    parameters,
    expected: [
      { ...model.expected![0], value: 'load*span^2/8' },
      { ...model.expected![1], value: '3 kN' },
    ],
  }).model!;
  expect(given.expected!.map(({ value }) => value)).toEqual([4e3, 3e3]);
  const wider = applyIntent(given, { type: 'put', list: 'parameters', entry: { ...parameters[0], value: 6 }, key: 'span' });
  expect(wider.ok && wider.model.expected![0]!.value).toBe(9e3);
  const shear = checkModel({ ...model, parameters, expected: [{ ...model.expected![1], value: 'load*span^2/8' }] });
  expect(shear.notices.find(({ severity }) => severity === 'error')?.message).toMatch(/a force, such as kN/);
});

test('it goes with its member, its outcome, or a node of its member; undone it is back', () => {
  expect(after({ type: 'remove', list: 'members', keys: ['a'] })?.map(({ id }) => id)).toEqual(['E2']);
  expect(after({ type: 'remove', list: 'combinations', keys: ['U'] })?.map(({ id }) => id)).toEqual(['E1']);
  expect(after({ type: 'remove', list: 'nodes', keys: ['2'] })).toBeUndefined();
  const applied = applyIntent(model, { type: 'remove', list: 'cases', keys: ['Q'] });
  if (!applied.ok) throw new Error('refused');
  // Without its only case the sum is gone as well.
  expect(applied.model.expected).toBeUndefined();
  const undone = applyIntent(applied.model, { type: 'patch', patches: applied.inverse });
  expect(undone.ok && undone.model).toEqual(model);
});

test('a report reads members closely that are there, and follows their names', () => {
  const report = { chapters: [{ chapter: 'results' }, { chapter: 'members', members: ['a', 'b'] }] } as const;
  const read = (...intents: Intent[]) =>
    intents.reduce((now, intent) => {
      const applied = applyIntent(now, intent);
      if (!applied.ok) throw new Error(applied.faults[0]!.message);
      return applied.model;
    }, { ...model, report } as Model).report!.chapters[1]; // oxfmt-ignore
  expect(read({ type: 'rename', list: 'members', names: { a: 'b', b: 'a' } })).toMatchObject({ members: ['b', 'a'] });
  expect(read({ type: 'remove', list: 'members', keys: ['a'] })).toMatchObject({ members: ['b'] });
  expect(read({ type: 'remove', list: 'members', keys: ['a', 'b'] })).toEqual({ chapter: 'members' });
  const faults = (chapter: object) => checkModel({ ...model, report: { chapters: [chapter] } }).notices.map(({ message }) => message).join(); // oxfmt-ignore
  expect(faults({ chapter: 'members', members: ['z'] })).toMatch(/no member “z”/);
  expect(faults({ chapter: 'loads', members: ['a'] })).toMatch(/Only the chapter “members”/);
});
