import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { checkModel } from '../check';
import { findDefects } from '../defects';
import { emptyModel, type Model } from '../model';
import { typicals } from '../typical/all';
import { valueFault } from '../typical/typical';
import { solve } from '../../analysis/session';
import { valueAt } from '../../results/read';
import { extremes } from '../../results/extremes';
import { randomFrame } from '../../test/random-frame';
import { applyIntent } from './apply-intent';
import type { Motion } from './motion';
import { edited, refused, placed } from '../../test/edited';

/** Results that do not depend on names: extremes of moment and shear over all members, and the movements of named nodes. */
function figures(model: Model, nodes: readonly string[]): number[] {
  const results = solve(model);
  if (!results.solution) throw new Error(JSON.stringify(results.notices));
  const { solution } = results;
  const linear = solution.responses[0]!;
  const of = (quantity: 'N' | 'Vy' | 'Mz', side: 'max' | 'min'): number[] =>
    model.members.map((_, m) => extremes(solution, 0, m, quantity)[side].value);
  const movements = nodes.flatMap((id) => {
    const at = model.nodes.findIndex((node) => node.id === id);
    return [...linear.displacements.subarray(6 * at, 6 * at + 6)].map((part) => part * 1e6);
  });
  return [
    ...(['N', 'Vy', 'Mz'] as const).flatMap((quantity) => [Math.max(...of(quantity, 'max')), Math.min(...of(quantity, 'min'))]),
    ...movements,
  ];
}
const expectSame = (a: readonly number[], b: readonly number[]): void => {
  const size = Math.max(...a.map(Math.abs), 1);
  a.forEach((value, i) => expect(Math.abs(value - b[i]!)).toBeLessThan(1e-7 * size));
};
const RUNS = { numRuns: 20 };
const ratios = fc.uniqueArray(fc.integer({ min: 1, max: 9 }), { minLength: 1, maxLength: 3 });
const nodeIds = (model: Model): string[] => model.nodes.map(({ id }) => id);

