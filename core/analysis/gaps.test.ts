import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { checkModel } from '../model/check';
import { scaledLoad } from '../model/loads/scaled';
import { applyIntent } from '../model/edits/apply-intent';
import { endFreedomAt, gappedJoints } from '../model/member-ends';
import type { EndFreedom, Member, MemberEnd, Model } from '../model/model';
import { cross, scaled, type Vector } from '../recheck/vectors';
import { recheck } from '../recheck/recheck';
import { diagramOf } from '../results/diagram';
import type { LineQuantity } from '../results/quantities';
import { pieceOf, valueIn } from '../results/read';
import type { Solution } from '../results/results';
import { responseOf } from '../results/sums';
import { clamp, EI, sketch, solved } from '../test/build';
import { Random } from '../test/random';
import { randomFrame } from '../test/random-frame';
import { storeyedFrame } from '../test/storeyed-frame';
import { randomSpace } from '../test/random-space';
import { AnalysisSession, solve } from './session';

/** A cantilever with a tip load whose foot is sprung with a gap. */
const [L, H, spring, gap] = [3, 2e3, 4e5, 0.01];
const cantilever = (fy: number, extra: Partial<Model> = {}): Model =>
  sketch({
    nodes: [['1', 0, 0], ['2', L, 0], ['3', 2 * L, 0]],
    members: [['a', '1', '2', { releases: { start: { mz: spring } }, gaps: { start: { mz: gap } } }], ['b', '2', '3']],
    supports: [clamp('1'), { node: '3', uy: 2e4 }],
    loads: [{ type: 'node', node: '2', fy }],
    extra,
  }); // oxfmt-ignore

describe('a sprung joint with a gap', () => {
  test('gives by its gap, then as its spring does', () => {
    const fixed: Model = { ...cantilever(-H), supports: [clamp('1')] };
    const results = solved(fixed);
    const moment = -H * L;
    expect(results.at('a', 'Mz', 0)).toBeCloseTo(moment, 6);
    const turned = gap + (H * L) / spring;
    expect(results.displacement('2')[1]! / -(turned * L + (H * L ** 3) / (3 * EI))).toBeCloseTo(1, 9);
    expect(results.at('a', 'v', L / 2) / -((turned * L) / 2 + ((H * L ** 3) / EI) * (5 / 48))).toBeCloseTo(1, 9);
    expect(results.solution.letGo![0]!.open).toEqual([]);
    expect(recheck(fixed, results.solution, 0, 'none')).toMatchObject({ status: 'compared' });
  });

  test('within its gap it is a hinge, and said so', () => {
    const model = cantilever(-300);
    const results = solved(model);
    expect(Math.abs(results.at('a', 'Mz', 0))).toBeLessThan(1e-9 * 300 * L);
    expect(results.solution.letGo![0]!.open).toEqual([{ member: 0, end: 'start', freedom: 'mz' }]);
    expect(results.results.notices.map(({ message }) => message)).toEqual([
      'Within its gap in every case and combination: the joint of “a” at its start',
    ]);
    const hinged = { ...model, members: model.members.map(({ gaps: _, releases, ...one }) => ({ ...one, ...(releases && { releases: { start: { mz: 'free' as const } } }) })) }; // oxfmt-ignore
    expect(results.displacement('2')[1]! / solved(hinged).displacement('2')[1]!).toBeCloseTo(1, 9);
  });

  test('of a bar without a bow of its own an end that slides takes its chord along', () => {
    const [load, k, wide] = [4e3, 5e5, 0.003];
    const results = solved(
      sketch({
        nodes: [['1', 0, 0], ['2', L, 0]],
        members: [['a', '1', '2', { behaviour: 'truss', releases: { start: { uy: k }, end: { uy: k } }, gaps: { start: { uy: wide }, end: { uy: 2 * wide } } }]],
        supports: [clamp('1'), clamp('2')],
        loads: [{ type: 'point', member: 'a', at: 0.5, fy: -load }],
        extra: { sections: [{ id: 's', A: 0.005 }] },
      }),
    );
    const [start, end] = [wide, 2 * wide].map((one) => -(one + load / 2 / k)) as [number, number];
    for (const part of [0, 0.25, 0.5, 1])
      expect(results.at('a', 'v', part * L)).toBeCloseTo(start + part * (end - start), 12);
  }); // oxfmt-ignore

  test('each sum is solved for itself, one way and the other', () => {
    const combinations: Model['combinations'] = [{ id: 'back', title: '', type: 'sum', factors: { Q: -1 } }];
    const results = solved(cantilever(-8e3, { combinations }));
    const [there, back] = [results.at('a', 'Mz', 0), results.at('a', 'Mz', 0, 'back')];
    expect(there).toBeLessThan(-1e3);
    expect(back / there).toBeCloseTo(-1, 9);
  });

  test('where nothing drives it, it stays where it was: in the middle of its gap', () => {
    for (const supports of [[clamp('1')], [clamp('1'), { node: '3', uy: 2e4 }]]) {
      const results = solved({ ...cantilever(0), supports });
      expect(results.displacement('3').every((one) => Math.abs(one) < 1e-15)).toBe(true);
      expect(results.solution.letGo![0]!.open).toHaveLength(1);
    }
    const between: Model = {
      ...cantilever(0),
      supports: [{ node: '1', ux: 'fixed', uy: 'fixed' }, { node: '3', uy: 'fixed', oneWay: { uy: 'positive' }, gaps: { uy: 0.01 } }],
      members: cantilever(0).members.map(({ gaps: _, releases: __, ...one }) => one),
    }; // oxfmt-ignore
    expect(
      solved(between)
        .displacement('3')
        .every((one) => Math.abs(one) < 1e-15),
    ).toBe(true);
  });
});

