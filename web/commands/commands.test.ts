import { describe, expect, test } from '@jest/globals';
import { emptyModel } from '@rigid-beam/core/model/model';
import { solve } from '@rigid-beam/core/analysis/session';
import { defaultDisplay } from '@rigid-beam/core/quantities/display';
import { commandsFor } from './all';
import { chosenOf } from '../editor/chosen';
import { matching } from './command';
import { readTurn, readVector } from './motions';
import { Desk, portal, counts } from './test/desk';

const commands = commandsFor(defaultDisplay);

describe('commands typed behind /', () => {
  test('names are found by their beginning, by words, and with what follows them', () => {
    expect(matching(commands, 'renum').map(({ name }) => name)).toEqual([
      'Renumber nodes in reading order',
      'Renumber members in reading order',
    ]);
    expect(matching(commands, 'whole struct')[0]!.name).toBe('Show the whole structure');
    expect(matching(commands, 'copy mirrored at 6')[0]!.name).toBe('Copy mirrored');
    expect(matching(commands, 'zebra')).toEqual([]);
    expect(new Set(commands.map(({ name }) => name)).size).toBe(commands.length);
  });

  test.each<[string, [number, number]]>([
    ['move 2 by 1', [5, 4]],
    ['copy 20 by 0', [10, 8]],
    ['copy mirrored at 12', [8, 7]],
    ['mirror at 3 along y', [5, 4]],
    ['turn 30', [5, 4]],
    ['repeat 2 times 12 by 0', [11, 10]],
    ['repeat 1 times 20 by 0 linked', [10, 11]],
    ['split into 2', [9, 8]],
    ['split at 1.5', [9, 8]],
    ['renumber nodes', [5, 4]],
  ])('%s', (text, expected) => {
    const desk = portal();
    expect(desk.run(text)).toBeUndefined();
    expect(counts(desk)).toEqual(expected);
    if (!/copy 20|repeat 1 |mirror at/.test(text)) expect(solve(desk.model).status).toBe('solved');
  });

  test('a parameter is let be so much, new ones are read, and what cannot be says why', () => {
    const desk = portal();
    expect(desk.run('let rise = 4 m')).toBeUndefined();
    expect(desk.run('let half = rise/2')).toBeUndefined();
    expect(desk.run('let rise = 5')).toBeUndefined();
    expect(desk.model.parameters).toEqual([
      { id: 'rise', value: 5, unit: 'm' },
      { id: 'half', value: 2.5, unit: 'm' },
    ]);
    expect(desk.run('let rise = 5 kN')).toMatch(/not one for m/);
    expect(desk.run('let kN = 5')).toMatch(/is read as a unit/);
    expect(desk.run('let rise = 2 half')).toMatch(/depends on itself/);
    expect(desk.run('let rise')).toMatch(/Write a name and its value/);
  });

  test.each<[string, RegExp]>([
    ['move sideways', /“sideways” is not a length/],
    ['move 1 by 2 by 3', /out of plane/],
    ['move 1 by 2 by 3 by 4', /at most three parts/],
    ['turn 360', /whole circles/],
    ['turn 20 about x', /only be turned within its plane/],
    ['repeat often', /“often” is not a whole number.*Write: 4 .*times/],
    ['repeat 3 times 0 by 0', /no length/],
    ['split into 1', /2 to 200 parts/],
    ['split at 40', /not cut between its ends/],
    ['split into halves', /“halves” is not a whole number/],
    ['mirror somewhere', /where the mirror stands/],
    ['join members', /differ|one line|meets|follow/],
    ['select group roof', /There is no group “roof”.*columns/],
    ['select section oak', /No member has the section/],
    ['select node 77', /There is no node “77”/],
  ])('%s is refused in words, and nothing changes', (text, words) => {
    const desk = portal();
    const before = desk.model;
    expect(desk.run(text)).toMatch(words);
    expect(desk.model).toBe(before);
  });

  test('a plane frame becomes a hall in three commands', () => {
    const desk = portal();
    expect(desk.run('make it a space model clamped')).toBeUndefined();
    expect(desk.looks).toEqual(['corner']);
    desk.selectAll();
    expect(desk.run('repeat 5 times 60 about y')).toBeUndefined();
    expect(solve(desk.model).solution).toBeDefined();
  });

  test('typical structures and grid lines', () => {
    const desk = new Desk(emptyModel('Walk'));
    expect(desk.run('place truss span 17.5, panels 7, web zigzag')).toBeUndefined();
    expect(counts(desk)).toEqual([15, 27]);
    expect(Math.max(...desk.model.nodes.map(({ x }) => x))).toBe(17.5);
    expect(desk.run('grid lines across x 7×2.5')).toBeUndefined();
    expect(desk.run('grid lines across x 7×3')).toBeUndefined();
    expect(Math.max(...desk.model.nodes.map(({ x }) => x))).toBe(21);
    expect(desk.run('grid lines across x 7×2 stay')).toBeUndefined();
    expect(Math.max(...desk.model.nodes.map(({ x }) => x))).toBe(21);
    expect(desk.run('place truss colour 3')).toMatch(/begins with none of: span, panels/);
    expect(desk.run('place truss panels many')).toMatch(/^Panels: /);
    expect(desk.run('place arch line ellipse')).toMatch(/choose parabola, circle/);
    expect(desk.run('place lattice tower')).toBeUndefined();
    expect([desk.model.space, ...desk.looks]).toEqual(['space', 'corner']);
  });

  test('what is selected and hidden', () => {
    const desk = portal();
    desk.run('select upright members');
    expect(chosenOf(desk.selection).members).toHaveLength(2);
    desk.run('invert the selection');
    expect(chosenOf(desk.selection)).toMatchObject({ nodes: { length: 5 }, members: { length: 2 } });
    desk.run('select group columns');
    desk.run('group the selection props');
    expect(desk.model.groups!.map(({ id }) => id)).toEqual(['columns', 'rafters', 'props']);
    desk.run('show only the selection');
    expect([...desk.hidden].sort()).toEqual(['member:c', 'member:d', 'node:5']);
    desk.run('show all that is hidden');
    expect(desk.hidden.size).toBe(0);
    desk.run('select member a');
    desk.run('select members like this one');
    expect(chosenOf(desk.selection).members).toHaveLength(4);
    desk.run('select what is connected');
    expect(chosenOf(desk.selection).nodes).toHaveLength(5);
  });

  test('a bay is stretched, with all beyond it or alone; all on a plane is selected', () => {
    const desk = portal();
    const across = (): number[] => [...new Set(desk.model.nodes.map(({ x }) => x))].sort((a, b) => a - b);
    expect(desk.run('stretch x beyond 6 by 1.5')).toBeUndefined();
    expect(across()).toEqual([0, 7.5, 13.5]);
    expect(desk.run('stretch x at 7.5 by -0.5')).toBeUndefined();
    expect(across()).toEqual([0, 7, 13.5]);
    expect(desk.run('stretch x beyond 20 by 1')).toMatch(/No node stands there/);
    expect(desk.run('stretch sideways')).toMatch(/is not an axis: .*Write: y .*beyond/);
    desk.run('select all on a plane x at 13.5');
    expect(chosenOf(desk.selection).nodes).toHaveLength(2);
    expect(desk.run('select all on a plane x at 99')).toMatch(/No node/);
    desk.run('remove group columns');
    expect(desk.model.groups!.map(({ id }) => id)).toEqual(['rafters']);
  });

  test('clean up mends everything in one step', () => {
    const desk = portal();
    const like = { section: 'beam', material: 'steel' };
    desk.sheet.editor.edit({
      type: 'draw',
      nodes: [
        { id: '8', x: -1, y: 2 },
        { id: '9', x: 13, y: 2 },
      ],
      members: [
        { id: 'tie', start: '8', end: '9', ...like },
        { id: 'twin', start: '1', end: '2', ...like },
      ],
    });
    expect(desk.run('clean up')).toBeUndefined();
    expect(counts(desk)).toEqual([9, 9]);
  });
});

