import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { checkModel } from '../model/check';
import type { Model } from '../model/model';
import { readRange } from '../model/parameters/range';
import { withSettings } from '../model/parameters/set-parameters';
import { csvParts } from '../tables/files/csv';
import { readMeasure, type Measure } from './measure';
import { neededFor } from './needed-for';
import { sought } from './seek';
import { studied, studyRefused, valuesOver, type Study } from './study';
import { studyTable } from './study-table';

const [E, b] = [11e9, 0.1];
/** A shelf of the potting shed on two supports, its depth as a share of its span. */
const shelf = {
  format: 'rigid-beam/model',
  version: 1,
  title: 'Shelf',
  space: 'plane',
  parameters: [
    { id: 'span', value: '3 m', from: '2 m', to: '6 m', step: '0.5 m' },
    { id: 'share', value: 20 },
    { id: 'q', value: '1.5 kN/m' },
    { id: 'twice', value: '2 q' },
  ],
  materials: [{ id: 'wood', E, density: 400 }],
  sections: [{ id: 'board', shape: { type: 'rectangle', h: 'span/share', b } }],
  nodes: [{ id: '1', x: 0, y: 0 }, { id: '2', x: 'span', y: 0 }],
  members: [{ id: 'a', start: '1', end: '2', section: 'board', material: 'wood' }],
  supports: [{ node: '1', ux: 'fixed', uy: 'fixed' }, { node: '2', uy: 'fixed' }],
  cases: [{ id: 'Q', category: 'imposed' }, { id: 'P', category: 'imposed' }],
  loads: [
    { case: 'Q', type: 'line', member: 'a', axes: 'global', from: { at: 0, wy: '-q' }, to: { at: 1, wy: '-q' } },
    { case: 'P', type: 'node', node: '2', fx: '-q*1 m' },
  ],
  combinations: [{ id: 'U', type: 'sum', factors: { Q: 1.5 } }, { id: 'E', type: 'envelope', of: ['Q', 'U'] }],
}; // oxfmt-ignore
const model = checkModel(shelf).model!;
const measure = (text: string, of: Model = model): Measure => {
  const read = readMeasure(text, of);
  if ('reason' in read) throw new Error(read.reason);
  return read;
};
const one = (text: string, values: readonly number[], outcome = 'Q'): Study => ({
  parameter: 'span',
  values,
  measures: [measure(text)],
  outcome,
});
const run = (study: Study): (number | undefined)[] => [...studied(model, study)].map(({ values: [value] }) => value);
const I = (L: number): number => (b * (L / 20) ** 3) / 12;

