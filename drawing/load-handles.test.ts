import { expect, test } from '@jest/globals';
import { pin, sketch } from '@rigid-beam/core/test/build';
import type { Load, Model } from '@rigid-beam/core/model/model';
import { handleItems, loadHandles, type LoadHandle } from './load-handles';
import { view } from './test/demo';

const beam = sketch({ nodes: [['1', 0, 0], ['2', 8, 6]], members: [['a', '1', '2']], supports: [pin('1'), pin('2')] }); // oxfmt-ignore
function handlesOf(load: object, model: Model = beam): LoadHandle[] {
  const one = { id: '1', case: 'Q', ...load } as Load;
  return loadHandles({ ...model, loads: [one] }, new Map([['Q', 1]]), view, one);
}

test('a line load is taken at its two ends, and at the ordinates that are not zero', () => {
  const line = { type: 'line', member: 'a', from: { at: 0.2, wy: -4e3 }, to: { wy: 0 } };
  const handles = handlesOf(line);
  expect(handles.map(({ role }) => role)).toEqual(['from', 'sizeFrom', 'to']);
  expect(handles.map(({ x, y }) => [x, y])).toEqual([[1.6, 1.2], [1.6, 1.2], [8, 6]].map((at) => at.map((one) => expect.closeTo(one, 9)))); // oxfmt-ignore
  // The ordinate of a load that acts down stands above its member.
  expect(handles[1]!.dy).toBeGreaterThan(10);
});

test('places on lengths and on parts of the length are the same places', () => {
  const [parts, lengths] = [
    { measure: 'ratio', from: { at: 0.3, wy: 1 }, to: { at: 0.7, wy: 1 } },
    { measure: 'length', from: { at: 3, wy: 1 }, to: { at: 7, wy: 1 } },
  ].map((more) => handlesOf({ type: 'line', member: 'a', ...more }));
  parts!.forEach(({ x, y }, i) => expect([x, y]).toEqual([expect.closeTo(lengths![i]!.x, 9), expect.closeTo(lengths![i]!.y, 9)]));
});

test('a force is taken where it stands and at its tail, from which it comes', () => {
  const [at, tail] = handlesOf({ type: 'point', member: 'a', at: 0.5, fx: 3e3, fy: -4e3 });
  expect(at).toMatchObject({ role: 'at', x: 4, y: 3, dx: 0, dy: 0 });
  expect(tail).toMatchObject({ role: 'turn', x: 4, y: 3 });
  expect(tail!.dy / tail!.dx).toBeCloseTo(-4 / 3, 9);
  expect(tail!.dx).toBeLessThan(0);
  expect(handlesOf({ type: 'node', node: '2', fy: -1 }).map(({ role }) => role)).toEqual(['turn']);
});

test('what has no direction to turn, or is told in a member’s own axes, is only carried along', () => {
  expect(handlesOf({ type: 'point', member: 'a', at: 0.5, mz: 5 }).map(({ role }) => role)).toEqual(['at']);
  expect(handlesOf({ type: 'point', member: 'a', at: 0.5, axes: 'local', fy: 5 }).map(({ role }) => role)).toEqual(['at']);
  expect(handlesOf({ type: 'node', node: '2', fy: -1 }, { ...beam, space: 'space' })).toEqual([]);
  for (const load of [
    { type: 'thermal', member: 'a', uniform: 9 },
    { type: 'settlement', node: '1', uy: 1 },
  ])
    expect(handlesOf(load)).toEqual([]);
});

test('each handle is a small square about its place', () => {
  const handles = handlesOf({ type: 'line', member: 'a', from: { wy: -4e3 }, to: { wy: -4e3 } });
  expect(handleItems(handles)).toHaveLength(4);
});
