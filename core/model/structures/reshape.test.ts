import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { solve } from '../../analysis/session';
import { checkModel } from '../check';
import { applyIntent } from '../edits/apply-intent';
import type { Intent } from '../edits/intent';
import { emptyModel, type Load, type Model } from '../model';
import { hangingOn, ofFormulas } from '../parameters/hanging';
import { pointOf } from '../point';
import { typicals } from '../typical/all';
import { initialValues, uprightInSpace, valueFault, type TypicalField, type TypicalValues } from '../typical/typical';
import { builtOf, typicalOf } from './placed';

const STUFF = { section: 's', material: 'm' };
const begin = (space: Model['space']): Model => ({
  ...emptyModel('shed'),
  space,
  materials: [{ id: 'm', E: 2.1e11, G: 8.1e10, density: 7850 }],
  sections: [{ id: 's', A: 2e-3, Iz: 4e-6, Iy: 1e-6, J: 1e-6 }, { id: 't', A: 3e-3, Iz: 6e-6, Iy: 2e-6, J: 2e-6 }],
  cases: [{ id: 'Q', category: 'imposed' }],
}); // oxfmt-ignore

function done(model: Model, ...intents: readonly Intent[]): Model & { said: readonly string[] } {
  const said: string[] = [];
  const last = intents.reduce((now, intent) => {
    const applied = applyIntent(now, intent);
    if (!applied.ok) throw new Error(applied.faults.map(({ message }) => message).join('\n'));
    said.push(...applied.said);
    return applied.model;
  }, model);
  return Object.assign({ ...last }, { said });
}

function placed(type: string, more: TypicalValues = {}, at: readonly [number, number, number] = [0, 0, 0]): Model {
  const typical = typicalOf(type)!;
  const values = { ...initialValues(typical), ...more };
  const structure = { id: 'It', type, values };
  return done(begin(typical.space), { type: 'insert', part: typical.build(values, STUFF), at, structure });
}

const measured = (model: Model, values: TypicalValues): Intent => {
  const one = model.structures![0]!;
  return { type: 'put', list: 'structures', entry: { ...one, values: { ...one.values, ...values } } };
};
const load = (one: object): Intent => ({ type: 'put', list: 'loads', entry: { case: 'Q', ...one } });
/** Places of nodes and pairs of members, without their names. */
function shapeOf(model: Model): readonly string[] {
  const places = new Map(model.nodes.map((node) => [node.id, pointOf(node).map((x) => x.toFixed(5) .replace('-0.00000', '0.00000')).join()])); // oxfmt-ignore
  return [
    ...model.members.map(({ start, end, behaviour = 'frame' }) => [...[places.get(start), places.get(end)].sort(), behaviour].join(' ')), // oxfmt-ignore
    ...model.supports.map(({ node, ...held }) => `${places.get(node)} ${JSON.stringify(Object.entries(held).sort())}`),
  ].sort();
}

