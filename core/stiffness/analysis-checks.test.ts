import { describe, expect, test } from '@jest/globals';
import type { Model } from '../model/model';
import { solve } from '../analysis/session';
import { clamp, clamp3, pin, roller, sketch } from '../test/build';
import { analysisFaults } from './analysis-checks';
import { analysisNotes } from './analysis-notes';

const plane: Model = sketch({
  nodes: [
    ['1', 0, 0],
    ['2', 4, 0],
  ],
  members: [['a', '1', '2']],
  supports: [clamp('1')],
  loads: [{ type: 'node', node: '2', fy: -1e3 }],
});
const space: Model = sketch({
  nodes: [
    ['1', 0, 0, 0],
    ['2', 4, 0, 0],
  ],
  members: [['a', '1', '2']],
  supports: [clamp3('1')],
  loads: [{ type: 'node', node: '2', fy: -1e3 }],
});

type Part = Partial<Model>;
const first = <K extends 'members' | 'sections' | 'materials' | 'supports'>(model: Model, list: K, rest: object): Part => ({
  [list]: [{ ...model[list][0], ...rest }, ...model[list].slice(1)],
});
const bare = (model: Model, list: 'sections' | 'materials', ...keys: string[]): Part => ({
  [list]: model[list].map((entry) => Object.fromEntries(Object.entries(entry).filter(([key]) => !keys.includes(key)))),
});

describe('what keeps a model from being solved', () => {
  test.each<[string, Model, Part, string, string, RegExp]>([
    ['nothing is drawn', plane, { members: [], loads: [] }, 'no-members', 'members', /There is no member/],
    ['nothing holds it', plane, { supports: [] }, 'no-support', 'supports', /Nothing holds the structure/],
    [
      'a support that frees all',
      plane,
      { supports: [{ node: '1', ux: 'free', uy: 0 }] },
      'no-support',
      'supports',
      /Nothing holds/,
    ],
    [
      'more members that act one way than results can be held of',
      plane,
      { members: Array.from({ length: 1001 }, (_, i) => ({ ...plane.members[0]!, id: `t${i}`, behaviour: 'tensionOnly' })) },
      'too-many-one-sided',
      'members',
      /1001 ties, struts and ways of joints with gaps act one way, in 1001 members/,
    ],
    [
      'a section of a catalogue',
      plane,
      { sections: [{ id: 's', catalogue: 'any' }] },
      'only-named',
      'sections[0].catalogue',
      /only called by a designation/,
    ],
    ['a section without A', plane, bare(plane, 'sections', 'A'), 'missing-property', 'sections[0].A', /“s” has no A/],
    ['a bent section without Iz', plane, bare(plane, 'sections', 'Iz'), 'missing-property', 'sections[0].Iz', /“s” has no Iz/],
    [
      'a member on its side without Iy',
      plane,
      { ...bare(plane, 'sections', 'Iy'), ...first(plane, 'members', { roll: 90 }) },
      'missing-property',
      'sections[0].Iy',
      /“s” has no Iy/,
    ],
    ['a section in space without J', space, bare(space, 'sections', 'J'), 'missing-property', 'sections[0].J', /“s” has no J/],
    [
      'a shape that cannot be built',
      plane,
      first(plane, 'sections', { shape: { type: 'rhs', h: 0.1, b: 0.1, t: 0.06 } }),
      'bad-shape',
      'sections[0].shape',
      /cannot be built/,
    ],
    [
      'a material that cannot twist',
      space,
      bare(space, 'materials', 'G'),
      'missing-property',
      'materials[0].G',
      /no shear modulus/,
    ],
    [
      'Iyz beyond Iz and Iy',
      space,
      first(space, 'sections', { Iyz: 1e-4 }),
      'impossible-section',
      'sections[0].Iyz',
      /cannot exist/,
    ],
    [
      'axes of a support that are one line',
      space,
      first(space, 'supports', { axes: { x: [1, 0, 0], y: [2, 0, 0] } }),
      'bad-axes',
      'supports[0].axes',
      /do not span a plane/,
    ],
    [
      'axes of a support that leave the plane',
      plane,
      first(plane, 'supports', { axes: { x: [1, 0, 0], y: [0, 0, 1] } }),
      'bad-axes',
      'supports[0].axes',
      /leave the plane/,
    ],
    [
      'a temperature on what does not expand',
      plane,
      { ...bare(plane, 'materials', 'alpha'), loads: [{ id: 'x1', type: 'thermal', case: 'Q', member: 'a', uniform: 20 }] },
      'missing-property',
      'materials[0].alpha',
      /no thermal expansion/,
    ],
  ])('%s is refused by name', (...[, model, part, code, path, words]) => {
    const spoiled = { ...model, ...part };
    const faults = analysisFaults(spoiled);
    expect(faults.map((fault) => fault.code)).toEqual([code]);
    expect(faults[0]!.path).toBe(path);
    expect(faults[0]!.message).toMatch(words);
    const { status, notices, solution } = solve(spoiled);
    expect([status, notices.some((notice) => notice.code === code), solution]).toEqual(['invalid', true, undefined]);
  });

  test('a truss needs no second moment, and no modulus to twist', () => {
    const bar = { ...space, ...bare(space, 'sections', 'Iz', 'Iy', 'J'), ...first(space, 'members', { behaviour: 'truss' }) };
    expect(analysisFaults({ ...bar, ...bare(space, 'materials', 'G') })).toEqual([]);
  });

  test('it is found again when its part changes, and only then', () => {
    expect(analysisFaults(plane)).toEqual([]);
    const worse = { ...plane, sections: [{ id: 's', A: 1 }] };
    expect(analysisFaults(worse).map(({ code }) => code)).toEqual(['missing-property']);
    expect(analysisFaults({ ...worse, sections: plane.sections })).toEqual([]);
    const heavy = {
      ...plane,
      cases: [{ id: 'Q', category: 'imposed' as const, selfWeight: 1 }],
      ...bare(plane, 'materials', 'density'),
    };
    const [note] = analysisNotes(heavy);
    expect(note?.code).toBe('no-density');
    expect(analysisNotes({ ...heavy, nodes: [...plane.nodes] })[0]).toBe(note);
    expect(analysisNotes({ ...heavy, cases: plane.cases })).toEqual([]);
  });
});

