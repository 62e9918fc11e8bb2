import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { prepare } from '../analysis/prepare';
import { solve } from '../analysis/session';
import { actingCases } from '../combinations/outcome';
import type { Model, Support } from '../model/model';
import { recheck } from '../recheck/recheck';
import { responseOf } from '../results/sums';
import { randomFrame } from '../test/random-frame';
import { underAnyLoad } from '../test/random-loads';
import { randomSpace } from '../test/random-space';
import { readEffect } from '../influence/read-effect';
import { checkModel } from '../model/check';
import { displayOf } from '../quantities/display';
import { valueAt } from '../results/read';
import { clamp, pin, sketch, type Sketch } from '../test/build';
import { crossed } from '../test/closed-forms/one-sided';
import { workingsIn } from './ask';
import { chainOf } from './chain';
import { sheetFreedoms } from './follow-words';
import { partOf } from './part';
import { workingsStepsOf } from './steps';
import { workingsText } from './text';
import { worked, contributionsTo } from './worked';

test.each([
  ['plane', randomFrame, true, 100],
  ['space', randomSpace, true, 100],
  ['plane whose members keep their lengths', randomFrame, false, 50],
  ['space whose members keep their lengths', randomSpace, false, 30],
] as const)('frames in the %s under any load multiply out to what the solver finds', (_, frames, axialDeformation, numRuns) => {
  let compared = 0;
  fc.assert(
    fc.property(underAnyLoad(frames), (frame: Model) => {
      const model = { ...frame, analysis: { ...frame.analysis, axialDeformation } };
      const { solution } = solve(model);
      if (!solution) return;
      const { prepared } = prepare(model);
      const sum = { kind: 'superposed', id: 'sum', title: '', factors: Float64Array.from(model.cases, (__, c) => 1.35 - 0.6 * c) } as const;
      const all = [...solution.outcomes, sum];
      [...model.cases.keys(), all.length - 1].forEach((of) => {
        const found = worked(prepared, actingCases(all[of]!), responseOf({ ...solution, outcomes: all }, of)!);
        if (!found) throw new Error('There are no workings');
        expect(Math.max(...Object.values(found.differs))).toBeLessThan(1e-9);
        compared++;
        // Every entry of K is the sum of what members and springs give.
        const [i, j] = [0, Math.min(1, found.K.length - 1)];
        for (const [row, column] of [[i, i], [i, j], [j, j]] as const) { // oxfmt-ignore
          const sum = contributionsTo(found, row, column).reduce((total, { value }) => total + value, 0);
          expect(Math.abs(sum - found.K[row]![column]!)).toBeLessThanOrEqual(1e-12 * Math.abs(found.K[row]![row]!));
        }
      });
    }),
    { numRuns },
  );
  expect(compared).toBeGreaterThan(0.8 * numRuns);
}); // oxfmt-ignore

test('a member that keeps its length between joints along it is as stiff as these, and what acts along it goes to its ends as they are held', () => {
  const frame = (ux: 'free' | number): Model => ({
    ...sketch({
      nodes: [['1', 0, 0], ['2', 0, 3], ['3', 4, 3], ['4', 4, 0]],
      members: [['a', '1', '2'], ['b', '2', '3', { releases: { end: { ux } } }], ['c', '4', '3']],
      supports: [clamp('1'), clamp('4')],
      loads: [
        { type: 'line', member: 'b', axes: 'global', from: { wx: 1000, wy: -5000 }, to: { wx: 3000, wy: -2000 } },
        { type: 'thermal', member: 'b', uniform: 20 },
        { type: 'node', node: '2', fx: 7000 },
      ],
    }),
    analysis: { axialDeformation: false },
  });
  const model = frame('free');
  const { solution } = solve(model);
  const found = workingsIn(model, solution!, 'Q');
  if (typeof found === 'string') throw new Error(found);
  expect(Math.max(...Object.values(found.differs))).toBeLessThan(1e-9);
  // What acts along the beam goes to the left column alone.
  expect(found.members[1]!.forces[0]).toBeCloseTo(-4 * 2000, 6);
  expect(found.members[1]!.forces[3]).toBeCloseTo(0, 6);
  expect(workingsText(workingsStepsOf(found, displayOf(model)))).toMatch(/as stiff as these, 0, and/);
  const sprung = frame(5e6);
  const other = workingsIn(sprung, solve(sprung).solution!, 'Q');
  if (typeof other === 'string') throw new Error(other);
  expect(Math.max(...Object.values(other.differs))).toBeLessThan(1e-9);
  expect(workingsText(workingsStepsOf(other, displayOf(model)))).toMatch(/as stiff as these, 5000, and/);
}); // oxfmt-ignore

