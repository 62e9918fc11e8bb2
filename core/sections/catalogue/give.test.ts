import { expect, test } from '@jest/globals';
import { applyIntent } from '../../model/edits/apply-intent';
import { checkModel } from '../../model/check';
import type { Model } from '../../model/model';
import lintel from '../../../examples/lintel.rbm.json';
import { filled } from './fill';
import { exchangeSection, giveShape } from './give';
import { shapeCalled } from './search';

/** With a section of its own, none of the catalogue. */
const own = checkModel(lintel).model!;
const model: Model = { ...own, sections: own.sections.map(({ id, shape }) => ({ id, shape: shape! })) };
const done = (before: Model, { intents }: ReturnType<typeof giveShape>): Model => {
  const applied = applyIntent(before, { type: 'batch', intents });
  if (!applied.ok) throw new Error(applied.faults[0]!.message);
  return applied.model;
};
const materialsOf = ({ members }: Model): string[] => members.map(({ material }) => material);
const sectionsOf = ({ members }: Model): string[] => members.map(({ section }) => section);

test('members get a shape, which is there once; one of the catalogue that nobody has is swept out, one’s own stays', () => {
  const members = model.members.map(({ id }) => id);
  const first = done(model, giveShape(model, [members[0]!], shapeCalled('IPE 300')!));
  expect(sectionsOf(first)[0]).toBe('IPE 300');
  const both = done(first, giveShape(first, members, shapeCalled('IPE 300')!));
  expect(new Set(sectionsOf(both))).toEqual(new Set(['IPE 300']));
  expect(both.sections.map(({ id }) => id)).toEqual(['lintel', 'IPE 300']);
  const swept = done(both, giveShape(both, members, shapeCalled('UC 203x203x46')!));
  expect(swept.sections.map(({ id }) => id)).toEqual(['lintel', 'UC 203x203x46']);
  expect(giveShape(swept, members, shapeCalled('UC 203x203x46')!).intents).toEqual([]);
});

test('timber brings a timber, steel a steel, each in the same step; what fits stays', () => {
  const members = model.members.map(({ id }) => id);
  const before = materialsOf(model);
  const lumber = giveShape(model, members, shapeCalled('Lumber 2x6')!);
  expect(lumber.material).toBe('Douglas Fir-Larch No. 2');
  const sawn = done(model, lumber);
  expect(materialsOf(sawn)).toEqual(members.map(() => 'Douglas Fir-Larch No. 2'));
  // The next of its kind takes what is there, and says nothing.
  const wider = giveShape(sawn, members, shapeCalled('Sawn AU 90x35')!);
  expect(wider.material).toBeUndefined();
  expect(materialsOf(done(sawn, wider))).toEqual(materialsOf(sawn));
  const back = giveShape(sawn, [members[0]!], shapeCalled('W12x26')!);
  expect(back.material).toBe(before[0]);
  expect(materialsOf(done(sawn, back))[0]).toBe(before[0]);
  expect(giveShape(model, members, shapeCalled('IPE 300')!).material).toBeUndefined();
});

test.each([
  ['W12x26', 'A992'],
  ['IPE 300', 'S355'],
  ['ISMB 300', 'E250'],
  ['Sawn AU 90x35', 'MGP10'],
])('%s alone comes with %s', (designation, material) => {
  const bare: Model = { ...model, materials: [{ id: 'm', E: designation.startsWith('Sawn') ? 2e11 : 1e10 }], members: model.members.map((one) => ({ ...one, material: 'm' })) }; // oxfmt-ignore
  expect(giveShape(bare, [model.members[0]!.id], shapeCalled(designation)!).material).toBe(material);
});

test('a section of that name with something of its own typed over is not taken for the shape', () => {
  const typed = { ...model, sections: [...model.sections, { id: 'IPE 300', A: 1, Iz: 1 }] };
  const { id } = giveShape(typed, [model.members[0]!.id], shapeCalled('IPE 300')!);
  expect(id).toBe('IPE 300 2');
});

test('a shape in the place of a section goes to all that have it; a section without members is renamed', () => {
  const exchanged = done(model, exchangeSection(model, 'lintel', shapeCalled('HEB 200')!));
  expect(new Set(sectionsOf(exchanged))).toEqual(new Set(['HEB 200']));
  const spare = { ...model, sections: [...model.sections, { id: 'spare', A: 1, Iz: 1 }] };
  const renamed = done(spare, exchangeSection(spare, 'spare', shapeCalled('HEB 200')!));
  expect(renamed.sections.map(({ id }) => id)).toEqual(['lintel', 'HEB 200']);
});

test('a file may call a section by its designation; one that is unknown is told with what there is', () => {
  const called = (catalogue: string) => filled(checkModel({ ...lintel, sections: [{ id: 'lintel', catalogue }] }));
  expect(called('ipe240').model?.sections[0]).toEqual({
    id: 'lintel',
    catalogue: 'IPE 240',
    shape: shapeCalled('IPE 240')!.shape,
  });
  const { model: none, notices } = called('IPE 250');
  expect(none).toBeUndefined();
  expect(notices.at(-1)).toMatchObject({ code: 'unknown-designation', path: 'sections[0].catalogue', value: 'IPE 250' });
  expect(notices.at(-1)!.message).toMatch(/no shape “IPE 250”; it has IPE 80/);
});
