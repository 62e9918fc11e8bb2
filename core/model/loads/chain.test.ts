import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { applyIntent } from '../edits/apply-intent';
import type { Intent } from '../edits/intent';
import { checkModel } from '../check';
import type { Model } from '../model';
import { denseFrame } from '../../recheck/dense-frame';
import { loadsOf, pin, roller, sketch, solved, type LooseLoad } from '../../test/build';
import { compile, recompile } from '../../stiffness/compile';
import { expandLoads } from './expand';
import { evenly } from '../../test/evenly';

/** A rib of six members from springing to springing, every other one drawn the other way. */
const RIB = [0, 1, 2, 3, 4, 5, 6].map((i) => [Math.cos((i * Math.PI) / 6) * -4, Math.sin((i * Math.PI) / 6) * 3] as const);
const rib = (loads: readonly LooseLoad[]): Model =>
  sketch({
    nodes: RIB.map(([x, y], i) => [`${i + 1}`, x, y]),
    members: [...'abcdef'].map((id, i) => [id, ...(i % 2 === 0 ? [`${i + 1}`, `${i + 2}`] : [`${i + 2}`, `${i + 1}`])] as never),
    supports: [pin('1'), pin('7')],
    loads,
  });
const members = [...'abcdef'];
const chain = (more: object): LooseLoad =>
  ({ type: 'chain', id: 'wind', members, from: { wx: 1e3 }, to: { wx: 0 }, ...more }) as LooseLoad;
const lengths = RIB.slice(1).map(([x, y], i) => Math.hypot(x - RIB[i]![0], y - RIB[i]![1]));
const total = lengths.reduce((sum, one) => sum + one, 0);

/** What the structure feels of a model: extremes of N, V and M everywhere, and reactions. */
function felt(model: Model): number[] {
  const r = solved(model);
  const along = model.members.flatMap(({ id }) =>
    (['N', 'Vy', 'Mz'] as const).flatMap((quantity) => [r.max(id, quantity).value, r.min(id, quantity).value]),
  );
  return [...along.sort((a, b) => a - b), ...r.reaction('1'), ...r.reaction('7')];
}
const near = (a: readonly number[], b: readonly number[]): void => {
  const size = Math.max(...b.map(Math.abs));
  a.forEach((value, i) => expect(Math.abs(value - b[i]!)).toBeLessThan(1e-9 * size));
};
const edited = (model: Model, intent: Intent): Model => {
  const applied = applyIntent(model, intent);
  if (!applied.ok) throw new Error(applied.faults.map(({ message }) => message).join(' '));
  return applied.model;
};
const faultsOf = (load: object): string[] =>
  checkModel(JSON.parse(JSON.stringify(rib([chain(load)])))).notices.map(({ message }) => message);

