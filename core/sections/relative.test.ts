import { expect, test } from '@jest/globals';
import { solve } from '../analysis/session';
import { applyIntent } from '../model/edits/apply-intent';
import { checkModel } from '../model/check';
import type { Model } from '../model/model';
import { sketch } from '../test/build';
import { billOf } from './bill';
import { giveRelative, readRelative, withReference } from './relative';
import { sectionProperties } from './section-properties';

/** A portal with fixed feet under a sidesway load, heights and span 4 m; its beam is k times as stiff as its columns. */
const portal = (k: number, extra: Partial<Model> = {}): Model =>
  sketch({
    nodes: [['1', 0, 0], ['2', 0, 4], ['3', 4, 4], ['4', 4, 0]],
    members: [['left', '1', '2'], ['beam', '2', '3', { section: 'b' }], ['right', '4', '3']],
    supports: ['1', '4'].map((node) => ({ node, ux: 'fixed', uy: 'fixed', rz: 'fixed' }) as const),
    loads: [{ type: 'node', node: '2', fx: 1000 }],
    extra: { sections: [{ id: 's', relative: { I: 1 } }, { id: 'b', relative: { I: k } }], ...extra },
  }); // oxfmt-ignore

const appliedY = (model: Model): number => solve(model).solution!.responses[0]!.equilibrium.applied[1]!;

test.each([0.75, 1, 2])('moments of a portal depend on the ratio %d alone, as the slopes and deflections say', (k) => {
  // By slopes and deflections: foot H·h/2·(3k + 1)/(6k + 1), head H·h/2·3k/(6k + 1), where k = (I of the beam/I of a column)·h/l.
  const ends = solve(portal(k)).solution!.responses[0]!.ends;
  const N = 6 * k + 1;
  const foot = ((1000 * 4) / 2) * ((3 * k + 1) / N);
  const head = ((1000 * 4) / 2) * ((3 * k) / N);
  expect(Math.abs(ends[5]!)).toBeCloseTo(foot, 1);
  expect(Math.abs(ends[11]!)).toBeCloseTo(head, 1);
});

test('an area as good as infinite weighs nothing; one that is given counts', () => {
  const heavy = portal(2, { cases: [{ id: 'Q', category: 'permanent', selfWeight: 1 }], loads: [], materials: [{ id: 'm', E: 2e11, density: 7850 }] }); // oxfmt-ignore
  expect(appliedY(heavy)).toBe(0);
  expect(billOf(heavy)[0]).toMatchObject({ mass: undefined, length: 8 });
  const given = { ...heavy, sections: heavy.sections.map((section) => ({ ...section, A: 0.01 })) };
  expect(appliedY(given)).toBeCloseTo(-7850 * 0.01 * 12 * 9.80665, 6);
  expect(sectionProperties(given.sections[1]!)).toEqual({ A: 0.01, Iz: 2e-4 });
});

test.each([['2 I', 2], ['1.5I', 1.5], ['3/4 I', 0.75], ['2·I', 2], ['.5 i', 0.5], ['I', undefined], ['ipe 2', undefined], ['2', undefined], ['0 I', undefined], ['1/0 I', undefined]])(
  '“%s” means %p times the reference', (text, times) => expect(readRelative(text)).toBe(times)); // oxfmt-ignore

test('members are given a multiple, which is made once; all multiples keep one reference', () => {
  const given = (model: Model, id: string, I: number): Model => {
    const { intents } = giveRelative(model, [id], I);
    const applied = applyIntent(model, { type: 'batch', intents, label: '' });
    if (!applied.ok) throw new Error(applied.faults[0]!.message);
    return applied.model;
  };
  const first = given(given(portal(2), 'left', 3), 'right', 3);
  expect(first.sections.map(({ id }) => id)).toEqual(['s', 'b', '3I']);
  expect(first.members.map(({ section }) => section)).toEqual(['3I', 'b', '3I']);
  const other = applyIntent(first, { type: 'batch', intents: withReference(first, 2e-5), label: '' });
  expect(other.ok && other.model.sections.map((section) => sectionProperties(section).Iz)).toEqual([2e-5, 4e-5, expect.closeTo(6e-5, 12)]); // oxfmt-ignore
});

test('two references, and a shape beside a multiple, are faults', () => {
  const { notices } = checkModel({
    ...portal(1),
    sections: [{ id: 's', relative: { I: 1 } }, { id: 'b', relative: { I: 2, reference: 3e-5 }, shape: { type: 'round', d: 0.1 } }],
  }); // oxfmt-ignore
  expect(notices.map(({ code, path }) => [code, path])).toEqual([
    ['two-stiffnesses', 'sections[1].shape'],
    ['two-references', 'sections[1].relative.reference'],
  ]);
});
