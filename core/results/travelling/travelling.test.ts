import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { solve } from '../../analysis/session';
import type { Effect } from '../../influence/effect';
import { checkModel } from '../../model/check';
import type { Model } from '../../model/model';
import { clamp, inRow, loadsOf, pin, roller, sketch, type LooseLoad } from '../../test/build';
import { evenly } from '../../test/evenly';
import { tried, unevenRow } from '../../test/influence';
import { randomFrame } from '../../test/random-frame';
import { randomSpace } from '../../test/random-space';
import { nodalRange } from '../nodal-range';
import { lineQuantities, quantityTable, type LineQuantity } from '../quantities';
import { nodalAt, valueAt } from '../read';
import { memberReader, quantityExtremes } from '../read-quantity';
import { readCurve } from '../read-curve';
import { readExtremes } from '../read-extremes';
import type { Solution } from '../results';
import { worstOf } from './worst';
import { trainsFor } from './where';

type Train = Partial<Extract<LooseLoad, { type: 'train' }>>;

/** A model whose case T holds a train that travels over some members, or another way, in a sum with its case Q, and alone. */
function travelled(model: Model, members: readonly string[] | undefined, train: Train = {}): Model {
  const load = {
    type: 'train',
    ...(members && { members: [...members] }),
    stands: 1,
    axles: [8e4, 6e4],
    spacings: [1.5],
    ...train,
  } as LooseLoad;
  const [case1] = model.cases;
  const made = checkModel({
    ...model,
    cases: [case1, { id: 'T', category: 'traffic' }],
    loads: [...model.loads, ...loadsOf([load], 'T').map((one) => ({ ...one, id: 'train' }))],
    actions: [{ id: 'T runs', type: 'travelling', of: ['T'] }],
    combinations: [
      { id: 'U', type: 'sum', factors: { [case1!.id]: 1.35, 'T runs': 1.5 } },
      { id: 'E', type: 'envelope', of: ['T runs'] },
      { id: 'both', type: 'envelope', of: ['U', case1!.id] },
    ],
  });
  if (!made.model) throw new Error(made.notices.map(({ message }) => message).join());
  return made.model;
}

const at = (solution: Solution, id: string): number => solution.outcomes.findIndex((one) => one.id === id);
const solutionOf = (model: Model): Solution => {
  const { solution, notices } = solve(model);
  if (!solution) throw new Error(notices.map(({ message }) => message).join());
  return solution;
};

const two = sketch({
  nodes: inRow(0, 6, 10),
  members: [
    ['a', '1', '2'],
    ['b', '3', '2'],
  ],
  supports: [clamp('1'), roller('2'), roller('3')],
  loads: [{ type: 'line', member: 'a', from: { wy: -5e3 }, to: { wy: -5e3 } }],
});

