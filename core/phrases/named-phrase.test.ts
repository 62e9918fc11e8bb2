import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { checkModel } from '../model/check';
import { applyIntent } from '../model/edits/apply-intent';
import type { Intent } from '../model/edits/intent';
import type { Model } from '../model/model';
import { schedules } from '../tables/schedules/lists';
import { expressionAt, writeCells } from '../tables/schedules/write-cells';
import { readNamedPhrase } from './named-phrase';
import { putPhrase } from './put-phrase';

const model = checkModel({
  ...{ format: 'rigid-beam/model', version: 1, title: 'Rail', space: 'plane', display: { up: 'Z' } },
  parameters: [{ id: 'span', value: '6 m' }, { id: 'g', value: '2 kN/m' }, { id: 'n', value: 3 }, { id: 'warm', value: '20 K' }],
  materials: [{ id: 'steel', E: 210e9, alpha: 1.2e-5 }],
  sections: [{ id: 'rail', A: 0.002, Iz: 8e-6 }],
  nodes: [{ id: '1', x: 0, y: 0 }, { id: '2', x: 'span', y: 0 }, { id: '3', x: 12, y: 4 }],
  members: [{ id: 'a', start: '1', end: '2', section: 'rail', material: 'steel' }, { id: 'b', start: '2', end: '3', section: 'rail', material: 'steel' }],
  supports: [{ node: '1', ux: 'fixed', uy: 'fixed', rz: 'fixed' }],
  cases: [{ id: 'G', category: 'permanent' }],
  combinations: [{ id: 'U', type: 'sum', factors: { G: 1.35 } }],
}).model!; // oxfmt-ignore

const after = (of: Model, intent: Intent): Model => {
  const applied = applyIntent(of, intent);
  if (!applied.ok) throw new Error(applied.faults[0]!.message);
  return applied.model;
};
const put = (text: string, target: { member: string } | { node: string } | { run: string[] } = { member: 'a' }): Model => {
  const read = readNamedPhrase(text, model, 'line');
  if (!read.ok) throw new Error(read.reason);
  const intents = putPhrase(read.phrase, [target], model, 'G');
  if (typeof intents === 'string') throw new Error(intents);
  return after(model, { type: 'batch', intents });
};
const own = ({ formulas = [] }: Model): Record<string, string> =>
  Object.fromEntries(formulas.filter(({ of }) => of.startsWith('loads/1/')).map(({ of, is }) => [of.slice(8), is]));

describe('loads that are said with parameters', () => {
  test('keep their expressions, each where its number stands, and follow', () => {
    const loaded = put('1.35 g down');
    expect(own(loaded)).toEqual({ 'from/wy': '-(1.35 g)', 'to/wy': '-(1.35 g)' });
    expect(loaded.loads[0]).toMatchObject({ from: { wy: -2700 }, to: { wy: -2700 } });
    const heavier = after(loaded, { type: 'put', list: 'parameters', entry: { id: 'g', unit: 'kN/m', value: 3000 } });
    expect((heavier.loads[0] as { from: { wy: number } }).from.wy).toBeCloseTo(-4050, 9);
  });

  test.each<[string, Record<string, string>, { member: string } | { node: string } | { run: string[] }]>([
    ['g to 8 kN/m down', { 'from/wy': '-g' }, { member: 'a' }],
    ['8 to g down', { 'to/wy': '-g' }, { member: 'a' }],
    ['n down', { 'from/wy': '-((n) kN/m)', 'to/wy': '-((n) kN/m)' }, { member: 'a' }],
    ['g*span at 30', { fx: '0.866025403784439*(g*span)', fy: '0.5*(g*span)' }, { node: '2' }],
    ['4 kN/m down between 1 m and span/2', { 'to/at': 'span/2' }, { member: 'a' }],
    ['g span down at span/3', { at: 'span/3', fy: '-(g span)' }, { member: 'a' }],
    ['2 g left', { 'from/wx': '-(2 g)', 'to/wx': '-(2 g)' }, { run: ['a', 'b'] }],
    ['n down between 0 and n', { 'from/wy': '-((n) kN/m)', 'to/wy': '-((n) kN/m)', 'to/at': '(n) m' }, { member: 'a' }],
    ['warm warmer', { uniform: 'warm' }, { member: 'a' }],
    ['8 kN/m down', {}, { member: 'a' }],
  ])('%s', (text, formulas, target) => {
    const loaded = put(text, target);
    expect(own(loaded)).toEqual(formulas);
    expect(checkModel(JSON.parse(JSON.stringify(loaded))).notices).toEqual([]);
  });

  test('are refused where a number would not follow in proportion', () => {
    expect(() => put('5 kN down every span/3')).toThrow(/cannot be kept as an expression/);
    expect(() => put('spam down')).toThrow(/neither a parameter nor a unit/);
  });
});

