import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { checkModel } from '../check';
import { hangingOn, ofFormulas } from './hanging';
import { mentions } from './mentions';
import { unfitName } from './names';
import { Entries, kindAt, placeOf, placeText, valueAt } from './place';
import { partOf, percentOf } from './percent';
import { placeOfPath } from './place-of-path';
import { rangeText, readRange, stepOfRange } from './range';
import { renamedIn } from './renamed';
import { turnedRound } from './turned-round';
import { placeSaid } from './words';

const model = checkModel({
  ...{ format: 'rigid-beam/model', version: 1, title: 'Shed', space: 'plane' },
  parameters: [{ id: 'span', value: '6 m' }, { id: 'rise', value: 'span/4' }, { id: 'depth', value: 'rise/10' }, { id: 'load', value: '2 kN' }],
  materials: [{ id: 'oak', E: '11 GPa' }],
  sections: [{ id: 'rafter', shape: { type: 'rectangle', h: 'depth', b: 0.1 } }],
  nodes: [{ id: '1', x: 0, y: 0 }, { id: 'ridge/top', x: 'span/2', y: 'rise' }, { id: '3', x: 'span', y: 0 }],
  members: [
    { id: 'a', start: '1', end: 'ridge/top', section: 'rafter', material: 'oak', offset: { start: ['depth', 0, 0] } },
    { id: 'b', start: 'ridge/top', end: '3', section: 'rafter', material: 'oak' },
  ],
  supports: [{ node: '1', ux: 'fixed', uy: 'fixed' }, { node: '3', ux: '5 kN/m', uy: 'fixed' }],
  cases: [{ id: 'G.1', category: 'permanent' }],
  loads: [
    { id: 'r', case: 'G.1', type: 'node', node: 'ridge/top', fy: '-load' },
    { id: 'p', case: 'G.1', type: 'point', member: 'a', at: 0.5, fy: -1 },
    { id: 'q', case: 'G.1', type: 'point', member: 'a', at: 'span/10', measure: 'length', fy: -1 },
  ],
  combinations: [{ id: 'U', type: 'sum', factors: { 'G.1': 'load/(2 kN)' } }],
}).model!; // oxfmt-ignore
const entries = new Entries(model as never);
const at = (of: string) => {
  const held = entries.holding(placeOf(of));
  return held && [kindAt(held)?.dimension, valueAt(held)];
};

describe('places of numbers', () => {
  test.each<[string, unknown]>([
    ['nodes/ridge~1top/x', ['length', 3]],
    ['sections/rafter/shape/h', ['length', 0.15]],
    ['members/a/offset/start/0', ['length', 0.15]],
    ['supports/3/ux', ['spring', 5000]],
    ['loads/r/fy', ['force', -2000]],
    ['loads/p/at', ['number', 0.5]],
    ['loads/q/at', ['length', 0.6]],
    ['combinations/U/factors/G.1', ['number', 1]],
    ['nodes/3/id', [undefined, '3']],
    ['nodes/4/x', undefined],
    ['gravity', ['acceleration', undefined]],
    ['title', [undefined, 'Shed']],
    ['nodes/3/__proto__', [undefined, undefined]],
    ['members/a/offset/start/7', ['length', undefined]],
  ])('%s', (of, expected) => expect(at(of)).toEqual(expected));

  test('are written and read again whatever keys are called', () => {
    fc.assert(
      fc.property(fc.array(fc.string({ maxLength: 12 }), { minLength: 1, maxLength: 5 }), (steps) =>
        expect(placeOf(placeText(...steps))).toEqual(steps),
      ),
    );
  });

  test('are found from the paths of faults, with stops and strokes in names', () => {
    expect(placeOfPath('nodes[1].x', model as never)).toBe('nodes/ridge~1top/x');
    expect(placeOfPath('combinations[0].factors.G.1', model as never)).toBe('combinations/U/factors/G.1');
    expect(placeOfPath('members[0].offset.start[0]', model as never)).toBe('members/a/offset/start/0');
    expect(placeOfPath('nodes[9].x', model as never)).toBeUndefined();
    expect(placeOfPath('nodes[1].width', model as never)).toBeUndefined();
  });

  test('are said as one says them', () => {
    expect(placeSaid(model, 'nodes/3/x')).toBe('node 3, x');
    expect(placeSaid(model, 'supports/3/ux')).toBe('support at node 3, ux');
    expect(placeSaid(model, 'parameters/rise/value')).toBe('rise');
    expect(placeSaid(model, 'analysis/secondOrder/sway/height')).toBe('analysis, secondOrder, sway, height');
  });
});

