import { expect, test } from '@jest/globals';
import { solve } from '@rigid-beam/core/analysis/session';
import { checkModel } from '@rigid-beam/core/model/check';
import { linksOf } from '@rigid-beam/core/model/runs';
import { runReader } from '@rigid-beam/core/results/run-reader';
import { inRow, pin, roller, sketch } from '@rigid-beam/core/test/build';
import { readPlace } from './read-place';
import { seriesOf } from './run-series';

const model = checkModel(
  sketch({
    nodes: inRow(0, 4, 8),
    members: [['a', '1', '2'], ['b', '3', '2']],
    supports: [pin('1'), roller('3')],
    loads: [{ type: 'point', member: 'a', at: 0.5, fy: -6e3 }],
    extra: { combinations: [{ id: 'U', type: 'sum', factors: { Q: 1.5 } }, { id: 'E', type: 'envelope', of: ['Q', 'U'] }] },
  }),
).model!; // oxfmt-ignore
const units = { length: 'cm', value: 'kN' };
const run = (outcome: number) => runReader(solve(model).solution!, outcome, linksOf(model, ['a', 'b'])!)!;

test('a curve has both sides of a jump, its extremes and its ends, in the units that are shown', () => {
  const shear = seriesOf(run(0), 'Vy', units, 'one value')!;
  const under = shear.upper.filter(({ x }) => Math.abs(x - 200) < 1e-9).map(({ y }) => y);
  expect([under[0], under.at(-1)]).toEqual([expect.closeTo(4.5, 9), expect.closeTo(-1.5, 9)]);
  expect([shear.upper[0]!.x, shear.upper.at(-1)!.x]).toEqual([0, 800]);
  expect(shear.lower).toBeUndefined();
  const moment = seriesOf(run(0), 'Mz', { length: 'm', value: 'kN·m' }, 'one value')!;
  expect(moment.extremes[0]).toEqual({ x: expect.closeTo(2, 9), y: expect.closeTo(9, 9) });
  expect(moment.upper).toContainEqual({ x: expect.closeTo(2, 9), y: expect.closeTo(9, 9) });
  // Along the run signs go on, whichever way a member was drawn.
  for (const { y } of moment.upper.filter(({ x }) => Math.abs(x - 4) < 1e-9)) expect(y).toBeCloseTo(6, 9);
});

test('an envelope has an upper and a lower bound; what is not known has no curve', () => {
  const band = seriesOf(run(2), 'Mz', { length: 'm', value: 'kN·m' }, 'a range')!;
  const at = (points: typeof band.upper | undefined) => points!.find(({ x }) => Math.abs(x - 2) < 1e-9)!.y;
  expect([at(band.upper), at(band.lower)]).toEqual([expect.closeTo(13.5, 9), expect.closeTo(9, 9)]);
  expect(seriesOf(run(0), 'sigma', { length: 'm', value: 'MPa' }, 'one value')).toBeUndefined();
});

test.each([
  ['2.4', 2.4],
  ['240 cm', 2.4],
  ['25 %', 2],
  ['1/4', 2],
  ['3/4 L', 6],
  ['0.5 L', 4],
  ['L', 8],
])('“%s” along 8 m is %d m', (text, x) => expect(readPlace(text, 8, 'm')).toEqual({ ok: true, x: expect.closeTo(x, 12) }));

test.each([
  ['9', /between 0 and 8 m/],
  ['5/4', /between 0 and 8 m/],
  ['1/0', /between 0 and 8 m/],
  ['x', /a length, a part/],
  ['1,5', /a length, a part/],
])('“%s” is refused', (text, why) => expect(readPlace(text, 8, 'm')).toEqual({ ok: false, words: expect.stringMatching(why) }));
