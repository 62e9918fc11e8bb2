import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { readModelFile } from '../../formats/model-file';
import { emptyModel } from '../../model/model';
import { shapeFault } from '../shape-fault';
import { shapeProperties } from '../shape-properties';
import { catalogue } from './all';
import { families } from './families';
import type { CatalogueShape } from './family';
import { filled } from './fill';
import { depthOf, listed } from './listed';
import { meshedLine } from './measure';
import { spellingsOf } from './spellings';
import { isMeshedInCatalogue, meshedInCatalogue } from './meshed';
import { neighbour, searchCatalogue, shapeCalled } from './search';

const all = catalogue();
const found = (text: string, more = {}): string[] => {
  const result = searchCatalogue({ text, ...more });
  return result.ok ? result.shapes.map(({ designation }) => designation) : [result.reason];
};

test('every shape can be built, and has a name of its own', () => {
  expect(all.filter(({ shape }) => shapeFault(shape) !== undefined)).toEqual([]);
  expect(new Set(all.map(({ designation }) => designation)).size).toBe(all.length);
  expect(all.length).toBeGreaterThan(1500);
});

test('every shape weighs what its standard or its designation says, to 1.5 %', () => {
  const weighed = all.filter(({ mass }) => mass !== undefined);
  const off = weighed.filter((one) => Math.abs(listed(one).mass! / one.mass! - 1) > 0.015);
  expect(off.map((one) => `${one.designation}: ${listed(one).mass} of ${one.mass}`)).toEqual([]);
  // Every rolled shape and angle is weighed; of tubes, bars and timber the standards' masses are these very products.
  expect(new Set(all.filter(({ mass }) => mass === undefined).map(({ shape }) => shape.type))).toEqual(
    new Set(['chs', 'rhs', 'round', 'rectangle']),
  );
  expect(weighed.length).toBeGreaterThan(680);
});

describe('neighbours of a table rise together', () => {
  // One after the other in these: deeper, heavier, stiffer.
  const rising = ['IPE', 'IPE A', 'IPE O', 'HEA', 'HEB', 'HEAA', 'UPE', 'UPN', 'IPN', 'ISMB', 'ISMC'];
  test.each(rising)('%s', (id) => {
    const own = all.filter(({ family }) => family.id === id);
    expect(own.length).toBeGreaterThan(9);
    for (const [i, one] of own.slice(1).entries()) {
      expect(depthOf(one)).toBeGreaterThan(depthOf(own[i]!));
      expect(listed(one).mass).toBeGreaterThan(listed(own[i]!).mass!);
      expect(listed(one).Iz).toBeGreaterThan(listed(own[i]!).Iz);
    }
  });

  // Of one nominal size: the heavier, the deeper and the stiffer.
  const sized = [
    /^(UB \d+x\d+x)/,
    /^(UC \d+x\d+x)/,
    /^(\d+U[BC])/,
    /^(L \d+x\d+x)/,
    /^(HSS\d+x\d+x)/,
    /^([SR]HS \d+x\d+x)/,
    /^(CHS [\d.]+x)/,
  ];
  test.each(sized)('%s', (pattern) => {
    const groups = new Map<string, CatalogueShape[]>();
    for (const one of all.filter(({ designation }) => pattern.test(designation))) {
      const key = `${pattern.exec(one.designation)![1]} ${one.family.id}`;
      groups.set(key, [...(groups.get(key) ?? []), one]);
    }
    expect(groups.size).toBeGreaterThan(5);
    for (const group of groups.values()) {
      const byMass = group.toSorted((a, b) => listed(a).mass! - listed(b).mass!);
      for (const [i, one] of byMass.slice(1).entries()) {
        expect(depthOf(one)).toBeGreaterThanOrEqual(depthOf(byMass[i]!));
        // Of tubes with walls so thick the round corners outgrow what they add.
        expect(listed(one).Iz).toBeGreaterThan(listed(byMass[i]!).Iz);
      }
    }
  });
});

