import { expect, test } from '@jest/globals';
import { Sway } from './sway';

test('a deflection that moves goes from nothing to all of it and back, rests where it is largest, and begins anew with another one', () => {
  let now = 1000;
  const sway = new Sway(() => now);
  const at = (milliseconds: number, of = 'one') => {
    now = 1000 + milliseconds;
    const { phase, goesOn } = sway.phase(of, 'moving');
    return [Math.round(1000 * phase) / 1000, goesOn];
  };
  expect([0, 900, 1800, 2250].map((t) => at(t))).toEqual([[0, true], [1, true], [0, true], [0.5, true]]);
  expect(at(60_000)).toEqual([1, false]);
  expect(at(60_000, 'other')).toEqual([0, true]);
  expect(sway.phase('other', 'still')).toEqual({ phase: 1, goesOn: false });
  sway.stop();
  expect(at(70_000, 'other')).toEqual([0, true]);
}); // oxfmt-ignore
