import { expect, test } from '@jest/globals';
import type { Model } from '@rigid-beam/core/model/model';
import { clamp, sketch } from '@rigid-beam/core/test/build';
import { VERTEX, type Path } from './display-list';
import { loadItems } from './load-items';
import { plainView } from './view';

/** A mast of two members, with a vertical force at one of its nodes. */
const mast = (node: string, fy: number): Model => ({
  ...sketch({
    nodes: [['1', 0, 0], ['2', 0, 3], ['3', 0, 6]], members: [['a', '1', '2'], ['b', '2', '3']], supports: [clamp('1')],
    loads: [{ case: 'Q', type: 'node', node, fy }],
  }),
}); // oxfmt-ignore

/** Pixels from the node to both ends of the arrow: across and up, tail first. */
function arrowAt(node: string, fy: number): { readonly tail: number[]; readonly point: number[] } {
  const items = loadItems(mast(node, fy), new Map([['Q', 1]]), { ...plainView, loads: 'said' });
  const [shaft, head] = items.filter((item): item is Path => item.kind === 'path');
  const end = ({ vertices }: Path): number[] => [...vertices.slice(2, VERTEX)];
  return { tail: end(shaft!), point: end(head!) };
}

test('a force down stands on the top of a mast and ends there', () => {
  const { tail, point } = arrowAt('3', -1e3);
  expect(tail[1]).toBeGreaterThan(point[1]!);
  expect(point[1]).toBeGreaterThan(0);
  expect(tail[0]).toBeCloseTo(0);
});

test('a force up begins at the top of a mast, which would hide it', () => {
  const { tail, point } = arrowAt('3', 1e3);
  expect(tail[1]).toBeGreaterThan(0);
  expect(point[1]).toBeGreaterThan(tail[1]!);
});

test.each([1e3, -1e3])('a force of %p along a mast stands beside it where it goes on both ways', (fy) => {
  const { tail, point } = arrowAt('2', fy);
  expect(Math.abs(tail[0]!)).toBeGreaterThan(5);
  expect(tail[0]).toBeCloseTo(point[0]!);
});
