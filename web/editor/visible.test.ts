import { expect, test } from '@jest/globals';
import { applyIntent } from '@rigid-beam/core/model/edits/apply-intent';
import type { Intent } from '@rigid-beam/core/model/edits/intent';
import { inRow, sketch } from '@rigid-beam/core/test/build';
import { movedUnseen, visibleOf } from './visible';

const model = sketch({
  nodes: inRow(0, 4, 8, 12),
  members: [['a', '1', '2'], ['b', '2', '3'], ['c', '3', '4']],
  supports: [],
  loads: [{ type: 'node', node: '4', fy: -1 }, { type: 'node', node: '2', fy: -1 }],
}); // oxfmt-ignore
const hidden = new Set(['member:c', 'node:3', 'node:4']);
const unseen = (intent: Intent): readonly string[] => {
  const applied = applyIntent(model, intent);
  if (!applied.ok) throw new Error(applied.faults[0]!.message);
  return movedUnseen(model, applied.model, hidden, intent);
};
const stretch = (beyond: number, what: 'beyond' | 'line'): Intent => ({ type: 'stretch', axis: 'x', beyond, by: 1, what });

test('of what is hidden nothing is selected, nor what acts on it', () => {
  const all = [...model.nodes.map(({ id }) => ({ kind: 'node', id }) as const), ...model.loads.map(({ id }) => ({ kind: 'load', id }) as const)]; // oxfmt-ignore
  expect(visibleOf(all, model, hidden).map((one) => 'id' in one && one.id)).toEqual(['1', '2', model.loads[1]!.id]);
});

test('a bay made wider says which hidden nodes it would move; the end of a member that shows is seen to move', () => {
  expect(unseen(stretch(4, 'beyond'))).toEqual(['4']);
  expect(unseen({ type: 'batch', intents: [stretch(8, 'line'), stretch(12, 'beyond')] })).toEqual(['4']);
  expect(unseen(stretch(8, 'line'))).toEqual([]);
  // Whoever names a node means it.
  expect(unseen({ type: 'moveNodes', moves: [{ id: '4', x: 13, y: 0 }] })).toEqual([]);
});