/** A frame without weight, some of whose joints are sprung and have gaps. */
function withGaps(frame: Model, drawn: readonly (readonly [number, boolean, EndFreedom, number])[]): Model {
  const plain = frame.space === 'plane' ? 'fixed' : 'free';
  const members = frame.members.slice();
  for (const [at, isAtEnd, freedom, open] of drawn) {
    const m = at % members.length;
    const [one, end] = [members[m]!, isAtEnd ? 'end' : 'start'] as const;
    // What only its joint holds against turning lies anywhere within the gap.
    const isLoose = frame.supports.some(({ node, rx = plain, ry = plain, rz }) => [one.start, one.end].includes(node) && [rx, ry, rz].some((held) => held !== 'fixed')); // oxfmt-ignore
    const isReleased = Object.values(one.releases ?? {}).some((of) => Object.keys(of).length > 0);
    if (one.behaviour || isReleased || isLoose) continue;
    const turns = freedom.startsWith('m') || freedom.startsWith('r');
    members[m] = { ...one, releases: { [end]: { [freedom]: turns ? 4e5 : 6e6 } }, gaps: { [end]: { [freedom]: open } } };
  }
  return { ...frame, members, cases: frame.cases.map(({ selfWeight: _, ...rest }) => rest) };
}

/** The same in the state that was found: joints within their gaps let go, others are sprung and pushed by what their gaps leave of it. */
function inState(model: Model, solution: Solution): Model {
  const { open } = solution.letGo![0]!;
  const loads = model.loads.slice();
  const members = model.members.map((member, m): Member => {
    const [joint] = gappedJoints(member);
    if (!joint) return member;
    const { end, freedom, gap: wide, spring: k } = joint;
    const isOpen = open.some((one) => one.member === m);
    const { gaps: _, ...rest } = member;
    if (isOpen) return { ...rest, releases: { [end]: { [freedom]: 'free' } } };
    const force = responseOf(solution, 0)!.ends[12 * m + endFreedomAt(end, freedom)]!;
    const push = Math.sign(force) * k * wide;
    const key = { ux: 'fx', uy: 'fy', uz: 'fz', rx: 'mx', my: 'my', mz: 'mz' }[freedom] as 'mz';
    const axis = ['x', 'y', 'z'].indexOf(freedom[1]!);
    const way = [...solution.structure.axes.subarray(9 * m + 3 * axis, 9 * m + 3 * axis + 3)];
    const arm = [...solution.structure.endOffsets.subarray(6 * m + (end === 'start' ? 0 : 3), 6 * m + (end === 'start' ? 3 : 6))] as unknown as Vector; // oxfmt-ignore
    const on = scaled(way as unknown as Vector, push);
    const about = key.startsWith('f') ? cross(arm, on) : [0, 0, 0];
    const named = (letter: string, all: readonly number[]): object =>
      Object.fromEntries(['x', 'y', 'z'].map((axis, i) => [`${letter}${axis}`, all[i]]));
    const parts = { ...(key.startsWith('f') && named('m', about)), ...named(key[0]!, on) };
    const shared = { case: model.cases[0]!.id };
    loads.push(
      { ...shared, id: `on ${member.id}`, type: 'point', member: member.id, at: end === 'start' ? 0 : 1, axes: 'local', [key]: -push },
      { ...shared, id: `at ${member.id}`, type: 'node', node: member[end], ...parts },
    ); // oxfmt-ignore
    return rest;
  });
  return { ...model, members, loads };
}