describe('a load along a chain of members', () => {
  test('is one line over all of them, whichever way each was drawn', () => {
    const { loads, origins } = expandLoads(rib([chain({})]));
    expect(loads.map((load) => 'member' in load && load.member)).toEqual(members);
    expect(origins.every(({ id }) => id === 'wind')).toBe(true);
    let at = 0;
    loads.forEach((load, i) => {
      if (load.type !== 'line') throw new Error(load.type);
      const [start, end] = i % 2 === 0 ? [load.from, load.to] : [load.to, load.from];
      expect(start.wx).toBeCloseTo(1e3 * (1 - at / total), 9);
      at += lengths[i]!;
      expect(end.wx).toBeCloseTo(1e3 * (1 - at / total), 9);
      // Whole members are not cut.
      expect([load.from.at, load.to.at]).toEqual([undefined, undefined]);
    });
  });

  test('reactions carry its total: half the base times the length, at a third of it', () => {
    const { applied } = solved(rib([chain({})])).solution.responses[0]!.equilibrium;
    expect(applied[0]).toBeCloseTo((1e3 * total) / 2, 8);
  });

  test('agrees with the dense solver member by member in all axes and for any stretch', () => {
    const place = evenly(0, 1);
    const size = fc.integer({ min: -9, max: 9 });
    fc.assert(
      fc.property(
        fc.constantFrom('global' as const, 'projected' as const, 'local' as const),
        fc.boolean(),
        place,
        place,
        fc.array(size, { minLength: 4, maxLength: 4 }),
        (axes, byLength, p, q, w) => {
          const [a, b] = [Math.min(p, q), Math.max(p, q)];
          fc.pre(b - a > 1e-3);
          const scale = byLength ? total : 1;
          const model = rib([
            chain({
              axes,
              measure: byLength ? 'length' : 'ratio',
              from: { at: a * scale, wx: w[0]! * 100, wy: w[1]! * 100 },
              to: { at: b * scale, wx: w[2]! * 100, wy: w[3]! * 100 },
            }),
          ]);
          // The line itself, cut by hand: ordinates at both ends of each member's share.
          let from = 0;
          const byHand = members.flatMap((member, i): LooseLoad[] => {
            const [start, end] = [from, (from += lengths[i]!)];
            const [x0, x1] = [Math.max(start, a * total), Math.min(end, b * total)];
            if (x1 - x0 < 1e-9) return [];
            const against = i % 2 === 1;
            const along = against && axes === 'local' ? -1 : 1;
            const ordinate = (x: number) => {
              const t = (x / total - a) / (b - a);
              const mix = (k: 0 | 1): number => 100 * (w[k]! + t * (w[k + 2]! - w[k]!));
              return { at: against ? end - x : x - start, wx: along * mix(0), wy: mix(1) };
            };
            const ends = against ? [ordinate(x1), ordinate(x0)] : [ordinate(x0), ordinate(x1)];
            return [{ type: 'line', member, axes, measure: 'length', from: ends[0]!, to: ends[1]! }];
          });
          const dense = denseFrame(rib(byHand));
          const r = solved(model);
          const size =
            1 + Math.max(...members.flatMap((id, i) => [0, 0.5, 1].map((t) => Math.abs(dense.along(id, t * lengths[i]!).Mz))));
          members.forEach((id, i) =>
            [0, 0.3, 0.5, 1].forEach((t) =>
              expect(Math.abs(r.at(id, 'Mz', t * lengths[i]!) - dense.along(id, t * lengths[i]!).Mz)).toBeLessThan(1e-8 * size),
            ),
          );
        },
      ),
      { numRuns: 60 },
    );
  });

  test.each<[string, object, RegExp]>([
    ['members that do not meet', { members: ['a', 'c'] }, /“a” and “c” of this load do not meet/],
    ['a member twice', { members: ['a', 'b', 'a'] }, /“a” stands twice/],
    ['a member that is not there', { members: ['a', 'z'] }, /no member “z”/],
    ['no member', { members: [] }, /at least one/],
    ['a place behind the end of the run', { measure: 'length', to: { at: 99 } }, /outside its run of members/],
    ['an end before the beginning', { from: { at: 0.6 }, to: { at: 0.5 } }, /does not end behind/],
    ['out of the plane', { to: { wz: 5 } }, /“wz” is out of plane/],
  ])('is refused in words: %s', (_, load, words) => expect(faultsOf(load).join(' ')).toMatch(words));
});