describe('a study', () => {
  const spans = [2, 3, 4.5, 6];

  test.each<[string, string, (L: number) => number]>([
    ['M.max', 'Q', (L) => (1500 * L ** 2) / 8],
    ['Mz.largest', 'U', (L) => (1.5 * 1500 * L ** 2) / 8],
    ['V.min', 'Q', (L) => (-1500 * L) / 2],
    ['a:M@25%', 'Q', (L) => (1500 * L ** 2 * 3) / 32],
    ['2.fy', 'E', (L) => (1.5 * 1500 * L) / 2],
    ['1.rz', 'Q', (L) => (-1500 * L ** 3) / (24 * E * I(L))],
    ['movement', 'E', (L) => (1.5 * 5 * 1500 * L ** 4) / (384 * E * I(L))],
    ['span ratio', 'Q', (L) => (384 * E * I(L)) / (5 * 1500 * L ** 3)],
    ['mass', 'Q', (L) => ((400 * b * L) / 20) * L],
    ['critical', 'P', (L) => (Math.PI ** 2 * E * I(L)) / L ** 2 / 1500],
  ])('%s of %s is what is found by hand at each span', (text, outcome, byHand) => {
    run(one(text, spans, outcome)).forEach((value, i) =>
      expect(value! / byHand(spans[i]!)).toBeCloseTo(1, text === 'critical' ? 6 : 9),
    );
  });

  test('two parameters are a family; each point is that of the model set so', () => {
    const study: Study = {
      ...one('a:M.max', [2, 4]),
      family: { parameter: 'q', values: [1000, 2000] },
    };
    expect([...studied(model, study)].map(({ at, family, values: [value] }) => [at, family, Math.round(value!)])).toEqual([
      [2, 1000, 500],
      [4, 1000, 2000],
      [2, 2000, 1000],
      [4, 2000, 4000],
    ]);
    const table = [...csvParts(studyTable(model, study, [...studied(model, study)]), 'point')].join('').split('\r\n');
    expect(table.slice(0, 2)).toEqual(['q (kN/m),span (m),a:M.max (kN·m)', '1,2,0.5']);
  });

  test('results are called by symbols or by their own names, and say why a state has none', () => {
    expect(measure('a:M@50%')).toMatchObject({ words: 'M in a at 50%', unit: 'kN·m' });
    expect(measure('2.fy')).toMatchObject({ words: 'Reaction fy at 2', unit: 'kN' });
    expect(measure('2.rz')).toMatchObject({ words: 'Movement rz of 2', unit: 'mrad' });
    expect(measure('1.ux')).toMatchObject({ unit: 'mm' });
    expect(readMeasure('9.fy', model)).toEqual({ reason: 'There is no node “9”' });
    expect(readMeasure('2.zz', model)).toMatchObject({ reason: expect.stringMatching(/no result that can be followed/) });
    expect(readMeasure('a:Q@1m', model)).toMatchObject({ reason: expect.stringMatching(/no quantity “Q”/) });
    const points = [...studied(model, one('a:M@2.5m', [2, 3]))];
    expect(points[0]).toMatchObject({ values: [undefined], why: 'the member is 2 m long' });
    expect(points[1]!.values[0]).toBeCloseTo((1500 * 2.5 * 0.5) / 2, 6);
    expect([...studied(model, one('2.fx', [2]))][0]!.why).toMatch(/Nothing holds node 2 along X/);
    const table = studyTable(model, one('a:M@2.5m', [2, 3]), points);
    expect([...csvParts(table, 'point')].join('').split('\r\n').slice(0, 3)).toEqual(['span (m),a:M@2.5m (kN·m),Why not', '2,,the member is 2 m long', expect.stringMatching(/^3,0\.9375,/)]); // oxfmt-ignore
  });

  test('any step is that of the model with its parameter set to it', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('M.max', 'V.min', 'movement', 'mass', '1.fy', 'a:M@30%'),
        fc.double({ min: 2, max: 6, noNaN: true }),
        (text, span) => {
          const [value] = run(one(text, [2.5, span, 4])).slice(1);
          const { model: set } = withSettings(model, [['span', `${span} m`]]);
          const [alone] = [...studied(set!, one(text, [set!.parameters![0]!.value]))];
          expect(Math.abs(value! - alone!.values[0]!)).toBeLessThanOrEqual(1e-9 * Math.abs(value!));
        },
      ),
      { numRuns: 40 },
    );
  });

  test('only what the outcome needs is solved: sums of sums, envelopes, and the loads that notional ones are a share of', () => {
    const [Q, P] = ['Q', 'P'].map((id) => model.cases.find((one) => one.id === id)!);
    const more: Model = {
      ...model,
      cases: [Q!, P!, { id: 'H', category: 'other' }, { id: 'X', category: 'other' }],
      loads: [...model.loads, { id: 'sway', case: 'H', type: 'notional', of: 'P', share: 0.01, direction: 'right' }],
      combinations: [
        ...model.combinations,
        { id: 'U2', type: 'sum', factors: { H: 2 } },
        { id: 'all', type: 'envelope', of: ['U', 'U2'] },
      ],
    };
    const named = (outcome: string): string => {
      const { cases, loads, combinations } = neededFor(more, outcome);
      return [cases.map(({ id }) => id), loads.map((load) => load.case), combinations.map(({ id }) => id)].join(' | ');
    };
    expect(named('Q')).toBe('Q | Q | ');
    expect(named('U2')).toBe('P,H | P,H | U2');
    expect(named('all')).toBe('Q,P,H | Q,P,H | U,U2,all');
    expect(neededFor({ ...more, actions: [] }, 'Q').cases).toHaveLength(4);
  });

  test('a step without a result says why, and the others go on', () => {
    const points = [...studied(model, one('M.max', [0, 2]))];
    expect(points[0]!.why).toMatch(/no length|same place|greater than 0/);
    expect(points[1]!.values[0]).toBeCloseTo(750, 6);
  });

  test('what cannot be studied is refused by name', () => {
    expect(studyRefused(model, { ...one('M.max', [1]), parameter: 'rise' })).toMatch(
      /no parameter “rise”: span, share, q, twice/,
    );
    expect(studyRefused(model, { ...one('M.max', [1]), parameter: 'twice' })).toMatch(/given by an expression/);
    expect(studyRefused(model, one('M.max', [1], 'X'))).toMatch(/no case or combination “X”. Choose one of Q, P, U, E/);
    expect(studyRefused(model, one('critical', [1], 'E'))).toMatch(/of a case or of a sum/);
    expect(studyRefused(model, one('M.max', valuesOver({ from: 0, to: 1, step: 1e-7 })))).toMatch(/2000 steps at most/);
    expect(readMeasure('Q.max', model)).toEqual({
      reason: 'There is no quantity “Q” here: there are N, V, M, u, δ, uX, uY, σ, σv',
    });
    expect(readMeasure('x:M.max', model)).toEqual({ reason: 'There is no member “x”' });
    expect(readMeasure('weight', model)).toMatchObject({ reason: expect.stringMatching(/no result that can be followed/) });
  });

  test('ranges are read with their units, and gone through with both ends', () => {
    const [span] = model.parameters!;
    expect(readRange('2 to 5 by 0.25', span!)).toEqual({ ok: true, range: { from: 2, to: 5, step: 0.25 } });
    expect(readRange('2m..500cm/25cm', span!)).toEqual({ ok: true, range: { from: 2, to: 5, step: 0.25 } });
    expect(readRange('250 to 400 cm by 50', span!)).toEqual({ ok: true, range: { from: 2.5, to: 4, step: 0.5 } });
    expect(readRange('2 to 3*2 m', span!)).toEqual({ ok: true, range: { from: 2, to: 6 } });
    expect(readRange('2 to 5 spam', span!)).toMatchObject({ reason: expect.stringMatching(/spam/) });
    expect(readRange('5 to 2', span!)).toMatchObject({ reason: 'it ends before it begins' });
    expect(readRange('2 to 5 kN', span!)).toMatchObject({ reason: expect.stringMatching(/not one for m/) });
    expect(valuesOver({ from: 2, to: 5, step: 0.8 })).toEqual([2, 2.8, 3.6, 4.4, 5]);
    expect(valuesOver({ from: 0, to: 1 }, 10)).toEqual([0, 0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1]);
  });
});