describe('a typical structure that takes other measures', () => {
  test('is what would have been placed with them, whatever measures it went through', () => {
    const anyValue = (field: TypicalField): fc.Arbitrary<TypicalValues[string]> => {
      if (field.kind === 'choice') return fc.constantFrom(...field.of.map(({ id }) => id));
      if (field.kind === 'count') return fc.integer({ min: 1, max: 9 });
      const length = fc.integer({ min: 2, max: 9 });
      return field.kind === 'length' ? length : fc.array(length, { minLength: 1, maxLength: 4 });
    };
    const anyRoute = fc.constantFrom(...typicals).chain((typical) => {
      const values = fc.record(Object.fromEntries(typical.fields.map((field) => [field.key, anyValue(field)])));
      return fc.tuple(fc.constant(typical), fc.array(values, { minLength: 2, maxLength: 5 }));
    });
    fc.assert(
      fc.property(anyRoute, ([typical, route]) => {
        const sound = route.filter((values) => typical.fields.every((field) => valueFault(field, values[field.key]) === undefined));
        fc.pre(sound.length > 1);
        const [first, ...rest] = sound as TypicalValues[];
        let model: Model = placed(typical.id, first);
        for (const values of rest) {
          model = done(model, measured(model, values));
          expect(shapeOf(model)).toEqual(shapeOf(placed(typical.id, values)));
          expect(checkModel(model).model).toBeDefined();
          const { nodes, members } = model.structures![0]!;
          const part = builtOf(model.structures![0]!);
          // Names stand in the order in which they are built.
          part.members.forEach(({ start }, i) => expect([model.members.find(({ id }) => id === members[i])!.start, model.members.find(({ id }) => id === members[i])!.end]).toContain(nodes[part.nodes.findIndex(({ id }) => id === start)])); // oxfmt-ignore
        }
      }),
      { numRuns: 40 },
    ); // oxfmt-ignore
  });

  test('a truss of other panels keeps its ends, middle, loads, sections and groups; what comes between is like its neighbours', () => {
    const truss = placed('truss', { panels: 6 });
    const top = truss.groups!.find(({ id }) => id === 'top chord')!.members!;
    const inner = truss.nodes.filter(({ y }) => y > 1).map(({ id }) => id);
    const loaded = done(
      truss,
      ...top.map((member) => load({ type: 'line', member, from: { wy: -2e3 }, to: { wy: -2e3 } })),
      ...inner.map((node) => load({ type: 'node', node, fy: -1e3 })),
      load({ type: 'chain', members: top, from: { wy: -500 }, to: { wy: -500 } }),
      ...truss.members.map((member): Intent => ({ type: 'put', list: 'members', entry: { ...member, section: 't' } })),
    );
    const total = (model: Model): number => solve(model).solution!.responses[0]!.equilibrium.applied[1];
    const more = done(loaded, measured(loaded, { panels: 8, height: 2 }));
    expect(more.groups!.find(({ id }) => id === 'top chord')!.members).toHaveLength(8);
    expect(new Set(more.members.map(({ section }) => section))).toEqual(new Set(['t']));
    // 12 m of 2 kN/m and of 0.5 kN/m, and 1 kN at each of nine joints.
    expect(total(more)).toBeCloseTo(-(12 * 2.5e3 + 9e3), 6);
    const [left, right] = [
      truss.nodes.find(({ x, y }) => x === 0 && y === 0)!,
      truss.nodes.find(({ x, y }) => x === 12 && y === 0)!,
    ];
    expect(more.supports.map(({ node }) => node)).toEqual([left.id, right.id]);
    const fewer = done(more, measured(more, { panels: 4, height: 1.5, span: 10 }));
    expect(total(fewer)).toBeCloseTo(-(10 * 2.5e3 + 5e3), 6);
    expect(fewer.said).toEqual([expect.stringMatching(/^\d+ loads went with \d+ members of “It” that are no more$/)]);
    expect(fewer.nodes.find(({ id }) => id === right.id)).toMatchObject({ x: 10, y: 0 });
  });

  test('a further bay stands behind those that are there, which stay what they are', () => {
    const frame = placed('storeys', { bays: [6, 6], storeys: [4, 3] }, [1, 0, 0]);
    const before = new Map(frame.nodes.map((node) => [node.id, node.x]));
    const longer = done(frame, measured(frame, { bays: [6, 6, 5], storeys: [4, 3] }));
    for (const [id, x] of before) expect(longer.nodes.find((node) => node.id === id)!.x).toBe(x);
    expect(Math.max(...longer.nodes.map(({ x }) => x))).toBe(18);
    expect(longer.supports).toHaveLength(4);
  });

  test('follows where it was moved, turned or mirrored as a whole; what was changed by hand stays, or refuses it with the reason', () => {
    const arch = placed('arch', { segments: 6, line: 'parabola' });
    const all = arch.nodes.map(({ id }) => id);
    const shift = (x: number): Intent => ({ type: 'transform', nodes: all, motion: { kind: 'move', by: [x, 3, 0] } });
    const turn: Intent = { type: 'transform', nodes: all, motion: { kind: 'turn', about: [2, 0, 0], axis: 'z', degrees: 30 } };
    const mirror: Intent = { type: 'transform', nodes: all, motion: { kind: 'mirror', at: [5, 0, 0], normal: [1, 0, 0] } };
    for (const motions of [[shift(2)], [turn], [shift(1), turn], [mirror], [turn, mirror]]) {
      const model = done(arch, ...motions);
      const next = done(model, measured(model, { segments: 8, rise: 4 }));
      const direct = placed('arch', { segments: 8, line: 'parabola', rise: 4 });
      const names = direct.nodes.map(({ id }) => id);
      const wanted = done(direct, ...motions.map((motion) => ({ ...motion, nodes: names }) as Intent));
      expect(shapeOf(next)).toEqual(shapeOf(wanted));
    }
    const raised = done(arch, { type: 'moveNodes', moves: [{ id: '4', x: 6, y: 3.5 }] });
    const longer = done(raised, measured(raised, { span: 14 }));
    expect(longer.nodes.find(({ id }) => id === '4')).toMatchObject({ x: 7, y: 3.5 });
    expect(longer.said).toEqual([expect.stringMatching(/^Nodes 4 of “It” had been moved by hand/)]);
    const refused = (model: Model): string => {
      const applied = applyIntent(model, measured(model, { span: 15 }));
      return applied.ok ? '' : applied.faults[0]!.message;
    };
    expect(refused(done(arch, { type: 'split', cuts: [{ member: 'b', at: [0.5] }] }))).toMatch(/its member “b” was divided or joined to other nodes since/); // oxfmt-ignore
    expect(refused(done(arch, { type: 'stretch', axis: 'x', beyond: 3, by: 2 }))).toMatch(/5 of its 7 nodes stand elsewhere/);
  });

  test('what was taken away stays away; a node at which something else hangs stays; the last member takes the structure along', () => {
    const truss = placed('truss', { panels: 4 });
    const post = truss.structures![0]!.members.at(-1)!;
    const without = done(truss, { type: 'remove', list: 'members', keys: [post] });
    expect(without.structures![0]!.members.at(-1)).toBe('');
    expect(done(without, measured(without, { span: 9 })).members).toHaveLength(truss.members.length - 1);
    const hung = done(truss, { type: 'draw', nodes: [{ id: 'far', x: 6, y: -3 }], members: [{ id: 'hanger', start: '2', end: 'far', ...STUFF }] }); // oxfmt-ignore
    const fewer = done(hung, measured(hung, { panels: 2 }));
    expect(fewer.nodes.some(({ id }) => id === 'far')).toBe(true);
    expect(fewer.members.some(({ id }) => id === 'hanger')).toBe(true);
    expect(done(truss, { type: 'remove', list: 'members', keys: truss.members.map(({ id }) => id) }).structures).toBeUndefined();
    const free = done(truss, { type: 'remove', list: 'structures', keys: ['It'] });
    expect([free.structures, free.members.length]).toEqual([undefined, truss.members.length]);
    const renamed = done(truss, { type: 'rename', list: 'nodes', names: { 1: 'left' } });
    expect(done(renamed, measured(renamed, { panels: 5 })).nodes.some(({ id }) => id === 'left')).toBe(true);
  });

  test('its measures follow parameters: panels by an expression, and what cannot be built is refused', () => {
    const truss = done(
      placed('truss', { panels: 4 }),
      { type: 'put', list: 'parameters', entry: { id: 'span', unit: 'm', value: 12 } },
      { type: 'put', list: 'formulas', entry: { of: 'structures/It/values/span', is: 'span' } },
      { type: 'put', list: 'formulas', entry: { of: 'structures/It/values/panels', is: 'span / 1.5 m' } },
    );
    expect(truss.structures![0]!.values).toMatchObject({ span: 12, panels: 8 });
    const longer = done(truss, { type: 'put', list: 'parameters', entry: { id: 'span', unit: 'm', value: 15 } });
    expect(longer.structures![0]!.values).toMatchObject({ span: 15, panels: 10 });
    expect(Math.max(...longer.nodes.map(({ x }) => x))).toBe(15);
    expect(longer.groups!.find(({ id }) => id === 'bottom chord')!.members).toHaveLength(10);
    const applied = applyIntent(longer, { type: 'put', list: 'parameters', entry: { id: 'span', unit: 'm', value: 14 } });
    expect(applied.ok ? '' : applied.faults[0]!.message).toMatch(/cannot have these measures: Panels must be a whole number/);
  });

  test('a file whose structure does not agree with itself is refused', () => {
    const truss = placed('truss');
    const said = (change: object): string => checkModel({ ...truss, structures: [{ ...truss.structures![0]!, ...change }] }).notices.find(({ severity }) => severity === 'error')!.message; // oxfmt-ignore
    expect(said({ nodes: ['1'] })).toMatch(/names 1 nodes, and its measures build 14/);
    expect(said({ nodes: ['nowhere', ...truss.structures![0]!.nodes.slice(1)] })).toMatch(/There is no node “nowhere”/);
    expect(said({ type: 'dome' })).toMatch(/type is not known/);
    expect(said({ values: { ...truss.structures![0]!.values, panels: 2.5 } })).toMatch(/Panels must be a whole number/);
    expect(said({ values: { ...truss.structures![0]!.values, panels: 1e9 } })).toMatch(/Panels must be/);
  });
});

