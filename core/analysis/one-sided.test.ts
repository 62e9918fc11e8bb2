import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { isFault } from '../model/notice';
import { checkModel } from '../model/check';
import { carriedSupport } from '../model/edits/carry';
import type { Carried } from '../model/edits/motion';
import type { Point } from '../model/point';
import type { Member, Model, Support } from '../model/model';
import { recheck } from '../recheck/recheck';
import { responseOf } from '../results/sums';
import type { Solution, StructuralResponse } from '../results/results';
import { pin, sketch, solved } from '../test/build';
import { crossed } from '../test/closed-forms/one-sided';
import { Random } from '../test/random';
import { subsets } from '../test/subsets';
import { randomFrame } from '../test/random-frame';
import { randomSpace } from '../test/random-space';
import { AnalysisSession, solve } from './session';

const ROOT2 = Math.SQRT2;

const pushed = (fx: number, extra: Partial<Model> = {}): Model => sketch({ ...crossed(fx), extra });

describe('members that act one way', () => {
  test.each([
    [9e3, 'up', 'down'],
    [-9e3, 'down', 'up'],
  ])('of two crossed ties the one that would be pushed is slack (%i N)', (push, taut, slack) => {
    const results = solved(pushed(push));
    expect(results.at(taut, 'N', 1)).toBeCloseTo(9e3 * ROOT2, 4);
    expect(Math.abs(results.at(slack, 'N', 1))).toBeLessThan(1e-6);
    const { letGo, structure } = results.solution;
    expect(letGo![0]!.slack.map((m) => structure.names.members[m])).toEqual([slack]);
  });

  test('each case and each sum is solved for itself: a sum is not the sum of its cases', () => {
    const two: Partial<Model> = {
      cases: [
        { id: 'Q', category: 'wind' },
        { id: 'R', category: 'wind' },
      ],
      combinations: [
        { id: 'both', type: 'sum', factors: { Q: 1, R: 1 } },
        { id: 'worst', type: 'envelope', of: ['Q', 'R', 'both'] },
      ],
    };
    const model = pushed(9e3, two);
    const results = solved({ ...model, loads: [...model.loads, { id: 'r', case: 'R', type: 'node', node: '3', fx: -4e3 }] });
    expect(results.at('up', 'N', 1, 'Q')).toBeCloseTo(9e3 * ROOT2, 4);
    expect(results.at('down', 'N', 1, 'R')).toBeCloseTo(4e3 * ROOT2, 4);
    expect(results.at('up', 'N', 1, 'both')).toBeCloseTo(5e3 * ROOT2, 4);
    expect(Math.abs(results.at('down', 'N', 1, 'both'))).toBeLessThan(1e-6);
  });

  test('solved once more in another way, with the lengths that were found, it is the same', () => {
    const model = withTies(fc.sample(randomFrame, { numRuns: 1, seed: 3 })[0]!, [[0, 3, true], [1, 2, true], [3, 4, false], [0, 5, true]]); // oxfmt-ignore
    const { solution } = solve(model);
    expect(solution!.letGo![0]!.slack.length).toBeGreaterThan(0);
    const found = recheck(model, solution!, 0, 'none');
    expect(found).toMatchObject({ status: 'compared' });
    expect('difference' in found && found.difference).toBeLessThan(1e-9);
  });

  test('what all that could hold lets go is a fault with names; other runs and influence lines say that they do not know it', () => {
    const model = pushed(9e3);
    const alone = { ...model, members: model.members.filter(({ id }) => id !== 'up') };
    const results = solve(alone);
    expect(results.status).toBe('unstable');
    expect(results.mechanisms.filter(({ harmless }) => !harmless).map(({ description }) => description)).toEqual([
      expect.stringMatching(/sways|moves|slides/),
    ]);
    expect(
      results.notices
        .filter(isFault)
        .slice(0, 1)
        .map(({ message }) => message),
    ).toEqual([expect.stringMatching(/^Q: members “down” cannot take.*can move/)]);
    expect(solve({ ...model, members: alone.members.map((one) => (one.id === 'down' ? { ...one, behaviour: 'compressionOnly' } : one)) }).status).toBe('solved'); // oxfmt-ignore
    const modes = solve(model, [], ['natural-modes']).others!.get('natural-modes')!;
    expect(modes.notices.filter(isFault).map(({ message }) => message)).toEqual([
      expect.stringMatching(/Natural modes are not found/),
    ]);
  });

  test('one that stays as it is changes nothing; those that never or always act are told', () => {
    const model = pushed(9e3);
    const plain = {
      ...model,
      members: model.members.map((one) => (one.id === 'up' ? { ...one, behaviour: 'truss' as const } : one)),
    };
    const [a, b] = [solve(model), solve(plain)];
    expect(a.notices.slice(1).map(({ message }) => message)).toEqual([
      'Slack in every case and combination: members “down”',
      'Never slack: members “up”',
    ]);
    expect(differenceOf(responseOf(a.solution!, 0)!, responseOf(b.solution!, 0)!)).toBeLessThan(1e-12);
  });

  test.each([
    ['in the plane', randomFrame],
    ['in space', randomSpace],
  ] as const)('%s: of all sets of slack members the one is found that fits', (_, frames) => {
    fc.assert(
      fc.property(
        frames,
        fc.array(fc.tuple(fc.nat(40), fc.nat(40), fc.boolean()), { minLength: 1, maxLength: 6 }),
        (frame, drawn) => {
          const model = withTies(frame, drawn);
          const ties = model.members.filter(({ behaviour }) => behaviour === 'tensionOnly' || behaviour === 'compressionOnly');
          const { solution } = solve(model);
          const found = responseOf(solution!, 0)!;
          const fitting = subsets(ties).flatMap((slack) => fits(model, slack) ?? []);
          expect(fitting.length).toBeGreaterThan(0);
          // Members without force are slack or not: the structure is the same.
          for (const one of fitting) expect(differenceOf(found, one)).toBeLessThan(1e-9);
        },
      ),
      { numRuns: 200 },
    );
  });
});

