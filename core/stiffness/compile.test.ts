import { describe, expect, test } from '@jest/globals';
import type { Model } from '../model/model';
import { clamp, roller, sketch } from '../test/build';
import { compile, recompile } from './compile';
import { LINE_WIDTH } from './structure';

const model: Model = sketch({
  nodes: [
    ['1', 0, 0],
    ['2', 3, 4],
    ['3', 8, 4],
    ['4', 12, 4],
  ],
  members: [
    ['a', '1', '2'],
    ['b', '2', '3'],
    ['c', '3', '4'],
  ],
  supports: [clamp('1'), roller('3'), roller('4')],
  loads: [
    { type: 'line', member: 'a', from: { at: 1, wy: -2 }, to: { at: 4.5, wy: -2 }, measure: 'length' },
    { type: 'line', member: 'a', axes: 'projected', from: { wy: -10 }, to: { wy: -10 } },
    { type: 'line', member: 'c', from: { wy: -3 }, to: { wy: -3 } },
  ],
  extra: {
    cases: [{ id: 'Q', category: 'permanent', selfWeight: 1 }],
    materials: [{ id: 'm', E: 1e9, density: 1000 }],
    gravity: 10,
  },
});
const rows = ({ lineLoads }: ReturnType<typeof compile>, m: number): number[][] =>
  Array.from({ length: lineLoads.first[m + 1]! - lineLoads.first[m]! }, (_, i) =>
    [...lineLoads.values.subarray(LINE_WIDTH * (lineLoads.first[m]! + i))].slice(0, LINE_WIDTH).map((x) => Number(x.toFixed(9))),
  );
const moved = (id: string, x: number): Model => ({
  ...model,
  nodes: model.nodes.map((node) => (node.id === id ? { ...node, x } : node)),
});

describe('loads become rows in local axes', () => {
  test('self weight first, then as they stand in the model: by length, and on the plan of a slope', () => {
    // A = 0.005 m², 1,000 kg/m³ and 10 m/s² weigh 50 N/m; the member rises 4 in 3.
    expect(rows(compile(model), 0)).toEqual([
      [0, 5, -40, -40, -30, -30, 0, 0],
      [1, 4.5, -1.6, -1.6, -1.2, -1.2, 0, 0],
      [0, 5, -4.8, -4.8, -3.6, -3.6, 0, 0],
    ]);
  });
});

describe('what is compiled again', () => {
  const former = { model, structure: compile(model) };

  test('nothing, where nothing has changed', () => {
    const { structure, changed } = recompile({ ...model, title: 'renamed' }, former);
    expect(changed).toEqual([]);
    expect(structure.axes).toBe(former.structure.axes);
    expect(structure.lineLoads).toBe(former.structure.lineLoads);
  });

  test('the members on a node that moved, with their loads; others keep their rows', () => {
    const { structure, changed } = recompile(moved('4', 14), former);
    expect(changed).toEqual([2]);
    expect(structure.lengths[2]).toBe(6);
    expect(rows(structure, 2).map((row) => row[1])).toEqual([6, 6]);
    expect(rows(structure, 0)).toEqual(rows(former.structure, 0));
    expect(former.structure.lengths[2]).toBe(4);
    expect(rows(former.structure, 2).map((row) => row[1])).toEqual([4, 4]);
  });

  test('a member that was edited; the table of loads too where it weighs something else', () => {
    const sections = [...model.sections, { ...model.sections[0]!, id: 'thick', A: 0.05 }];
    const before = { ...model, sections };
    const thick = { ...before, members: before.members.map((one) => (one.id === 'b' ? { ...one, section: 'thick' } : one)) };
    const { structure, changed } = recompile(thick, { model: before, structure: compile(before) });
    expect(changed).toEqual([1]);
    expect(rows(structure, 1)).toEqual([[0, 5, 0, 0, -500, -500, 0, 0]]);
  });

  test.each<[string, Partial<Model>]>([
    ['other supports', { supports: [...model.supports] }],
    ['other sections', { sections: [...model.sections] }],
    ['nodes in another order', { nodes: [...model.nodes].reverse() }],
    ['a node more', { nodes: [...model.nodes, { id: '5', x: 0, y: 9 }] }],
    ['a member less', { members: model.members.slice(1), loads: model.loads.slice(2) }],
  ])('everything, with %s', (_, part) => {
    const next = { ...model, ...part };
    const { structure, changed } = recompile(next, former);
    expect(changed).toBeUndefined();
    expect(structure).toEqual(compile(next));
  });

  test.each<[string, Partial<Model>]>([
    ['another case', { cases: [...model.cases, { id: 'W', category: 'wind' }] }],
    ['another gravity', { gravity: 5 }],
    [
      'a load moved to another member',
      { loads: model.loads.map((load, i) => (i === 2 ? { ...load, member: 'b' } : load)) as Model['loads'] },
    ],
    ['a load less', { loads: model.loads.slice(1) }],
    [
      'a load of another kind',
      { loads: [{ id: 'x1', type: 'point', case: 'Q', member: 'a', at: 0.5, fy: -1 }, ...model.loads.slice(1)] },
    ],
  ])('all loads, with %s, while the members stay', (_, part) => {
    const next = { ...model, ...part };
    const { structure, changed } = recompile(next, former);
    expect(changed).toEqual([]);
    expect(structure.axes).toBe(former.structure.axes);
    expect(structure).toEqual(compile(next));
  });
});