test('where sprung freedoms alone are left, one of them follows, and its spring is one beside the numbered ones', () => {
  const model: Model = {
    ...sketch({
      nodes: [['1', 0, 0], ['2', 4, 0], ['3', 8, 0], ['4', 4, 3]],
      members: [['a', '1', '2'], ['b', '2', '3'], ['c', '2', '4', { releases: { start: { mz: 'free' } } }]],
      supports: [{ node: '1', ux: 2e6, uy: 'fixed' }, { node: '2', ux: 1e6, uy: 3e6 }, { node: '3', ux: 4e6, uy: 'fixed', angle: 20 }, { node: '4', ux: 'fixed', uy: 5e6 }],
      loads: [
        { type: 'node', node: '2', fx: 9e3, fy: -20e3 },
        { type: 'line', member: 'a', from: { wy: -4e3 }, to: { wy: -4e3 } },
        { type: 'settlement', node: '3', ux: 0.002 },
        { type: 'settlement', node: '4', uy: -0.004 },
        { type: 'thermal', member: 'b', uniform: 30 },
      ],
    }),
    analysis: { axialDeformation: false },
  };
  const { solution } = solve(model);
  const found = workingsIn(model, solution!, 'Q');
  if (typeof found === 'string') throw new Error(found);
  expect(Math.max(...Object.values(found.differs))).toBeLessThan(1e-9);
  expect(found.followed.size).toBe(3);
  const text = workingsText(workingsStepsOf(found, displayOf(model)));
  expect(text).toMatch(/of the feet of springs/);
  expect(text).toMatch(/spring of the support\) = /);
  // A number asked for is the sum of its parts, at a spring that follows as at any other.
  for (const [node, component] of [[0, 0], [1, 0], [2, 0], [2, 1], [3, 1]] as const) {
    const chain = chainOf(found, { kind: 'reaction', node, component }, displayOf(model));
    if (typeof chain === 'string') throw new Error(chain);
    expect(chain.value).toBeCloseTo(responseOf(solution!, 0)!.reactions[6 * node + component]!, 5);
  }
}); // oxfmt-ignore

test('a motion of a node that nothing resists is held, as the analysis holds it, and told', () => {
  // Both rafters are released against twisting where they meet, in a line that no axis lies along.
  const model = sketch({
    extra: { space: 'space' },
    nodes: [['1', 0, 0, 0], ['2', 3, 4, 0], ['3', 6, 8, 0]],
    members: [['a', '1', '2', { releases: { end: { rx: 'free' } } }], ['b', '2', '3', { releases: { start: { rx: 'free' } } }]],
    supports: ['1', '3'].map((node) => ({ node, ux: 'fixed', uy: 'fixed', uz: 'fixed', rx: 'fixed', ry: 'fixed', rz: 'fixed' })),
    loads: [{ type: 'node', node: '2', fy: -5e3, fz: 2e3 }],
  });
  const { solution } = solve(model);
  const found = workingsIn(model, solution!, 'Q');
  if (typeof found === 'string') throw new Error(found);
  expect(Math.max(...Object.values(found.differs))).toBeLessThan(1e-9);
  const text = workingsText(workingsStepsOf(found, displayOf(model)));
  expect(text).toMatch(/Nothing resists this motion, .*: 0\.75·θX 2 \+ θY 2\./);
  expect(text).toMatch(/held by the analysis\) = /);
}); // oxfmt-ignore