describe('supports that push one way', () => {
  test.each([
    ['in the plane', randomFrame],
    ['in space', randomSpace],
  ] as const)('%s: of all sets of lifted supports, beside slack members, the one is found that fits', (_, frames) => {
    let lifted = 0;
    fc.assert(
      fc.property(
        frames,
        fc.array(fc.tuple(fc.nat(40), fc.nat(40), fc.boolean()), { maxLength: 2 }),
        fc.array(
          fc.tuple(
            fc.nat(40),
            fc.constantFrom('fixed' as const, 3e6),
            fc.constantFrom('positive' as const, 'negative' as const),
            fc.constantFrom(0, 0.001),
          ),
          { minLength: 1, maxLength: 3 },
        ),
        (frame, drawn, props) => {
          const tied = withTies(frame, drawn);
          const free = tied.nodes.filter(({ id }) => !tied.supports.some(({ node }) => node === id));
          const under = [...new Map(props.map(([at, uy, way, gap]) => [free[at % free.length]!.id, { uy, way, gap }]))];
          const added = under.map(([node, { uy, way, gap }]): Support => ({
            node,
            uy,
            oneWay: { uy: way },
            ...(gap > 0 && { gaps: { uy: gap } }),
          }));
          const model: Model = { ...tied, supports: [...tied.supports, ...added] };
          const ties = model.members.filter(({ behaviour }) => behaviour === 'tensionOnly' || behaviour === 'compressionOnly');
          const { solution } = solve(model);
          const found = responseOf(solution!, 0)!;
          lifted += solution!.letGo![0]!.lifted.length;
          const fitting = subsets(added).flatMap((off) =>
            subsets(ties).flatMap((slack) => fits(onSupports(model, off), slack, added, off) ?? []),
          );
          expect(fitting.length).toBeGreaterThan(0);
          for (const one of fitting) expect(differenceOf(found, one)).toBeLessThan(1e-8);
          const again = recheck(model, solution!, 0, 'none');
          expect('difference' in again && again.difference).toBeLessThan(1e-8);
        },
      ),
      { numRuns: 100 },
    );
    expect(lifted).toBeGreaterThan(20);
  });

  test('where nothing is left that holds, the motion is shown; what does not hold cannot push, and a gap needs a way', () => {
    const beam = sketch({
      nodes: [
        ['1', 0, 0],
        ['2', 4, 0],
      ],
      members: [['a', '1', '2']],
      supports: [
        { node: '1', ux: 'fixed', uy: 'fixed' },
        { node: '2', uy: 'fixed', oneWay: { uy: 'positive' } },
      ],
      loads: [{ type: 'node', node: '2', fy: 500 }],
    });
    const results = solve(beam);
    expect(results.status).toBe('unstable');
    expect(results.notices.filter(isFault).map(({ message }) => message)[0]).toMatch(/^Q: the supports at nodes “2” cannot take/);
    const said = (support: Support): string[] =>
      checkModel({ ...beam, supports: [beam.supports[0]!, support] })
        .notices.filter(isFault)
        .map(({ path }) => path!);
    expect(said({ node: '2', ux: 'fixed', oneWay: { uy: 'positive' } })).toEqual(['supports[1].oneWay.uy']);
    expect(said({ node: '2', uy: 'fixed', gaps: { uy: 0.01 } })).toEqual(['supports[1].gaps.uy']);
  });

  test('a mirrored support pushes as its image does', () => {
    const model = sketch({
      nodes: [
        ['1', 0, 0],
        ['2', 4, 0],
      ],
      members: [['a', '1', '2']],
      supports: [pin('1'), { node: '2', ux: 'fixed', uy: 'fixed', oneWay: { ux: 'positive', uy: 'positive' } }],
    });
    const direction = ([x, y, z]: Point): Point => [-x, y, z];
    const image = carriedSupport(model.supports[1]!, { direction } as Carried);
    expect(image.oneWay).toEqual({ ux: 'negative', uy: 'positive' });
  });
});

