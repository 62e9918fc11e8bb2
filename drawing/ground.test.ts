import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { solve } from '@rigid-beam/core/analysis/session';
import type { Model } from '@rigid-beam/core/model/model';
import { spaceBuilding } from '../bench/structures';
import { lookFrom } from './projection';
import { sheetItems, sheetParts } from './sheet-items';
import { plainView, type View } from './view';

const model = spaceBuilding(4, 4, 8, 2);
const solution = solve(model).solution!;
const corner: View = { ...plainView, projection: lookFrom(30, 20), loads: 'plain', reactions: true, deflected: true };

/** What a view may change to: results, how they are drawn, and what stands there whatever is looked at. */
const change = fc.constantFrom<Partial<View>>(
  ...(['N', 'Vy', 'Mz', 'My', 'none'] as const).map((quantity) => ({ quantity })),
  ...[0, 1].map((outcome) => ({ outcome })),
  ...(['hatched', 'filled', 'line', 'colour'] as const).map((style) => ({ style })),
  ...(['bars', 'diagrams'] as const).map((axial) => ({ axial })),
  ...[1, 2].map((diagramFactor) => ({ diagramFactor })),
  ...[true, false].map((deflected) => ({ deflected })),
  ...(['plain', 'faint'] as const).map((members) => ({ members })),
  ...(['none', 'plain', 'said'] as const).map((loads) => ({ loads })),
  ...[40, 80].map((scale) => ({ scale })),
  ...[1, 0.5].map((weight) => ({ weight })),
  { selection: [{ kind: 'member', id: model.members[3]!.id }] },
  { selection: [] },
  { names: true },
  { names: false },
  { projection: lookFrom(60, 20) },
);

test('whatever was looked at before, a drawing is the one that is drawn for the first time', () => {
  fc.assert(
    fc.property(fc.array(change, { minLength: 4, maxLength: 12 }), (changes) => {
      let view = corner;
      for (const one of changes) {
        view = { ...view, ...one };
        // Nothing is known of a copy.
        const fresh = sheetItems({ ...model }, { ...solution }, { ...view });
        expect(sheetItems(model, solution, view)).toEqual(fresh);
      }
    }),
    { numRuns: 12 },
  );
});

test('deflected line and structure are the same lists while one looks from one quantity to the next, and the line while one looks at other cases and back', () => {
  const parts = (view: Partial<View>, of: Model = model): readonly (readonly unknown[])[] =>
    sheetParts(of, solution, { ...corner, ...view })
      .filter(({ isKept }) => isKept)
      .map(({ items }) => items);
  const [first, second, other, again] = [
    parts({ quantity: 'Mz' }),
    parts({ quantity: 'Vy' }),
    parts({ quantity: 'Mz', outcome: 1 }),
    parts({ quantity: 'Mz' }),
  ];
  expect(second).toEqual(first);
  for (const k of [0, 1]) expect(second[k]).toBe(first[k]);
  expect(other[0]).not.toBe(first[0]);
  expect(other[1]).toBe(first[1]);
  expect(again[0]).toBe(first[0]);
  expect(parts({ quantity: 'Mz', scale: 7 })[1]).not.toBe(first[1]);
  expect(parts({ quantity: 'Mz' }, { ...model })[1]).not.toBe(first[1]);
});