describe('what a train that travels brings about in each place', () => {
  const kinds = [
    ['in the plane', randomFrame, (id: string) => id.startsWith('b'), [0, -1, 0]],
    ['in space', randomSpace, (id: string) => /^b\d1$/.test(id), [0.48, -0.6, 0.64]],
    ['in the plane, on a deck', randomFrame, undefined, [0, -1, 0]],
    ['in space, on a deck', randomSpace, undefined, [0.48, -0.6, 0.64]],
  ] as const;
  test.each(kinds)('is the worst of its influence line, in any quantity of any frame %s', (_, frames, isOnPath, towards) => {
    fc.assert(
      fc.property(frames, fc.nat(), evenly(0.02, 0.98), (frame, n, t) => {
        const sound = checkModel({ ...frame, combinations: [] }).model!;
        const over = isOnPath && sound.members.map(({ id }) => id).filter(isOnPath);
        const across = over ? undefined : sound.nodes.map(({ id }) => id).filter((_, i) => i % 3 !== 1);
        const way = { over, across, direction: towards };
        const model = travelled(sound, over, { ...(across && { nodes: across }), towards, impact: 1.2, uniform: 2e3 });
        const solution = solutionOf(model);
        const m = n % model.members.length;
        const x = t * solution.structure.lengths[m]!;
        const quantities = lineQuantities.filter((one) => quantityTable[one].inPlane || sound.space === 'space');
        const effects = quantities.map((quantity): Effect => ({ kind: 'along', member: m, at: x, quantity }));
        const found = tried(model, way, effects);
        if (!('lines' in found)) throw new Error('no lines');
        const axles = { axles: [8e4, 6e4], spacings: [1.5], impact: 1.2, uniform: 2e3 };
        const [sum, alone, first] = [at(solution, 'U'), at(solution, 'E'), 0];
        const reader = [memberReader(solution, sum, m), memberReader(solution, alone, m)] as const;
        // A bar bends by rounding only: beside what there is elsewhere.
        const sizes = new Map([['length', 1e-5], ['force', 1e3], ['moment', 1e3]]); // oxfmt-ignore
        const kindOf = (quantity: LineQuantity): string => (/[uvw]/.test(quantity) ? 'length' : /^(N|V)/.test(quantity) ? 'force' : 'moment');
        const worst = found.lines.map((line) => worstOf(line, axles));
        quantities.forEach((quantity, q) => {
          const kind = kindOf(quantity);
          sizes.set(kind, Math.max(sizes.get(kind)!, worst[q]!.max.value, -worst[q]!.min.value));
        });
        quantities.forEach((quantity, q) => {
          const slack = 1e-8 * sizes.get(kindOf(quantity))!;
          const { max, min } = reader[1].at(quantity, x)!;
          expect(Math.abs(max - worst[q]!.max.value)).toBeLessThanOrEqual(slack);
          expect(Math.abs(min - worst[q]!.min.value)).toBeLessThanOrEqual(slack);
          const fixed = 1.35 * valueAt(solution, first, m, quantity, x);
          expect(Math.abs(reader[0].at(quantity, x)!.max - fixed - 1.5 * max)).toBeLessThanOrEqual(slack + 1e-9 * Math.abs(fixed));
        });
        const node = n % model.nodes.length;
        const [line] = (tried(model, way, [{ kind: 'movement', node, component: 1 }]) as typeof found).lines;
        const moved = worstOf(line!, axles);
        const range = nodalRange(solution, alone, 'displacements', 6 * node + 1);
        const size = 1e-8 * Math.max(moved.max.value, -moved.min.value, 1e-9);
        expect(Math.abs(range.max - moved.max.value)).toBeLessThanOrEqual(size);
        expect(Math.abs(range.min - moved.min.value)).toBeLessThanOrEqual(size);
      }),
      { numRuns: 25 },
    ); // oxfmt-ignore
  });

  test('with hinges, a sprung support, shear deformation, arms and members the other way', () => {
    const model = unevenRow({ offset: { end: [-0.3, 0, 0] } }, [
      { type: 'line', member: 's3', from: { wy: -5e3 }, to: { wy: -5e3 } },
    ]);
    const ids = model.members.map(({ id }) => id);
    const travelling = travelled(model, ids);
    const solution = solutionOf(travelling);
    const asked = ids.flatMap((_, member) =>
      (['Mz', 'Vy', 'v'] as const).flatMap((quantity) =>
        [0, 0.3086582838174551, 0.77, 1].map((t): Effect & { readonly kind: 'along' } => ({ kind: 'along', member, at: t * solution.structure.lengths[member]!, quantity })),
      ),
    ); // oxfmt-ignore
    const found = tried(travelling, { over: ids }, asked);
    if (!('lines' in found)) throw new Error('no lines');
    asked.forEach(({ member, at: x, quantity }, i) => {
      const { max, min } = worstOf(found.lines[i]!, { axles: [8e4, 6e4], spacings: [1.5] });
      const own = memberReader(solution, at(solution, 'E'), member).at(quantity, x)!;
      const slack = 1e-8 * (quantity === 'v' ? 1e-2 : 1e5);
      expect([Math.abs(own.max - max.value) <= slack, Math.abs(own.min - min.value) <= slack]).toEqual([true, true]);
    });
  });
});