test('edit after edit the same members are slack as of the model as it is', () => {
  const random = new Random(7);
  const session = new AnalysisSession();
  let model = withTies(fc.sample(randomFrame, { numRuns: 1, seed: 3 })[0]!, [[0, 3, true], [1, 2, true], [3, 4, false], [0, 5, true]]); // oxfmt-ignore
  let known = 0;
  for (let step = 0; step < 60; step++) {
    const last = model.members.length - 1;
    const behaviour = random.of(['tensionOnly', 'compressionOnly', 'truss'] as const);
    const which = last - random.below(3);
    model =
      step % 3 === 0
        ? { ...model, members: model.members.map((one, i) => (i === which ? { ...one, behaviour } : one)) }
        : { ...model, loads: model.loads.map((one) => (one.type === 'node' && random.below(2) ? { ...one, fx: 1e3 * (random.below(41) - 20) } : one)) }; // oxfmt-ignore
    const [now, fresh] = [session.update(model).now, solve(model)];
    expect(now.notices).toEqual(fresh.notices);
    expect(now.solution?.letGo).toEqual(fresh.solution?.letGo);
    known += now.solution?.letGo?.[0]?.slack.length ?? 0;
    if (now.solution) expect(differenceOf(responseOf(now.solution, 0)!, responseOf(fresh.solution!, 0)!)).toBeLessThan(1e-9);
  }
  expect(known).toBeGreaterThan(20);
});

const differenceOf = (a: StructuralResponse, b: StructuralResponse): number => {
  const size = Math.max(...a.displacements.map(Math.abs), 1e-12);
  return Math.max(...a.displacements.map((value, i) => Math.abs(value - b.displacements[i]!))) / size;
};

