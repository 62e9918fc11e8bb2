import { expect, test } from '@jest/globals';
import { prepare } from '@rigid-beam/core/analysis/prepare';
import { clamp, clamp3, pin, sketch } from '@rigid-beam/core/test/build';
import { numbered } from '@rigid-beam/core/workings/freedoms';
import { sheetFreedoms } from '@rigid-beam/core/workings/follow-words';
import { displayOf } from '@rigid-beam/core/quantities/display';
import type { Model } from '@rigid-beam/core/model/model';
import { freedomItems } from './freedom-items';
import { lookFrom } from './projection';
import { plainView, type View } from './view';

const drawn = (model: Model, view: Partial<View> = {}) => {
  const { structure, loose } = prepare(model).prepared;
  return freedomItems(model, sheetFreedoms(numbered(structure, loose), displayOf(model)), { ...plainView, ...view });
};
const labels = (items: ReturnType<typeof drawn>) => items.flatMap((one) => (one.kind === 'label' ? [one] : []));

test('free freedoms come first and stand strongly, held ones faintly; each leads to its node', () => {
  const model = sketch({ nodes: [['a', 0, 0], ['b', 3, 0]], members: [['m', 'a', 'b']], supports: [clamp('a'), pin('b')] }); // oxfmt-ignore
  const all = labels(drawn(model));
  expect(all.map(({ text, ink, subject }) => [text, ink, subject])).toEqual([
    ['1', 'deflection', { kind: 'node', id: 'b' }],
    ...['2', '3', '4'].map((text) => [text, 'faint', { kind: 'node', id: 'a' }]),
    ...['5', '6'].map((text) => [text, 'faint', { kind: 'node', id: 'b' }]),
  ]);
  // Along X to the right, along Y up.
  expect(all[1]!.dx).toBeGreaterThan(20);
  expect(all[2]!.dy).toBeGreaterThan(20);
});

test('in space turns have two heads, and where Z points up the third axis leads the other way', () => {
  const model = sketch({ nodes: [['a', 0, 0, 0], ['b', 3, 0, 0]], members: [['m', 'a', 'b']], supports: [clamp3('a')] }); // oxfmt-ignore
  const items = drawn(model, { projection: lookFrom(-32, 22) });
  expect(labels(items)).toHaveLength(12);
  const forward = labels(items).find(({ text }) => text === '3')!;
  const back = labels(drawn({ ...model, display: { up: 'Z' } }, { projection: lookFrom(-32, 22) })).find(
    ({ text }) => text === '3',
  )!;
  expect([back.dx + forward.dx, back.dy + forward.dy].every((one) => Math.abs(one) < 1e-9)).toBe(true);
});

test('freedoms that follow others bear their numbers; those whose row is pointed at are lit', () => {
  const model = sketch({ nodes: [['a', 0, 0], ['b', 3, 0]], members: [['m', 'a', 'b']], supports: [clamp('a')], extra: { analysis: { axialDeformation: false } } }); // oxfmt-ignore
  const freedoms = [
    { node: 1, component: 0, state: 'follows', label: '3' },
    { node: 1, component: 1, state: 'free', label: '1', isLit: true },
  ] as const;
  const inks = labels(freedomItems(model, freedoms, plainView)).map(({ text, ink }) => [text, ink]);
  expect(inks).toEqual([['3', 'deflection'], ['1', 'selection']]); // oxfmt-ignore
});
