import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { checkModel } from '../model/check';
import type { LineQuantity } from '../results/quantities';
import type { Model } from '../model/model';
import { size as lengthOf, times, type Point } from '../model/point';
import { solve } from '../analysis/session';
import { valueAt } from '../results/read';
import type { Solution } from '../results/results';
import { inRow, loadsOf, pin, roller, sketch, solved, type LooseLoad } from '../test/build';
import {
  along,
  deck,
  influenceForms,
  L,
  movement,
  portal,
  reaction,
  row,
  spans,
  three,
  truss,
  two,
} from '../test/closed-forms/influence';
import { evenly } from '../test/evenly';
import { linesOf, tried, unevenRow, type Way } from '../test/influence';
import { usualWay } from './asked';
import { DOWN } from '../results/travelling/path';
import { randomFrame } from '../test/random-frame';
import { randomSpace } from '../test/random-space';
import type { Component, Effect } from './effect';
import { areasOf, extremesOfLine, lobesOf, ordinateAt, zerosOf } from '../results/travelling/line';
import type { MemberSpan } from '../results/travelling/path';

describe('influence lines in closed form', () => {
  test.each(influenceForms)('%s', (_, model, way, effect, theory) => {
    const [line] = linesOf(model, way, [effect]);
    const size = Math.max(...theory.map(([, value]) => Math.abs(value)));
    for (const [s, value] of theory) expect(Math.abs(ordinateAt(line!, s) - value)).toBeLessThanOrEqual(1e-9 * size);
  });

  test('extremes, zeros and areas are those of the curve', () => {
    const [line, shear] = linesOf(two, row(two), [along('Mz', 0, 4), along('Vy', 0, 4)]);
    // The moment at x in the first span: x·(1 − s/L) or s·(1 − x/L) as if it were alone, and x/L of the moment over the support.
    const { max, min } = extremesOfLine(line!);
    const over = (s: number): number => (s * (L ** 2 - s ** 2)) / (4 * L ** 2);
    expect(max.s).toBeCloseTo(4, 9);
    expect(max.value).toBeCloseTo(4 * 0.6 - 0.4 * over(4), 9);
    expect(min.s).toBeCloseTo(2 * L - L / Math.sqrt(3), 9);
    expect(min.value).toBeCloseTo(-0.4 * over(L / Math.sqrt(3)), 9);
    expect(zerosOf(line!)).toEqual([expect.closeTo(L, 9)]);
    expect(areasOf(line!).below).toBeCloseTo(-0.4 * (L ** 2 / 16), 9);
    expect(lobesOf(shear!).map(({ from, to }) => [from, to])).toEqual([[0, 4], [4, 10], [expect.closeTo(10, 9), 20]]); // oxfmt-ignore
  });

  test('what does not respond has no lobe', () => {
    const [line] = linesOf(truss, deck, [along('N', 11, 0)]);
    expect(lobesOf(line!)).toEqual([]);
    expect(areasOf(line!)).toEqual({ above: 0, below: 0 });
  });
});

/** Loads of 1 N at places of a path, each in a case of its own, and what is read of each. */
function moved(
  model: Model,
  path: readonly MemberSpan[],
  [fx, fy, fz]: Point,
  places: readonly number[],
  effect: Effect,
): number[] {
  const cases = places.map((_, i) => ({ id: `c${i}`, category: 'imposed' as const }));
  const loads = places.flatMap((s, i) => {
    const at = path.find(({ to }) => s <= to)!;
    const x = at.way === 'along' ? s - at.from : at.to - s;
    const load: LooseLoad = { type: 'point', member: model.members[at.member]!.id, measure: 'length', at: x, fx: 1e3 * fx, fy: 1e3 * fy, ...(fz !== 0 && { fz: 1e3 * fz }) }; // oxfmt-ignore
    return loadsOf([load], `c${i}`).map((one) => ({ ...one, id: `${i}` }));
  });
  const { solution } = solve(checkModel({ ...model, cases, loads, combinations: [] }).model!);
  return places.map((_, i) => read(solution!, i, effect) / 1e3);
}

