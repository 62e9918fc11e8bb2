import { expect, test } from '@jest/globals';
import { solve } from '../../analysis/session';
import { sketch } from '../../test/build';
import type { Model } from '../model';
import { applyIntent } from './apply-intent';

/** A skew member in space with all that knows a direction: releases, an arm, loads of each kind in both sorts of axes. */
const model: Model = sketch({
  nodes: [['1', 0, 0, 0], ['2', 3, 1, 2]],
  members: [['a', '1', '2', { roll: 20, releases: { end: { my: 'free', mz: 4e5 } }, offset: { start: [0, 0.2, 0] } }]],
  supports: ['1', '2'].map((node) => ({ node, ux: 'fixed', uy: 'fixed', uz: 'fixed', rx: 'fixed', ry: 'fixed', rz: 'fixed' }) as const),
  section: { shape: { type: 'angle', h: 0.1, b: 0.07, t: 0.008 } },
  loads: [
    { type: 'point', member: 'a', at: 0.3, axes: 'local', fx: 200, fy: -900, fz: 400, mx: 30, my: 50, mz: -70 },
    { type: 'point', member: 'a', at: 1.1, measure: 'length', fx: 100, fy: -300, mz: 20 },
    { type: 'line', member: 'a', axes: 'local', from: { at: 0.1, wx: 10, wy: -100, wz: 60 }, to: { wy: -300 } },
    { type: 'line', member: 'a', axes: 'projected', from: { wy: -200 }, to: { at: 0.8, wy: -50 } },
    { type: 'thermal', member: 'a', uniform: 12, gradientY: 40, gradientZ: -25 },
    { type: 'strain', member: 'a', elongation: 2e-4 },
  ],
}); // oxfmt-ignore

const round = (of: Model): Model => {
  const applied = applyIntent(of, { type: 'turnRound', members: ['a'] });
  if (!applied.ok) throw new Error(applied.faults[0]!.message);
  return applied.model;
};

test('a member that is turned round with its section as it stood gives the same reactions', () => {
  // A doubly symmetric section looks the same mirrored.
  const straight = { ...model, sections: [{ ...model.sections[0]!, shape: { type: 'rectangle', h: 0.1, b: 0.07 } as const }] };
  const [before, after] = [straight, round(straight)].map((one) => solve(one).solution!.responses[0]!.reactions);
  after!.forEach((value, k) => expect(value).toBeCloseTo(before![k]!, 6));
});

test('an angle is mirrored by it, and stands otherwise', () => {
  const [before, after] = [model, round(model)].map((one) => solve(one).solution!.responses[0]!.reactions);
  expect(Math.max(...after!.map((value, k) => Math.abs(value - before![k]!)))).toBeGreaterThan(1);
});

test('twice turned round nothing has changed', () => {
  expect(round(model).members[0]).toMatchObject({
    start: '2',
    end: '1',
    roll: -20,
    releases: { start: { my: 'free', mz: 4e5 } },
  });
  const twice = round(round(model));
  expect(twice.members).toEqual(model.members);
  expect(twice.loads).toEqual(model.loads);
});

test('a member that is not there is refused', () => {
  expect(applyIntent(model, { type: 'turnRound', members: ['b'] })).toMatchObject({ ok: false, faults: [{ path: 'members' }] });
});
