import { describe, expect, test } from '@jest/globals';
import { checkModel } from '@rigid-beam/core/model/check';
import { applyIntent } from '@rigid-beam/core/model/edits/apply-intent';
import type { Load } from '@rigid-beam/core/model/model';
import { defaultDisplay } from '@rigid-beam/core/quantities/display';
import { solve } from '@rigid-beam/core/analysis/session';
import { plainView } from '@rigid-beam/drawing/view';
import rib from '../../examples/glasshouse-rib.rbm.json';
import lintel from '../../examples/lintel.rbm.json';
import { kindOf, supportKinds, supportOf } from '@rigid-beam/core/model/support-kinds';
import { buffersOf } from '../solver/buffers';
import { supportWords } from '@rigid-beam/core/model/support-words';
import { wordsOf } from './describe-items';
import { loadValue } from './load-values';
import { placedItems } from './placed-items';
import { crossesBox } from './in-box';
import { removalOf, removalWords } from './removal';
import { readStep } from './tools/read-step';

const model = checkModel(lintel).model!;

describe('a way typed while drawing', () => {
  const way = (text: string, toward = 0): [number, number] | string => {
    const step = readStep(text, 'm', [Math.cos(toward), Math.sin(toward), 0], 'way', 'plane');
    return step.ok ? [Number(step.by[0].toFixed(9)), Number(step.by[1].toFixed(9))] : step.reason;
  };
  test.each<[string, number, [number, number]]>([
    ['3.6', 0, [3.6, 0]],
    ['3.6', Math.PI / 2, [0, 3.6]],
    ['2*1.8 m', 0, [3.6, 0]],
    ['5 at 90', 0, [0, 5]],
    ['2 at 30 deg', 1, [1.732050808, 1]],
    ['10 ft at -90', 0, [0, -3.048]],
    ['4 by -1.5', 2, [4, -1.5]],
    ['400 cm by 18/12', 0, [4, 1.5]],
  ])('%s', (text, toward, expected) => expect(way(text, toward)).toEqual(expected));

  test('a place from the origin, and a way in space', () => {
    expect(readStep('to 3 by 4', 'm', [1, 0, 0], 'way', 'plane')).toEqual({ ok: true, by: [3, 4, 0], absolute: true });
    expect(readStep('0 by 0', 'm', [1, 0, 0], 'place', 'plane')).toEqual({ ok: true, by: [0, 0, 0], absolute: true });
    expect(readStep('1 by 2 by -3', 'm', [1, 0, 0], 'way', 'space')).toEqual({ ok: true, by: [1, 2, -3], absolute: false });
    expect(readStep('1 by 2 by -3', 'm', [1, 0, 0], 'way', 'plane')).toMatchObject({ ok: false });
    expect(readStep('3', 'm', [1, 0, 0], 'place', 'plane')).toMatchObject({ ok: false });
  });

  test.each([
    ['', /nothing is written/],
    ['long', /“long” is not a length/],
    ['3 at up', /“up” is not an angle/],
    ['3 by', /“” is not a length/],
    ['0', /has no length/],
    ['3 kN at 20', /not a length/],
  ])('%p is refused', (text, words) => expect(way(text)).toMatch(words));
});

describe('the one number of a load', () => {
  const resize = (load: object, value: number): unknown =>
    loadValue({ case: 'Q', ...load } as Load, defaultDisplay).resized(value);
  test.each<[object, number, object]>([
    [{ type: 'line', member: 'a', from: { wy: -6e3 }, to: { wy: -6e3 } }, 15e3, { from: { wy: -15e3 }, to: { wy: -15e3 } }],
    [
      { type: 'line', member: 'a', from: { at: 0.2, wy: -2e3 }, to: { wy: -4e3 } },
      8e3,
      { from: { at: 0.2, wy: -4e3 }, to: { wy: -8e3 } },
    ],
    [{ type: 'line', member: 'a', from: {}, to: {} }, 5e3, { from: { wy: -5e3 }, to: { wy: -5e3 } }],
    [{ type: 'point', member: 'a', at: 0.5, fx: 3e3, fy: -4e3 }, 10e3, { fx: 6e3, fy: -8e3, at: 0.5 }],
    [{ type: 'node', node: '1', mz: 4e3 }, -2e3, { mz: -2e3 }],
    [{ type: 'settlement', node: '1', ux: 0.003, uy: -0.004 }, 0.01, { ux: 0.006, uy: -0.008 }],
    [{ type: 'settlement', node: '1', rz: 0.002 }, 0.004, { rz: 0.004 }],
    [{ type: 'thermal', member: 'a', gradientY: 10 }, 30, { gradientY: 30 }],
    [{ type: 'strain', member: 'a', elongation: 0.001 }, 0.002, { elongation: 0.002 }],
  ])('%j takes %p', (load, value, expected) => expect(resize(load, value)).toMatchObject(expected));

  test.each<[object, object, 'from' | 'to', number, object]>([
    [{ wy: -2e3 }, { wy: -4e3 }, 'to', 8e3, { from: { wy: -2e3 }, to: { wy: -8e3 } }],
    [{ wx: 1e3 }, { at: 0.8, wx: 0 }, 'to', 3e3, { from: { wx: 1e3 }, to: { at: 0.8, wx: 3e3 } }],
    [{}, {}, 'from', 5e3, { from: { wy: -5e3 }, to: {} }],
  ])('from %j to %j, its %s end takes %p', (from, to, end, value, expected) => {
    const load = { id: '1', case: 'Q', type: 'chain', members: ['a', 'b'], from, to } as Load;
    expect(loadValue(load, defaultDisplay, end).resized(value)).toEqual({ ...load, ...expected });
  });
});

