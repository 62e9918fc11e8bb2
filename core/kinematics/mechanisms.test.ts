import { describe, expect, test } from '@jest/globals';
import { checkModel } from '../model/check';
import { offsetOf } from '../results/quantities';
import { solve } from '../analysis/session';
import { clamp, inRow, pin, sketch, type Sketch } from '../test/build';
import { down, truss, models } from '../test/plane-mechanisms';

describe('mechanisms', () => {
  test.each(models)('%s', (_, model, words, count, harmless) => {
    const { model: sound } = checkModel(sketch(model));
    const results = solve(sound!);
    expect(results.mechanisms.map(({ description }) => description).join('\n')).toMatch(words);
    expect(results.mechanisms).toHaveLength(count);
    expect(results.mechanisms.every((mechanism) => mechanism.harmless)).toBe(harmless);
    expect(results.status).toBe(harmless ? 'solved' : 'unstable');
    expect(results.solution === undefined).toBe(!harmless);
    for (const { freedoms } of results.mechanisms)
      if (freedoms.length > 0) expect(Math.max(...freedoms.map(({ amount }) => Math.abs(amount)))).toBeCloseTo(1, 9);
  });

  test('the judgement does not depend on how the structure lies', () => {
    for (const angle of [0, 0.3, Math.PI / 4, 1.3, Math.PI / 2, 2.5]) {
      const [c, s] = [Math.cos(angle), Math.sin(angle)];
      for (const loaded of [true, false]) {
        const at = (x: number): [number, number] => [c * x, s * x];
        const model = sketch({
          nodes: [
            ['1', ...at(0)],
            ['2', ...at(3)],
            ['3', ...at(7)],
          ],
          members: [
            ['a', '1', '2', truss],
            ['b', '2', '3', truss],
          ],
          supports: [pin('1'), pin('3')],
          // Along the bars it is carried; across them nothing resists.
          loads: [{ type: 'node', node: '2', fx: c * 1e3 - (loaded ? s : 0), fy: s * 1e3 + (loaded ? c : 0) }],
        });
        expect(solve(model).status).toBe(loaded ? 'unstable' : 'solved');
      }
    }
  });

  test('soft, but held, is no mechanism: forces stay exact', () => {
    const r = solve(
      sketch({
        nodes: inRow(0, 4),
        members: [['a', '1', '2']],
        supports: [
          { node: '1', ux: 'fixed', uy: 1e2, rz: 1e2 },
          { node: '2', uy: 1e2 },
        ],
        loads: [down('2')],
      }),
    );
    expect(r.status).toBe('solved');
    expect(r.solution!.responses[0]!.equilibrium.residual).toBeLessThan(1e-9);
  });
});

describe('what keeps a sound model from being solved is refused by name', () => {
  const base: Sketch = {
    nodes: inRow(0, 4),
    members: [['a', '1', '2']],
    supports: [clamp('1')],
  };
  test.each<[string, Sketch, RegExp]>([
    ['no support', { ...base, supports: [] }, /Nothing holds the structure: there is no support.*node 1/],
    ['a support that holds nothing', { ...base, supports: [{ node: '1', ux: 'free', uy: 0 }] }, /there is no support/],
    ['no member', { ...base, members: [] }, /no member yet/],
    [
      'a space frame that cannot twist',
      { ...base, extra: { space: 'space', sections: [{ id: 's', A: 1, Iz: 1, Iy: 1 }] } },
      /has no J, and its members/,
    ],
    [
      'a space frame without a shear modulus',
      { ...base, extra: { space: 'space', materials: [{ id: 'm', E: 1e9 }] } },
      /no shear modulus, and its members twist/,
    ],
    [
      'a section that cannot exist',
      { ...base, extra: { space: 'space' }, section: { Iyz: 1e-5 } },
      /cannot exist: Iyz² is not less/,
    ],
    [
      'a section of a catalogue',
      { ...base, extra: { sections: [{ id: 's', catalogue: 'X 100' }] } },
      /only called by a designation/,
    ],
    [
      'support axes that are parallel',
      { ...base, supports: [{ node: '1', uy: 'fixed', axes: { x: [1, 0, 0], y: [2, 0, 0] } }] },
      /do not span a plane/,
    ],
    [
      'support axes that leave the plane',
      { ...base, supports: [{ node: '1', uy: 'fixed', axes: { x: [1, 0, 0], y: [0, 0, 1] } }] },
      /leave the plane of this model/,
    ],
    ['a frame member without I', { ...base, extra: { sections: [{ id: 's', A: 1 }] } }, /has no Iz, and its members need it/],
    [
      'a member on its side without weak I',
      { ...base, members: [['a', '1', '2', { roll: 90 }]], extra: { sections: [{ id: 's', A: 1, Iz: 1 }] } },
      /has no Iy/,
    ],
    [
      'a shape that cannot be built',
      { ...base, extra: { sections: [{ id: 's', shape: { type: 'chs', d: 0.1, t: 0.2 } }] } },
      /cannot be built: the wall is thicker/,
    ],
    [
      'a temperature without expansion',
      { ...base, loads: [{ type: 'thermal', member: 'a', uniform: 5 }], extra: { materials: [{ id: 'm', E: 1e9 }] } },
      /no thermal expansion/,
    ],
  ])('%s', (_, model, words) => {
    const { model: sound } = checkModel(sketch(model));
    const results = solve(sound!);
    expect(results.status).toBe('invalid');
    expect(results.solution).toBeUndefined();
    expect(results.notices.map(({ message }) => message).join()).toMatch(words);
  });

  test('a truss member without I has its forces, and no bow of its own', () => {
    const model = sketch({
      ...base,
      members: [['a', '1', '2', truss]],
      supports: [pin('1'), pin('2')],
      loads: [{ type: 'line', member: 'a', from: { wy: -1e3 }, to: { wy: -1e3 } }],
      extra: { sections: [{ id: 's', A: 1e-3 }] },
    });
    const { solution } = solve(model);
    expect(solution!.responses[0]!.coefficients.subarray(offsetOf('v'), offsetOf('v') + 6).every((value) => value === 0)).toBe(
      true,
    );
    expect(solution!.responses[0]!.reactions[1]).toBeCloseTo(2e3, 6);
  });
});
