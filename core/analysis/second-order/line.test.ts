import { expect, test } from '@jest/globals';
import { takeKernels } from '../../linear-algebra/kernel-pool';
import { maxNorm } from '../../linear-algebra/max-norm';
import { clamp3, sketch } from '../../test/build';
import { factorise } from '../factorise';
import { prepare } from '../prepare';
import { solve } from '../session';
import { Columns, type Leaning } from './leaning';
import { addMore, loadsOnLine } from './line';

test.each(['fixed', 'hinged'])('a line through two leanings misses the square of a step, %s', (end) => {
  const model = sketch({
    nodes: [['1', 0, 0, 0], ['2', 0, 4, 0], ['3', 5, 4, 1], ['4', 5, 0, 1]],
    members: [['a', '1', '2'], ['b', '2', '3', end === 'hinged' ? { releases: { end: { mz: 'free', my: 'free' } } } : {}], ['c', '4', '3']],
    supports: [clamp3('1'), clamp3('4')],
    loads: [{ type: 'node', node: '2', fx: 1e4, fy: -4e5, fz: 2e3 }, { type: 'line', member: 'b', from: { wy: -6e3 }, to: { wy: -9e3 } }],
  }); // oxfmt-ignore
  const system = factorise(prepare(model).prepared, takeKernels());
  const [response] = solve(model).solution!.responses;
  const lean = { v: [0.004, 0.01], w: [-0.003] };
  const columns = new Columns(system.structure, system.matrices, { response: response!, leanOf: () => lean });
  const under = (more: Float64Array): Leaning => columns.leaning({ more, factor: 1 }) as Leaning;
  const first = Float64Array.of(-3e4, 4e4, -5e4);
  const [former, latter] = [under(new Float64Array(3)), under(first)];
  const { displacements } = response!;
  const missed = (share: number): number => {
    const more = first.map((force, m) => force * (1 + share * [1, -0.5, 0.7][m]!));
    const onLine = loadsOnLine(system, [former, latter], more, displacements);
    const exact = under(more);
    const pushed = exact.loads.slice();
    addMore(system.structure, [latter.nodal, exact.nodal], displacements, pushed);
    const left = maxNorm(pushed.map((push, f) => push - onLine[f]!));
    expect(left).toBeLessThan(0.03 * maxNorm(pushed.map((push, f) => push - latter.loads[f]!)));
    return left;
  };
  // A line misses share·(1 + share) of a second derivative.
  const [near, far] = [missed(0.01), missed(0.02)];
  expect(far / near).toBeCloseTo((0.02 * 1.02) / (0.01 * 1.01), 1);
});
