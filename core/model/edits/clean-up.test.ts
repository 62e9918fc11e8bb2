import { describe, expect, test } from '@jest/globals';
import { checkModel } from '../check';
import { findDefects } from '../defects';
import { gridThrough, linesOf, respace } from '../grid-lines';
import { emptyModel } from '../model';
import { connected, inverted, membersAlong, membersLike, onPlane } from '../selecting';
import { readingNames } from './reading-order';
import { edited, placed } from '../../test/edited';

describe('clean-up', () => {
  const messy = checkModel({
    ...emptyModel('messy'),
    nodes: [
      [0, 0],
      [4, 0],
      [4, 0.0005],
      [4, 3],
      [2, -1],
      [2, 1],
      [9, 9],
      [1, 0],
      [3, 0],
      [4.03, 3],
      [8, 3],
    ].map(([x, y], i) => ({ id: String(i + 1), x, y })),
    members: [
      ['a', 1, 2],
      ['b', 3, 4],
      ['c', 5, 6],
      ['d', 8, 9],
      ['e', 6, 5],
      ['f', 10, 11],
    ].map(([id, start, end]) => ({ id, start: String(start), end: String(end), section: 'beam', material: 'steel' })),
  }).model!;

  test('finds each kind, and each repair leaves less to mend', () => {
    const found = findDefects(messy);
    expect(new Set(found.map(({ kind }) => kind))).toEqual(
      new Set(['coincident', 'almost', 'idle', 'doubled', 'overlap', 'crossing', 'unjoined']),
    );
    for (const { intent, kind } of found) {
      const after = findDefects(edited(messy, intent));
      expect(after.filter((one) => one.kind === kind).length).toBeLessThan(found.filter((one) => one.kind === kind).length);
    }
  });

  test('all repairs one after the other leave nothing', () => {
    let model = messy;
    for (let i = 0; i < 30; i++) {
      const [first] = findDefects(model);
      if (!first) break;
      model = edited(model, first.intent);
    }
    expect(findDefects(model)).toEqual([]);
  });
});

describe('names, selections and grid lines', () => {
  const frame = placed('storeys');

  test('reading order names from the ground up, and renaming all at once keeps what refers to them', () => {
    const shuffled = edited(frame, { type: 'rename', list: 'nodes', names: { '1': '12', '12': '1' } });
    const names = readingNames(shuffled, 'nodes');
    expect(names).toEqual({ '1': '12', '12': '1' });
    const back = edited(shuffled, { type: 'rename', list: 'nodes', names });
    expect(back.nodes.map(({ id }) => id)).toEqual(frame.nodes.map(({ id }) => id));
    expect(back.supports).toEqual(frame.supports);
  });

  test('by direction, alike, level, connected, inverted', () => {
    expect(membersAlong(frame, 'vertical')).toHaveLength(12);
    expect(membersAlong(frame, 'horizontal')).toHaveLength(9);
    expect(membersAlong(frame, 'inclined')).toEqual([]);
    expect(membersLike(frame, frame.members[0]!)).toHaveLength(21);
    expect(onPlane(frame, 'y', 4)).toMatchObject({ nodes: { length: 4 }, members: { length: 3 } });
    expect(connected(frame, ['1']).members).toHaveLength(21);
    expect(inverted(frame, connected(frame, ['1']))).toEqual({ nodes: [], members: [] });
  });

  test('the structure follows its grid lines when it is told to', () => {
    const grid = gridThrough(frame, 'x')!;
    expect(linesOf('x', grid).map(({ name, at }) => `${name} ${at}`)).toEqual(['A 0', 'B 6', 'C 12', 'D 18']);
    const set = edited(frame, { type: 'set', settings: { grid: { x: grid } } });
    const wider = edited(set, respace(set, 'x', { ...grid, steps: [6, 7.5, 6] }, 'follow'));
    expect([...new Set(wider.nodes.map(({ x }) => x))]).toEqual([0, 6, 13.5, 19.5]);
    expect(edited(set, respace(set, 'x', { ...grid, steps: [5] }, 'stay')).nodes).toEqual(set.nodes);
  });

  test('only one line of a level moves when that is asked for', () => {
    const after = edited(frame, { type: 'stretch', axis: 'y', beyond: 4, by: 0.5, what: 'line' });
    expect([...new Set(after.nodes.map(({ y }) => y))]).toEqual([0, 4.5, 7.2, 10.4]);
  });

  test('groups lose what is removed, and go when nothing is left', () => {
    const columns = frame.groups!.find(({ id }) => id === 'columns')!.members!;
    const after = edited(frame, { type: 'remove', list: 'members', keys: columns });
    expect(after.groups!.map(({ id }) => id)).toEqual(['beams']);
    expect(checkModel({ ...frame, groups: [{ id: 'g', nodes: ['99'] }] }).notices[0]!.message).toMatch(/no node “99”/);
  });
});
