import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { checkModel } from '../model/check';
import type { Model } from '../model/model';
import { extremesOverMembers } from '../results/extremes-over-members';
import { energiesOf } from '../results/energy';
import { recheck } from '../recheck/recheck';
import { clamp, EI, inRow, pin, roller, sketch } from '../test/build';
import { randomFrame } from '../test/random-frame';
import { underAnyLoad } from '../test/random-loads';
import { randomSpace } from '../test/random-space';
import { AnalysisSession, solve } from './session';

const kept = (model: Model): Model => ({ ...model, analysis: { ...model.analysis, axialDeformation: false } });
const counted = (model: Model): Model => ({ ...model, analysis: { ...model.analysis, axialDeformation: true } });
const sound = (model: Model): Model => checkModel(model).model!;

/** A portal frame with fixed feet of unequal heights, loaded across. */
const portal = sound(
  sketch({
    nodes: [['1', 0, 0], ['2', 0, 4], ['3', 6, 4], ['4', 6, 0]],
    members: [['a', '1', '2'], ['b', '2', '3'], ['c', '3', '4']],
    supports: [clamp('1'), clamp('4')],
    loads: [{ type: 'node', node: '2', fx: 12e3 }, { type: 'line', member: 'b', from: { wy: -5e3 }, to: { wy: -5e3 } }],
  }),
); // oxfmt-ignore

/** Largest of what two solutions have differently, beside the largest of its kind. */
function differ(a: Float64Array, b: Float64Array): number {
  const size = a.reduce((most, one) => Math.max(most, Math.abs(one)), 0);
  return a.reduce((most, one, i) => Math.max(most, Math.abs(one - b[i]!)), 0) / size;
}
const solved = (model: Model) => {
  const results = solve(model);
  expect([results.status, results.notices.filter(({ severity }) => severity === 'error')]).toEqual(['solved', []]);
  return { ...results.solution!, notices: results.notices };
};
const saidOf = (model: Model): readonly string[] => solve(model).notices.map(({ message }) => message);