describe('a seek', () => {
  test('finds the value at which a result reaches its bound, in few steps', () => {
    const { found, tried } = sought(model, { parameter: 'share', range: { from: 10, to: 60 }, measure: measure('span ratio'), outcome: 'Q', bound: 300 }); // oxfmt-ignore
    // L/δ = 384 E b (L/share)³ / (12 · 5 q L³).
    expect(found).toBeCloseTo(Math.cbrt((384 * E * b) / (12 * 5 * 1500 * 300)), 5);
    expect(tried.length).toBeLessThan(30);
  });

  test('meets any bound that lies between the ends, whatever it is', () => {
    fc.assert(
      fc.property(fc.double({ min: 2.001, max: 5.999, noNaN: true }), (span) => {
        const bound = (1500 * span ** 2) / 8;
        const { found } = sought(model, { parameter: 'span', range: { from: 2, to: 6 }, measure: measure('M.max'), outcome: 'Q', bound }); // oxfmt-ignore
        expect(Math.abs(found! - span)).toBeLessThan(1e-5);
      }),
      { numRuns: 25 },
    );
  });

  test('says what the result comes to where it does not reach the bound', () => {
    const { found, why } = sought(model, { parameter: 'span', range: { from: 2, to: 6 }, measure: measure('M.max'), outcome: 'Q', bound: 1e5 }); // oxfmt-ignore
    expect(found).toBeUndefined();
    expect(why).toBe('It is not reached: over the range it goes from 0.75 kN·m to 6.75 kN·m');
  });
});

describe('parameters that are set from without', () => {
  test('take a number, one with its unit or an expression, all at once; what cannot be says so', () => {
    const set = (...settings: [string, string][]) => withSettings(model, settings);
    expect(set(['span', '4'], ['q', '2 kN/m']).model).toMatchObject({ nodes: [{}, { x: 4 }], sections: [{ shape: { h: 0.2 } }], loads: [{ from: { wy: -2000 } }, {}] }); // oxfmt-ignore
    expect(set(['span', '400 cm']).model!.nodes[1]!.x).toBe(4);
    expect(set(['span', 'share/5']).model!.formulas).toContainEqual({ of: 'parameters/span/value', is: '(share/5) m' });
    expect(set(['twice', '1']).model!.parameters![3]!.value).toBe(1000);
    expect(set(['span', '4 kN']).notices[0]!.message).toMatch(/its unit is not one for m/);
    expect(set(['width', '4']).notices[0]!.message).toMatch(/no parameter “width”: span, share/);
    expect(set(['span', '7']).notices[0]!.message).toMatch(/outside its range/);
  });
});