describe('removing a selection', () => {
  test('leaves out what goes with its nodes, loads first', () => {
    const removal = removalOf(model, [
      { kind: 'node', id: '4' },
      { kind: 'member', id: 'c' },
      { kind: 'member', id: 'a' },
      { kind: 'support', id: '1' },
      { kind: 'load', id: '1' },
    ]);
    expect(removal).toMatchObject({
      type: 'batch',
      intents: [
        { type: 'remove', list: 'loads', keys: ['1'] },
        { type: 'remove', list: 'supports', keys: ['1'] },
        { type: 'remove', list: 'members', keys: ['a'] },
        { type: 'remove', list: 'nodes', keys: ['4'] },
      ],
    });
    const applied = applyIntent(model, removal!);
    if (!applied.ok) throw new Error(applied.faults[0]!.message);
    const left = applied.model;
    expect([left.nodes.length, left.members.length, left.supports.length]).toEqual([3, 1, 2]);
  });
});

test('what a removal takes along is said before', () => {
  expect(removalWords(model, [{ kind: 'node', id: '2' }])).toBe('2 members, 1 support, 4 loads');
  expect(removalWords(model, [{ kind: 'load', id: '1' }])).toBe('');
});

test.each([
  [0, 0, 10, 10, true],
  [0, 6, 4, 6, true],
  [0, 9, 3, 12, false],
  [5, 0, 5, 20, true],
  [20, 0, 20, 9, false],
])('a line from %d, %d to %d, %d touches a box: %p', (ax, ay, bx, by, touches) =>
  expect(crossesBox([ax, ay, bx, by], { left: 3, right: 8, top: 5, bottom: 7 })).toBe(touches),
);

describe('the drawing in words', () => {
  test('names every node, member, support, dimension and load with its values', () => {
    const { solution } = solve(model);
    const items = placedItems(model, plainView);
    const words = wordsOf(model, solution, 3);
    expect(items).toHaveLength(4 + 3 + 3 + 3 + 6);
    expect(items.map(({ subject }) => words(subject))).toEqual(
      expect.arrayContaining([
        expect.stringMatching(/^Node 4 at 9\.9 m across, 0 m up; moves 0 mm right, [\d.]+ mm down$/),
        expect.stringMatching(
          /^Member c from node 3 to node 4, 1\.5 m long, section lintel; axial force 0 kN to 0 kN, shear force .*, bending moment −6 kN·m to 0 kN·m, .*, normal stress .* MPa$/,
        ),
        expect.stringMatching(/^Support of node 2: roller, free along X; reaction 0 kN to the right, −2\.083 kN up, 0 kN·m$/),
        'Bay from 8.4 m to 9.9 m along X: 1.5 m',
        expect.stringMatching(/^Load \d: Intensity 12 kN\/m down on member a, case Q1$/),
        expect.stringMatching(/^Load \d: Force 4 kN down on member c, case Q3$/),
      ]),
    );
    const unsolved = wordsOf(model, undefined, 0);
    expect(items.map(({ subject }) => unsolved(subject))).toContain('Node 4 at 9.9 m across, 0 m up');
  });

  test('says the kind of a load', () => {
    const arch = checkModel(rib).model!;
    const words = placedItems(arch, plainView).map(({ subject }) => wordsOf(arch, undefined, 0)(subject));
    expect(words).toContain('Load snow left: Intensity 1.2 kN/m on plan down on the run of 6 members from a to f, case S');
    expect(words).toContain(
      'Load windward: Intensity 1.5 kN/m along the member’s own axes on the run of 4 members from a to d, case W',
    );
  });
});

describe('supports by name', () => {
  test('each kind is recognised, and keeps the slope of the one before', () => {
    for (const { id, text } of supportKinds) {
      const support = supportOf(id, '1', { node: '1', uy: 'fixed', angle: 20 });
      expect(kindOf(support)).toBe(id);
      expect(support.angle).toBe(20);
      if (id === 'pinned' || id === 'fixed')
        expect(supportWords(supportOf(id, '1'), 'plane', defaultDisplay)).toBe(text.toLowerCase());
    }
    expect(kindOf({ node: '1', uy: 3e5 })).toBeUndefined();
    expect(supportWords({ node: '1', uy: 3e5, angle: 10 }, 'plane', defaultDisplay)).toBe('sprung along Y, turned by 10°');
    expect(supportWords({ node: '1', ux: 'fixed', uy: 'fixed', uz: 'fixed', ry: 'fixed' }, 'space', defaultDisplay)).toBe(
      'held along X, Y, Z and about Y',
    );
  });
});

test('every buffer of the results is transferred, once', () => {
  const { solution } = solve(model);
  const buffers = buffersOf(solution);
  expect(new Set(buffers).size).toBe(buffers.length);
  for (const { coefficients, ends } of solution!.responses)
    expect(buffers).toEqual(expect.arrayContaining([coefficients.buffer, ends.buffer]));
});