describe('a chain follows edits of its members, and the structure feels the same', () => {
  const model = rib([chain({ from: { at: 0.1, wx: 800, wy: -300 }, to: { at: 0.85, wx: 0, wy: -900 } })]);
  const local = rib([chain({ axes: 'local', from: { wx: 50, wy: 200 }, to: { wx: -70, wy: -400 } })]);
  const loadOf = (one: Model): object => one.loads.find(({ type }) => type === 'chain')!;

  test.each([
    ['global', model],
    ['local', local],
  ] as const)('split and joined again, %s axes', (_, before) => {
    const cut = edited(before, {
      type: 'split',
      cuts: [
        { member: 'b', at: [0.3, 0.6] },
        { member: 'e', at: [0.5] },
      ],
    });
    expect((loadOf(cut) as { members: string[] }).members).toHaveLength(9);
    near(solved(cut).reaction('1') as never, solved(before).reaction('1') as never);
    const { members: now } = loadOf(cut) as { members: string[] };
    const joined = edited(cut, { type: 'join', members: now.slice(1, 4) });
    const again = edited(joined, { type: 'join', members: now.slice(6, 8) });
    near(felt(again), felt(before));
    expect((loadOf(again) as { members: string[] }).members).toHaveLength(6);
  });

  test('mirrored, turned, renamed', () => {
    const names = Object.fromEntries(members.map((id) => [id, id.toUpperCase()]));
    const renamed = edited(local, { type: 'rename', list: 'members', names });
    expect(loadOf(renamed)).toMatchObject({ members: [...'ABCDEF'] });
    near(felt(renamed), felt(local));
    const nodes = model.nodes.map(({ id }) => id);
    for (const before of [model, local]) {
      const once = edited(before, { type: 'transform', nodes, motion: { kind: 'mirror', at: [0, 0, 0], normal: [1, 0, 0] } });
      expect(loadOf(once)).toMatchObject({ type: 'chain', members });
      const twice = edited(once, { type: 'transform', nodes, motion: { kind: 'mirror', at: [0, 0, 0], normal: [1, 0, 0] } });
      near(felt(twice), felt(before));
      expect(solved(once).reaction('1')[1]).toBeCloseTo(solved(before).reaction('1')[1]!, 4);
    }
  });

  test('copied with all its members it is one again; copied in part it becomes single loads', () => {
    const intent = {
      type: 'repeat',
      nodes: [],
      motion: { kind: 'move', by: [10, 0, 0] },
      times: 1,
      supports: 'copied',
      loads: 'copied',
    } as const;
    const whole = edited(model, { ...intent, members });
    expect(whole.loads.map(({ type }) => type)).toEqual(['chain', 'chain']);
    expect(new Set(whole.loads.map(({ id }) => id)).size).toBe(2);
    near([...solved(whole).reaction('8')], [...solved(model).reaction('1')]);
    const part = edited(model, { ...intent, members: ['c', 'd'] });
    expect(part.loads.map(({ type }) => type)).toEqual(['chain', 'line', 'line']);
  });

  test('a member taken out leaves the rest of it where it was', () => {
    const held = { ...model, supports: [pin('1'), pin('7'), roller('3'), pin('4')] };
    const without = edited(held, { type: 'remove', list: 'members', keys: ['c'] });
    expect(without.loads.map((load) => load.type === 'chain' && load.members.join(''))).toEqual(['ab', 'def']);
    const parts = expandLoads(held).loads.filter((load) => !('member' in load && load.member === 'c'));
    const kept = expandLoads(without).loads;
    kept.forEach((load, i) => {
      const other = parts[i]!;
      if (load.type !== 'line' || other.type !== 'line') throw new Error(load.type);
      expect([load.member, load.from.at, load.to.at]).toEqual([other.member, other.from.at, other.to.at]);
      expect(load.from.wy).toBeCloseTo(other.from.wy!, 9);
      expect(load.to.wx).toBeCloseTo(other.to.wx!, 9);
    });
  });

  test('removed with its last member, and by its id', () => {
    const lone = { ...model, loads: loadsOf([chain({ members: ['c'], from: { wy: 1 }, to: { wy: 1 } })]) };
    expect(edited(lone, { type: 'remove', list: 'members', keys: ['c'] }).loads).toEqual([]);
    expect(edited(model, { type: 'remove', list: 'loads', keys: ['wind'] }).loads).toEqual([]);
  });

  test('an edit elsewhere leaves its rows as they were; a moved node writes those anew that it touches', () => {
    const before = compile(model);
    const renamed = edited(model, { type: 'set', settings: { title: 'other' } });
    expect(recompile(renamed, { model, structure: before }).reloaded).toEqual([]);
    const moved = edited(model, { type: 'moveNodes', moves: [{ id: '4', x: 0.2, y: 3.1 }] });
    const { structure, reloaded } = recompile(moved, { model, structure: before });
    expect(structure.lineLoads).toEqual(compile(moved).lineLoads);
    expect(reloaded?.length).toBeGreaterThan(0);
  });
});

test('ids are given in order on reading, behind those that are there', () => {
  const bare = JSON.parse(
    JSON.stringify(rib([chain({}), { type: 'node', node: '4', fy: -1 }, { type: 'node', node: '3', fy: -1 }])),
  );
  delete bare.loads[1].id;
  bare.loads[0].id = '7';
  delete bare.loads[2].id;
  expect(checkModel(bare).model?.loads.map(({ id }) => id)).toEqual(['7', '8', '9']);
  bare.loads[2].id = '7';
  expect(
    checkModel(bare)
      .notices.map(({ message }) => message)
      .join(),
  ).toMatch(/already a load “7”/);
});
