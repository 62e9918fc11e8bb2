import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { applyIntent } from '../edits/apply-intent';
import type { Intent } from '../edits/intent';
import { checkModel } from '../check';
import type { Model } from '../model';
import { isFault } from '../notice';

/** A rib of the glasshouse over a span, with its rise and its load as parameters. */
const rib = {
  format: 'rigid-beam/model',
  version: 1,
  title: 'Rib',
  space: 'plane',
  parameters: [
    { id: 'span', title: 'from sill to sill', value: '12 m', from: '6 m', to: '18 m', step: '0.5 m' },
    { id: 'rise', value: 'span/5' },
    { id: 'g', value: '2.5 kN/m' },
    { id: 'γ', value: 1.35 },
  ],
  materials: [{ id: 'steel', E: 210e9 }],
  sections: [{ id: 'rib', shape: { type: 'rectangle', h: 'span/40', b: '100 mm' } }],
  nodes: [
    { id: '1', x: 0, y: 0 },
    { id: 'ridge', x: 'span/2', y: 'rise' },
    { id: '3', x: 'span', y: 0 },
  ],
  members: [
    { id: 'a', start: '1', end: 'ridge', section: 'rib', material: 'steel' },
    { id: 'b', start: 'ridge', end: '3', section: 'rib', material: 'steel' },
  ],
  supports: [
    { node: '1', ux: 'fixed', uy: 'fixed' },
    { node: '3', ux: 'fixed', uy: 'fixed', angle: 'atan(rise/span)' },
  ],
  cases: [{ id: 'G', category: 'permanent' }],
  loads: [{ case: 'G', type: 'line', member: 'a', axes: 'global', from: { at: 0, wy: '-g' }, to: { at: 1, wy: '-2 g' } }],
  combinations: [{ id: 'U1', type: 'sum', factors: { G: 'γ' } }],
};

function read(value: unknown): Model {
  const checked = checkModel(value);
  if (!checked.model) throw new Error(checked.notices.map(({ message }) => message).join('\n'));
  return checked.model;
}
const faults = (value: unknown): string[] => checkModel(value).notices.filter(isFault).map(({ message }) => message); // oxfmt-ignore
function after(model: Model, ...intents: Intent[]): { model: Model; said: readonly string[] } {
  const said: string[] = [];
  for (const intent of intents) {
    const applied = applyIntent(model, intent);
    if (!applied.ok) throw new Error(applied.faults.map(({ message }) => message).join('\n'));
    model = applied.model;
    said.push(...applied.said);
  }
  return { model, said };
}
const refusal = (model: Model, intent: Intent): string => {
  const applied = applyIntent(model, intent);
  if (applied.ok) throw new Error('It was not refused');
  return applied.faults.map(({ message }) => message).join('\n');
};
const put = (list: 'parameters' | 'formulas' | 'nodes', entry: Record<string, unknown>, key?: string): Intent => ({
  type: 'put',
  list,
  entry,
  ...(key !== undefined && { key }),
});
const node = (model: Model, id: string) => model.nodes.find((one) => one.id === id)!;

/** What an engineer does to it, in any order; what is refused changes nothing. */
const steps = fc.oneof(
  fc
    .record({ value: fc.double({ min: 6, max: 18, noNaN: true }) })
    .map(({ value }): Intent => put('parameters', { ...{ id: 'span', unit: 'm', from: 6, to: 18 }, value })),
  fc.constantFrom<Intent>(
    put('formulas', { of: 'parameters/rise/value', is: 'span/6' }),
    put('parameters', { id: 'rise', unit: 'm', value: 3 }),
    put('formulas', { of: 'nodes/3/y', is: 'rise - span/10' }),
    { type: 'moveNodes', moves: [{ id: 'ridge', x: 5, y: 2 }] },
    { type: 'stretch', axis: 'x', beyond: 5, by: 0.5 },
    { type: 'split', cuts: [{ member: 'a', at: [0.5] }] },
    { type: 'rename', list: 'nodes', names: { 3: 'right' } },
    { type: 'rename', list: 'parameters', names: { rise: 'height' } },
    { type: 'remove', list: 'formulas', keys: ['nodes/ridge/y'] },
    { type: 'remove', list: 'members', keys: ['b'] },
    { type: 'remove', list: 'parameters', keys: ['g'] },
    { type: 'transform', nodes: ['3'], motion: { kind: 'move', by: [0, 0.2, 0] } },
  ),
);