/** A frame without weight, with bars from node to node that act one way. */
function withTies(frame: Model, drawn: readonly (readonly [number, number, boolean])[]): Model {
  const { nodes } = frame;
  const taken = new Set(frame.members.map(({ start, end }) => [start, end].sort().join(' ')));
  const ties = drawn.flatMap(([a, b, isTie], i): Member[] => {
    const [start, end] = [nodes[a % nodes.length]!.id, nodes[b % nodes.length]!.id];
    const key = [start, end].sort().join(' ');
    if (start === end || taken.has(key)) return [];
    taken.add(key);
    const { section, material } = frame.members[0]!;
    return [{ id: `tie ${i}`, start, end, section, material, behaviour: isTie ? 'tensionOnly' : 'compressionOnly' }];
  });
  return { ...frame, members: [...frame.members, ...ties], cases: frame.cases.map(({ selfWeight: _, ...rest }) => rest) };
}

/** A model whose supports hold both ways, with the ground under those with a gap behind it, but for those that are off. */
const onSupports = (model: Model, off: readonly Support[]): Model => ({
  ...model,
  supports: model.supports.flatMap(({ oneWay, gaps: _, ...one }): Support[] => (oneWay && off.some(({ node }) => node === one.node) ? [] : [one])),
  loads: [
    ...model.loads,
    ...model.supports.flatMap(({ node, oneWay, gaps }) => (gaps?.uy && !off.some((one) => one.node === node) ? [{ id: `gap ${node}`, case: model.cases[0]!.id, type: 'settlement' as const, node, uy: (oneWay!.uy === 'positive' ? -1 : 1) * gaps.uy }] : [])),
  ],
}); // oxfmt-ignore

/** The structure without these, all others acting both ways, where nothing is pulled or pushed that cannot be; `on` and `off`: supports that push one way, and those of them that are lifted off. */
function fits(
  model: Model,
  slack: readonly Member[],
  on: readonly Support[] = [],
  off: readonly Support[] = [],
): StructuralResponse[] | undefined {
  // oxfmt-ignore
  const members = model.members.filter((one) => !slack.includes(one)).map((one): Member => (one.behaviour === 'tensionOnly' || one.behaviour === 'compressionOnly' ? { ...one, behaviour: 'truss' } : one)); // oxfmt-ignore
  const { solution } = solve({ ...model, members });
  if (!solution) return undefined;
  const [response] = solution.responses;
  const size = response!.equilibrium.size;
  const isTrue = model.members.every((one) => {
    const side = one.behaviour === 'tensionOnly' ? 1 : one.behaviour === 'compressionOnly' ? -1 : 0;
    if (side === 0) return true;
    if (slack.includes(one))
      return side * stretchOf(model, solution, response!, one) <= 1e-9 * Math.max(...response!.displacements.map(Math.abs));
    const m = solution.structure.names.members.indexOf(one.id);
    return (side * (response!.ends[12 * m + 6]! - response!.ends[12 * m]!)) / 2 >= -1e-9 * size;
  });
  const most = Math.max(...response!.displacements.map(Math.abs));
  const rests = on.every((one) => {
    const at = 6 * solution.structure.names.nodes.indexOf(one.node) + 1;
    const side = one.oneWay!.uy === 'positive' ? 1 : -1;
    return off.includes(one)
      ? side * response!.displacements[at]! + (one.gaps?.uy ?? 0) >= -1e-9 * most
      : side * response!.reactions[at]! >= -1e-9 * size;
  });
  return isTrue && rests ? [response!] : undefined;
}

/** By how much the ends of a member move apart. */
function stretchOf(
  { nodes }: Model,
  { structure }: Solution,
  { displacements }: StructuralResponse,
  { start, end }: Member,
): number {
  const [a, b] = [start, end].map((id) => nodes.find((one) => one.id === id)!);
  const way = [b!.x - a!.x, b!.y - a!.y, (b!.z ?? 0) - (a!.z ?? 0)];
  const [i, k] = [start, end].map((id) => 6 * structure.names.nodes.indexOf(id));
  return (
    way.reduce((sum, part, axis) => sum + part * (displacements[k! + axis]! - displacements[i! + axis]!), 0) / Math.hypot(...way)
  );
}