describe('the envelope along a member', () => {
  test('of one axle over a simple beam: moment x·(L − x)/L, shear (L − x)/L, the worst of two axles beside the middle', () => {
    const beam = sketch({
      nodes: inRow(0, 8),
      members: [['a', '1', '2']],
      supports: [pin('1'), roller('2')],
      loads: [{ type: 'line', member: 'a', from: { wy: -1e3 }, to: { wy: -1e3 } }],
    });
    const single = solutionOf(travelled(beam, ['a'], { axles: [1e5], spacings: [] }));
    const reader = memberReader(single, at(single, 'E'), 0);
    for (const x of [0, 1, 3.3, 4, 8]) {
      expect(reader.at('Mz', x)!.max).toBeCloseTo((1e5 * x * (8 - x)) / 8, 4);
      expect(reader.at('Vy', x)!.max).toBeCloseTo((1e5 * (8 - x)) / 8, 4);
      expect(reader.at('Vy', x)!.min).toBeCloseTo((-1e5 * x) / 8, 4);
    }
    expect(nodalRange(single, at(single, 'E'), 'reactions', 1).max).toBeCloseTo(1e5, 4);
    // Two equal axles d apart: under the one that is d/4 from the middle, P/(2L)·(L − d/2)².
    const pair = solutionOf(travelled(beam, ['a'], { axles: [1e5, 1e5], spacings: [2] }));
    const { max } = quantityExtremes(pair, at(pair, 'E'), 0, 'Mz')!;
    expect(max.value).toBeCloseTo((1e5 / 16) * 49, 3);
    expect([3.5, 4.5]).toContainEqual(expect.closeTo(max.x, 4));
    const [{ standing }] = trainsFor(pair, max.from, { m: 0, quantity: 'Mz', x: max.x }, 1) as [ReturnType<typeof trainsFor>[0]];
    expect(standing.axles.map((s) => Math.abs(s - max.x)).toSorted((a, b) => a - b)).toEqual([expect.closeTo(0, 6), expect.closeTo(2, 6)]); // oxfmt-ignore
  });

  test('no place along the members goes beyond the extremes', () => {
    fc.assert(
      fc.property(fc.tuple(evenly(2e4, 9e4), evenly(2e4, 9e4), evenly(0.4, 3)), fc.constantFrom(0, 1.3), ([p, q, gap], varies) => {
        const spread = varies > 0 ? { varies: { behind: 0, least: gap, most: gap + varies } } : {};
        const model = travelled(two, ['a', 'b'], { axles: [p, q], spacings: [gap], ...spread });
        const solution = solutionOf(model);
        const outcome = at(solution, 'U');
        for (const m of [0, 1])
          for (const quantity of ['Mz', 'Vy', 'v'] as const) {
            const { max, min } = quantityExtremes(solution, outcome, m, quantity)!;
            const reader = memberReader(solution, outcome, m);
            const length = solution.structure.lengths[m]!;
            const slack = 1e-9 * Math.max(max.value, -min.value);
            for (let i = 0; i <= 200; i++) {
              const there = reader.at(quantity, (length * i) / 200)!;
              expect(there.max).toBeLessThanOrEqual(max.value + slack);
              expect(there.min).toBeGreaterThanOrEqual(min.value - slack);
            }
          }
      }),
      { numRuns: 12 },
    ); // oxfmt-ignore
  });

  test('a train that stands where an extreme says brings about that value', () => {
    fc.assert(
      fc.property(randomFrame, fc.nat(), fc.constantFrom<LineQuantity>('Mz', 'N', 'v'), fc.constantFrom<1 | -1>(1, -1), (frame, n, quantity, side) => {
        const sound = checkModel({ ...frame, combinations: [] }).model!;
        const over = sound.members.map(({ id }) => id).filter((id) => id.startsWith('b'));
        const model = travelled(sound, over);
        const solution = solutionOf(model);
        const m = n % model.members.length;
        const { max, min } = quantityExtremes(solution, at(solution, 'U'), m, quantity)!;
        const { value, x, from } = side > 0 ? max : min;
        const [one] = trainsFor(solution, from, { m, quantity, x }, side);
        const { standing } = one!;
        const loads = model.loads.map((load) =>
          load.type === 'train' ? { ...load, stands: standing.axles[0]!, way: standing.way, members: over } : load,
        );
        const placed = solutionOf({ ...model, loads, combinations: [{ id: 'S', type: 'sum', factors: { [model.cases[0]!.id]: 1.35, T: 1.5 } }] });
        const own = valueAt(placed, at(placed, 'S'), m, quantity, x);
        const size = Math.max(Math.abs(max.value), Math.abs(min.value));
        // Axial forces jump under an axle that stands there.
        if (quantity !== 'N' || standing.axles.every((s) => Math.abs(s - x) > 1e-6)) expect(Math.abs(own - value)).toBeLessThanOrEqual(1e-6 * size + 1e-9);
      }),
      { numRuns: 40 },
    ); // oxfmt-ignore
  });

  test('an envelope with others is at least each of them, and reads the same member by member ahead', () => {
    const solution = solutionOf(travelled(two, ['a', 'b']));
    const [both, sum] = [at(solution, 'both'), at(solution, 'U')];
    const reading = readExtremes(solution, both);
    let step = reading.next();
    while (!step.done) step = reading.next();
    const read = step.value.get('Mz')!;
    [0, 1].forEach((m) => {
      const { max, min } = quantityExtremes(solution, both, m, 'Mz')!;
      expect([...read.values.subarray(4 * m, 4 * m + 4)]).toEqual([max.value, max.x, min.value, min.x]);
      for (const t of [0, 0.2, 0.6, 1]) {
        const x = t * solution.structure.lengths[m]!;
        const all = memberReader(solution, both, m).at('Mz', x)!;
        const part = memberReader(solution, sum, m).at('Mz', x)!;
        const own = valueAt(solution, 0, m, 'Mz', x);
        expect([all.max, all.min]).toEqual([Math.max(part.max, own), Math.min(part.min, own)]);
      }
    });
    const curve = readCurve(solution, both, 'Mz');
    let drawn = curve.next();
    while (!drawn.done) drawn = curve.next();
    const { first, xs, max } = drawn.value;
    for (let i = first[1]!; i < first[2]!; i++) expect(max[i]).toBe(memberReader(solution, both, 1).at('Mz', xs[i]!)!.max);
  });
});

