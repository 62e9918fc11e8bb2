import { expect, test } from '@jest/globals';
import { solve } from '@rigid-beam/core/analysis/session';
import { emptyModel } from '@rigid-beam/core/model/model';
import { clamp, sketch } from '@rigid-beam/core/test/build';
import { harmIn, heldStill, subjectOf, toldOf } from './told';

const beam = (extra: object = {}) =>
  sketch({ nodes: [['1', 0, 0], ['2', 4, 0]], members: [['a', '1', '2']], supports: [clamp('1')], loads: [], ...extra }); // oxfmt-ignore

test('what is not drawn yet asks for attention, what is wrong is a fault, and what is solved hinders nothing', () => {
  expect(toldOf(undefined)).toEqual({ hinders: [], tone: 'attention', warnings: [] });
  const empty = toldOf(solve(emptyModel('New')));
  expect(empty.hinders.length).toBeGreaterThan(0);
  expect(empty.tone).toBe('attention');
  expect(toldOf(solve(beam())).hinders).toEqual([]);
  const tipping = solve(beam({ supports: [{ node: '1', ux: 'fixed', uy: 'fixed' }] }));
  expect(toldOf(tipping).tone).toBe('fault');
  expect(toldOf(tipping).hinders.map(({ severity }) => severity)).toContain('error');
});

test('a motion that does harm names what moves and where it stands among all; one that harms nobody is held still and told in two stages', () => {
  const tipping = solve(
    beam({ supports: [{ node: '1', ux: 'fixed', uy: 'fixed' }], loads: [{ type: 'node', node: '2', fy: -1 }] }),
  );
  const harm = harmIn(tipping.mechanisms);
  expect(harm).toHaveLength(1);
  expect(harm[0]!.subjects).toContainEqual({ kind: 'node', id: '2' });
  expect(tipping.mechanisms[harm[0]!.place]!.description).toBe(harm[0]!.description);
  expect(harmIn(tipping.mechanisms.map((one) => ({ ...one, harmless: true })))).toEqual([]);
  const note = (code: string, severity: 'note' | 'warning') => ({ code, severity, message: `${code} ${severity}`, subjects: [] });
  const still = {
    status: 'solved' as const,
    notices: [note('mechanism', 'note'), note('mechanism', 'warning'), note('digits', 'note')],
  };
  expect(['geometry', 'supports', 'results'].map((stage) => heldStill(still, stage))).toEqual([
    ...[[], ['mechanism note'], ['mechanism note']],
  ]);
  expect(heldStill({ ...still, status: 'unstable' }, 'supports')).toEqual([]);
});

test('things that a notice names are found on the sheet', () => {
  expect(['node 1', 'member b 2', 'load x', 'case Q', 'node'].map((words) => subjectOf(words))).toEqual([
    ...[[{ kind: 'node', id: '1' }], [{ kind: 'member', id: 'b 2' }], [{ kind: 'load', id: 'x' }], [], []],
  ]);
});