test('what stands where a further part would be is taken into it, and not doubled', () => {
  const beam = placed('beam', { spans: [4, 4] });
  const beyond = done(beam, { type: 'draw', nodes: [{ id: 'far', x: 12, y: 0 }], members: [{ id: 'own', start: '3', end: 'far', ...STUFF }] }); // oxfmt-ignore
  const longer = done(beyond, measured(beyond, { spans: [4, 4, 4] }));
  expect(longer.members.map(({ id }) => id)).toEqual(['a', 'b', 'own']);
  expect(longer.structures![0]).toMatchObject({ nodes: ['1', '2', '3', 'far'], members: ['a', 'b', 'own'] });
});

test('loads of a case that are alike on both sides', () => {
  const beam = placed('beam', { spans: [4, 4] });
  const both = done(beam, ...beam.members.map(({ id }) => load({ type: 'line', member: id, from: { wy: -1 }, to: { wy: -1 } })));
  const longer = done(both, measured(both, { spans: [4, 4, 4] }));
  expect(longer.loads.map((one: Load) => ('member' in one ? one.member : ''))).toEqual(['a', 'b', 'c']);
});

describe('what hangs on a structure', () => {
  const supportOf = (model: Model, node: string) => model.supports.find((one) => one.node === node);

  test('feet become fixed with the choice of it, but for one that was given a spring or taken away by hand', () => {
    const portal = placed('portal', { bays: [8, 8], base: 'pinned' });
    const [first, second, third] = portal.supports.map(({ node }) => node) as [string, string, string];
    const changed = done(
      portal,
      { type: 'put', list: 'supports', entry: { node: second, ux: 'fixed', uy: 4e6 } },
      { type: 'remove', list: 'supports', keys: [third] },
    );
    const fixed = done(changed, measured(changed, { base: 'fixed' }));
    expect(supportOf(fixed, first)).toEqual({ node: first, ux: 'fixed', uy: 'fixed', rz: 'fixed' });
    expect(supportOf(fixed, second)).toEqual({ node: second, ux: 'fixed', uy: 4e6 });
    expect(supportOf(fixed, third)).toBeUndefined();
    const wider = done(fixed, measured(fixed, { bays: [8, 8, 8] }));
    expect(wider.supports).toHaveLength(3);
  });

  test('hinges of the type follow it, one that was made by hand stays', () => {
    const arch = placed('arch', { segments: 6, hinges: 'three' });
    const crown = arch.members.find(({ releases }) => releases)!;
    const own = done(arch, { type: 'put', list: 'members', entry: { ...arch.members[0]!, releases: { end: { mz: 'free' } } } });
    const two = done(own, measured(own, { hinges: 'two' }));
    expect(two.members.find(({ id }) => id === crown.id)!.releases).toBeUndefined();
    expect(two.members[0]!.releases).toEqual({ end: { mz: 'free' } });
    const hinged = placed('truss', { chords: 'continuous' });
    const chord = hinged.groups!.find(({ id }) => id === 'top chord')!.members![0]!;
    const next = done(hinged, measured(hinged, { chords: 'hinged' }));
    expect(next.members.find(({ id }) => id === chord)!.behaviour).toBe('truss');
  });

  test('a load on a run takes up what comes between, in the sense in which it was listed; what ends or stands elsewhere does not', () => {
    const truss = placed('truss', { panels: 4 });
    const chord = truss.groups!.find(({ id }) => id === 'bottom chord')!.members!;
    const backwards = [...chord].reverse();
    const loaded = done(
      truss,
      load({ id: 'whole', type: 'chain', members: backwards, from: { wy: -1e3 }, to: { wy: -4e3 } }),
      load({ id: 'half', type: 'chain', members: chord.slice(0, 2), from: { wy: -500 }, to: { wy: -500 } }),
      load({ id: 'here', type: 'point', member: chord[0]!, at: 0.5, fy: -1e3 }),
    );
    const more = done(loaded, measured(loaded, { panels: 8 }));
    const runOf = (model: Model, id: string): readonly string[] =>
      model.loads.flatMap((one) => (one.type === 'chain' && one.id === id ? one.members : []));
    expect(runOf(more, 'whole')).toHaveLength(8);
    expect([...runOf(more, 'whole')].reverse()).toEqual(more.structures![0]!.members.slice(0, 8));
    // Half of the chord: what lies between two members that it lies on.
    expect(runOf(more, 'half').length).toBeGreaterThanOrEqual(3);
    expect(more.loads.filter(({ type }) => type === 'point')).toHaveLength(1);
    // The intensity still falls from the far end.
    expect(solve(more).status).toBe('solved');
    const fewer = done(more, measured(more, { panels: 2 }));
    expect(runOf(fewer, 'whole')).toHaveLength(2);
  });

  test('a run that goes on beyond the structure keeps what lies there', () => {
    const beam = placed('beam', { spans: [4, 4, 4] });
    const long = done(
      beam,
      { type: 'draw', nodes: [{ id: 'far', x: 15, y: 0 }], members: [{ id: 'beyond', start: '4', end: 'far', ...STUFF }] },
      load({ id: 'all', type: 'chain', members: ['a', 'b', 'c', 'beyond'], from: { wy: -1 }, to: { wy: -1 } }),
    );
    const shifted = done(long, measured(long, { spans: [5, 4, 3] }));
    expect(shifted.loads[0]).toMatchObject({ members: ['a', 'b', 'c', 'beyond'] });
    expect(shifted.members.map(({ id }) => id)).toContain('beyond');
  });

  test('a value that was expected of a member that is no more goes with it, and the expression that gave it', () => {
    const beam = placed('beam', { spans: [4, 4] });
    const watched = done(
      beam,
      load({ type: 'line', member: 'b', from: { wy: -1e3 }, to: { wy: -1e3 } }),
      { type: 'put', list: 'parameters', entry: { id: 'hope', unit: 'kN·m', value: 3 } },
      { type: 'put', list: 'expected', entry: { id: 'e', outcome: 'Q', member: 'b', quantity: 'Mz', value: 3 } },
      { type: 'put', list: 'formulas', entry: { of: 'expected/e/value', is: 'hope' } },
    );
    const shorter = done(watched, measured(watched, { spans: [4] }));
    expect([shorter.expected, shorter.formulas, shorter.loads]).toEqual([undefined, undefined, []]);
    expect(shorter.said.join()).toMatch(/1 load went with 1 member of “It” that are no more/);
  });

  test('two of a kind have names of their own and change by themselves; nodes of one that became others’ follow', () => {
    const typical = typicalOf('beam')!;
    const values = { spans: [3, 3] };
    const insert = (x: number): Intent => ({ type: 'insert', part: typical.build(values, STUFF), at: [x, 0, 0], structure: { id: 'Beam', type: 'beam', values } }); // oxfmt-ignore
    const both = done(begin('plane'), insert(0), insert(20));
    expect(both.structures!.map(({ id, origin }) => [id, origin[0]])).toEqual([['Beam', 0], ['Beam 2', 20]]); // oxfmt-ignore
    const one = done(both, { type: 'put', list: 'structures', entry: { ...both.structures![1]!, values: { spans: [3, 3, 3] } } });
    expect(one.members).toHaveLength(5);
    expect(one.structures![0]).toEqual(both.structures![0]);
    const drawn = done(one, { type: 'draw', nodes: [{ id: 'n', x: 6.2, y: 0 }], members: [{ id: 'm', start: 'n', end: '4', ...STUFF }] }); // oxfmt-ignore
    const merged = done(drawn, { type: 'merge', pairs: [['n', '3']] });
    expect(merged.structures![0]!.nodes).toEqual(['1', '2', 'n']);
    const turned = done(merged, { type: 'turnRound', members: ['a'] });
    const longer = done(turned, { type: 'put', list: 'structures', entry: { ...turned.structures![0]!, values: { spans: [2, 4] } } }); // oxfmt-ignore
    expect(longer.members.find(({ id }) => id === 'a')).toMatchObject({ start: '2', end: '1' });
    expect(longer.nodes.find(({ id }) => id === '2')!.x).toBe(2);
  });

  test('a plane one stands upright in space, with new feet held as the first', () => {
    const typical = typicalOf('storeys')!;
    const values = { ...initialValues(typical), bays: [5], storeys: [3] };
    const structure = { id: 'Frame', type: 'storeys', values, upright: true };
    const space = done(begin('space'), {
      type: 'insert',
      part: uprightInSpace(typical.build(values, STUFF)),
      at: [0, 0, 2],
      structure,
    });
    const wider = done(space, measured(space, { bays: [5, 5] }));
    expect(wider.supports).toHaveLength(3);
    expect(wider.supports.every((one) => one.uz === 'fixed' && one.rx === 'fixed' && one.ry === 'fixed')).toBe(true);
    expect(wider.nodes.every(({ z }) => z === 2)).toBe(true);
  });

  test('undone it is what it was, to the last number', () => {
    const truss = placed('truss', { panels: 5 });
    const applied = applyIntent(truss, measured(truss, { panels: 9, span: 20 }));
    if (!applied.ok) throw new Error('refused');
    const back = applyIntent(applied.model, { type: 'patch', patches: applied.inverse });
    expect(back.ok && { ...back.model, said: [] }).toEqual({ ...truss, said: [] });
  });

  test('its members hang on the parameter of its measures', () => {
    const beam = done(
      placed('portal'),
      { type: 'put', list: 'parameters', entry: { id: 'eaves', unit: 'm', value: 5 } },
      { type: 'put', list: 'formulas', entry: { of: 'structures/It/values/height', is: 'eaves' } },
    );
    expect(ofFormulas(beam, hangingOn(beam, 'eaves')).members).toEqual(beam.structures![0]!.members);
    const renamed = done(beam, { type: 'rename', list: 'structures', names: { It: 'Shed' } });
    expect(renamed.formulas![0]!.of).toBe('structures/Shed/values/height');
  });
});

test('what only one neighbour carries, or one carries otherwise, is not shared', () => {
  const beam = placed('beam', { spans: [4, 4] });
  const line = (member: string, wy: number): Intent => load({ type: 'line', member, from: { wy }, to: { wy } });
  for (const loads of [[line('a', -1)], [line('b', -1)], [line('a', -1), line('b', -2)]]) {
    const model = done(beam, ...loads);
    expect(done(model, measured(model, { spans: [4, 4, 4] })).loads).toHaveLength(loads.length);
  }
  const nodal = done(beam, load({ type: 'node', node: '1', fy: -1 }), load({ type: 'node', node: '2', fy: -3 }));
  expect(done(nodal, measured(nodal, { spans: [4, 4, 4] })).loads).toHaveLength(2);
});