describe('a model with parameters', () => {
  const model = read(rib);
  const span = (value: number): Intent => put('parameters', { ...model.parameters![0]!, value });

  test('is read from texts: numbers stand in their places, expressions beside them', () => {
    expect(model.parameters).toEqual([
      { id: 'span', title: 'from sill to sill', value: 12, unit: 'm', from: 6, to: 18, step: 0.5 },
      { id: 'rise', value: 2.4, unit: 'm' },
      { id: 'g', value: 2500, unit: 'kN/m' },
      { id: 'γ', value: 1.35 },
    ]);
    expect(node(model, 'ridge')).toEqual({ id: 'ridge', x: 6, y: 2.4 });
    expect(model.sections[0]!.shape).toMatchObject({ h: 0.3, b: 0.1 });
    expect(model.loads[0]).toMatchObject({ from: { wy: -2500 }, to: { wy: -5000 } });
    expect(model.supports[1]!.angle).toBeCloseTo((Math.atan(0.2) * 180) / Math.PI, 10);
    expect(model.formulas).toContainEqual({ of: 'combinations/U1/factors/G', is: 'γ' });
    expect(model.formulas).toContainEqual({ of: 'loads/1/from/wy', is: '-g' });
    expect(model.formulas).toHaveLength(9);
  });

  test('is read again from its own file as it was', () => {
    const again = checkModel(JSON.parse(JSON.stringify(model)));
    expect(again.notices).toEqual([]);
    expect(again.converted).toBe(false);
    expect(again.model).toEqual(model);
  });

  test('follows a value, and comes back', () => {
    const wide = after(model, span(14)).model;
    expect(node(wide, 'ridge')).toEqual({ id: 'ridge', x: 7, y: 2.8 });
    expect(wide.parameters![1]!.value).toBeCloseTo(2.8, 12);
    expect(wide.sections[0]!.shape).toMatchObject({ h: 0.35 });
    expect(after(wide, span(12)).model).toEqual(model);
    const applied = applyIntent(model, span(14));
    if (!applied.ok) throw new Error();
    expect(after(applied.model, { type: 'patch', patches: applied.inverse }).model).toEqual(model);
  });

  test('gives counts, settings and where a part of a section stands, whether or not something stood there', () => {
    const plate = { shape: { type: 'rectangle', h: 0.02, b: 0.1 } };
    const start = read({
      ...rib,
      parameters: [...rib.parameters, { id: 'n', value: 4 }, { id: 'xi', value: 3 }],
      sections: [...rib.sections, { id: 'twin', shape: { type: 'built', parts: [plate, plate] } }],
      analysis: { naturalModes: {} },
    });
    const formula = (of: string, is: string): Intent => put('formulas', { of, is });
    const given = after(
      start,
      formula('sections/twin/shape/parts/1/at/1', 'span/100'),
      formula('analysis/naturalModes/modes', 'n/2'),
      put('parameters', { id: 'n', value: 6 }),
    ).model;
    expect(given.sections[1]!.shape!.parts![1]!.at).toEqual([0, 0.12]);
    expect(given.analysis!.naturalModes!.modes).toBe(3);
    expect(refusal(given, put('parameters', { id: 'n', value: 5 }))).toMatch(/Modes are counted/);
  });

  test('lets a number go that is given by hand, and says so', () => {
    const { model: moved, said } = after(model, { type: 'moveNodes', moves: [{ id: 'ridge', x: 5, y: 2.4 }] });
    expect(said).toEqual(['node ridge, x no longer follows “span/2”']);
    expect(node(after(moved, span(14)).model, 'ridge')).toEqual({ id: 'ridge', x: 5, y: 2.8 });
    expect(after(model, put('parameters', { ...model.parameters![1]!, value: 3 })).said).toEqual([
      'rise no longer follows “span/5”',
    ]);
  });

  test('refuses what cannot be, and names the place', () => {
    expect(refusal(model, span(20))).toMatch(/“span” is 20 m and lies outside its range, from 6 m to 18 m/);
    expect(refusal(model, put('formulas', { of: 'parameters/span/value', is: '5 rise' }))).toMatch(
      /it depends on itself: span → rise → span/,
    );
    expect(refusal(model, put('formulas', { of: 'nodes/3/x', is: 'spam' }))).toMatch(
      /“spam” gives nothing \(node 3, x\): “spam” is neither a parameter nor a unit/,
    );
    expect(refusal(model, put('formulas', { of: 'nodes/3/x', is: 'g' }))).toMatch(/its unit is not that of a length/);
    expect(refusal(model, put('formulas', { of: 'nodes/3/x', is: '(span+g) m' }))).toMatch(/different dimensions/);
    expect(refusal(model, put('formulas', { of: 'nodes/3/x', is: 'span/(span-12 m) m' }))).toMatch(/divides by zero/);
    expect(refusal(model, put('formulas', { of: 'nodes/4/x', is: 'span' }))).toMatch(/no number at/);
    expect(refusal(model, put('formulas', { of: 'nodes/3/constructor', is: 'span' }))).toMatch(/no number at/);
    expect(refusal(model, put('formulas', { of: 'sections/rib/shape/h', is: '-span' }))).toMatch(
      /must be greater than 0|greater than 0/,
    );
    expect(refusal(model, put('parameters', { id: 'kN', value: 1 }))).toMatch(/“kN” is read as a unit/);
    expect(refusal(model, put('parameters', { id: 'sqrt', value: 1 }))).toMatch(/meaning of its own/);
    expect(refusal(model, put('parameters', { id: 'depth', unit: 'q', value: 1 }))).toMatch(/“q” is no unit/);
  });

  test('has no more of them than are read after every edit', () => {
    const many = Array.from({ length: 201 }, (_, i) => ({ id: `p_${i}`, value: i }));
    expect(faults({ ...rib, parameters: [...rib.parameters, ...many] })[0]).toMatch(/too many parameters: at most 200 fit/);
  });

  test.each<[object, RegExp]>([
    [{ id: 'width', value: '12', unit: 'mm' }, /a unit is missing, such as mm/],
    [{ id: 'width', value: '12 kN', unit: 'm' }, /its unit is not one for m/],
    [{ id: 'width', value: '12 m', from: '2 kN' }, /its unit is not one for m/],
    [{ id: 'width', value: 12, from: '2 m' }, /its unit is not one for a plain number/],
    [{ id: 'width', value: '12 m', from: '9' }, /a unit is missing, such as m/],
    [{ id: 'width', value: 'span', unit: 'kN' }, /its unit is not that of a force/],
    [{ id: 'width', value: '12 m', step: '0 m' }, /step of “width” is not greater than 0/],
    [{ id: 'width', value: '12 m', from: '14 m', to: '13 m' }, /ends before it begins/],
    [{ id: 'width', value: '12 m +' }, /ends too early/],
  ])('is refused where a parameter says what cannot be: %j', (parameter, words) => {
    expect(faults({ ...rib, parameters: [...rib.parameters, parameter] }).join('\n')).toMatch(words);
  });

  test.each<[object, object]>([
    [
      { id: 'width', value: '1.2e1 m' },
      { value: 12, unit: 'm' },
    ],
    [
      { id: 'width', value: '−3 cm' },
      { value: -0.03, unit: 'cm' },
    ],
    [
      { id: 'width', value: '3*4 m + 20 cm' },
      { value: 12.2, unit: 'm' },
    ],
    [
      { id: 'width', value: 'span*rise', unit: 'cm2' },
      { value: 28.8, unit: 'cm2' },
    ],
    [
      { id: 'width', value: 'span*g' },
      { value: 30000, unit: 'N' },
    ],
    [
      { id: 'width', value: 'span^5' },
      { value: 248832, unit: 'm^5' },
    ],
    [{ id: 'width', value: 'span/rise' }, { value: 5 }],
    [
      { id: 'width', value: '30 deg', to: '1 rad' },
      { value: Math.PI / 6, unit: 'deg', to: 1 },
    ],
  ])('reads %j', (parameter, read) => {
    const found = checkModel({ ...rib, parameters: [...rib.parameters, parameter] }).model?.parameters!.at(-1);
    const { value, ...rest } = read as { value: number };
    expect(found).toMatchObject(rest);
    expect(found!.value).toBeCloseTo(value, 9);
    expect('unit' in found!).toBe('unit' in read);
  });

  test('refuses an expression beside what is no number, or nothing', () => {
    const file = JSON.parse(JSON.stringify(model)) as { formulas: object[]; supports: object[] };
    const beside = (of: string, is: string): string[] => faults({ ...file, formulas: [...file.formulas, { of, is }] });
    expect(beside('supports/1/ux', 'g')[0]).toMatch(/support at node 1, ux is fixed, but “g” gives 2500/);
    expect(beside('nodes/1/z', 'rise')[0]).toMatch(/node 1, z is not given, but “rise” gives 2.4/);
    expect(beside('members/a/start', 'rise')[0]).toMatch(/no number at this place/);
    expect(beside('parameters/span/from', 'rise')[0]).toMatch(/no number at this place/);
    expect(beside('formulas/nodes~13~1x/is', 'rise')[0]).toMatch(/no number at this place/);
    expect(beside('nodes/ridge/x', 'span/2')[0]).toMatch(/already/);
  });

  test('refuses a file that says two things', () => {
    const file = JSON.parse(JSON.stringify(model)) as { nodes: { x: number }[] };
    file.nodes[1]!.x = 7;
    expect(faults(file)).toEqual([expect.stringMatching(/node ridge, x is 7, but “span\/2” gives 6/)]);
    expect(faults({ ...rib, parameters: [...rib.parameters, { id: 'lost', value: 'lost/2' }] })[0]).toMatch(/lost/);
    expect(faults({ ...rib, nodes: [...rib.nodes, { id: '4', x: 'width', y: 0 }] })[0]).toMatch(
      /“width” is neither a parameter nor a unit/,
    );
  });

  test('renames everywhere, parameters and what they give', () => {
    const { model: renamed } = after(
      model,
      { type: 'rename', list: 'parameters', names: { span: 'width' } },
      { type: 'rename', list: 'nodes', names: { ridge: 'top', 3: 'right' } },
      { type: 'rename', list: 'cases', names: { G: 'own' } },
    );
    expect(renamed.formulas).toEqual(
      expect.arrayContaining([
        { of: 'nodes/top/x', is: 'width/2' },
        { of: 'parameters/rise/value', is: 'width/5' },
        { of: 'supports/right/angle', is: 'atan(rise/width)' },
        { of: 'combinations/U1/factors/own', is: 'γ' },
      ]),
    );
    const wide = after(renamed, put('parameters', { ...renamed.parameters![0]!, value: 14 })).model;
    expect(node(wide, 'top').x).toBe(7);
  });

  test('says what hangs on a parameter that is removed, and keeps its number; what goes with its entry goes quietly', () => {
    const { model: fixed, said } = after(model, { type: 'remove', list: 'parameters', keys: ['γ'] });
    expect(said).toEqual(['combination U1, factors, G no longer follows “γ”: there is no γ any more']);
    expect(fixed.combinations[0]).toMatchObject({ factors: { G: 1.35 } });
    const { model: without, said: words } = after(model, { type: 'remove', list: 'members', keys: ['a'] });
    expect(words).toEqual([]);
    expect(without.formulas!.some(({ of }) => of.startsWith('loads/'))).toBe(false);
  });

  test('lets an expression go whose place counts in a list that has become another', () => {
    const masses = (...nodes: { node: string; mass: number | string }[]): Intent => ({
      type: 'set',
      settings: { analysis: { naturalModes: { nodes } } as never },
    });
    const { model: heavy } = after(
      model,
      put('parameters', { id: 'tub', unit: 'kg', value: 200 }),
      masses({ node: '1', mass: 200 }, { node: 'ridge', mass: 'tub' }, { node: '3', mass: 200 }),
    );
    expect(heavy.formulas).toContainEqual({ of: 'analysis/naturalModes/nodes/1/mass', is: 'tub' });
    const { said } = after(heavy, masses({ node: 'ridge', mass: 200 }, { node: '3', mass: 200 }));
    expect(said).toEqual([expect.stringMatching(/no longer follows “tub”/)]);
  });

  test('takes an expression back when a number is written in its place', () => {
    const { model: off } = after(model, { type: 'remove', list: 'formulas', keys: ['nodes/ridge/x'] }, span(14));
    expect(node(off, 'ridge')).toEqual({ id: 'ridge', x: 6, y: 2.8 });
    const { model: on } = after(model, put('nodes', { id: '1', x: '-span/10', y: 0 }));
    expect(node(on, '1').x).toBeCloseTo(-1.2, 12);
    expect(on.formulas).toContainEqual({ of: 'nodes/1/x', is: '-span/10' });
  });

  test('after any edits, undone and made again, says one thing: each number is what its expression gives', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(steps, fc.boolean()), { maxLength: 8 }), (sequence) => {
        let now = model;
        for (const [intent, isUndone] of sequence) {
          const applied = applyIntent(now, intent);
          if (!applied.ok) continue;
          expect(faults(JSON.parse(JSON.stringify(applied.model)))).toEqual([]);
          if (isUndone) expect(after(applied.model, { type: 'patch', patches: applied.inverse }).model).toEqual(now);
          else now = applied.model;
        }
      }),
      { numRuns: 150 },
    );
  });
});