describe('ways and turns', () => {
  test.each([
    ['3', [3, 0, 0]],
    ['3 by -1.5 m', [3, -1.5, 0]],
    ['0 by 0 by 18/4', [0, 0, 4.5]],
  ])('%s', (text, expected) => expect(readVector(text, 'm')).toEqual(expected));

  test('a turn names its axis', () => {
    const [y, z] = [{ axis: 'y', sign: 1 } as const, { axis: 'z', sign: -1 } as const];
    expect(readTurn('45', [1, 2, 3], y)).toEqual({ kind: 'turn', about: [1, 2, 3], axis: 'y', degrees: 45 });
    expect(readTurn('0.5 rad', [0, 0, 0], z)).toMatchObject({ axis: 'z', degrees: expect.closeTo(-28.6479, 3) });
    expect(readTurn('around', [0, 0, 0], z)).toMatch(/not an angle/);
  });
});

describe('the schedule and the underlay by command', () => {
  const picture = { image: 'data:image/png;base64,AA==', width: 200, height: 100, x: 0, y: 0, metresPerPixel: 0.1 };

  test('cells are written by the names of columns and rows, all or none', () => {
    const desk = portal();
    const [a, b] = desk.model.nodes.filter(({ y }) => y === 0).map(({ id }) => id);
    expect(desk.run(`write into nodes y of ${a}, ${b} to 0.25 + 0.5`)).toBeUndefined();
    expect(desk.model.nodes.filter(({ y }) => y === 0.75).map(({ id }) => id)).toEqual([a, b]);
    const before = desk.model;
    expect(desk.run(`write into nodes y of ${a}, nowhere to 1`)).toMatch(/no row “nowhere”/);
    expect(desk.run('write into nodes weight of 1 to 1')).toMatch(/no column “weight”.*Node, X, Y/);
    expect(desk.run('write into nodes far')).toMatch(/Write: x of 3/);
    expect(desk.model).toBe(before);
    desk.selectAll();
    expect(desk.run('write into members behaviour of the selection to truss')).toBeUndefined();
    expect(desk.model.members.every(({ behaviour }) => behaviour === 'truss')).toBe(true);
  });

  test('an underlay is calibrated, measured, moved, turned and dimmed', () => {
    const desk = portal();
    expect(desk.run('calibrate the underlay 0 by 0, 5 by 0, 6')).toBe('nothing of this name');
    desk.sheet.editor.edit({ type: 'underlay', change: picture });
    expect(desk.run('calibrate the underlay 0 by 0, 5 by 0, 6')).toBeUndefined();
    expect(desk.model.underlay?.metresPerPixel).toBeCloseTo(0.12, 12);
    expect(desk.run('calibrate the underlay 0 by 0, 0 by 0, 6')).toMatch(/are one/);
    expect(desk.run('calibrate the underlay 0 by 0, 5 by 0')).toMatch(/true distance/);
    expect(desk.run('measure a distance 0 by 0, 3 by 4')).toBeUndefined();
    expect(desk.said).toBe('Measured: 5 m');
    desk.run('move the underlay 2 by -1');
    desk.run('turn the underlay 30');
    desk.run('dim the underlay 40%');
    expect(desk.model.underlay).toMatchObject({ x: 2, y: -1, angle: 30, strength: 0.4 });
    expect(desk.run('dim the underlay 140')).toMatch(/0 to 100/);
    desk.run('take the underlay away');
    expect(desk.model.underlay).toBeUndefined();
  });

  test('a typical structure stands where the command says', () => {
    const desk = new Desk(emptyModel('Shed'));
    expect(desk.run('place portal frame at 6 by 2')).toBeUndefined();
    expect([Math.min(...desk.model.nodes.map(({ x }) => x)), Math.min(...desk.model.nodes.map(({ y }) => y))]).toEqual([6, 2]);
    expect(desk.run('place portal frame at nowhere')).toMatch(/is not a length/);
  });
});
