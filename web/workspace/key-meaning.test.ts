import { describe, expect, test } from '@jest/globals';
import { meaningOfKey, type KeyMeaning } from './key-meaning';

type Pressed = Parameters<typeof meaningOfKey>[0];
const plain: Pressed = {
  ...{ key: 'a', ctrlKey: false, metaKey: false, altKey: false, shiftKey: false },
  ...{ at: 'sheet', stage: 'geometry', takesPlaces: false },
};
const means = (pressed: Partial<Pressed>): KeyMeaning => meaningOfKey({ ...plain, ...pressed });

describe('a key', () => {
  test('undoes and redoes wherever no text is typed', () => {
    for (const at of ['sheet', 'button', 'elsewhere'] as const) {
      expect(means({ key: 'z', ctrlKey: true, at })).toBe('undo');
      expect(means({ key: 'Z', metaKey: true, shiftKey: true, at })).toBe('redo');
      expect(means({ key: 'y', ctrlKey: true, at })).toBe('redo');
    }
    expect(means({ key: 'z', ctrlKey: true, at: 'text' })).toBe('nothing');
  });

  test('means all on the sheet and on buttons, and not in a list of its own', () => {
    expect((['sheet', 'button', 'elsewhere', 'text'] as const).map((at) => means({ ctrlKey: true, at }))).toEqual([
      ...['all', 'all', 'nothing', 'nothing'],
    ]);
  });

  test('folds the panel, brings planes forward and steps sections on the sheet alone', () => {
    const own = ['q', ']', '[', '.', ','];
    expect(own.map((key) => means({ key }))).toEqual([
      ...['fold the panel', 'next plane', 'previous plane', 'heavier section', 'lighter section'],
    ]);
    expect(own.map((key) => means({ key, at: 'text' }))).toEqual(own.map(() => 'nothing'));
    expect(means({ key: 'q', ctrlKey: true })).toBe('for the tool');
  });

  test('traces a value where results are read', () => {
    expect(means({ key: 'w', stage: 'results' })).toBe('trace');
    expect(means({ key: 'w' })).toBe('for the tool');
  });

  test('begins a place while a tool is given places, whatever has the focus but a text', () => {
    const places = { takesPlaces: true, key: '.' } as const;
    expect((['sheet', 'button', 'elsewhere', 'text'] as const).map((at) => means({ ...places, at }))).toEqual([
      ...['for the tool', 'for the tool', 'for the tool', 'nothing'],
    ]);
    expect(means({ key: '3', at: 'button' })).toBe('nothing');
    expect(means({ key: '3', at: 'button', takesPlaces: true, altKey: true })).toBe('nothing');
    expect(means({ key: 'Escape', at: 'elsewhere' })).toBe('for the tool');
  });
});