test('what is said of parameters and then moved is what is said of them where they have moved', () => {
  const sizes = ['g', '1.35 g', 'g/2 + 1 kN/m', '(n) kN/m', '2 g - 500 N/m'];
  const ways = [
    'down',
    'up',
    'left',
    'right across',
    'down on plan',
    'at 30',
    'down between 0 and span/3',
    'right from span/4 to span/2',
  ];
  fc.assert(
    fc.property(
      fc.constantFrom(...sizes),
      fc.constantFrom(...ways),
      fc.constantFrom('a', 'b'),
      fc.record({
        g: fc.double({ min: 500, max: 9e3, noNaN: true }),
        n: fc.integer({ min: 1, max: 9 }),
        span: fc.double({ min: 4, max: 9, noNaN: true }),
      }),
      (size, way, member, values) => {
        const set = (of: Model): Model =>
          after(of, {
            type: 'batch',
            intents: [
              { type: 'put', list: 'parameters', entry: { id: 'g', unit: 'kN/m', value: values.g } },
              { type: 'put', list: 'parameters', entry: { id: 'n', value: values.n } },
              { type: 'put', list: 'parameters', entry: { id: 'span', unit: 'm', value: values.span } },
            ],
          });
        const say = (of: Model): Model => {
          const read = readNamedPhrase(`${size} ${way}`, of, 'line');
          if (!read.ok) throw new Error(`${size} ${way}: ${read.reason}`);
          const intents = putPhrase(read.phrase, [{ member }], of, 'G');
          if (typeof intents === 'string') throw new Error(`${size} ${way}: ${intents}`);
          return after(of, { type: 'batch', intents });
        };
        const [moved, said] = [set(say(model)).loads, say(set(model)).loads];
        const numbers = (value: unknown): number[] =>
          typeof value === 'number'
            ? [value]
            : typeof value === 'object' && value !== null
              ? Object.values(value).flatMap(numbers)
              : [];
        expect(numbers(moved)).toHaveLength(numbers(said).length);
        numbers(moved).forEach((one, i) =>
          expect(Math.abs(one - numbers(said)[i]!)).toBeLessThanOrEqual(1e-9 * Math.abs(one) + 1e-12),
        );
      },
    ),
    { numRuns: 200 },
  );
});

describe('cells with parameters', () => {
  const cell = (
    list: 'nodes' | 'combinations' | 'loads',
    row: string,
    column: string,
    text: string,
    of = model,
  ): Model | string => {
    const written = writeCells(of, list, [{ row, column, text }]);
    return written.ok ? after(of, written.intent) : written.reason;
  };

  test('keep what was typed, as the column counts it', () => {
    const moved = cell('nodes', '3', 'y', 'span/2') as Model;
    expect(moved.nodes[2]!.y).toBe(3);
    const texts = new Map(moved.formulas!.map(({ of, is }) => [of, is]));
    const [column] = schedules.nodes.columns(moved).filter(({ key }) => key === 'y');
    expect(expressionAt(texts, 'nodes', '3', column!)).toBe('span/2');
    expect((cell('combinations', 'U', 'of G', 'n/2') as Model).formulas).toContainEqual({
      of: 'combinations/U/factors/G',
      is: 'n/2',
    });
    expect(cell('nodes', '3', 'y', 'g')).toMatch(/^Row 3, .*: its unit is not that of a length/);
    expect(own(cell('loads', '1', 'say', '2 g down', put('8 kN/m down')) as Model)).toEqual({
      'from/wy': '-(2 g)',
      'to/wy': '-(2 g)',
    });
  });
});
