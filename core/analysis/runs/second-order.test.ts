import { describe, expect, test } from '@jest/globals';
import type { Model } from '../../model/model';
import { nodalAt } from '../../results/read';
import { responseOf } from '../../results/sums';
import type { Solution } from '../../results/results';
import { clamp, E, EI, I, sketch } from '../../test/build';
import { solve } from '../session';

const second = (model: Model): Solution => {
  const { status, notices, solution } = solve(model, [], ['second-order']).others!.get('second-order')!;
  if (!solution) throw new Error(`${status}: ${notices.map(({ message }) => message).join()}`);
  return solution;
};
const sway = (solution: Solution, id: string, node: number): number =>
  nodalAt(solution, solution.outcomes.findIndex((one) => one.id === id), 'displacements', 6 * node); // oxfmt-ignore

/** A cantilever mast of n members under a force P at its top and H across it. */
function mast(n: number, height: number, P: number, H: number): Model {
  const ids = Array.from({ length: n + 1 }, (_, i) => `${i}`);
  return sketch({
    nodes: ids.map((id, i) => [id, 0, (height * i) / n] as const),
    members: ids.slice(1).map((id, i) => [`m${i}`, `${i}`, id] as const),
    supports: [clamp('0')],
    loads: [{ case: 'G', type: 'node', node: `${n}`, fy: -P }, { case: 'W', type: 'node', node: `${n}`, fx: H }],
    extra: {
      cases: [{ id: 'G', category: 'permanent' }, { id: 'W', category: 'wind' }],
      combinations: [{ id: 'U', type: 'sum', factors: { G: 1.5, W: 1 } }],
    },
  }); // oxfmt-ignore
}

describe('second order', () => {
  test('of a mast agrees with tan(kh), sum by sum, where the first order knows nothing of its weight', () => {
    const [h, H] = [6, 2e3];
    // 45 % of the critical load with the factor of the sum.
    const P = (0.45 / 1.5) * ((Math.PI ** 2 * EI) / (4 * h * h));
    const n = 32;
    const model = mast(n, h, P, H);
    const k = Math.sqrt((1.5 * P) / EI);
    const exact = (H / (1.5 * P)) * (Math.tan(k * h) / k - h);
    const first = (H * h ** 3) / (3 * E * I);
    expect(sway(solve(model).solution!, 'U', n)).toBeCloseTo(first, 9);
    const solution = second(model);
    expect(Math.abs(sway(solution, 'U', n) / exact - 1)).toBeLessThan(2e-3);
    expect(exact / first).toBeGreaterThan(1.7);
    // Nothing is superposed: the wind alone has no weight to lean on.
    expect(sway(solution, 'W', n)).toBeCloseTo(first, 9);
    expect(sway(solution, 'U', n)).not.toBeCloseTo(sway(solution, 'W', n), 3);
  });

  test.each(['frame', 'truss'] as const)('of two sprung %s pillars that lean is exact: Δ = H / (c − 2P/h)', (behaviour) => {
    const [h, P, H, c] = [4, 50e3, 1e3, 40e3];
    const pillars = sketch({
      nodes: [['1', 0, 0], ['2', 0, h], ['3', 0, 2 * h]], members: [['a', '1', '2'], ['b', '2', '3']],
      supports: [{ node: '1', ux: 'fixed', uy: 'fixed' }, { node: '2', ux: c }, { node: '3', ux: 'fixed' }],
      loads: [{ type: 'node', node: '2', fx: H }, { type: 'node', node: '3', fy: -P }],
    }); // oxfmt-ignore
    const hinge = { start: {}, end: { mz: 'free' as const } };
    const members = pillars.members.map((one, i) => ({ ...one, behaviour, ...(behaviour === 'frame' && i === 0 && { releases: hinge }) })); // oxfmt-ignore
    const solution = second({ ...pillars, members });
    const exact = H / (c - (2 * P) / h);
    expect(sway(solution, 'Q', 1)).toBeCloseTo(exact, 9);
    // The ground takes what the leaning force pushes aside, and all balances with the displaced load.
    expect(nodalAt(solution, 0, 'reactions', 0)).toBeCloseTo((P / h) * exact, 5);
    expect(responseOf(solution, 0)!.equilibrium.residual).toBeLessThan(1e-9);
    expect(responseOf(solution, 0)!.equilibrium.jointResidual).toBeLessThan(1e-9);
  });

  test('beyond the critical load there is no number', () => {
    const h = 6;
    const critical = (Math.PI ** 2 * EI) / (4 * h * h);
    const { status, notices } = solve(mast(16, h, 1.2 * critical, 1e3), [], ['second-order']).others!.get('second-order')!;
    expect(status).toBe('invalid');
    expect(notices.map(({ message }) => message)).toEqual([
      expect.stringMatching(
        /^G: the loads are beyond the critical load: 0\.833 of them can be borne, then members “m0”, .* give way/,
      ),
      expect.stringMatching(/^U: .* 0\.556 of them/),
    ]);
  });

  test('whichever outcome leads on to the next, each is what it is alone, and what is beyond is refused', () => {
    const h = 6;
    const one = mast(16, h, (Math.PI ** 2 * EI) / (4 * h * h), 1e3);
    const sum = (G: number, W = 1): Model['combinations'][number] => ({ id: `${G} ${W}`, type: 'sum', factors: { G, W } });
    // Under a mast that stands on its own, with no wind, nothing pushes: only its factor tells that it cannot stand.
    const [light, heavy, beyond, still] = [sum(0.2), sum(0.9), sum(1.3), sum(1.3, 0)];
    const of = (...combinations: Model['combinations']) =>
      solve({ ...one, combinations, analysis: { secondOrder: { of: 'combinations' } } });
    const alone = [light, heavy].map((each) => sway(of(each).solution!, each.id, 16));
    expect(alone[1]! / alone[0]!).toBeGreaterThan(5);
    for (const order of [
      [light, heavy],
      [heavy, light],
    ]) {
      const { solution } = of(...order);
      [light, heavy].forEach(({ id }, i) => expect(sway(solution!, id, 16) / alone[i]!).toBeCloseTo(1, 8));
    }
    for (const bad of [beyond, still]) {
      const { status, notices } = of(light, bad, heavy);
      expect(status).toBe('invalid');
      expect(notices.map(({ message }) => message)).toEqual([
        expect.stringMatching(new RegExp(`^${bad.id}: .* 0\\.769 of them`)),
      ]);
    }
  });
});