describe('edits of geometry leave the mechanics as they were', () => {
  test('a split member, its hinges and loads; joined again it is what it was', () => {
    fc.assert(
      fc.property(randomFrame, ratios, fc.constantFrom('b0', 'c1'), (model, tenths, member) => {
        const before = figures(model, nodeIds(model));
        const cut = edited(model, { type: 'split', cuts: [{ member, at: tenths.map((t) => t / 10) }] });
        expect(cut.nodes).toHaveLength(model.nodes.length + tenths.length);
        expectSame(before, figures(cut, nodeIds(model)));
        const pieces = [member, ...cut.members.slice(model.members.length).map(({ id }) => id)];
        const back = edited(cut, { type: 'join', members: pieces });
        expect(back.members).toEqual(model.members);
        expect(back.loads).toHaveLength(model.loads.length);
        expectSame(before, figures(back, nodeIds(model)));
      }),
      RUNS,
    );
  });

  test('split temperature, lack of fit, partial and local loads, and a truss member with a load across it', () => {
    const beam = checkModel({
      ...emptyModel('beam'),
      cases: [{ id: 'Q', category: 'imposed' }],
      nodes: [
        { id: '1', x: 0, y: 0 },
        { id: '2', x: 4, y: 3 },
      ],
      members: [{ id: 'a', start: '1', end: '2', section: 'beam', material: 'steel', behaviour: 'truss' }],
      supports: [
        { node: '1', ux: 'fixed', uy: 'fixed' },
        { node: '2', ux: 'fixed', uy: 'fixed' },
      ],
      loads: [
        {
          case: 'Q',
          type: 'line',
          member: 'a',
          axes: 'local',
          measure: 'length',
          from: { at: 1, wy: -2e3 },
          to: { at: 4.5, wy: -7e3 },
        },
        { id: 'x2', case: 'Q', type: 'point', member: 'a', at: 0.5, fy: -3e3, fx: 1e3 },
        { id: 'x3', case: 'Q', type: 'thermal', member: 'a', uniform: 20, gradientY: 40 },
        { id: 'x4', case: 'Q', type: 'strain', member: 'a', elongation: 1e-3 },
      ],
    }).model!;
    const cut = edited(beam, { type: 'split', cuts: [{ member: 'a', at: [0.5, 0.25] }] });
    expect(cut.loads).toHaveLength(3 + 1 + 3 + 3);
    expectSame(figures(beam, ['1', '2']), figures(cut, ['1', '2']));
    expect(refused(beam, { type: 'split', cuts: [{ member: 'a', at: [0, 1] }] })).toMatch(/not cut between its ends/);
  });

  test('turned by half a circle about its middle and mirrored twice, everything is as before', () => {
    fc.assert(
      fc.property(randomFrame, fc.integer({ min: -4, max: 4 }), (model, at) => {
        const mirror: Motion = { kind: 'mirror', at: [at, 0, 0], normal: [1, 0, 0] };
        const mirrored = edited(model, { type: 'transform', nodes: nodeIds(model), motion: mirror });
        const before = figures(model, nodeIds(model));
        const size = Math.max(...before.map(Math.abs));
        // Mirrored in an upright plane all moves the other way across and the same way up.
        figures(mirrored, nodeIds(model))
          .slice(6)
          .forEach((value, i) => {
            const sign = i % 6 === 1 ? 1 : -1;
            expect(Math.abs(value - sign * before[6 + i]!)).toBeLessThan(1e-7 * size);
          });
        const back = edited(mirrored, { type: 'transform', nodes: nodeIds(model), motion: mirror });
        expectSame(before, figures(back, nodeIds(model)));
      }),
      RUNS,
    );
  });

  test('a space part turned about X keeps its sections and local loads', () => {
    const tower = placed('tower');
    const loaded: Model = {
      ...tower,
      cases: [{ id: 'Q', category: 'wind' }],
      members: tower.members.map((member, i) => (i === 0 ? { ...member, roll: 30 } : member)),
      loads: tower.members
        .filter(({ behaviour }) => behaviour !== 'truss')
        .map(({ id }) => ({
          id: `x${id}`,
          case: 'Q',
          type: 'line',
          member: id,
          axes: 'local',
          from: { wy: 1e3, wz: -2e3 },
          to: { wy: 3e3 },
        })),
    };
    const motion: Motion = { kind: 'turn', about: [1, 2, 3], axis: 'x', degrees: 35 };
    const turned = edited(loaded, { type: 'transform', nodes: nodeIds(loaded), motion });
    const N = (model: Model): number[] => {
      const { solution } = solve(model);
      return model.members.flatMap((_, m) => (['N', 'T', 'My', 'Mz'] as const).map((q) => valueAt(solution!, 0, m, q, 0)));
    };
    expectSame(N(loaded), N(turned));
  });
});

describe('typical structures', () => {
  const variants = typicals.flatMap((typical) => {
    const choices = typical.fields.filter((field) => field.kind === 'choice');
    return [{}, ...choices.flatMap((field) => field.of.map(({ id }) => ({ [field.key]: id })))].map(
      (change) => [typical.id, change] as const,
    );
  });
  test.each(variants)('%s %j stands, carries its own weight, and has no defect', (id, change) => {
    const model = placed(id, change);
    const results = solve(model);
    expect(results.status).toBe('solved');
    expect(results.mechanisms.filter(({ harmless }) => !harmless)).toEqual([]);
    expect(findDefects(model)).toEqual([]);
    expect(model.groups!.flatMap(({ members }) => members!).sort()).toEqual(model.members.map((member) => member.id).sort());
  });

  test('values that cannot be built are refused in words', () => {
    const [truss] = typicals.filter(({ id }) => id === 'truss');
    const faults = truss!.fields.map((field) => valueFault(field, field.kind === 'choice' ? 'nothing' : -1));
    expect(faults.every((words) => words?.includes('must be'))).toBe(true);
  });

  test('a zigzag of seven panels over 17.5 m has the joints and forces of its shape', () => {
    const model = placed('truss', { span: 17.5, panels: 7, height: 2, web: 'zigzag', chords: 'hinged' });
    expect([model.nodes.length, model.members.length]).toEqual([15, 27]);
  });
});

