import { expect, test } from '@jest/globals';
import type { Model } from '@rigid-beam/core/model/model';
import { clamp, inRow, sketch } from '@rigid-beam/core/test/build';
import { drawnMembers, NOTHING_HIDDEN, type DrawnMember } from './geometry';
import { ELEVATION, lookFrom } from './projection';

const beam = sketch({
  nodes: inRow(0, 4, 9, 12),
  members: [
    ['a', '1', '2'],
    ['b', '2', '3'],
    ['c', '3', '4'],
  ],
  supports: [clamp('1')],
});
const moved = (model: Model, id: string, y: number): Model => ({
  ...model,
  nodes: model.nodes.map((node) => (node.id === id ? { ...node, y } : node)),
});
const seen = { projection: ELEVATION, hidden: NOTHING_HIDDEN };
const draw = (model: Model, from = seen): readonly DrawnMember[] => drawnMembers(model, from);
/** As if nothing had been drawn before: nothing is shared. */
const anew = (model: Model, from = seen): readonly DrawnMember[] => draw(structuredClone(model), from);

test('a node that moves takes its members along; the others are those that were found before', () => {
  const before = draw(beam);
  const up = moved(beam, '4', 2);
  const after = draw(up);
  expect(after.map((member, i) => member === before[i])).toEqual([true, true, false]);
  expect(after).toEqual(anew(up));
  expect(after[2]!.y2).toBe(2);
});

test('what is seen from elsewhere, lies elsewhere in the list, or in space, is found anew', () => {
  const askew = { projection: lookFrom(0.5, 0.4), hidden: NOTHING_HIDDEN };
  draw(beam);
  expect(draw({ ...beam }, askew)).toEqual(anew(beam, askew));
  draw({ ...beam });
  const without = { ...beam, members: beam.members.slice(1) };
  expect(draw(without).map(({ id, index }) => [id, index])).toEqual([
    ['b', 0],
    ['c', 1],
  ]);
  const rolled: Model = { ...beam, space: 'space', members: beam.members.map((member) => ({ ...member, roll: 90 })) };
  draw({ ...rolled, space: 'plane' });
  expect(draw(rolled)).toEqual(anew(rolled));
  expect(draw(rolled)[0]!.ez).not.toEqual(draw({ ...rolled, space: 'plane' })[0]!.ez);
});

test('a hidden member is not drawn, and is there again when it is shown', () => {
  const hidden = new Set(['member:b']);
  expect(draw(beam, { ...seen, hidden }).map(({ id }) => id)).toEqual(['a', 'c']);
  expect(draw({ ...beam }).map(({ id }) => id)).toEqual(['a', 'b', 'c']);
});
