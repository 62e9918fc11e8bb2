import { describe, expect, test } from '@jest/globals';
import { solve } from '../analysis/session';
import { defaultDisplay } from '../quantities/display';
import { handWords } from '../tables/results/hand-check';
import { clamp, inRow, pin, roller, sketch, type LooseLoad } from '../test/build';
import type { Support } from '../model/model';
import { handCheck, type Held } from './hand-check';

const [L, w, P] = [6, 5e3, 9e3];
const slide = (node: string): Support => ({ node, uy: 'fixed', rz: 'fixed' });
const supports: Record<Held, readonly Support[]> = {
  simple: [pin('1'), roller('2')],
  fixed: [clamp('1'), slide('2')],
  'fixed at the start': [clamp('1'), roller('2')],
  'fixed at the end': [pin('1'), slide('2')],
  'free at the end': [clamp('1')],
  'free at the start': [clamp('2')],
};
const line = (from: number, to: number): LooseLoad => ({ type: 'line', member: 'a', from: { wy: from }, to: { wy: to } });
const loads: Record<string, LooseLoad> = {
  uniform: line(-w, -w),
  'rising to the end': line(0, -w),
  'falling from the start': line(-w, 0),
  central: { type: 'point', member: 'a', at: 0.5, fy: -P },
  'at a third': { type: 'point', member: 'a', at: 1 / 3, fy: -P },
  upwards: line(w, w),
};
const checked = (held: Held, load: readonly LooseLoad[]) =>
  handCheck(
    solve(sketch({ nodes: inRow(0, L), members: [['a', '1', '2']], supports: supports[held], loads: load })).solution!,
    0,
    0,
  );

describe.each(Object.keys(supports) as Held[])('a beam that is held so: %s', (held) => {
  test.each(Object.keys(loads))('meets the formulas under a load: %s', (name) => {
    const found = checked(held, [loads[name]!])!;
    expect(found.held).toBe(held);
    expect(found.values.length).toBeGreaterThan(0);
    const size = Math.max(...found.values.filter(({ what }) => what !== 'deflection').map(({ byHand }) => Math.abs(byHand)));
    for (const { what, formula, byHand, solved } of found.values)
      expect({ what, formula, off: Math.abs(byHand - solved) / (what === 'deflection' ? byHand : size) }).toEqual({
        ...{ what, formula },
        off: expect.closeTo(0, 9),
      });
  });
});

describe('a member of a frame', () => {
  const two = (second: number) =>
    solve(
      sketch({
        nodes: inRow(0, 6, 12), members: [['a', '1', '2'], ['b', '2', '3']], supports: [pin('1'), roller('2'), roller('3')],
        loads: [line(-w, -w), { ...line(-second, -second), member: 'b' } as LooseLoad],
      }),
    ).solution!; // oxfmt-ignore

  test('of two equal spans is fixed over the middle support when both carry the same', () => {
    const found = handCheck(two(w), 0, 0)!;
    expect(found.held).toBe('fixed at the end');
    expect(found.values[0]).toMatchObject({ formula: 'wL²/8', byHand: expect.closeTo((-w * 36) / 8, 6), solved: expect.closeTo((-w * 36) / 8, 4) });
  }); // oxfmt-ignore

  test('is told how far its ends are fixed', () => {
    // Only one span loaded: wL²/16 over the middle, of wL²/8.
    const found = handCheck(two(0), 0, 0)!;
    expect(found.fixity.end).toBeCloseTo(8 / 16, 9);
    expect(handWords(found, defaultDisplay)).toBe(
      'Nearest is a beam fixed at its end, simply supported at its start, with 5 kN/m all along. Its start is 0 % fixed, its end is 50 % fixed.',
    );
  });

  test('nothing is said where no formula fits', () => {
    expect(checked('simple', [])).toBeUndefined();
    expect(checked('simple', [loads['uniform']!, loads['central']!])).toBeUndefined();
    expect(checked('simple', [{ type: 'line', member: 'a', from: { at: 0.2, wy: -w }, to: { at: 0.6, wy: -w } } as LooseLoad])).toBeUndefined(); // oxfmt-ignore
    expect(checked('simple', [line(-w, -2 * w)])).toBeUndefined();
  });
});
