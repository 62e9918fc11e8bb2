import { expect, test } from '@jest/globals';
import { checkModel } from '../model/check';
import { dimensionGiven, giveDimension, type Bays } from '../model/edits/given-dimension';
import { applyIntent } from '../model/edits/apply-intent';
import type { Intent } from '../model/edits/intent';
import type { Model } from '../model/model';
import { displayOf } from '../quantities/display';
import { namedPhraseOf, readNamedPhrase } from './named-phrase';
import { ALL_DIGITS, phraseWords } from './phrase-words';
import { putPhrase } from './put-phrase';
import { sizedBy, sizeGiven } from './sized-by';

const model = checkModel({
  ...{ format: 'rigid-beam/model', version: 1, title: 'Canopy', space: 'plane' },
  parameters: [{ id: 'span', value: '6 m' }, { id: 'q', value: '2 kN/m' }, { id: 'warm', value: '20 K' }],
  materials: [{ id: 'steel', E: 210e9, alpha: 1.2e-5 }],
  sections: [{ id: 'rail', A: 0.002, Iz: 8e-6, shape: { type: 'rectangle', h: 0.1, b: 0.05 } }],
  nodes: [{ id: '1', x: 0, y: 0 }, { id: '2', x: 3, y: 0 }, { id: '3', x: 6, y: 0 }, { id: '4', x: 8, y: 0 }],
  members: ['12', '23', '34'].map(([start, end]) => ({ id: `${start}${end}`, start, end, section: 'rail', material: 'steel' })),
  supports: [{ node: '1', ux: 'fixed', uy: 'fixed', rz: 'fixed' }],
  cases: [{ id: 'G', category: 'permanent' }],
  loads: [{ id: 'F', case: 'G', type: 'node', node: '3', fx: 3000, fy: -4000 }],
}).model!; // oxfmt-ignore
const after = (of: Model, ...intents: Intent[]): Model => {
  const applied = applyIntent(of, { type: 'batch', intents });
  if (!applied.ok) throw new Error(applied.faults[0]!.message);
  return applied.model;
};
const withParameter = (of: Model, id: string, value: number): Model =>
  after(of, { type: 'put', list: 'parameters', entry: { ...of.parameters!.find((one) => one.id === id)!, value } });

test('the size of a load is given by an expression, which gives all its components, and is read from them again', () => {
  const load = model.loads[0] as { id: string; fx: number; fy: number };
  const sized = (to: number) => ({ ...load, fx: 0.6 * to, fy: -0.8 * to });
  const kept = 'q*span/2';
  const entry = sizedBy(sized(6000), sized(5994), [{ dimension: 'force', value: 6000, other: 5994, kept }]);
  expect(entry).toEqual({ ...load, fx: `0.6*(${kept})`, fy: `-0.8*(${kept})` });
  const loaded = after(model, { type: 'put', list: 'loads', entry: { ...entry! } });
  expect(loaded.loads[0]).toMatchObject({ fx: 3600, fy: -4800 });
  expect(withParameter(loaded, 'span', 9).loads[0]).toMatchObject({ fx: 5400, fy: -7200 });
  const textAt = (place: string) => loaded.formulas!.find(({ of }) => of === place)?.is;
  expect(sizeGiven(load, sized(12000), 5000, () => undefined).text).toBeUndefined();
  expect(sizeGiven(loaded.loads[0]!, sized(12000), 6000, textAt)).toEqual({ text: kept, places: ['loads/F/fx', 'loads/F/fy'] });
  // One that follows it by its square follows no size in proportion.
  expect(sizedBy({ fx: 4 }, { fx: 1 }, [{ dimension: 'force', value: 2, other: 1, kept }])).toBeUndefined();
});

test.each([
  'q down',
  'q up',
  '2 q left',
  'q to 8 kN/m down',
  '4 kN/m down between 1 m and span/2',
  'q*span down at span/3',
  'warm warmer',
  'warm/(0.5 m) colder above',
  '8 kN/m down',
])('“%s” is said again as it was written, in hand and once it stands', (text) => {
  const read = readNamedPhrase(text, model, 'line');
  if (!read.ok) throw new Error(read.reason);
  const words = phraseWords(read.phrase, displayOf(model), ALL_DIGITS, 'expressions');
  expect(words.replaceAll(/[()]/g, '')).toBe(text.replaceAll(/[()]/g, ''));
  const intents = putPhrase(read.phrase, [{ member: '12' }], model, 'G');
  const loaded = after(model, ...(intents as Intent[]));
  const said = namedPhraseOf(loaded.loads[1]!, loaded)!;
  // Of two sides the warmer one is named.
  const named = words.replace('colder above', 'warmer below');
  expect(phraseWords(said, displayOf(model), ALL_DIGITS, 'expressions')).toBe(named);
  expect(phraseWords(said, displayOf(model), ALL_DIGITS)).not.toMatch(/span|q|warm\b/);
});

const xs = ({ nodes }: Model): number[] => nodes.map(({ x }) => x);

test('a bay given by an expression follows it, with what is beyond or alone, and tells it again', () => {
  const bays: Bays = { axis: 'x', from: 3, ends: [6], what: 'beyond' };
  expect(dimensionGiven(model, bays).text).toBeUndefined();
  const given = after(model, ...giveDimension(model, bays, 'span/3'));
  expect(xs(given)).toEqual([0, 3, 5, 7]);
  expect(dimensionGiven(given, bays)).toMatchObject({ places: [] });
  expect(dimensionGiven(given, { ...bays, ends: [5] })).toEqual({ text: 'span/3', places: ['nodes/3/x'] });
  expect(xs(withParameter(given, 'span', 9))).toEqual([0, 3, 6, 8]);
  // What is beyond by an expression of its own keeps its distance by that.
  const longer = after(given, { type: 'put', list: 'formulas', entry: { of: 'nodes/4/x', is: '3 m + span' } });
  const again = after(longer, ...giveDimension(longer, { ...bays, ends: [5] }, '2 m'));
  expect(xs(again)).toEqual([0, 3, 5, 9]);
  expect(xs(withParameter(again, 'span', 9))).toEqual([0, 3, 5, 11]);
  const alone = after(model, ...giveDimension(model, { ...bays, what: 'line' }, 'span/3'));
  expect(xs(alone)).toEqual([0, 3, 5, 8]);
});

test('equal bays given by one expression are all as long as it says, from a line that follows itself', () => {
  const first = after(model, { type: 'put', list: 'formulas', entry: { of: 'nodes/1/x', is: 'span - 6 m' } });
  const given = after(first, ...giveDimension(first, { axis: 'x', from: 0, ends: [3, 6], what: 'beyond' }, 'span/4'));
  expect(xs(given)).toEqual([0, 1.5, 3, 5]);
  expect(xs(withParameter(given, 'span', 8))).toEqual([2, 4, 6, 8]);
});