describe('repeating', () => {
  test('a plane frame becomes a hall: linked, with loads and supports, groups growing along', () => {
    const plane = placed('portal', { base: 'fixed' });
    const space = edited(plane, { type: 'set', settings: { space: 'space' } });
    const held = edited(space, {
      type: 'batch',
      intents: space.supports.map((support) => ({
        type: 'put',
        list: 'supports',
        entry: { ...support, uz: 'fixed', rx: 'fixed', ry: 'fixed' },
      })),
    });
    const loaded = edited(held, {
      type: 'put',
      list: 'loads',
      entry: { id: 'x1', type: 'node', case: 'G', node: '3', fy: -5e3 },
    });
    const hall = edited(loaded, {
      type: 'repeat',
      nodes: [],
      members: loaded.members.map(({ id }) => id),
      motion: { kind: 'move', by: [0, 0, -5] },
      times: 3,
      link: { section: 'beam', material: 'steel' },
      supports: 'copied',
      loads: 'copied',
    });
    expect([hall.nodes.length, hall.members.length, hall.supports.length, hall.loads.length]).toEqual([20, 16 + 9, 8, 4]);
    // The feet stay apart.
    const feet = new Set(hall.supports.map(({ node }) => node));
    expect(hall.members.filter(({ start, end }) => feet.has(start) && feet.has(end))).toEqual([]);
    expect(hall.groups!.find(({ id }) => id === 'columns')!.members).toHaveLength(8);
    expect(solve(hall).status).toBe('solved');
  });

  test('a force that stands already on the node that a copy meets is left out, and said; the clean-up finds one that is doubled', () => {
    const portal = placed('portal');
    const [top] = portal.nodes.filter(({ y }) => y > 0);
    const places = new Map(portal.nodes.map((node) => [node.id, node]));
    const column = portal.members.find(({ start, end }) => [start, end].includes(top!.id) && places.get(start)!.x === places.get(end)!.x)!;
    const across = Math.max(...portal.nodes.map(({ x }) => x)) - top!.x;
    const other = portal.nodes.find(({ x, y }) => x === top!.x + across && y === top!.y)!;
    const force = (node: string, fy: number) => ({ type: 'put', list: 'loads', entry: { type: 'node', case: 'G', node, fy } }) as const;
    const copy = { type: 'repeat', nodes: [], members: [column.id], motion: { kind: 'move', by: [across, 0, 0] }, times: 1, supports: 'copied', loads: 'copied' } as const;
    const bare = edited(portal, { type: 'remove', list: 'members', keys: portal.members.filter(({ start, end }) => [start, end].includes(other.id) && places.get(start)!.x === places.get(end)!.x).map(({ id }) => id) });
    const both = edited(bare, { type: 'batch', intents: [force(top!.id, -5e3), force(other.id, -5e3)] });
    const applied = applyIntent(both, copy);
    if (!applied.ok) throw new Error(applied.faults[0]!.message);
    expect([applied.model.loads.length, applied.said]).toEqual([2, ['One force or settlement was not copied: the same one stands on its node already.']]);
    // Another force is another load.
    const different = applyIntent(edited(bare, { type: 'batch', intents: [force(top!.id, -5e3), force(other.id, -4e3)] }), copy);
    expect(different.ok && [different.model.loads.length, different.said]).toEqual([3, []]);
    const doubled = edited(applied.model, force(other.id, -5e3));
    const [defect] = findDefects(doubled).filter(({ kind }) => kind === 'doubled load');
    expect(defect!.words).toBe(`The same load stands twice at node ${other.id}, in G`);
    expect(findDefects(edited(doubled, defect!.intent)).filter(({ kind }) => kind === 'doubled load')).toEqual([]);
  }); // oxfmt-ignore

  test('copies about an axis meet at what lies on it, and nothing is doubled', () => {
    const portal = placed('portal');
    const space = edited(portal, { type: 'set', settings: { space: 'space' } });
    const dome = edited(space, {
      type: 'repeat',
      nodes: [],
      members: space.members.map(({ id }) => id),
      motion: { kind: 'turn', about: [6, 0, 0], axis: 'y', degrees: 90 },
      times: 1,
      supports: 'copied',
      loads: 'copied',
    });
    expect([dome.nodes.length, dome.members.length]).toEqual([9, 8]);
    expect(
      refused(dome, {
        type: 'repeat',
        nodes: [],
        members: ['a'],
        motion: { kind: 'turn', about: [6, 0, 0], axis: 'y', degrees: 90 },
        times: 1,
        supports: 'left',
        loads: 'left',
      }),
    ).toMatch(/already there/);
  });
});
