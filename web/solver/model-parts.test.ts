import { describe, expect, test } from '@jest/globals';
import { applyIntent } from '@rigid-beam/core/model/edits/apply-intent';
import { emptyModel, type Model } from '@rigid-beam/core/model/model';
import { assembled, partsOf } from './model-parts';

const first: Model = { ...emptyModel('Fern house'), gravity: 9.8 };

/** What arrives in another thread: equal, but none of it the same. */
const copied = <T>(value: T): T => structuredClone(value);

describe('the parts of a model that go to the solver', () => {
  test('are the whole at first, then only what an edit has touched', () => {
    expect(partsOf(first, undefined)).toEqual({ whole: first });
    const applied = applyIntent(first, { type: 'draw', nodes: [{ id: '1', x: 0, y: 0 }], members: [] });
    const second = applied.ok ? applied.model : first;
    const parts = partsOf(second, first);
    expect(parts).toEqual({ changed: { nodes: { whole: [{ id: '1', x: 0, y: 0 }] } } });
    const before = assembled(copied(partsOf(first, undefined)), undefined);
    const after = assembled(copied(parts), before);
    expect(after).toEqual(second);
    expect(after.members).toBe(before.members);
    expect(after.nodes).not.toBe(before.nodes);
  });

  test('of a list only the entries that differ; the others stay the very same in the other thread', () => {
    const node = (i: number, x: number): Model['nodes'][number] => ({ id: `${i}`, x, y: 0 });
    const nodes = Array.from({ length: 9 }, (_, i) => node(i, i));
    const lists = [
      nodes.map((one, i) => (i === 4 ? node(4, 7) : one)),
      [...nodes, node(9, 9)],
      nodes.slice(0, 7),
      nodes.slice(1),
      [],
    ];
    for (const list of lists) {
      const [before, after] = [
        { ...first, nodes },
        { ...first, nodes: list },
      ];
      const sent = copied(before);
      const arrived = assembled(copied(partsOf(after, before)), sent);
      expect(arrived).toEqual(after);
      expect(arrived.nodes[0] === sent.nodes[0]).toBe(list[0] === nodes[0] && list.length > 0);
    }
    expect(partsOf({ ...first, nodes: lists[0]! }, { ...first, nodes })).toEqual({
      changed: { nodes: { length: 9, entries: [[4, node(4, 7)]] } },
    });
  });

  test('a part that is gone is gone', () => {
    const { gravity: _gone, ...without } = first;
    const parts = partsOf(without as Model, first);
    expect(assembled(copied(parts), first)).toEqual(without);
  });

  test('parts without a whole are a fault of the program', () =>
    expect(() => assembled({ changed: {} }, undefined)).toThrow(/never sent whole/));
});