describe('members that keep their lengths', () => {
  test('agree with a way that forms no stiffness: any frame in plane and space, under any load', () => {
    fc.assert(
      fc.property(fc.oneof(underAnyLoad(randomFrame), underAnyLoad(randomSpace)), (some) => {
        const model = kept(some);
        const results = solve(model);
        fc.pre(results.status === 'solved' && results.mechanisms.length === 0);
        const found = recheck(model, results.solution!, 0, 'none');
        expect(found.status === 'compared' && found.difference).toBeLessThan(1e-9);
        const energies = energiesOf(results.solution!, 0);
        if (energies) expect(energies.work).toBeCloseTo(energies.stored, 9 - Math.log10(energies.work + 1));
      }),
      { numRuns: 40 },
    );
  });

  test('a portal has the moments of slope and deflection, and its eaves sway alike, with areas of any size or none', () => {
    // Fixed feet, h = 4, l = 6, H = 12 kN at the eaves alone: EI δ and moments by slope–deflection. By symmetry θ is the same at both
    // eaves: 2EI/6·3θ + 2EI/4·(2θ − 3ψ) = 0 gives θ = 3ψ/4, and of each column 2EI/4·(3θ − 6ψ) + 12/2·4 = 0.
    const psi = 24e3 / ((2 * EI * (6 - 9 / 4)) / 4);
    const theta = (3 * psi) / 4;
    const sway = sound({ ...portal, loads: portal.loads.slice(0, 1) });
    for (const A of [1, 5e-3, 1e-7, undefined]) {
      const section = { ...sway.sections[0]!, ...(A !== undefined && { A }) };
      const { A: _, ...bare } = section;
      const { responses, structure } = solved(kept({ ...sway, sections: [A === undefined ? bare : section] }));
      const { displacements, ends } = responses[0]!;
      const [node2, node3] = [6, 12];
      expect(displacements[node2]! / (4 * psi)).toBeCloseTo(1, 10);
      expect(displacements[node3]! / displacements[node2]!).toBeCloseTo(1, 11);
      expect(Math.abs(displacements[node2 + 1]!)).toBeLessThan(1e-14);
      expect(-displacements[node2 + 5]! / theta).toBeCloseTo(1, 10);
      expect(Math.abs(ends[12 + 5]!) / ((2 * EI * 3 * theta) / 6)).toBeCloseTo(1, 10);
      expect(ends[12]! / 6e3).toBeCloseTo(1, 10);
      expect(structure.names.members).toHaveLength(3);
    }
  });

  test('it is what members come to as all their areas grow', () => {
    const braced = sound({ ...portal, members: [...portal.members, { id: 'd', start: '1', end: '3', section: 's', material: 'm', behaviour: 'truss' }, { id: 'e', start: '2', end: '4', section: 's', material: 'm', behaviour: 'truss' }] }); // oxfmt-ignore
    const times = (factor: number): Model => ({
      ...braced,
      sections: braced.sections.map((one) => ({ ...one, A: factor * one.A! })),
    });
    const [large, larger, all] = [times(1e5), times(1e6), kept(braced)].map((model) => solved(model).responses[0]!.ends);
    // Each tenfold area leaves a tenth of the difference.
    expect(differ(larger!, all!)).toBeLessThan(1e-7);
    expect(differ(large!, all!) / differ(larger!, all!)).toBeGreaterThan(5);
  });

  test('those that hold each other say so, share by their areas, and are refused where an area is not known', () => {
    const beam = sketch({
      nodes: inRow(0, 3, 9),
      members: [['a', '1', '2'], ['b', '2', '3']],
      supports: [pin('1'), pin('3')],
      loads: [{ type: 'node', node: '2', fx: 9e3, fy: -1e3 }],
    }); // oxfmt-ignore
    const { responses, sharing, notices } = solved(kept(beam));
    expect(sharing).toEqual([0, 1]);
    expect(notices.map(({ message }) => message)).toEqual([expect.stringMatching(/^Members a, b hold each other lengthwise.*by their areas/)]); // oxfmt-ignore
    // EA/L of 1/3 beside 1/6.
    expect(responses[0]!.ends[6]).toBeCloseTo(6e3, 5);
    const { A: _, ...bare } = beam.sections[0]!;
    expect(saidOf(kept({ ...beam, sections: [bare] }))).toEqual([expect.stringMatching(/not all of these are known\. Give A/)]);
    expect(solve(kept({ ...beam, sections: [bare] })).status).toBe('invalid');
    // Across nothing is shared, and nobody asks for an area.
    const across = { ...beam, sections: [bare], loads: [{ ...beam.loads[0]!, fx: 0 }] } as Model;
    expect(solved(kept(across)).notices).toEqual([]);
    // What hangs on one end alone shares nothing.
    expect(solved(kept({ ...beam, supports: [pin('1'), roller('3')] })).sharing).toEqual([]);
  });

  test('what is imposed lengthens them as it would; where nothing can follow, that is said with its place and size', () => {
    const alongMember = (load: object, supports = [clamp('1'), roller('2')]): Model =>
      kept(sketch({ nodes: inRow(0, 5), members: [['a', '1', '2']], supports, loads: [load as never] }));
    const warm = { type: 'thermal', member: 'a', uniform: 30 };
    expect(solved(alongMember(warm)).responses[0]!.displacements[6]).toBeCloseTo(30 * 1.2e-5 * 5, 15);
    expect(solved(alongMember({ type: 'strain', member: 'a', elongation: 2e-3 })).responses[0]!.displacements[6]).toBeCloseTo(
      2e-3,
      15,
    );
    const fixed = [clamp('1'), clamp('2')];
    expect(saidOf(alongMember(warm, fixed))).toEqual([expect.stringMatching(/^Case Q cannot be .* member a would have to become 1\.8 mm longer/)]); // oxfmt-ignore
    expect(saidOf(alongMember({ type: 'settlement', node: '2', ux: -3e-3 }, fixed))).toEqual([
      expect.stringMatching(/3 mm longer/),
    ]);
    expect(solved(alongMember({ type: 'settlement', node: '2', uy: -3e-3 }, fixed)).responses[0]!.displacements[7]).toBe(-3e-3);
    // A spring gives way.
    expect(solved(alongMember(warm, [clamp('1'), { node: '2', ux: 1e6, uy: 'fixed' }])).responses[0]!.ends[6]).toBeCloseTo(-1e6 * 1.8e-3, 6); // oxfmt-ignore
  });

  test('trains travel over them: the worst place is that of ever larger areas', () => {
    const travelled = (of: Model): number => {
      const model = sound({
        ...of,
        cases: [...of.cases, { id: 'T', category: 'traffic' }],
        loads: [{ id: 't', case: 'T', type: 'train', members: ['b'], stands: 2, axles: [3e4, 5e4], spacings: [1.5] }],
        actions: [{ id: 'go', type: 'travelling', of: ['T'] }],
        combinations: [{ id: 'U', type: 'sum', factors: { go: 1 } }],
      });
      const solution = solved(model);
      return extremesOverMembers(
        solution,
        solution.outcomes.findIndex(({ id }) => id === 'U'),
        'Mz',
      )!.max.value;
    };
    const large = { ...portal, sections: portal.sections.map((one) => ({ ...one, A: 500 })) };
    expect(travelled(kept(portal)) / travelled(large)).toBeCloseTo(1, 6);
    expect(travelled(kept(portal)) / travelled(portal)).not.toBeCloseTo(1, 6);
  });

  test('what is found with axial deformation only is refused by name', () => {
    const refused = (more: Partial<Model>): readonly string[] => saidOf({ ...portal, ...more });
    const axial = { axialDeformation: false };
    expect(refused({ analysis: { ...axial, secondOrder: { of: 'everything' } } })).toEqual([expect.stringMatching(/^The second order cannot be found while axial deformation is neglected/)]); // oxfmt-ignore
    expect(refused({ analysis: { ...axial, buckling: { of: ['Q'] } } })).toEqual([expect.stringMatching(/^Critical loads/)]);
    expect(refused({ analysis: { ...axial, naturalModes: {} } })).toEqual([expect.stringMatching(/^Natural modes/)]);
    expect(refused({ analysis: axial, members: portal.members.map((one) => ({ ...one, behaviour: 'tensionOnly' as const })) })).toEqual([expect.stringMatching(/acts one way/)]); // oxfmt-ignore
    expect(solve(kept(portal), [], ['second-order']).others?.get('second-order')?.notices.map(({ code }) => code)).toEqual(['axial-deformation']); // oxfmt-ignore
  });

  test('edits in any order give what a fresh start gives, whether axial deformation counts or not', () => {
    const step = fc.record({ axial: fc.boolean(), load: fc.integer({ min: -9, max: 9 }), x: fc.integer({ min: -3, max: 3 }) });
    fc.assert(
      fc.property(fc.array(step, { minLength: 2, maxLength: 6 }), (steps) => {
        const session = new AnalysisSession();
        for (const { axial, load, x } of steps) {
          const loads = [
            ...portal.loads,
            { id: 'more', case: 'Q', type: 'node', node: '3', fy: 1e3 * load, mz: 5e2 * load } as const,
          ];
          const nodes = portal.nodes.map((node) => (node.id === '3' ? { ...node, x: 6 + x / 4 } : node));
          const model = (axial ? counted : kept)({ ...portal, loads, nodes });
          const now = session.update(model).now.solution!.responses[0]!;
          const fresh = solved(model).responses[0]!;
          expect(differ(fresh.ends, now.ends)).toBeLessThan(1e-11);
          expect(differ(fresh.displacements, now.displacements)).toBeLessThan(1e-11);
        }
        session.close();
      }),
      { numRuns: 25 },
    );
  });
});
