import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { clamp, inRow, loadsOf, sketch } from '../../test/build';
import type { Model } from '../model';
import { applyIntent } from './apply-intent';
import type { Intent } from './intent';
import { clashWords, rebased } from './rebase';

const base = sketch({
  nodes: inRow(0, 4, 8),
  members: [['a', '1', '2'], ['b', '2', '3']],
  supports: [clamp('1')],
  loads: loadsOf([1, 2, 3].map((n) => ({ type: 'node', node: '3', fy: -n }))),
}); // oxfmt-ignore

const edited = (model: Model, intent: Intent): Model => {
  const applied = applyIntent(model, intent);
  if (!applied.ok) throw new Error(applied.faults[0]!.message);
  return applied.model;
};
const put = (list: 'loads' | 'nodes', entry: object, key?: string) => ({ type: 'put', list, entry, key }) as Intent;
const remove = (list: 'loads' | 'nodes', ...keys: string[]): Intent => ({ type: 'remove', list, keys });
const third = { ...base.loads[2]!, fy: -7 };

/** The edit, made on `base`, on top of what was done elsewhere. */
const onTop = (mine: Intent, theirs: Intent) => {
  const there = edited(base, theirs);
  const found = rebased(base, edited(base, mine), there);
  return found.ok ? edited(there, { type: 'patch', patches: found.patches }) : found.clashes;
};

describe('an edit on a newer state', () => {
  test('meets the entry that it meant, wherever that stands by now', () => {
    const after = onTop(put('loads', third, '3'), remove('loads', '1')) as Model;
    expect(after.loads).toEqual([base.loads[1], third]);
    expect(onTop(remove('loads', '1'), put('loads', third, '3'))).toMatchObject({ loads: [base.loads[1], third] });
  });

  test('is refused with both states where its entry was changed or removed elsewhere', () => {
    const changed = onTop(put('loads', third, '3'), put('loads', { ...third, fy: 9 }, '3'));
    expect(clashWords(changed as never)).toBe('Load 3 was changed in both windows: here {"fy":-7}, there {"fy":9}');
    const gone = onTop(put('loads', third, '3'), remove('loads', '3'));
    expect(clashWords(gone as never)).toMatch(/^Load 3 was removed in the other window; here it is \{"id":"3",.*"fy":-7\}$/);
    const title = (title: string): Intent => ({ type: 'set', settings: { title } });
    expect(clashWords(onTop(title('Here'), title('There')) as never)).toBe(
      'The title was changed in both windows: here "Here", there "There"',
    );
  });

  test('what was added in both windows under one name clashes; the same change does not', () => {
    const node = (x: number) => put('nodes', { id: '4', x, y: 1 });
    expect(onTop(node(1), node(2))).toMatchObject([{ list: 'nodes', key: '4' }]);
    expect((onTop(node(1), node(1)) as Model).nodes).toHaveLength(4);
  });

  test('an undo is held to the same: its patches go by places, what comes of it goes by names', () => {
    const made = applyIntent(base, put('loads', third, '3'));
    if (!made.ok) throw new Error();
    const undone = edited(made.model, { type: 'patch', patches: made.inverse });
    const there = edited(made.model, remove('loads', '1'));
    const found = rebased(made.model, undone, there);
    expect(found.ok && edited(there, { type: 'patch', patches: found.patches }).loads).toEqual([base.loads[1], base.loads[2]]);
  });

  test('edits of different entries come to the same, whichever is put on top', () => {
    const edits: readonly Intent[] = [
      put('loads', third, '3'),
      remove('loads', '1'),
      { type: 'moveNodes', moves: [{ id: '3', x: 9, y: 2 }] },
      { type: 'set', settings: { title: 'New' } },
      put('nodes', { id: '9', x: 3, y: 3 }),
    ];
    fc.assert(
      fc.property(fc.constantFrom(...edits), fc.constantFrom(...edits), (mine, theirs) => {
        fc.pre(mine !== theirs);
        expect(onTop(mine, theirs)).toEqual(onTop(theirs, mine));
      }),
    );
  });
});