test('what acts one way and has let go is left out, and told: slack ties, a foot that lifts, a gap that closes or stays open', () => {
  const tie = { behaviour: 'tensionOnly' } as const;
  const foot = (gap: number): Support => ({ node: '3', uy: 'fixed', oneWay: { uy: 'positive' }, ...(gap > 0 && { gaps: { uy: gap } }) });
  const models: readonly (readonly [Sketch, gone: RegExp])[] = [
    [crossed(9e3), /slack: down\./],
    [
      {
        nodes: [['1', 0, 0], ['2', 0, 4], ['3', 5, 4], ['4', 5, 0]],
        members: [['a', '1', '2'], ['b', '2', '3'], ['c', '4', '3'], ['up', '1', '3', tie], ['down', '2', '4', tie]],
        supports: [clamp('1'), pin('4')],
        loads: [{ type: 'node', node: '2', fx: 9e3 }, { type: 'line', member: 'down', axes: 'global', from: { wy: -100 }, to: { wy: -300 } }, { type: 'thermal', member: 'down', uniform: 20 }],
      },
      /slack: down\./,
    ],
    ...([[-12e3, 0], [12e3, 0], [12e3, 1e-4], [12e3, 3]] as const).map(([wy, gap]): readonly [Sketch, RegExp] => [
      {
        nodes: [['1', 0, 0], ['2', 5, 0], ['3', 10, 0]],
        members: [['a', '1', '2'], ['b', '2', '3']],
        supports: [pin('1'), { node: '2', uy: 'fixed' }, foot(gap)],
        loads: [{ type: 'line', member: 'b', from: { wy: -wy }, to: { wy: -wy } }, { type: 'line', member: 'a', from: { wy: -1e3 }, to: { wy: -1e3 } }],
      },
      wy < 0 || gap === 3 ? /lifted off: the support at 3\./ : /All that acts one way holds here/,
    ]),
  ];
  for (const [of, gone] of models) {
    const model = sketch(of);
    const found = workingsIn(model, solve(model).solution!, 'Q');
    if (typeof found === 'string') throw new Error(found);
    expect(Math.max(...Object.values(found.differs))).toBeLessThan(1e-9);
    expect(workingsText(workingsStepsOf(found, displayOf(model)))).toMatch(gone);
  }
}); // oxfmt-ignore

test('a sprung joint with a gap: within it a hinge, beyond it a spring that gives by the gap first, along members that keep their lengths too', () => {
  const frame = (Q: number, gap: number, lengths: 'kept' | 'changing'): Model => ({
    ...sketch({
      nodes: [['1', 0, 0], ['2', 0, 3], ['3', 4, 3], ['4', 4, 0]],
      members: [
        ['a', '1', '2', { releases: { start: { mz: 3e5 } }, gaps: { start: { mz: gap } } }],
        ['b', '2', '3', { releases: { start: { mz: 2e5 }, end: { ux: 4e6 } }, gaps: { start: { mz: 0.3 * gap }, end: { ux: 0.4 * gap } } }],
        ['c', '3', '4'],
      ],
      supports: [clamp('1'), clamp('4')],
      loads: [{ type: 'node', node: '2', fx: Q }, { type: 'line', member: 'b', from: { wy: -2e3 }, to: { wy: -3e3 } }],
    }),
    ...(lengths === 'kept' && { analysis: { axialDeformation: false } }),
  });
  const opened = new Set<number>();
  for (const lengths of ['kept', 'changing'] as const)
    for (const [Q, gap] of [[40e3, 1e-3], [40e3, 0.2], [-25e3, 0.01], [3e3, 0.004]] as const) { // oxfmt-ignore
      const model = frame(Q, gap, lengths);
      const { solution } = solve(model);
      const found = workingsIn(model, solution!, 'Q');
      if (typeof found === 'string') throw new Error(found);
      expect(Math.max(...Object.values(found.differs))).toBeLessThan(1e-9);
      const { open } = solution!.letGo![0]!;
      opened.add(open.length);
      const text = workingsText(workingsStepsOf(found, displayOf(model)));
      if (open.length > 0) expect(text).toMatch(/within its gap: the joint of /);
      if (open.length < 3) expect(text).toMatch(/gap in (θ₁|x₂): /);
      const again = recheck(model, solution!, 0, 'none');
      if (lengths === 'changing') expect('difference' in again && again.difference).toBeLessThan(1e-9);
    }
  expect(opened.size).toBeGreaterThan(2);
}); // oxfmt-ignore