describe('searching', () => {
  test.each<[string, string]>([
    ['ipe 3', 'IPE 300'],
    ['310 uc', '310UC158'],
    ['w14x', 'W14x730'],
    ['100x100x4', 'SHS 100x100x4'],
    ['ub 457 67', 'UB 457x191x67'],
    ['L 100×100×10', 'L 100x100x10'],
    ['UPN200', 'UPN 200'],
    ['hss 6x6x1/4', 'HSS6x6x1/4'],
    ['square bar 100', 'Square 100'],
    ['SHS100x5', 'SHS 100x100x5'],
    ['HE300B', 'HEB 300'],
    ['he 300 aa', 'HEAA 300'],
    ['HEA-300', 'HEA 300'],
    ['310UC97', '310UC96.8'],
    ['W310x97', 'W12x65'],
    ['W310x38.7', 'W12x26'],
    ['305x305x97 uc', 'UC 305x305x97'],
    ['l 100x10', 'L 100x100x10'],
    ['heb h = 300 mm', 'HEB 300'],
    ['h > 310 mm ipe', 'IPE 330'],
    ['h > 310 mm mass < 50 kg/m ipe', 'IPE 330'],
  ])('“%s” finds %s first', (text, first) => expect(found(text)[0]).toBe(first));

  test('words of a family, and of its standard', () => {
    expect(found('angles unequal').every((name) => name.startsWith('L '))).toBe(true);
    expect(found('10219').length).toBe(all.filter(({ family }) => family.standard.includes('10219')).length);
    expect(found('nothing of the kind')).toEqual([]);
  });

  test('conditions are compared with their units', () => {
    const deep = found('ipe I > 5000 cm4, mass < 40 kg/m');
    expect(deep).toEqual(['IPE 270', 'IPE A 300']);
    expect(found('hea h >= 490 mm h <= 590 mm')).toEqual(['HEA 500', 'HEA 550', 'HEA 600', 'HEAA 550', 'HEAA 600']);
    expect(found('I > 5000')[0]).toMatch(/“I > 5000” is not understood: .*unit/);
    expect(found('I > 5 m')[0]).toMatch(/is not understood/);
    expect(found('constructor > 5 m')[0]).toMatch(/“constructor” is nothing that can be compared/);
  });

  test('what is too long to be a search is said', () => expect(found('I > '.repeat(60))[0]).toMatch(/longer than 200/));

  test('filters and order', () => {
    const channels = found('', { type: 'channel', sort: 'mass' });
    expect(channels[0]).toBe('75PFC');
    expect(found('', { family: 'UPE', sort: 'depth' }).at(-1)).toBe('UPE 400');
  });

  test('the next lighter and heavier of its family', () => {
    const one = shapeCalled('ipe300')!;
    expect(neighbour(one, 'heavier')!.designation).toBe('IPE 330');
    expect(neighbour(one, 'lighter')!.designation).toBe('IPE 270');
    expect(neighbour(shapeCalled('IPE 600')!, 'heavier')).toBeUndefined();
    expect(shapeCalled('IPE 310')).toBeUndefined();
    expect(['HE300B', 'SHS100x5', 'W310x97', 'hea-300'].map((name) => shapeCalled(name)?.designation)).toEqual(['HEB 300', 'SHS 100x100x5', 'W12x65', 'HEA 300']); // oxfmt-ignore
    const called = new Map<string, string>();
    // No spelling stands for two shapes.
    for (const one of all)
      for (const name of spellingsOf(one)) {
        expect([name, called.get(name) ?? one.designation]).toEqual([name, one.designation]);
        called.set(name, one.designation);
      }
  });
});

test('each family has its words and a standard with a year', () => {
  expect(new Set(all.map(({ family }) => family))).toEqual(new Set(families));
  for (const { words, standard } of families) {
    expect(words).toMatch(/^[A-Z]/);
    expect(standard).toMatch(/^(EN|BS|ASTM|AS|AS\/NZS|IS|ANSI\/ALSC) .*\d/);
  }
});