describe('what hangs on a parameter', () => {
  test('is what mentions it, and what mentions that', () => {
    const of = (name: string): string[] => hangingOn(model, name).map((one) => one.of).sort(); // oxfmt-ignore
    expect(of('depth')).toEqual(['members/a/offset/start/0', 'sections/rafter/shape/h']);
    expect(of('rise')).toEqual([
      'members/a/offset/start/0',
      'nodes/ridge~1top/y',
      'parameters/depth/value',
      'sections/rafter/shape/h',
    ]);
    expect(of('span')).toHaveLength(8);
    expect(of('load')).toEqual(['combinations/U/factors/G.1', 'loads/r/fy']);
  });

  test('are nodes, members that have such a section, and loads', () => {
    expect(ofFormulas(model, hangingOn(model, 'span'))).toEqual({ nodes: ['ridge/top', '3'], members: ['a', 'b'], loads: ['q'] });
    expect(ofFormulas(model, hangingOn(model, 'load'))).toEqual({ nodes: [], members: [], loads: ['r'] });
  });
});

describe('texts of expressions', () => {
  test('are renamed by whole words only, and turned round once and back', () => {
    expect(renamedIn('span/2 + my_span - span', { span: 'width' })).toBe('width/2 + my_span - width');
    expect(renamedIn('sin(a) a', { a: 'sin' })).toBe('sin(sin) sin');
    expect(mentions('my_span/2', 'span')).toBe(false);
    for (const text of ['span', 'span/2', 'a + b', '-(a + b)', '-span', 'max(a, b)', '-(a) + (b)', 'a(b) - (c)']) {
      expect(turnedRound(turnedRound(text))).toBe(text);
      expect(turnedRound(text)).not.toBe(text);
    }
    for (const percent of ['xi', 'xi + 1', '(a) + (b)', 'xi/100', '100*(xi)', 'min(a, b)'])
      expect(percentOf(partOf(percent))).toBe(percent);
    expect([partOf('xi'), percentOf('xi'), partOf('100*(xi)')]).toEqual(['xi/100', '100*(xi)', 'xi']);
    expect(['-2 snow', '-g/(3 m)', '-a + b', '-a^2'].map(turnedRound)).toEqual(['2 snow', 'g/(3 m)', '-(-a + b)', '-(-a^2)']);
  });

  test('names are told from units, functions and constants', () => {
    for (const name of ['span', 'h_1', 'γ_G', 'q2']) expect(unfitName(name)).toBeUndefined();
    for (const name of ['m', 'kN', 'mm', 'kNm', 'sqrt', 'pi', '2a', 'a b', 'a-b', ''])
      expect(unfitName(name)).not.toBeUndefined();
  });

  test('ranges are written as they are read, and have round steps', () => {
    const one = { id: 'rise', unit: 'mm', value: 3, from: 2, to: 5, step: 0.25 };
    expect(rangeText(one)).toBe('2000 to 5000 mm by 250');
    expect(readRange(rangeText(one), one)).toEqual({ ok: true, range: { from: 2, to: 5, step: 0.25 } });
    expect(stepOfRange({ from: 0, to: 7 }, 40)).toBe(0.2);
    expect(stepOfRange({ from: 0, to: 7, step: 3 }, 40)).toBe(3);
  });
});
