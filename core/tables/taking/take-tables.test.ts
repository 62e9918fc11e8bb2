import { describe, expect, test } from '@jest/globals';
import canopy from '../../../examples/canopy-walk.rbm.json';
import lintel from '../../../examples/lintel.rbm.json';
import { checkModel } from '../../model/check';
import { applyIntent } from '../../model/edits/apply-intent';
import { emptyModel, type Model } from '../../model/model';
import { listed } from '../../sections/catalogue/listed';
import { shapeCalled } from '../../sections/catalogue/search';
import { csvParts } from '../files/csv';
import { readCsv } from '../files/read-csv';
import { readXlsx } from '../files/read-xlsx';
import { xlsxFile } from '../files/xlsx';
import { scheduleLists, schedules } from '../schedules/lists';
import { mutatedText, mutations } from '../../test/mutations';
import { Random } from '../../test/random';
import type { Grid } from './grid';
import { readHead, understand } from './heads';
import { takeTables, type Taken } from './take-tables';

const catalogue = { listed, shapeCalled };
const modelOf = (file: unknown): Model => checkModel(file).model!;
const take = (model: Model, grids: readonly Grid[] | string): Taken => {
  if (typeof grids === 'string') throw new Error(grids);
  return takeTables(
    model,
    grids.map((grid) => understand(grid, model, catalogue)),
    'Take tables',
    catalogue,
  );
};
const after = (model: Model, { intent }: Taken): Model => {
  const applied = applyIntent(model, intent!);
  if (!applied.ok) throw new Error(applied.faults[0]!.message);
  return applied.model;
};
const faults = ({ rows }: Taken): string[] => rows.flat().flatMap(({ line, why }) => (why ? [`${line}: ${why}`] : []));
const tablesOf = (model: Model) =>
  scheduleLists.map((list) => ({
    title: schedules[list].words,
    columns: schedules[list].columns(model, catalogue),
    rows: schedules[list].rows(model),
  }));

describe('what this program wrote', () => {
  test.each([
    ['a plane beam', lintel],
    ['a walkway in space', canopy],
  ])('%s: its workbook says the same again', async (_, file) => {
    const model = modelOf(file);
    const taken = take(model, await readXlsx(await xlsxFile(tablesOf(model) as never)));
    expect(faults(taken)).toEqual([]);
    expect(taken.counts).toMatchObject({ new: 0, changed: 0 });
    expect(taken.counts.same).toBeGreaterThan(10);
  });
});

test('a workbook fills an empty model, each table on what stands before it', async () => {
  const model = modelOf(lintel);
  const { cases } = model;
  const taken = take({ ...emptyModel('Copy'), cases }, await readXlsx(await xlsxFile(tablesOf(model) as never)));
  const copy = after({ ...emptyModel('Copy'), cases }, taken);
  expect([taken.counts.changed, copy.nodes, copy.members.map(({ id, start, end }) => [id, start, end])]).toEqual([
    0,
    model.nodes,
    model.members.map(({ id, start, end }) => [id, start, end]),
  ]);
  expect(copy.supports).toEqual(model.supports);
  expect(copy.combinations.length).toBe(model.combinations.filter(({ type }) => type === 'sum').length);
});

