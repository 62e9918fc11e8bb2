import { describe, expect, test } from '@jest/globals';
import type { Member, Model } from '../../model/model';
import { isFault } from '../../model/notice';
import type { Solution } from '../../results/results';
import { meanAxialForce } from '../../results/slack';
import { responseOf } from '../../results/sums';
import { clamp, EI, sketch, solved } from '../../test/build';
import { Random } from '../../test/random';
import { subsets } from '../../test/subsets';
import { storeyedFrame } from '../../test/storeyed-frame';
import { solve } from '../session';

const SECOND = { analysis: { secondOrder: { of: 'everything' } } } as const;
const second = (model: Model): Solution | undefined => solve({ ...model, ...SECOND }).solution;
const largest = (numbers: Float64Array): number => numbers.reduce((most, one) => Math.max(most, Math.abs(one)), 1e-12);

/** A frame of some storeys with some bars from node to node that act one way. */
function withTies(random: Random, space: 'plane' | 'space'): { readonly model: Model; readonly ties: readonly Member[] } {
  const frame = storeyedFrame(random, space);
  const taken = new Set(frame.members.map(({ start, end }) => [start, end].sort().join()));
  const ties: Member[] = [];
  for (let i = 0; i < 4; i++) {
    const [start, end] = [0, 1].map(() => frame.nodes[random.below(frame.nodes.length)]!.id) as [string, string];
    const key = [start, end].sort().join();
    if (start === end || taken.has(key)) continue;
    taken.add(key);
    const { section, material } = frame.members[0]!;
    ties.push({
      id: `tie ${i}`,
      start,
      end,
      section,
      material,
      behaviour: random.below(3) > 0 ? 'tensionOnly' : 'compressionOnly',
    });
  }
  const loads = frame.loads.map((one) => (one.type === 'node' ? { ...one, fy: 0.4 * one.fy! } : one));
  return { model: { ...frame, loads, members: [...frame.members, ...ties] }, ties };
}

/** Whether a solution in which some ties are left out and the others hold both ways has no force of the wrong sign, and none that is out would have to hold. */
function fits(model: Model, ties: readonly Member[], out: readonly Member[]): Solution | undefined {
  const both = (one: Member): Member => (ties.includes(one) ? { ...one, behaviour: 'truss' } : one);
  const solution = second({ ...model, members: model.members.filter((one) => !out.includes(one)).map(both) });
  if (!solution) return undefined;
  const { structure } = solution;
  const { ends, displacements, equilibrium } = responseOf(solution, 0)!;
  const at = (id: string): number => structure.names.nodes.indexOf(id);
  const isRight = ties.every((tie) => {
    const side = tie.behaviour === 'tensionOnly' ? 1 : -1;
    if (!out.includes(tie))
      return side * meanAxialForce(ends, structure.names.members.indexOf(tie.id)) >= -1e-7 * equilibrium.size;
    const [a, b] = [at(tie.start), at(tie.end)];
    const way = [0, 1, 2].map((k) => structure.coordinates[3 * b + k]! - structure.coordinates[3 * a + k]!);
    const L = Math.hypot(...way);
    return (
      side * way.reduce((sum, part, k) => sum + (part / L) * (displacements[6 * b + k]! - displacements[6 * a + k]!), 0) <= 1e-9
    );
  });
  return isRight ? solution : undefined;
}