/** By how much the node of a joint is turned before its member's end, by the slope of the member. */
function turnedBefore({
  solution,
  m,
  end,
}: {
  readonly solution: Solution;
  readonly m: number;
  readonly end: MemberEnd;
}): number {
  const { structure } = solution;
  const diagram = diagramOf(solution, 0, m);
  const piece = end === 'start' ? diagram.first : diagram.end - 1;
  const c = pieceOf(diagram, piece, 'v');
  const x = end === 'start' ? 0 : diagram.to[piece]! - diagram.from[piece]!;
  const slope = [...c].reduce((sum, one, n) => sum + (n === 0 ? 0 : n * one * x ** (n - 1)), 0);
  const node = structure.memberNodes[2 * m + (end === 'start' ? 0 : 1)]!;
  return responseOf(solution, 0)!.displacements[6 * node + 5]! * structure.axes[9 * m + 8]! - slope;
}

describe('random frames', () => {
  test.each([
    ['in the plane', randomFrame, ['mz', 'mz', 'ux', 'uy']],
    ['in space', randomSpace, ['mz', 'my', 'rx', 'ux', 'uz']],
  ] as const)('%s: what is found is the structure with what its joints give, none of which pulls the wrong way', (_, frames, freedoms) => {
    const [counts, widths] = [{ open: 0, closed: 0 }, [2e-4, 2e-3, 1e-2]];
    fc.assert(
      fc.property(
        frames,
        fc.array(fc.tuple(fc.nat(40), fc.boolean(), fc.constantFrom<EndFreedom>(...freedoms), fc.constantFrom(...widths)), { minLength: 1, maxLength: 4 }),
        (frame, drawn) => {
          const model = withGaps(frame, drawn);
          const joints = model.members.flatMap((member, m) => gappedJoints(member).map((joint) => ({ ...joint, m })));
          const { solution } = solve(model);
          if (joints.length === 0 || !solution) return;
          const other = solve(inState(model, solution)).solution;
          if (!other) return;
          const [found, same] = [responseOf(solution, 0)!, responseOf(other, 0)!];
          const most = Math.max(1e-9, ...found.displacements.map(Math.abs));
          found.displacements.forEach((one, f) => expect(Math.abs(one - same.displacements[f]!)).toBeLessThan(1e-8 * most));
          for (const { m, end, freedom, gap: wide } of joints) {
            for (const quantity of ['Mz', 'Vy', 'N', 'v'] as LineQuantity[])
              for (const part of [0.001, 0.5, 0.999]) {
                const x = part * solution.structure.lengths[m]!;
                const [ours, theirs] = [solution, other].map((one) => valueIn(diagramOf(one, 0, m), quantity, x));
                expect(Math.abs(ours! - theirs!)).toBeLessThan(1e-8 * (quantity === 'v' ? most : Math.max(1, found.equilibrium.size)));
              }
            const isOpen = solution.letGo![0]!.open.some((one) => one.member === m);
            counts[isOpen ? 'open' : 'closed']++;
            if (freedom !== 'mz' || frames !== randomFrame) continue;
            const force = found.ends[12 * m + endFreedomAt(end, freedom)]!;
            const before = turnedBefore({ solution, m, end });
            if (isOpen) expect(Math.abs(before)).toBeLessThanOrEqual(wide * (1 + 1e-7));
            else expect(before).toBeCloseTo(Math.sign(force) * wide + force / 4e5, 8);
          }
          const again = recheck(model, solution, 0, 'none');
          if (again.status === 'compared') expect(again.difference).toBeLessThan(1e-8);
        },
      ),
      { numRuns: 100 },
    );
    expect(Math.min(counts.open, counts.closed)).toBeGreaterThan(20);
  }); // oxfmt-ignore

  test('edit after edit the same is found as of the model as it is', () => {
    const random = new Random(7);
    const frame = storeyedFrame(random, 'plane');
    let model = withGaps({ ...frame, loads: frame.loads.map((load) => scaledLoad(load, 0.1)) }, [[0, false, 'mz', 0.1], [1, false, 'mz', 1e-3], [2, false, 'mz', 1e-2]]); // oxfmt-ignore
    const session = new AnalysisSession();
    let open = 0;
    for (let step = 0; step < 30; step++) {
      const which = random.below(model.members.length);
      const wide = [undefined, 1e-4, 0.1][random.below(3)];
      model =
        step % 2 === 0
          ? { ...model, members: model.members.map((one, i) => (i !== which || !one.releases?.start?.mz || one.behaviour ? one : wide === undefined ? { ...one, gaps: undefined } as unknown as Member : { ...one, gaps: { start: { mz: wide } } })).map(({ gaps, ...one }) => ({ ...one, ...(gaps && gappedJoints({ ...one, gaps }).length > 0 && { gaps }) })) }
          : { ...model, loads: model.loads.map((one) => (one.type === 'node' && random.below(2) ? { ...one, fx: 2e2 * (random.below(41) - 20) } : one)) }; // oxfmt-ignore
      const [now, fresh] = [session.update(model).now, solve(model)];
      expect(now.notices).toEqual(fresh.notices);
      expect(now.solution?.letGo).toEqual(fresh.solution?.letGo);
      open += now.solution?.letGo?.[0]?.open.length ?? 0;
    }
    expect(open).toBeGreaterThan(5);
  });
});

