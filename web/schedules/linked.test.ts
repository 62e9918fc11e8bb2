import { expect, test } from '@jest/globals';
import { sketch } from '@rigid-beam/core/test/build';
import { linked } from './linked';

const model = sketch({
  nodes: [['1', 0, 0], ['2', 3, 0], ['3', 6, 0]], members: [['a', '1', '2'], ['b', '2', '3']], supports: [], loads: [],
}); // oxfmt-ignore

test('rows of sections stand for the members that have it', () => {
  const { subjects, selected } = linked.sections;
  const [section] = model.sections;
  expect(subjects(model, section!.id)).toHaveLength(2);
  expect([...selected(model, [{ kind: 'member', id: 'b' }])]).toEqual([section!.id]);
  expect([...selected(model, [{ kind: 'node', id: '1' }])]).toEqual([]);
});

test('a row of a support is its node, and is found by either', () => {
  expect(linked.supports.subjects(model, '1')).toEqual([{ kind: 'node', id: '1' }]);
  expect([
    ...linked.supports.selected(model, [
      { kind: 'support', id: '2' },
      { kind: 'node', id: '3' },
    ]),
  ]).toEqual(['2', '3']);
  expect([...linked.loads.selected(model, [{ kind: 'node', id: '3' }])]).toEqual([]);
});