function read(solution: Solution, outcome: number, effect: Effect): number {
  if (effect.kind === 'along') return valueAt(solution, outcome, effect.member, effect.quantity, effect.at);
  const { node, component, kind } = effect;
  return solution.responses[outcome]![kind === 'reaction' ? 'reactions' : 'displacements'][6 * node + component]!;
}

const quantities: readonly LineQuantity[] = ['N', 'Vy', 'Vz', 'T', 'My', 'Mz', 'u', 'v', 'w'];
const effects = fc.tuple(fc.constantFrom('reaction', 'movement', 'along'), fc.nat(), fc.nat(), evenly(0.02, 0.98));
const directions = fc.constantFrom<Point>([0, -1, 0], [1, 0, 0], [0.6, -0.8, 0], [0.48, -0.6, 0.64]);

function effectOf(model: Model, [kind, a, b, t]: [string, number, number, number]): Effect {
  const isPlane = model.space === 'plane';
  const component = (isPlane ? [0, 1, 5][b % 3] : b % 6) as Component;
  const supported = model.supports.map(({ node }) => model.nodes.findIndex(({ id }) => id === node));
  if (kind === 'reaction') return reaction(supported[a % supported.length]!, component);
  if (kind === 'movement') return movement(a % model.nodes.length, component);
  const asked = isPlane ? quantities.filter((q) => ['N', 'Vy', 'Mz', 'u', 'v'].includes(q)) : quantities;
  const solution = solved(model).solution;
  const m = a % model.members.length;
  return along(asked[b % asked.length]!, m, t * solution.structure.lengths[m]!);
}

describe('influence lines against loads that are moved', () => {
  const kinds = [
    ['in the plane', randomFrame, (id: string) => id.startsWith('b')],
    ['in space', randomSpace, (id: string) => /^b\d1$/.test(id)],
  ] as const;
  test.each(kinds)('any effect of any frame %s', (_, frames, isOnPath) => {
    fc.assert(
      fc.property(frames, effects, directions, fc.array(evenly(0.001, 0.999), { minLength: 3, maxLength: 3 }), fc.boolean(), (frame, asked, way, parts, isKept) => {
        const model = isKept ? { ...frame, analysis: { ...frame.analysis, axialDeformation: false } } : frame;
        const effect = effectOf(model, asked);
        const direction = model.space === 'plane' ? times([way[0], way[1], 0], 1 / lengthOf([way[0], way[1], 0])) : way;
        const over = model.members.map(({ id }) => id).filter(isOnPath);
        const found = tried(model, { over, direction }, [effect]);
        // A member that others hold against every opening has no influence line of its axial force.
        if (isKept && !('lines' in found) && found.every(({ code }) => code === 'kept-length')) return;
        if (!('lines' in found)) throw new Error(found.map(({ message }) => message).join());
        const members = found.path.spans.filter((one) => one.kind === 'member');
        const places = members.flatMap(({ from, to }) => parts.map((t) => from + t * (to - from)));
        const [line] = found.lines;
        const { max, min } = extremesOfLine(line!);
        const size = Math.max(max.value, -min.value, effect.kind === 'movement' ? 1e-12 : 1e-6);
        moved(model, members, direction, places, effect).forEach((value, i) =>
          expect(Math.abs(ordinateAt(line!, places[i]!) - value)).toBeLessThanOrEqual(1e-8 * size),
        );
      }),
      { numRuns: 60 },
    ); // oxfmt-ignore
  });

  test('a load of 1 at 1,000 places: hinge, sprung support, shear deformation and members the other way', () => {
    const model = unevenRow();
    const asked = [along('Mz', 1, 2), along('Vy', 1, 2), reaction(1, 1), movement(2, 1), along('v', 0, 3)];
    const found = tried(model, row(model), asked);
    if (!('lines' in found)) throw new Error('no lines');
    const members = found.path.spans.filter((one) => one.kind === 'member');
    const places = Array.from({ length: 1000 }, (_, i) => ((i + 0.5) * 18) / 1000);
    asked.forEach((effect, e) => {
      const line = found.lines[e]!;
      const { max, min } = extremesOfLine(line);
      const direct = moved(model, members, [0, -1, 0], places, effect);
      const worst = Math.max(...direct.map((value, i) => Math.abs(value - ordinateAt(line, places[i]!))));
      expect(worst).toBeLessThanOrEqual(1e-9 * Math.max(max.value, -min.value));
    });
  });
});