test.each([true, false])('chosen members of any frame, cut out with all that meets in them, multiply out to the same (axial deformation: %s)', (axialDeformation) => {
  let compared = 0;
  fc.assert(
    fc.property(underAnyLoad(fc.oneof(randomFrame, randomSpace)), fc.nat(), (frame: Model, pick) => {
      const model: Model = { ...frame, analysis: { ...frame.analysis, axialDeformation } };
      const { solution } = solve(model);
      if (!solution) return;
      const { structure, loose } = prepare(model).prepared;
      const response = responseOf(solution, 0)!;
      const chosen = [pick % model.members.length];
      const part = partOf(structure, loose, { acting: [[0, 1]], response, chosen });
      const found = worked({ structure: part.structure, loose: part.loose, part }, part.acting, part.response);
      if (!found) throw new Error('There are no workings');
      compared++;
      expect(Math.max(...Object.values(found.differs))).toBeLessThan(1e-9);
      if (!axialDeformation) return;
      const one = found.members.find(({ id }) => id === model.members[chosen[0]!]!.id)!;
      // Each free freedom of it has the same row as in the whole.
      const whole = worked({ structure, loose }, [[0, 1]], response);
      if (!whole) return;
      const there = whole.members[chosen[0]!]!;
      one.places.forEach((i, a) => i >= 0 && i < found.numbered.free && expect(found.K[i]![i]! / whole.K[there.places[a]!]![there.places[a]!]!).toBeCloseTo(1, 12)); // oxfmt-ignore
      one.forces.forEach((force, a) => expect(Math.abs(force - there.forces[a]!)).toBeLessThanOrEqual(1e-8 * Math.max(...there.forces.map(Math.abs), 1)));
    }),
    { numRuns: 40 },
  );
  expect(compared).toBeGreaterThan(30);
}); // oxfmt-ignore

test('of a large model only what is chosen is worked out', () => {
  const posts = Array.from({ length: 120 }, (_, i) => i);
  const fence = checkModel(sketch({
    nodes: posts.flatMap((i): [string, number, number][] => [[`f${i}`, 2 * i, 0], [`t${i}`, 2 * i, 3]]),
    members: [...posts.map((i): [string, string, string] => [`p${i}`, `f${i}`, `t${i}`]), ...posts.slice(1).map((i): [string, string, string] => [`r${i}`, `t${i - 1}`, `t${i}`])],
    supports: posts.map((i) => clamp(`f${i}`)),
    loads: [{ type: 'node', node: 't60', fx: 5e3 }],
  })).model!; // oxfmt-ignore
  const { solution } = solve(fence);
  expect(workingsIn(fence, solution!, 'Q')).toMatch(/^Workings are written of up to 100 members, and this model has 239\. Select those/);
  const of = workingsIn(fence, solution!, 'Q', ['p60']);
  if (typeof of === 'string') throw new Error(of);
  expect(of.members.map(({ id }) => id)).toEqual(['p60', 'r60', 'r61']);
  const text = workingsText(workingsStepsOf(of, displayOf({}), new Set(['p60'])));
  expect(text).toMatch(/p60 with all 3 members that meet at their nodes\. Where these lead away, the movements are given/);
  expect(text).toMatch(/t59 +\d+ given +\d+ given +\d+ given/);
  expect(text).toMatch(/agrees with the analysis to 1\d digits/);
  expect(sheetFreedoms(of.numbered, displayOf({}), of.part!.nodes).every(({ node }) => ['f60', 't59', 't60', 't61'].includes(fence.nodes[node]!.id))).toBe(true); // oxfmt-ignore
  const effect = readEffect('p60:Mz@1m', fence, of.structure);
  const chain = 'kind' in effect ? chainOf(of, effect, displayOf({})) : effect.message;
  if (typeof chain === 'string') throw new Error(chain);
  expect(chain.value).toBeCloseTo(valueAt(solution!, 0, 60, 'Mz', 1), 6);
  expect(workingsIn(fence, solution!, 'Q', fence.members.map(({ id }) => id))).toMatch(/^239 members meet at the nodes/);
  const stiff: Model = { ...fence, analysis: { axialDeformation: false } };
  const kept = workingsIn(stiff, solve(stiff).solution!, 'Q', ['p60', 'r60']);
  if (typeof kept === 'string') throw new Error(kept);
  expect(Math.max(...Object.values(kept.differs))).toBeLessThan(1e-9);
  expect(workingsText(workingsStepsOf(kept, displayOf({})))).toMatch(/and so are the forces along members that keep their lengths\./);
}); // oxfmt-ignore
