import { expect, test } from '@jest/globals';
import type { Support } from '@rigid-beam/core/model/model';
import { sketch } from '@rigid-beam/core/test/build';
import { VERTEX, type Item } from './display-list';
import { lookFrom, LOOKS, type WorkPlane } from './projection';
import { symbolInSpace } from './support-in-space';
import { supportItems } from './support-items';
import { paths, view } from './test/demo';

const fixed = 'fixed' as const;
const pinned = { node: '1', ux: fixed, uy: fixed, uz: fixed };
const clamped = { ...pinned, rx: fixed, ry: fixed, rz: fixed };
const seenFrom = (look: keyof typeof LOOKS, support: Support): Item[] =>
  symbolInSpace(support, 2, 3, { ...view, projection: lookFrom(LOOKS[look].round, LOOKS[look].height) });
/** Sides of the pyramid that are seen: parts of three corners. */
const sides = (items: readonly Item[]): number =>
  paths(items).reduce((sum, { parts, vertices }) => sum + (parts === 3 ? vertices.length / VERTEX / 3 : 0), 0);

test('a pin is a pyramid of which one sees two sides from a corner, all four from above, and one from the front', () => {
  expect([sides(seenFrom('corner', pinned)), sides(seenFrom('plan', pinned)), sides(seenFrom('front', pinned))]).toEqual([
    2, 4, 1,
  ]);
});

test('a clamp is a plate about its node, on the ground where one looks from the side', () => {
  const [plate, ground] = paths(seenFrom('corner', clamped));
  const offsets = Array.from({ length: 4 }, (_, i) => [plate!.vertices[i * VERTEX + 2]!, plate!.vertices[i * VERTEX + 3]!]);
  for (const k of [0, 1]) expect(offsets.reduce((sum, at) => sum + at[k]!, 0)).toBeCloseTo(0, 9);
  expect(ground).toMatchObject({ parts: 2, stroke: 'support' });
  expect(paths(seenFrom('plan', clamped))).toHaveLength(1);
});

test('what is held along the look is a ring with a dot; a rotation that is held shows beside a pin', () => {
  const [ring, dot] = paths(seenFrom('front', { node: '1', uz: fixed }));
  expect([ring!.closed, dot!.fill]).toEqual([true, 'support']);
  expect(seenFrom('corner', { ...pinned, ry: fixed })).toHaveLength(seenFrom('corner', pinned).length + 1);
});

test('supports fade with what stands on them: with depth, and off the plane that is brought forward', () => {
  const row = sketch({
    nodes: [['1', 0, 0, 0], ['2', 0, 0, -6], ['3', 0, 0, -12], ['4', 0, 3, -12]], members: [['a', '3', '4']],
    supports: ['1', '2', '3'].map((node) => ({ ...pinned, node })),
  }); // oxfmt-ignore
  const inkOf = (plane?: WorkPlane): readonly number[] => {
    const corner = lookFrom(LOOKS.corner.round, LOOKS.corner.height);
    const marks = paths(supportItems(row, { ...view, projection: corner, plane }));
    return [0, 1, 2].map((i) => marks[(i * marks.length) / 3]!.opacity ?? 1);
  };
  const [near, middle, far] = inkOf();
  expect(near).toBe(1);
  expect(middle).toBeLessThan(near!);
  expect(far).toBeLessThan(middle!);
  expect(far).toBeGreaterThan(0.3);
  const [, on, off] = inkOf({ axis: 'z', at: -6 });
  expect(on).toBe(middle);
  expect(off).toBe(0.25);
});

test('what pushes one way has an arrow beside it, turned round with its way; lifted off it is drawn in dashes', () => {
  const arrow = (support: Support, look: keyof typeof LOOKS): Item[] => {
    const { oneWay: _, ...both } = support;
    return seenFrom(look, support).slice(seenFrom(look, both).length);
  };
  const lifts: Support = { ...pinned, oneWay: { uy: 'positive' } };
  const holdsDown: Support = { ...pinned, oneWay: { uy: 'negative' } };
  // A shaft and a head; none where one looks along it.
  expect([arrow(lifts, 'front').length, arrow(lifts, 'plan').length]).toEqual([2, 0]);
  const head = (support: Support): readonly number[] => [...paths(arrow(support, 'front'))[1]!.vertices];
  expect(head(lifts)).not.toEqual(head(holdsDown));
  const model = sketch({ nodes: [['1', 0, 0], ['2', 4, 0]], members: [['m', '1', '2']], supports: [{ node: '1', ux: fixed, uy: fixed }, { node: '2', uy: fixed, oneWay: { uy: 'positive' } }] }); // oxfmt-ignore
  const dashes = (lifted: readonly string[]): number => paths(supportItems(model, view, new Set(lifted))).filter(({ dash }) => dash).length; // oxfmt-ignore
  expect(dashes([])).toBe(0);
  expect(dashes(['2'])).toBeGreaterThan(5);
  expect(paths(supportItems(model, view)).length - paths(supportItems({ ...model, supports: model.supports.map(({ oneWay: _, ...one }) => one) }, view)).length).toBe(2); // oxfmt-ignore
});