test('bars of which nothing but an area is known carry loads between their ends', () => {
  const { sections, ...rest } = sketch({
    nodes: [...inRow(0, 4, 8), ['4', 4, 3]],
    members: ([['1', '2'], ['3', '2'], ['1', '4'], ['4', '3'], ['2', '4']] as const).map(([a, b]) => [`${a}-${b}`, a, b, { behaviour: 'truss' }]),
    supports: [pin('1'), roller('3')],
  }); // oxfmt-ignore
  const model: Model = { ...rest, sections: sections.map(({ id, A }) => ({ id, A: A! })) };
  const asked = [along('Mz', 0, 1), along('Vy', 1, 1.5), along('N', 0, 2), along('v', 0, 3), reaction(0, 1)];
  const found = tried(model, { over: ['1-2', '3-2'] }, asked);
  if (!('lines' in found)) throw new Error(found.map(({ message }) => message).join());
  const places = [0.5, 1.5, 3.2, 4.7, 6.4, 6.6, 7.9];
  asked.forEach((effect, e) => {
    const direct = moved(model, found.path.spans as MemberSpan[], [0, -1, 0], places, effect);
    direct.forEach((value, i) => expect(ordinateAt(found.lines[e]!, places[i]!)).toBeCloseTo(value, 9));
  });
});

describe('what is refused', () => {
  const said = (model: Model, way: Way, effect: Effect): string => {
    const found = tried(model, way, [effect]);
    return 'lines' in found ? '' : found.map(({ message }) => message).join(' ');
  };
  test('a path that does not join', () => {
    expect(said(three, { over: ['s1', 's3'] }, reaction(0, 1))).toMatch(/s1, s3 do not follow each other/);
    expect(said(three, { over: ['s1', 'x'] }, reaction(0, 1))).toMatch(/no member “x”/);
    expect(said(truss, { across: ['1', '1'] }, reaction(0, 1))).toMatch(/does not get on from node 1 to node 1/);
    expect(said(truss, { across: ['1'] }, reaction(0, 1))).toMatch(/no length/);
  });
  test('a load across a bar between hinges that spins, and one across a node that nothing holds', () => {
    const mast = sketch({ nodes: [['1', 0, 0], ['2', 0, 5], ['3', 4, 0]], members: [['a', '1', '2'], ['b', '2', '3', { behaviour: 'truss' }]], supports: [pin('1'), pin('3')] }); // oxfmt-ignore
    expect(said(mast, { over: ['b'] }, reaction(0, 1))).toBe('');
    const bars = sketch({ nodes: inRow(0, 3, 6), members: spans(0, 3, 6).map(([...ids]) => [...ids, { behaviour: 'truss' }]), supports: [pin('1'), pin('3')] }); // oxfmt-ignore
    expect(said(bars, { across: ['1', '2', '3'] }, reaction(0, 1))).toMatch(/Node 2 can move along Y.*load on the path/);
    expect(said(bars, { across: ['1', '2', '3'], direction: [1, 0, 0] }, movement(1, 1))).toMatch(/Node 2 can move along Y/);
    expect(said(bars, { across: ['1', '2', '3'], direction: [1, 0, 0] }, reaction(0, 0))).toBe('');
  });
});

describe('the way that one would mean', () => {
  test('the straight run of a beam; of a portal’s foot the beam; of a column under a load from the side the column', () => {
    expect(usualWay(three, along('Mz', 1, 5), DOWN)).toEqual(['s2', 's3', 's1']);
    expect(usualWay(portal, reaction(0, 0), DOWN)).toEqual(['b']);
    expect(usualWay(portal, along('Mz', 2, 1), [1, 0, 0])).toEqual(['c']);
    expect(usualWay(truss, along('N', 6, 0), DOWN).toSorted()).toEqual(['1-2', '2-3', '3-4', '4-5']);
  });
});