describe('what acts one way, in second order', () => {
  test.each(['plane', 'space'] as const)('in the %s: of all sets of slack members one is found that fits', (space) => {
    let compared = 0;
    for (let seed = 1; seed <= (space === 'plane' ? 100 : 50); seed++) {
      const { model, ties } = withTies(new Random(seed), space);
      const fitting = subsets(ties).flatMap((out) => fits(model, ties, out) ?? []);
      const found = second(model);
      // What is refused fits in no set.
      expect([seed, found !== undefined]).toEqual([seed, fitting.length > 0]);
      if (!found) continue;
      compared++;
      const ours = responseOf(found, 0)!;
      const moved = ours.displacements;
      const nearest = Math.min(
        ...fitting.map((one) => {
          const theirs = responseOf(one, 0)!.displacements;
          return largest(moved.map((value, f) => value - theirs[f]!)) / largest(theirs);
        }),
      );
      expect([seed, nearest < 1e-7]).toEqual([seed, true]);
      for (const m of found.letGo?.[0]?.slack ?? [])
        expect(Math.abs(meanAxialForce(ours.ends, m))).toBeLessThanOrEqual(1e-9 * ours.equilibrium.size);
      expect(ours.coefficients.every(Number.isFinite)).toBe(true);
    }
    expect(compared).toBeGreaterThan(space === 'plane' ? 70 : 35);
  });

  const [L, P, H] = [5, 0.4 * ((Math.PI ** 2 * EI) / (4 * 25)), 2000];
  const k = Math.sqrt(P / EI);
  const flexibility = { first: L ** 3 / (3 * EI), second: (Math.tan(k * L) / k - L) / P };
  const mast = (gap: number): Model =>
    sketch({
      nodes: [['1', 0, 0], ['2', 0, L]],
      members: [['m', '1', '2']],
      supports: [clamp('1'), { node: '2', ux: 'fixed', oneWay: { ux: 'negative' }, gaps: { ux: gap } }],
      loads: [{ type: 'node', node: '2', fx: H, fy: -P }],
      extra: SECOND,
    }); // oxfmt-ignore

  test('a mast that the second order alone leads against a stop leans on it, and is led back to it by what is left', () => {
    const gap = H * (0.6 * flexibility.first + 0.4 * flexibility.second);
    const results = solved(mast(gap));
    expect(results.displacement('2')[0]).toBeCloseTo(gap, 9);
    // The stop takes what the tip would move beyond it: (H − R)·f = gap.
    expect(results.reaction('2')[0]! / -(H - gap / flexibility.second)).toBeCloseTo(1, 7);
    const { solution } = results;
    expect(solution.outcomes.map(({ id }) => id)).toEqual(['Q', 'Q, first order']);
    expect(solution.letGo!.map((one) => one!.lifted)).toEqual([[], [{ node: 1, along: 'ux' }]]);
    expect(solve(mast(gap)).notices.map(({ message }) => message)).toEqual(['Never lifted off: the support at nodes “2”']);
  });

  test('a stop that neither reaches stays off in both', () => {
    const { solution } = solve(mast(1.5 * H * flexibility.second));
    expect(responseOf(solution!, 0)!.displacements[6]! / (H * flexibility.second)).toBeCloseTo(1, 9);
    expect(solution!.letGo!.map((one) => one!.lifted)).toEqual([[{ node: 1, along: 'ux' }], [{ node: 1, along: 'ux' }]]);
  });

  test('critical loads are those of what acts: a stop that the loads press on holds its mast, one that they do not reach does nothing', () => {
    const factor = (gap: number): number => {
      const { outcomes } = solve({ ...mast(gap), analysis: { buckling: { of: ['Q'], modes: 1 } } }).solution!;
      const mode = outcomes.find((one) => one.kind === 'shape');
      return mode?.kind === 'shape' ? mode.value * P : NaN;
    };
    expect(factor(9) / ((Math.PI ** 2 * EI) / (4 * L ** 2))).toBeCloseTo(1, 8);
    // Clamped below, held above: tan kL = kL.
    expect(factor(0.5 * H * flexibility.first) / ((4.493409457909064 ** 2 * EI) / L ** 2)).toBeCloseTo(1, 8);
  });

  test('loads beyond what can be borne without what is slack are refused with the factor that could', () => {
    const { notices, solution } = solve({
      ...mast(9),
      loads: mast(9).loads.map((one) => ({ ...one, fy: -3 * P })) as Model['loads'],
    });
    expect(solution).toBeUndefined();
    expect(notices.filter(isFault).map(({ message }) => message)).toEqual([
      expect.stringMatching(/beyond the critical load: 0\.833 of them/),
    ]);
  });
});