test('normal stress is that of a train that is moved, where a few fibres decide; what is no sum of forces is not known', () => {
  for (const section of [{ Wz: 2e-4, Wy: 1e-4 }, { shape: { type: 'chs', d: 0.2, t: 0.008 } } as const]) {
    const model = travelled({ ...two, sections: [{ ...two.sections[0]!, ...section }] }, ['a', 'b']);
    const solution = solutionOf(model);
    const reader = memberReader(solution, at(solution, 'U'), 1);
    const [x, most] = [2.5, reader.at('sigma', 2.5)!];
    let [max, min] = [-Infinity, Infinity];
    for (let s = 0; s <= 115; s++)
      for (const way of ['forwards', 'backwards'] as const) {
        const loads = model.loads.map((load) => (load.type === 'train' ? { ...load, stands: s / 10, way } : load));
        const placed = solutionOf({ ...model, loads, combinations: [{ id: 'S', type: 'sum', factors: { Q: 1.35, T: 1.5 } }] });
        const there = memberReader(placed, at(placed, 'S'), 1).at('sigma', x)!;
        [max, min] = [Math.max(max, there.max), Math.min(min, there.min)];
      }
    expect([most.max >= max * (1 - 1e-9), most.max <= max * 1.02]).toEqual([true, true]);
    expect([most.min <= min * (1 - 1e-9), most.min >= min * 1.02]).toEqual([true, true]);
    expect(reader.extremes('sigma')!.max.value).toBeGreaterThanOrEqual(most.max);
    expect([reader.at('sigmaV', x), reader.extremes('M'), reader.curve('sigmaV')]).toEqual([undefined, undefined, undefined]);
  }
});

describe('travelling in a model', () => {
  test('what is in the case beside its trains acts wherever they are; without trains it is all that acts', () => {
    const model = travelled(two, ['a', 'b']);
    const more = { ...model, loads: [...model.loads, ...loadsOf([{ type: 'node', node: '2', mz: 1e4 }], 'T').map((one) => ({ ...one, id: 'more' }))] }; // oxfmt-ignore
    const [before, after] = [solutionOf(model), solutionOf(more)];
    const beside = solutionOf({ ...more, loads: more.loads.filter(({ type }) => type !== 'train') });
    const read = (solution: Solution): number => memberReader(solution, at(solution, 'E'), 0).at('Mz', 3)!.max;
    expect(read(after)).toBeCloseTo(read(before) + read(beside), 4);
    expect(beside.outcomes[at(beside, 'U')]!.kind).toBe('superposed');
    expect(nodalAt(beside, at(beside, 'U'), 'reactions', 1)).not.toBe(0);
  });

  test('two trains in one case stand each where it is worst; an action is of one case', () => {
    const model = travelled(two, ['a', 'b']);
    const twice = { ...model, loads: [...model.loads, { ...model.loads.find(({ id }) => id === 'train')!, id: 'second' }] };
    const [one, both] = [solutionOf(model), solutionOf(twice)];
    const read = (solution: Solution): number => memberReader(solution, at(solution, 'E'), 1).at('Mz', 2)!.max;
    expect(read(both)).toBeCloseTo(2 * read(one), 4);
    const wrong = checkModel({ ...model, actions: [{ id: 'T runs', type: 'travelling', of: ['Q', 'T'] }] });
    expect(wrong.notices.map(({ message }) => message).join()).toMatch(/“T runs” is of one case, whose trains travel/);
  });

  test('the second order refuses it by name', () => {
    const run = solve(travelled(two, ['a', 'b']), [], ['second-order']).others!.get('second-order')!;
    expect([run.status, run.notices.at(-1)!.message]).toEqual([
      'invalid',
      expect.stringMatching(/Put the trains where they stand/),
    ]);
  });
});
