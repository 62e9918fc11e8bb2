import { expect, test } from '@jest/globals';
import { influenceOf, isFound, type InfluenceAsked, type InfluenceFound } from '../../influence/asked';
import { AnalysisSession } from '../../analysis/session';
import { defaultDisplay } from '../../quantities/display';
import type { Structure } from '../../stiffness/structure';
import { clamp3, inRow, pin, roller, sketch } from '../../test/build';
import { cellWords, type Table } from '../column';
import { influenceTable, worstTable } from './influence';
import { asTold, effectWords } from './measure';

const units = { ...defaultDisplay, force: 'kN', moment: 'kN·m', deflection: 'mm', length: 'm' } as const;
const texts = <R>({ columns, rows }: Table<R>): string[][] => rows.map((row) => columns.map((column) => cellWords(column, row)));

/** Two spans of 4 m. */
const beam = sketch({
  nodes: inRow(0, 4, 8),
  members: [['a', '1', '2'], ['b', '2', '3']],
  supports: [pin('1'), roller('2'), roller('3')],
}); // oxfmt-ignore

function found(asked: InfluenceAsked): { one: InfluenceFound; structure: Structure } {
  const session = new AnalysisSession();
  session.update(beam);
  const one = influenceOf(beam, session.system!, asked);
  if (!isFound(one)) throw new Error(one.map(({ message }) => message).join());
  return { one, structure: session.system!.structure };
}

test('a line in the units of the project: extremes, zeros, and a uniform load wherever it hurts', () => {
  const { one, structure } = found({ effect: 'a:Mz@4m' });
  expect(effectWords(one.effect, structure, units)).toBe('bending moment Mz in a at 4 m');
  const table = influenceTable(one, structure, units);
  expect(table.columns.map(({ title, unit }) => unit ?? title)).toEqual(['Load', 'kN·m', 'Where']);
  // −s(L² − s²)/(4L²): least at L/√3, −L²/16 for 1 kN/m on each span.
  expect(texts(table)).toEqual([
    ['1 kN, greatest', '0', 'a at 0 m'],
    ['1 kN, least', '−0.3849', 'a at 2.309 m'],
    ['1 kN/m over', '−2', '0 to 8 m of the path'],
  ]);
});

test('a train: what it brings about, which axle stands where, and in feet and pounds the same', () => {
  const { one, structure } = found({ effect: '2.fy' });
  const train = { id: 'T1', axles: [9e3], spacings: [], impact: 1.5 };
  expect(effectWords(one.effect, structure, { ...units, up: 'Z' })).toBe('reaction along Z at node 2');
  const [greatest, least] = texts(worstTable(one, train, structure, units));
  expect(greatest!.slice(0, 2)).toEqual(['greatest', '13.5']);
  expect(greatest![2]).toMatch(/^axle 1 in a at 4 m|axle 1 in b at 0 m/);
  expect(least).toEqual(['least', '0', 'none of it on the path']);
  const imperial = texts(influenceTable(one, structure, { ...units, force: 'kip', length: 'ft' }));
  expect(imperial[0]).toEqual(['1 kip, greatest', '1', 'a at 13.12 ft']);
  expect(Number(imperial.at(-1)![1])).toBeCloseTo((1.25 * 8) / 2 / 0.3048, 2);
});

test('a component that readers count the other way has its greatest and least values in their sense', () => {
  const crane = sketch({
    nodes: [['1', 0, 0, 0], ['2', 0, 0, 4]],
    members: [['a', '1', '2']],
    supports: [clamp3('1')],
  }); // oxfmt-ignore
  const session = new AnalysisSession();
  session.update(crane);
  const one = influenceOf(crane, session.system!, { effect: '1.mx', over: ['a'] });
  if (!isFound(one)) throw new Error(one.map(({ message }) => message).join());
  const { structure } = session.system!;
  const value = (up: 'Y' | 'Z'): string[][] => {
    const display = { ...units, up };
    return texts(influenceTable(asTold(one, structure, display), structure, display)).map((row) => row.slice(0, 2));
  };
  // 1 kN down at 4 m along z: a couple of 4 kN·m about x, which both readers count alike; that of a force across is not.
  expect(value('Z')).toEqual(value('Y'));
  const side = influenceOf(crane, session.system!, { effect: '1.fz', over: ['a'], direction: [0, 0, 1] });
  if (!isFound(side)) throw new Error(side.map(({ message }) => message).join());
  const told = (up: 'Y' | 'Z') => {
    const display = { ...units, up };
    return texts(influenceTable(asTold(side, structure, display), structure, display))[0]!.slice(0, 2);
  };
  expect(told('Y')).toEqual(['1 kN anywhere', '−1']);
  expect(told('Z')).toEqual(['1 kN anywhere', '1']);
});
