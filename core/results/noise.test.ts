import { expect, test } from '@jest/globals';
import { quiet, sizesOf } from './noise';
import { solve } from '../analysis/session';
import { pin, sketch } from '../test/build';

test('what is a millionth of the largest is nothing; what is more stays as it is', () => {
  expect(quiet(0.09685, 500e3)).toBe(0);
  expect(quiet(-0.6, 500e3)).toBe(-0.6);
  expect(quiet(0.3, 0)).toBe(0.3);
});

test('a couple is held against the couples there are, or where there is none against the forces', () => {
  const model = sketch({
    nodes: [['1', 0, 0], ['2', 4, 0]], members: [['a', '1', '2']], supports: [pin('1'), pin('2')],
    loads: [{ type: 'line', member: 'a', from: { wy: -1000 }, to: { wy: -1000 } }],
  }); // oxfmt-ignore
  const { solution } = solve(model);
  expect(sizesOf(solution!, 0)).toEqual({ force: expect.closeTo(2000, 6), couple: expect.closeTo(200, 6) });
});