describe('tables of others', () => {
  const shed = (): Model => ({ ...emptyModel('Shed'), cases: modelOf(lintel).cases.slice(0, 1) });
  const csv = (text: string, title = 'table'): readonly Grid[] | string => readCsv(text, title);

  test('semicolons, decimal commas, a title above, units under the heads', () => {
    const nodes = csv(
      'Survey of the potting shed\n\nPoint;X coordinate;Y coordinate;Remark\n;mm;mm;\nA;0;0;\nB;3600,5;0;corner\n;3600,5;2400;\n',
    );
    const taken = take(shed(), nodes);
    expect(taken.counts).toEqual({ new: 3, changed: 0, same: 0, faulty: 0 });
    expect(after(shed(), taken).nodes).toEqual([
      { id: 'A', x: 0, y: 0 },
      { id: 'B', x: expect.closeTo(3.6005, 12), y: 0 },
      { id: '1', x: expect.closeTo(3.6005, 12), y: 2.4 },
    ]);
  });

  test('members between nodes of the same file, whose heads could be joints as well', () => {
    const model = { ...shed(), sections: modelOf(lintel).sections, materials: modelOf(lintel).materials };
    const grids = [
      { title: 'bars', rows: [['Bar', 'Start', 'End'], ['a', '1', '2'], ['b', '2', '3'], ['c', '1', '1']] },
      { title: 'points', rows: [['No.', 'X [cm]', 'Y [cm]'], ['1', '0', '0'], ['2', '120', '0']] },
    ]; // oxfmt-ignore
    const taken = take(model, grids);
    expect(taken.counts).toMatchObject({ new: 3, faulty: 2 });
    expect(faults(taken)).toEqual([
      expect.stringMatching(/^3: To node: “3” is not one of: 1, 2/),
      expect.stringMatching(/^4: Member “c” ends at the node where it begins/),
    ]);
    expect(after(model, taken)).toMatchObject({ nodes: [{ x: 0 }, { x: 1.2 }], members: [{ id: 'a', start: '1', end: '2' }] });
  });

  test('forces on nodes and loads along members, in the units and the sense of the table', () => {
    const model = modelOf(lintel);
    const before = model.loads.length;
    const taken = take(model, [
      { title: 'forces', rows: [['Case', 'Node', 'Fy (N)', 'Mz'], ['Q1', '4', '-2500', '3'], ['Q9', '4', '1', '']] },
      { title: 'lines', rows: [['Member', 'Load case', 'qy (kN/m)'], ['a', 'Q1', '-4']] },
    ]); // oxfmt-ignore
    expect(faults(taken)).toEqual([expect.stringMatching(/^3: Case: “Q9” is not one of/)]);
    expect(after(model, taken).loads.slice(before)).toMatchObject([
      { type: 'node', node: '4', fy: -2500, mz: 3000 },
      { type: 'line', member: 'a', from: { wy: -4000 }, to: { wy: -4000 } },
    ]);
  });

  test('rows that say too little, twice the same, or what could mean two things', () => {
    const model = modelOf(lintel);
    const taken = take(model, [
      { title: 'Nodes', rows: [['Node', 'X', 'Y'], ['1', '0', '0.5'], ['1', '0', '1'], ['9', '3', ''], ['8', 'far', '0']] },
      { title: 'Supports', rows: [['Node', 'ux', 'uy', 'rz'], ['4', 'yes', '1', 'no']] },
    ]); // oxfmt-ignore
    expect(faults(taken)).toEqual([
      '3: “1” stands in line 2 already',
      '4: Y is missing',
      expect.stringMatching(/^5: X: “far” is not a length/),
      expect.stringMatching(/^2: Along Y: “1” may mean held or a stiffness of 1/),
    ]);
    expect(taken.counts).toEqual({ new: 0, changed: 1, same: 0, faulty: 4 });
  });

  test('what is no table of a structure is not taken', () => {
    const [grid] = csv('Plant,Price\nFern,3.20\nPalm,18.00\n') as readonly Grid[];
    expect(understand(grid!, shed()).kind).toBeUndefined();
    expect(csv('')).toMatch(/nothing in the file/);
    expect(csv('Node,X\n"1,2\n3,4')).toMatch(/quotation mark in line/);
  });

  test('a comma that may divide thousands is left as it is, and refused where a number is asked for', () => {
    const taken = take(shed(), csv('Node;X;Y\n1;1,000;0\n'));
    expect(faults(taken)).toEqual([expect.stringMatching(/^2: X: “1,000” is not a length: a comma cannot be read for certain/)]);
  });

  test.each([
    ['X coordinate (mm)', { name: 'x', unit: 'mm' }],
    ['Fy, kN', { name: 'fy', unit: 'kN' }],
    ['w in kN/m', { name: 'w', unit: 'kN/m' }],
    ['Node (start)', { name: 'node start' }],
    ['A (cm²)', { name: 'a', unit: 'cm²' }],
    ['', { name: '' }],
  ])('the head “%s”', (head, read) => expect(readHead(head)).toEqual(read));
});

test('files that are no workbook are refused in words, whatever is wrong with them', async () => {
  const whole = await xlsxFile(tablesOf(modelOf(lintel)).slice(0, 1) as never);
  const chance = new Random(11);
  for (let i = 0; i < mutations(60); i++) {
    const broken = whole.slice(0, chance.of([whole.length, chance.below(whole.length)]));
    for (let k = chance.below(9); k > 0; k--) broken[chance.below(Math.max(1, broken.length))] = chance.below(256);
    const read = await readXlsx(broken);
    expect(typeof read === 'string' ? read : 'tables').toMatch(/can be read|nothing in the file|too large|tables/);
  }
  expect(await readXlsx(new Uint8Array(8))).toMatch(/no XLSX workbook/);
});

test('tables of letters that are no table any more are told row by row, and nothing of them is half taken', () => {
  const model = modelOf(lintel);
  const [nodes, members] = tablesOf(model);
  const whole = [...csvParts(nodes! as never, 'point'), ...csvParts(members! as never, 'point')].join('');
  const chance = new Random(5);
  for (let i = 0; i < mutations(100); i++) {
    const grids = readCsv(mutatedText(whole, chance), chance.of(['Nodes', 'Members', 'x']));
    if (typeof grids === 'string') {
      expect(grids).not.toBe('');
      continue;
    }
    const { intent, counts } = take(model, grids);
    expect(Object.values(counts).every((count) => count >= 0)).toBe(true);
    if (!intent) continue;
    const applied = applyIntent(model, intent);
    if (applied.ok) for (const { x, y } of applied.model.nodes) expect([x, y].every(Number.isFinite)).toBe(true);
    else expect(applied.faults[0]!.message).toMatch(/\S.{8,}/);
  }
});

test('csv of this program with a decimal comma comes back', () => {
  const model = modelOf(lintel);
  const [nodes] = tablesOf(model);
  const text = [...csvParts(nodes! as never, 'comma')].join('');
  expect(take(model, readCsv(text, 'Nodes')).counts).toEqual({ new: 0, changed: 0, same: model.nodes.length, faulty: 0 });
});
