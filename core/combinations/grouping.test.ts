import { expect, test } from '@jest/globals';
import { applyIntent } from '../model/edits/apply-intent';
import { emptyModel, type Model } from '../model/model';
import { categoryGroups, groupWays, grouping, groupWords, type GroupWay } from './grouping';

const cases: Model['cases'] = [...emptyModel('').cases, { id: 'Wind', category: 'wind' }, { id: 'W2', category: 'wind' }];

function put(model: Model, category: string, way: GroupWay): Model {
  const applied = applyIntent(
    model,
    grouping(
      model,
      categoryGroups(model).find((one) => one.category === category)!,
      way,
    ),
  );
  if (!applied.ok) throw new Error(applied.faults[0]!.message);
  return applied.model;
}

test('each variable category has its way to act, which is changed as a whole, from any to any', () => {
  const model: Model = { ...emptyModel(''), cases };
  expect(categoryGroups(model).map(({ category, way, ways }) => [category, way, ways.length])).toEqual([['imposed', 'by itself', 2], ['wind', 'by itself', 4]]); // oxfmt-ignore
  for (const from of groupWays)
    for (const to of groupWays.filter((way) => way !== from)) {
      const after = put(from === 'by itself' ? model : put(model, 'wind', from), 'wind', to);
      expect(categoryGroups(after)[1]!.way).toBe(to);
      expect(after.actions?.length ?? 0).toBe(to === 'by itself' ? 0 : 1);
    }
  // The name of the category is that of a case already.
  expect(put(model, 'wind', 'either').actions).toEqual([{ id: 'Wind 2', type: 'either', of: ['Wind', 'W2'] }]);
});

test('where only some act as one, none of the ways holds; a change takes what held them, and what held that', () => {
  const some: Model = {
    ...emptyModel(''),
    cases,
    actions: [
      { id: 'a', type: 'both signs', of: ['W2'] },
      { id: 'b', type: 'either', of: ['a', 'Wind'] },
    ],
  };
  expect(categoryGroups(some)[1]!.way).toBeUndefined();
  expect(put(some, 'wind', 'together').actions).toEqual([{ id: 'Wind 2', type: 'together', of: ['Wind', 'W2'] }]);
});

test('what an action holds follows its cases, and what holds an action follows it', () => {
  const model: Model = {
    ...emptyModel(''),
    cases,
    actions: [{ id: 'a', type: 'both signs', of: ['W2'] }, { id: 'b', type: 'either', of: ['a', 'Wind'] }],
    combinations: [{ id: 'U', type: 'sum', factors: { G: 1.35, b: 1.5 } }, { id: 'V', type: 'sum', factors: { a: 1 } }],
  };
  const after = (intent: Parameters<typeof applyIntent>[1]): Model => {
    const applied = applyIntent(model, intent);
    if (!applied.ok) throw new Error(applied.faults[0]!.message);
    return applied.model;
  };
  expect(after({ type: 'rename', list: 'cases', names: { W2: 'gust' } }).actions![0]!.of).toEqual(['gust']);
  const renamed = after({ type: 'rename', list: 'actions', names: { a: 'c', b: 'd' } });
  expect([renamed.actions![1]!.of, renamed.combinations]).toMatchObject([['c', 'Wind'], [{ factors: { G: 1.35, d: 1.5 } }, { factors: { c: 1 } }]]);
  // Without its only case an action goes, and with it what it was in.
  const without = after({ type: 'remove', list: 'cases', keys: ['W2'] });
  expect([without.actions, without.combinations]).toEqual([[{ id: 'b', type: 'either', of: ['Wind'] }], [model.combinations[0]]]);
  expect(after({ type: 'remove', list: 'actions', keys: ['b'] }).combinations[0]).toMatchObject({ factors: { G: 1.35 } });
}); // oxfmt-ignore

test('some cases of a category act as one, the others as they did; what is left with too few goes', () => {
  const four: Model = { ...emptyModel(''), cases: [...cases, { id: 'W3', category: 'wind' }, { id: 'W4', category: 'wind' }] };
  const choose = (model: Model, way: GroupWay, ...chosen: string[]): Model => {
    const applied = applyIntent(model, grouping(model, categoryGroups(model)[1]!, way, chosen));
    if (!applied.ok) throw new Error(applied.faults[0]!.message);
    return applied.model;
  };
  const told = (model: Model): string => groupWords(model, categoryGroups(model)[1]!);
  const pair = choose(four, 'either', 'Wind', 'W2');
  expect(told(pair)).toBe('Wind or W2 · W3 by itself · W4 by itself');
  const both = choose(pair, 'both signs', 'W3');
  expect(told(both)).toBe('Wind or W2 · ±W3 · W4 by itself');
  const other = choose(both, 'together', 'W2', 'W4');
  expect(told(other)).toBe('Wind by itself · W2 with W4 · ±W3');
  expect(other.actions!.map(({ of }) => of)).toEqual([['W3'], ['W2', 'W4']]);
  const nested: Model = {
    ...four,
    actions: [
      { id: 'a', type: 'both signs', of: ['W2'] },
      { id: 'b', type: 'either', of: ['a', 'Wind', 'W3'] },
    ],
  };
  expect(told(nested)).toBe('(±W2) or Wind or W3 · W4 by itself');
  const out = choose(nested, 'by itself', 'W2');
  expect(out.actions).toEqual([{ id: 'b', type: 'either', of: ['Wind', 'W3'] }]);
  expect(choose(nested, 'by itself', 'Wind', 'W3', 'W4').actions).toEqual([{ id: 'a', type: 'both signs', of: ['W2'] }]);
});
