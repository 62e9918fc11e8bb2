import { describe, expect, test } from '@jest/globals';
import type { Model } from '@rigid-beam/core/model/model';
import { screenX, screenY } from './camera';
import { snap, straightened, trued, type SnapRequest } from './snap';
import { ribModel, view } from './test/demo';

describe('snapping', () => {
  const at = (x: number, y: number, more: Partial<SnapRequest> = {}) =>
    snap({
      model: ribModel,
      seen: view,
      camera: ribView,
      px: screenX(ribView, x),
      py: screenY(ribView, y),
      plane: { axis: 'z', at: 0 },
      step: 0.1,
      reach: 10,
      ...more,
    });
  const ribView = { x: 3, y: 2, scale: 100, width: 1000, height: 800 };
  const [first] = ribModel.members;
  const ends = [first!.start, first!.end].map((id) => ribModel.nodes.find((node) => node.id === id)!);
  const along = (t: number): [number, number] => [
    ends[0]!.x + t * (ends[1]!.x - ends[0]!.x),
    ends[0]!.y + t * (ends[1]!.y - ends[0]!.y),
  ];

  test('prefers nodes, then marked points of members, then the member, then the grid', () => {
    expect(at(ends[0]!.x + 0.04, ends[0]!.y)).toMatchObject({ kind: 'node', node: ends[0]!.id });
    expect(at(...along(0.51))).toMatchObject({ kind: 'mid-point', on: [{ member: first!.id, at: 0.5 }] });
    expect(at(...along(0.34))).toMatchObject({ kind: 'third' });
    expect(at(...along(0.2))).toMatchObject({ kind: 'member' });
    expect(at(40.04, 30.02)).toMatchObject({ kind: 'grid', at: [40, 30, 0] });
    expect(at(ends[0]!.x, ends[0]!.y, { without: new Set([ends[0]!.id]) })?.kind).not.toBe('node');
  });

  test('crossings of named grid lines come before the grid', () => {
    const model: Model = { ...ribModel, grid: { x: { from: 20.03, steps: [1] } } };
    expect(at(20, 30, { model })).toMatchObject({ kind: 'grid line', at: [20.03, 30, 0] });
  });

  test('a held key keeps to the axes of the plane and to 45°', () => {
    expect(straightened([1, 1, 0], [5, 1.4, 0], 'z')).toEqual([5, 1, 0]);
    expect(straightened([1, 1, 0], [4, 3.4, 0], 'z')).toEqual([4, 4, 0]);
    expect(straightened([0, 0, 2], [1, 0, 7], 'y')).toEqual([0, 0, 7]);
  });
});

test.each([
  ['half a degree off level', [6, 0.05, 0], { at: [6, 0, 0], words: 'level' }],
  ['a little out of plumb', [0.02, -4, 0], { at: [0, -4, 0], words: 'plumb' }],
  ['a degree off', [6, 0.105, 0], undefined],
  ['level already', [6, 0, 0], undefined],
] as const)('a line that is %s', (_, to, exact) => expect(trued([0, 0, 0], to, 'z')).toEqual(exact));

test('on plan a line is level either way, and its length across stays', () =>
  expect(trued([1, 3, 1], [1.01, 3, 7], 'y')).toEqual({ at: [1, 3, 7], words: 'level' }));
