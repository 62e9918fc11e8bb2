import { expect, test } from '@jest/globals';
import { influenceOf, isFound, type InfluenceAsked } from '@rigid-beam/core/influence/asked';
import { AnalysisSession } from '@rigid-beam/core/analysis/session';
import type { Model } from '@rigid-beam/core/model/model';
import { inRow, pin, roller, sketch } from '@rigid-beam/core/test/build';
import { VERTEX, type Item } from './display-list';
import { sheetItems } from './sheet-items';
import { plainView } from './view';

/** Two spans of 4 m. */
const beam = sketch({
  nodes: inRow(0, 4, 8),
  members: [['a', '1', '2'], ['b', '2', '3']],
  supports: [pin('1'), roller('2'), roller('3')],
}); // oxfmt-ignore

function drawn(model: Model, asked: InfluenceAsked, axles: readonly number[] = []): Item[] {
  const session = new AnalysisSession();
  session.update(model);
  const found = influenceOf(model, session.system!, asked);
  if (!isFound(found)) throw new Error(found.map(({ message }) => message).join());
  const influence = {
    ...found,
    told: { unit: 'kN·m/kN', factor: 1 },
    axles: axles.map((s) => ({ s, words: '9 kN' })),
  };
  return sheetItems(model, undefined, { ...plainView, scale: 50, influence });
}
const words = (items: readonly Item[]): string[] => items.flatMap((item) => (item.kind === 'label' ? [item.text] : []));
const curves = (items: readonly Item[]) =>
  items.flatMap((item) => (item.kind === 'path' && item.stroke === 'moment' && item.width === 1.8 ? [item] : []));

test('positive ordinates stand where the load comes from, and the largest takes its part of the drawing', () => {
  const items = drawn(beam, { effect: 'a:Mz@2m' });
  const ys = curves(items).map(({ vertices }) =>
    Array.from({ length: vertices.length / VERTEX }, (_, i) => vertices[VERTEX * i + 1]!),
  );
  expect(Math.max(...ys.flat())).toBeCloseTo(0.12 * 8, 6);
  // Over the second span the moment at the middle of the first one is less than zero.
  expect(Math.max(...ys.at(-1)!)).toBe(0);
  expect(words(items)).toEqual(['0.8125 kN·m/kN', '−0.1925']);
});

test('axles on the path are told, those beside it are not', () =>
  expect(words(drawn(beam, { effect: 'a:Mz@2m' }, [2, 9, -1])).filter((text) => text === '9 kN')).toHaveLength(1));

test('a load along a member has its ordinates across it', () => {
  const column = sketch({ nodes: [['1', 0, 0], ['2', 0, 4]], members: [['a', '1', '2']], supports: [{ node: '1', ux: 'fixed', uy: 'fixed', rz: 'fixed' }] }); // oxfmt-ignore
  const items = drawn(column, { effect: '1.fy', over: ['a'] });
  const [line] = items.filter((item) => item.kind === 'path' && item.stroke === 'reaction' && item.width === 1.8);
  expect(line?.kind === 'path' && line.vertices[VERTEX]).toBeCloseTo(-0.12 * 4, 6);
});