describe('in second order', () => {
  const SECOND = { analysis: { secondOrder: { of: 'everything' } } } as const;

  test.each(['plane', 'space'] as const)('in the %s: what is found is the structure with what its joints give, none of which pulls the wrong way', (space) => {
    const counts = { open: 0, closed: 0, changed: 0 };
    for (let seed = 1; seed <= (space === 'plane' ? 80 : 50); seed++) {
      const random = new Random(seed);
      const whole = storeyedFrame(random, space);
      const frame = { ...whole, loads: whole.loads.map((load) => scaledLoad(load, 0.3)) };
      const draw = () => [random.below(40), random.below(2) === 1, space === 'plane' ? 'mz' : (['mz', 'my', 'ux'] as const)[random.below(3)]!, [2e-3, 2e-2, 0.1][random.below(3)]!] as const;
      const model = { ...withGaps(frame, [draw(), draw(), draw()]), ...SECOND };
      const joints = model.members.flatMap((member, m) => gappedJoints(member).map((joint) => ({ ...joint, m })));
      const { solution } = solve(model);
      if (joints.length === 0 || !solution) continue;
      const other = solve(inState(model, solution)).solution!;
      const [found, same] = [responseOf(solution, 0)!, responseOf(other, 0)!];
      const most = Math.max(...found.displacements.map(Math.abs));
      found.displacements.forEach((one, f) => expect([seed, Math.abs(one - same.displacements[f]!) < 1e-6 * most]).toEqual([seed, true]));
      const inFirst = solution.letGo!.at(-1)!.gone;
      if (inFirst.join() !== solution.letGo![0]!.gone.join()) counts.changed++;
      for (const { m, end, gap: wide } of joints) {
        const isOpen = solution.letGo![0]!.open.some((one) => one.member === m);
        counts[isOpen ? 'open' : 'closed']++;
        if (space === 'space') continue;
        const force = found.ends[12 * m + endFreedomAt(end, 'mz')]!;
        const before = turnedBefore({ solution, m, end });
        if (isOpen) expect(Math.abs(before)).toBeLessThanOrEqual(wide * (1 + 1e-4));
        else expect(Math.abs(before - Math.sign(force) * wide - force / 4e5)).toBeLessThan(1e-5 * most + 1e-4 * wide);
      }
    }

    expect(Math.min(counts.open, counts.closed)).toBeGreaterThan(12);
    if (space === 'plane') expect(counts.changed).toBeGreaterThan(2);
  }); // oxfmt-ignore
});

test('a gap without a spring is refused; it goes with its spring, and stays where its end goes', () => {
  const model = cantilever(-H);
  const faults = (change: Partial<Member>): string =>
    checkModel({ ...model, members: [{ ...model.members[0], ...change }, model.members[1]] }).notices.filter(({ severity }) => severity === 'error').map(({ message }) => message).join(); // oxfmt-ignore
  expect(faults({})).toBe('');
  expect(faults({ releases: { start: { mz: 'free' } } })).toMatch(
    /has a gap in mz at its start, and no spring there.*Give the stiffness/,
  );
  expect(faults({ gaps: { start: { mz: -0.01 } } })).toMatch(/greater than 0/);
  expect(faults({ releases: { start: { mz: spring, my: spring } }, gaps: { start: { my: 0.01 } } })).toMatch(/out of plane/);
  const turned = applyIntent(model, { type: 'turnRound', members: ['a'] } as never);
  expect(turned.ok && turned.model.members[0]!.gaps).toEqual({ end: { mz: gap } });
});