describe('what is said of a model that can be solved', () => {
  const codes = (part: Part, model = plane): string[] => analysisNotes({ ...model, ...part }).map(({ code }) => code);

  test('nodes that belong to no member, and those that lie on one', () => {
    expect(codes({ nodes: [...plane.nodes, { id: '3', x: 1, y: 1 }] })).toEqual(['node-without-member']);
    expect(codes({ nodes: [...plane.nodes, { id: '3', x: 1, y: 0 }] })).toEqual(['node-without-member', 'unjoined-node']);
  });

  test('self weight of what has no density', () => {
    const cases = [{ id: 'Q', category: 'imposed' as const, selfWeight: 1 }];
    expect(codes({ cases, ...bare(plane, 'materials', 'density') })).toEqual(['no-density']);
    expect(codes({ cases })).toEqual([]);
  });

  test('shear deformation without a shear modulus; trusses do not shear', () => {
    const sheared = { analysis: { shearDeformation: true }, ...bare(plane, 'materials', 'G') };
    expect(codes(sheared)).toEqual(['no-shear-modulus']);
    const truss = sketch({ nodes: [['1', 0, 0], ['2', 4, 0]], members: [['a', '1', '2', { behaviour: 'truss' }]], supports: [pin('1'), roller('2')] }); // oxfmt-ignore
    expect(codes(sheared, truss)).toEqual(['no-shear-modulus']);
  });
});
