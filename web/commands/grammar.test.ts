import { describe, expect, test } from '@jest/globals';
import { emptyModel } from '@rigid-beam/core/model/model';
import type { Subject } from '@rigid-beam/drawing/display-list';
import { defaultDisplay } from '@rigid-beam/core/quantities/display';
import { commandsFor } from './all';
import { matching, onEnter } from './command';
import { completed, notationOf, readArguments, senseOf, understood } from './grammar';
import { portal } from './test/desk';

const commands = commandsFor(defaultDisplay);

describe('the grammar of arguments', () => {
  const model = emptyModel('Shed');
  const given = {
    count: { kind: 'count', words: 'how often' },
    way: { kind: 'vector', after: 'times', words: 'across by up' },
    linked: { kind: 'flag', after: 'linked', words: '', optional: true },
  } as const;

  test('what stands first, what follows keywords in any order, and what may be left out', () => {
    expect(readArguments(given, '4 times 2*1.5 by 0', model)).toEqual({ count: 4, way: [3, 0, 0] });
    expect(readArguments(given, '4 linked times 300 cm', model)).toEqual({ count: 4, way: [3, 0, 0], linked: true });
    expect(notationOf(given)).toBe('4 (how often) times 3 by 0 (across by up) [linked]');
    expect(completed(given, 'repeat 4 times 3 ')).toEqual({ keyword: 'linked', text: 'repeat 4 times 3 linked ' });
    expect(completed(given, 'repeat 4 ti')).toEqual({ keyword: 'times', text: 'repeat 4 times ' });
    expect(completed(given, 'repeat 4 times 3 linked')).toBeUndefined();
  });

  test.each([
    ['4', /“times” is missing/],
    ['times 3', /What is missing: how often/],
    ['4 times 3 kN', /not a length.*Write:/],
    ['4 times 3 linked twice', /“twice” is not understood/],
    ['-1 times 3', /not a whole number/],
  ])('%s is refused with how it is written', (text, words) => expect(readArguments(given, text, model)).toMatch(words));
});

describe('before Enter', () => {
  const named = (name: string) => commands.find((one) => one.name === name)!;

  test('what is understood is said back, and why something cannot be', () => {
    const desk = portal();
    expect(named('Move').preview!(desk.sheet, '2 by 1')).toEqual({
      isGood: true,
      words: expect.stringMatching(/^Move .*: 2 m by 1 m/),
    });
    expect(named('Move').preview!(desk.sheet, 'sideways')).toEqual({
      isGood: false,
      words: expect.stringMatching(/not a length/),
    });
    desk.selection = [];
    expect(named('Split into').preview!(desk.sheet, '3')).toEqual({ isGood: false, words: 'Select members first.' });
    expect(desk.run('split into 3')).toBe('Select members first.');
    expect(desk.run('merge nodes')).toBe('Select two nodes or more first.');
  });

  test('stray letters do nothing, and no command that changes the model is run by the beginning of a word', () => {
    const first = (text: string) => onEnter(matching(commands, text)[0]!, text);
    expect(['m', 're', 'j'].map(first)).toEqual(['nothing', 'nothing', 'nothing']);
    expect(['remo', 'joi', 'merg'].map(first)).toEqual(['fill in', 'fill in', 'fill in']);
    expect(['remove', 'join members', 'move 2 by 1', 'renumber nodes', 'zoom in', 'whole struct'].map(first)).toEqual(
      new Array(6).fill('run'),
    );
    const changing = commands.filter(({ changes }) => changes).map(({ name }) => name);
    expect(changing).toEqual(expect.arrayContaining(['Move', 'Remove', 'Merge nodes', 'Clean up everything that is found']));
  });

  test('a load is put along the run that is selected, in the acting case', () => {
    const desk = portal();
    desk.selection = desk.model.members.map(({ id }): Subject => ({ kind: 'member', id }));
    expect(desk.run('load along the selection -1.2 to 0 along x')).toBeUndefined();
    expect(desk.model.loads).toEqual([
      expect.objectContaining({ type: 'chain', case: 'G', from: { wx: -1200 }, to: { wx: 0 }, members: expect.any(Array) }),
    ]);
    expect(desk.run('load along the selection 3 m')).toMatch(/no load per length/);
  });
});

describe('where Z points up', () => {
  const display = { ...defaultDisplay, up: 'Z', strong: 'y' } as const;
  const flat = { ...emptyModel('Shed'), display };
  const spatial = { ...flat, space: 'space' } as const;
  const axis = { axis: { kind: 'axis', words: 'about which axis' } } as const;

  test('an axis is read and said by its letter, and counted in its sense; in the plane what turns does so as it is seen', () => {
    expect(readArguments(axis, 'y', spatial)).toEqual({ axis: 'z' });
    expect(understood(axis, { axis: 'z' }, spatial)).toBe('Y');
    expect([senseOf(spatial, 'z'), senseOf(spatial, 'y'), senseOf(flat, 'z')]).toEqual([-1, 1, 1]);
  });

  test('commands have these letters in their names, and names of the user’s own stay as they are', () => {
    const names = commandsFor(display).map(({ name }) => name);
    expect(names).toContain('Grid lines across Z');
    expect(names.some((name) => /[{}]/.test(name))).toBe(false);
    expect(readArguments({ at: { kind: 'section', words: 'its section' } }, '{Y}', spatial)).toMatch(/“\{Y\}”/);
  });
});
