import { expect, test } from '@jest/globals';
import { applyIntent } from '../model/edits/apply-intent';
import type { Intent } from '../model/edits/intent';
import { checkModel } from '../model/check';
import type { Model } from '../model/model';
import { inRow, pin, roller, sketch } from '../test/build';
import { patternedCases, patterning } from './patterned';

/** Two spans under an imposed load, and wind that takes turns with snow. */
const model = checkModel(
  sketch({
    nodes: inRow(0, 4, 8),
    members: [['a', '1', '2'], ['b', '2', '3']],
    supports: [pin('1'), roller('2'), roller('3')],
    loads: ['a', 'b'].map((member) => ({ type: 'line' as const, member, from: { wy: -1e3 }, to: { wy: -1e3 } })),
    extra: {
      cases: [{ id: 'G', category: 'permanent' }, { id: 'Q', category: 'imposed' }, { id: 'Q2', category: 'imposed' }],
      actions: [{ id: 'one', type: 'either', of: ['Q', 'Q2'] }],
      combinations: [
        { id: 'U', type: 'sum', factors: { G: 1.35, Q: 1.5 } },
        { id: 'E', type: 'envelope', of: ['Q', 'U'] },
      ],
    },
  }),
).model!; // oxfmt-ignore
const done = (before: Model, intent: Intent): Model => {
  const applied = applyIntent(before, intent);
  if (!applied.ok) throw new Error(applied.faults.map(({ message }) => message).join(' '));
  return applied.model;
};

test('a case on several spans may be loaded in patterns, one that loads nothing not', () =>
  expect(patternedCases(model).map(({ loadCase, action }) => [loadCase.id, action])).toEqual([['Q', undefined]]));

test('wherever the case stood its pattern stands, and the other way round', () => {
  const by = done(model, patterning(model, 'Q', 'spans'));
  expect(by.actions).toEqual([
    { id: 'one', type: 'either', of: ['Q by spans', 'Q2'] },
    { id: 'Q by spans', type: 'pattern', of: ['Q'], by: 'spans' },
  ]);
  expect(by.combinations).toMatchObject([{ factors: { G: 1.35, 'Q by spans': 1.5 } }, { of: ['Q by spans', 'U'] }]);
  expect(patternedCases(by)[0]!.sets).toEqual(['Q', 'span 1', 'span 2']);
  const bays = done(by, patterning(by, 'Q', 'bays', ['each']));
  expect(bays.actions![1]).toEqual({ id: 'Q by bays', type: 'pattern', of: ['Q'], by: 'bays', ways: ['each'] });
  expect(bays.combinations[0]).toMatchObject({ factors: { G: 1.35, 'Q by bays': 1.5 } });
  const back = done(bays, patterning(bays, 'Q', undefined));
  expect({ ...back, loads: model.loads }).toEqual(model);
});

test('a case with trains may let them travel, whether it was loaded in patterns or not; without trains it still may stop', () => {
  const train = { id: 't', case: 'Q2', type: 'train', members: ['a', 'b'], stands: 1, axles: [1e4], spacings: [] } as const;
  const with1 = done(model, { type: 'put', list: 'loads', entry: train });
  expect(patternedCases(with1).map(({ loadCase, trains }) => [loadCase.id, trains])).toEqual([
    ['Q', 0],
    ['Q2', 1],
  ]);
  const travels = done(with1, patterning(with1, 'Q2', 'travelling'));
  expect(travels.actions).toEqual([
    { id: 'one', type: 'either', of: ['Q', 'Q2 travelling'] },
    { id: 'Q2 travelling', type: 'travelling', of: ['Q2'] },
  ]);
  const spans = done(travels, patterning(travels, 'Q2', 'spans'));
  expect(spans.actions![1]).toEqual({ id: 'Q2 by spans', type: 'pattern', of: ['Q2'], by: 'spans' });
  const again = done(spans, patterning(spans, 'Q2', 'travelling'));
  expect(again.actions).toEqual(travels.actions);
  const bare = done(travels, { type: 'remove', list: 'loads', keys: ['t'] });
  expect(patternedCases(bare)[1]).toMatchObject({ loadCase: { id: 'Q2' }, trains: 0 });
  expect(done(bare, patterning(bare, 'Q2', undefined)).actions).toEqual(model.actions);
});
