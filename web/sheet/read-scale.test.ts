import { expect, test } from '@jest/globals';
import { defaultDisplay } from '@rigid-beam/core/quantities/display';
import { readScale } from './read-scale';

const read = (text: string, quantity: 'Mz' | 'Vy' | 'v' = 'Mz') => readScale(text, quantity, defaultDisplay);

test('a scale is what a length stands for, in any units, or a number for one metre', () => {
  expect(read('1 cm = 5 kN·m')).toEqual({ ok: true, scale: expect.closeTo(0.01 / 5e3, 15), words: '1 m = 500 kN·m' });
  expect(read('20')).toMatchObject({ scale: expect.closeTo(1 / 20e3, 15), words: '1 m = 20 kN·m' });
  expect(read('2 m = 10*4 kN', 'Vy')).toMatchObject({ scale: expect.closeTo(2 / 40e3, 15), words: '1 m = 20 kN' });
});

test('of deflections how many times larger than life', () => {
  expect(read('× 50', 'v')).toEqual({ ok: true, scale: 50, words: 'deflections × 50' });
  expect(read('200/4', 'v')).toMatchObject({ scale: 50 });
});

test('what is no scale is refused with words', () => {
  expect(read('1 cm = 5 kN')).toEqual({ ok: false, words: expect.stringMatching(/^Write what that length stands for: /) });
  expect(read('1 kg = 5')).toEqual({ ok: false, words: expect.stringMatching(/^Write a length before “=”/) });
  for (const [text, quantity] of [['0', 'Mz'], ['-3', 'v']] as const)
    expect(read(text, quantity)).toEqual({ ok: false, words: 'A scale is greater than zero.' });
}); // oxfmt-ignore