describe('what only a mesh tells', () => {
  const meshed = all.filter(({ shape }) => isMeshedInCatalogue(shape));

  test('stands in the table for every shape, and is what the mesh says', () => {
    expect(meshed.length).toBeGreaterThan(1250);
    for (const one of meshed) for (const value of Object.values(meshedInCatalogue(one.shape)!)) expect(value).toBeGreaterThan(0);
    const some = fc.sample(fc.constantFrom(...meshed), 8);
    for (const one of some) {
      const [J, Ay, Az] = meshedLine(one).split(',').slice(1).map(Number);
      const { J: ours, Ay: along, Az: across } = meshedInCatalogue(one.shape)!;
      expect([one.designation, ours * 1e8, along * 1e4, across * 1e4].map((value) => (typeof value === 'number' ? value.toPrecision(5) : value))).toEqual([one.designation, ...[J!, Ay!, Az!].map((value) => value.toPrecision(5))]);
    }
  }); // oxfmt-ignore

  test('where a formula gives J it is that of the mesh to 1 %, of tubes that of their standard, at most 4.5 % less', () => {
    const off = meshed.flatMap(({ designation, shape }) => {
      const { J } = shapeProperties(shape);
      if (J === undefined) return [];
      const error = J / meshedInCatalogue(shape)!.J - 1;
      return error > 0.01 || error < (shape.type === 'rhs' ? -0.045 : -0.01) ? [`${designation} ${error}`] : [];
    });
    expect(off).toEqual([]);
  });

  test('a tube weighs what its whole wall does, and carries with 0.93 of it', () => {
    const pounds = (designation: string): number => (listed(shapeCalled(designation)!).mass! * 0.3048) / 0.45359237;
    // Printed: 19.02 and 76.3 lb/ft; 10.79 lb/ft with an area of 2.96 in².
    expect(pounds('HSS6x6x1/4')).toBeCloseTo(19.02, 1);
    expect(pounds('HSS10x10x5/8')).toBeCloseTo(76.3, 0);
    expect(pounds('Pipe 4 Std')).toBeCloseTo(10.79, 1);
    // Printed of tubes and pipes: A in in², I in in⁴.
    const printed = { 'HSS6x6x1/4': [5.24, 28.6], 'Pipe 4 Std': [2.96, 6.82], 'Pipe 8 Std': [7.85, 68.1], 'Pipe 8 XS': [11.9, 100], 'Pipe 12 Std': [13.7, 262] }; // oxfmt-ignore
    for (const [designation, [A, I]] of Object.entries(printed)) {
      const { A: area, Iz } = listed(shapeCalled(designation)!);
      expect(Math.abs(area / 0.0254 ** 2 / A! - 1)).toBeLessThan(0.01);
      expect(Math.abs(Iz / 0.0254 ** 4 / I! - 1)).toBeLessThan(0.005);
    }
  });
});

describe('a designation and what contradicts it', () => {
  const file = (section: object): string => JSON.stringify({ ...emptyModel('t'), sections: [{ id: 's', ...section }] });
  const told = (section: object): string => filled(readModelFile(file(section))).notices.map(({ message }) => message).join(); // oxfmt-ignore
  const { shape } = shapeCalled('IPE 300')!;
  test.each<[object, RegExp]>([
    [{ catalogue: 'IPE 300' }, /^$/],
    [{ catalogue: 'IPE 300', shape }, /^$/],
    [{ catalogue: 'IPE 300', A: 53.8e-4, Iz: 8356e-8 }, /^$/],
    [{ catalogue: 'IPE 300', shape: { ...shape, h: 0.33 } }, /called IPE 300, whose h is 0.3 \(shape, h: 0.33\)/],
    [{ catalogue: 'IPE 300', shape: shapeCalled('SHS 100x100x5')!.shape }, /called IPE 300, which has another shape/],
    [{ catalogue: 'IPE 300', A: 0.01 }, /called IPE 300, whose A is 5.381e-3 .*Take “catalogue” away/],
    [{ catalogue: 'IPE 300', shape, Iz: 1e-5 }, /called IPE 300, whose Iz is 8.356e-5/],
  ])('%j', (section, words) => expect(told(section)).toMatch(words));
});
