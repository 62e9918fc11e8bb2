import { expect, test } from '@jest/globals';
import { defaultDisplay } from '@rigid-beam/core/quantities/display';
import { commandsFor } from './all';
import { matching } from './command';
import { carriedOut, entered, keyInField, leadsToCommands, saidBack } from './typing';
import { portal } from './test/desk';

const commands = commandsFor(defaultDisplay);
const first = (text: string) => matching(commands, text)[0]!;

test('a stroke leads to the commands from everywhere, from a text with Control, and never over a dialog', () => {
  const stroke = { key: '/', ctrlKey: false, metaKey: false, altKey: false, isTrusted: true, isInText: false, hasDialog: false };
  expect(leadsToCommands(stroke)).toBe(true);
  expect(leadsToCommands({ ...stroke, isInText: true })).toBe(false);
  expect(leadsToCommands({ ...stroke, isInText: true, ctrlKey: true })).toBe(true);
  for (const but of [{ key: '7' }, { hasDialog: true }, { isTrusted: false }, { metaKey: true }, { altKey: true }])
    expect(leadsToCommands({ ...stroke, ...but })).toBe(false);
});

test('what stands behind a name is said back, with the word that it may become; a name alone says nothing', () => {
  const { sheet } = portal();
  expect(saidBack(first('move'), sheet, 'mo')).toEqual({});
  expect(saidBack(first('move'), sheet, 'move ')).toEqual({});
  expect(saidBack(first('move'), sheet, 'move 2 by 1').said?.isGood).toBe(true);
  expect(saidBack(first('move'), sheet, 'move sideways').said).toEqual({
    isGood: false,
    words: expect.stringMatching(/not a length/),
  });
  expect(saidBack(first('move'), undefined, 'move 2 by 1').said).toBeUndefined();
  expect(saidBack(first('repeat'), sheet, 'repeat 1 times 20 by 0 lin').completion?.text).toMatch(/linked/);
});

test('Enter runs a command, fills its name in, says why it cannot, or does nothing', () => {
  const desk = portal();
  const enter = (text: string) => entered(first(text), desk.sheet, text);
  expect(enter('mo')).toBeUndefined();
  expect(entered(undefined, desk.sheet, 'zebra')).toBeUndefined();
  expect(enter('renum')).toEqual({ of: 'text', text: 'Renumber nodes in reading order ' });
  expect(enter('move sideways')).toEqual({ of: 'refusal', words: expect.stringMatching(/not a length/) });
  const before = desk.model;
  expect(enter('move 2 by 1')).toEqual({ of: 'done' });
  expect(desk.model).not.toBe(before);
  // Chosen from the list by the beginning of its name it waits for what follows.
  expect(carriedOut(first('move'), desk.sheet, 'mov')).toEqual({ of: 'text', text: `${first('move').name} ` });
});

test('keys of the field: Tab completes where there is something, Escape leaves, Enter follows the text unless the list has a choice', () => {
  const field = { key: 'Enter', isChosen: false, hasCompletion: true };
  expect([keyInField({ ...field, key: 'Tab' }), keyInField({ ...field, key: 'Tab', hasCompletion: false })]).toEqual([
    'complete',
    undefined,
  ]);
  expect([keyInField(field), keyInField({ ...field, isChosen: true })]).toEqual(['enter', undefined]);
  expect([keyInField({ ...field, key: 'Escape', isChosen: true }), keyInField({ ...field, key: 'a' })]).toEqual([
    'leave',
    undefined,
  ]);
});
