import { describe, expect, test } from '@jest/globals';
import type { RunLink } from '../model/runs';
import { runThrough } from '../model/runs';
import { clamp3, pin, roller, sketch, solved } from '../test/build';
import { quantityTable, type Quantity } from './quantities';
import { runReader } from './run-reader';

const [L, q] = [4, 6e3];

/** A beam over two spans under an even load; its second member may run the other way. */
function spans(second: readonly [string, string]) {
  const model = sketch({
    nodes: [['1', 0, 0], ['2', L, 0], ['3', 2 * L, 0]], members: [['a', '1', '2'], ['b', ...second]],
    supports: [pin('1'), roller('2'), roller('3')],
    loads: [
      { type: 'line', member: 'a', from: { wy: -q }, to: { wy: -q } },
      { type: 'line', member: 'b', from: { wy: -q }, to: { wy: -q } },
    ],
  }); // oxfmt-ignore
  return runReader(solved(model).solution, 0, runThrough(model.members) as RunLink[])!;
}

describe('two spans read as one line', () => {
  test.each([[['2', '3']], [['3', '2']]] as const)('with the second member from %s', (second) => {
    const run = spans(second);
    expect(run.length).toBe(2 * L);
    const near = (quantity: Quantity, x: number, wanted: number): void =>
      expect(run.at(quantity, x)!.max / wanted).toBeCloseTo(1, 9);
    // qL²/8 over the support, 9qL²/128 at 3L/8 from either end, 5qL/8 on both sides of the support.
    near('Mz', L, (-q * L * L) / 8);
    near('Mz', (3 / 8) * L, (9 * q * L * L) / 128);
    near('Mz', 2 * L - (3 / 8) * L, (9 * q * L * L) / 128);
    near('Vy', L - 1e-9, run.stretches[0]!.at('Vy', L)!.max);
    expect(run.stretches[1]!.at('Vy', L)!.max).toBeCloseTo(-run.stretches[0]!.at('Vy', L)!.max, 6);
    expect(run.at('v', 1.5 * L)!.max).toBeCloseTo(run.at('v', 0.5 * L)!.max, 12);
    expect(run.at('v', 0.5 * L)!.max).toBeLessThan(0);
    const { max, min } = run.extremes('Mz')!;
    expect(max.value / ((9 * q * L * L) / 128)).toBeCloseTo(1, 9);
    expect(min).toMatchObject({ x: L });
    expect(min.value / ((-q * L * L) / 8)).toBeCloseTo(1, 9);
  });
});

test.each([[['3', '4']], [['4', '3']]] as const)(
  'round a portal the moment goes on from member to member (right column from %s)',
  (column) => {
    const model = sketch({
    nodes: [['1', 0, 0], ['2', 0, 3], ['3', 5, 3], ['4', 5, 0]], members: [['c', '1', '2'], ['r', '2', '3'], ['d', ...column]], supports: [pin('1'), pin('4')],
    loads: [{ type: 'node', node: '2', fx: 8e3 }, { type: 'line', member: 'r', from: { wy: -q }, to: { wy: -q } }],
  }); // oxfmt-ignore
    const run = runReader(solved(model).solution, 0, runThrough(model.members) as RunLink[])!;
    const [c, r, d] = run.stretches as [(typeof run.stretches)[0], (typeof run.stretches)[0], (typeof run.stretches)[0]];
    const at = (stretch: typeof c, quantity: Quantity, x: number): number => stretch.at(quantity, x)!.max;
    expect(at(r, 'Mz', c.to)).toBeCloseTo(at(c, 'Mz', c.to), 6);
    expect(at(d, 'Mz', r.to)).toBeCloseTo(at(r, 'Mz', r.to), 6);
    // Shear is the slope of the moment along the run, also on the column that stands against it.
    for (const stretch of [c, d])
      expect(at(stretch, 'Vy', stretch.from) * 3).toBeCloseTo(at(stretch, 'Mz', stretch.to) - at(stretch, 'Mz', stretch.from), 5);
    const { min } = run.extremes('Mz')!;
    expect(min.value).toBeCloseTo(at(d, 'Mz', d.from), 6);
  },
);

test('in space every quantity goes on, whichever way the second member was drawn', () => {
  const read = (second: readonly [string, string]) => {
    const model = sketch({
      nodes: [['1', 0, 0, 0], ['2', L, 1, 0], ['3', 2 * L, 1, 1]], members: [['a', '1', '2'], ['b', ...second]], supports: [clamp3('1')],
      loads: [{ type: 'node', node: '3', fx: 2e3, fy: -3e3, fz: 1e3, mx: 400, my: 500, mz: 600 }],
      section: { Wz: 1e-4, Wy: 5e-5 },
    }); // oxfmt-ignore
    return runReader(solved(model).solution, 0, runThrough(model.members) as RunLink[])!;
  };
  const [along, against] = [read(['2', '3']), read(['3', '2'])];
  const told = (Object.keys(quantityTable) as Quantity[]).filter((one) => !quantityTable[one].derived?.takesShear);
  for (const quantity of told)
    for (const part of [0.1, 0.45, 0.55, 0.9]) {
      const [one, other] = [along, against].map((run) => run.at(quantity, part * run.length)!);
      expect(other!.max).toBeCloseTo(one!.max, 6);
      expect(other!.min).toBeCloseTo(one!.min, 6);
      const [all, same] = [along.extremes(quantity)!, against.extremes(quantity)!];
      expect(same.max.value).toBeCloseTo(all.max.value, 6);
      expect(same.min.value).toBeCloseTo(all.min.value, 6);
    }
});

test('in space only members whose axes go on are one line', () => {
  const model = (second: readonly [string, string]) =>
    sketch({
      nodes: [['1', 0, 0, 0], ['2', L, 0, 0], ['3', 2 * L, 0, 0], ['4', L, 3, 0]], members: [['a', '1', '2'], ['b', ...second]], supports: [clamp3('1')],
      loads: [{ type: 'node', node: '2', fy: -1e3 }],
    }); // oxfmt-ignore
  const read = (second: readonly [string, string]) => {
    const own = model(second);
    return runReader(solved(own).solution, 0, runThrough(own.members) as RunLink[]);
  };
  expect(read(['2', '3'])?.length).toBe(2 * L);
  expect(read(['3', '2'])?.length).toBe(2 * L);
  expect(read(['2', '4'])).toBeUndefined();
});

test.each([[['2', '3']], [['3', '2']]] as const)('who governs along a run is found exactly, whichever way a member was drawn (%s)', (second) => {
  const line = (member: string, loadCase: string) => ({ type: 'line' as const, case: loadCase, member, from: { wy: -q }, to: { wy: -q } });
  const model = sketch({
    nodes: [['1', 0, 0], ['2', L, 0], ['3', 2 * L, 0]], members: [['a', '1', '2'], ['b', ...second]],
    supports: [pin('1'), roller('2'), roller('3')],
    extra: {
      cases: [{ id: 'A', category: 'imposed' }, { id: 'B', category: 'imposed' }],
      loads: [line('a', 'A'), line('b', 'B')].map((one, i) => ({ ...one, id: `${i}` })),
      combinations: [{ id: 'E', type: 'envelope', of: ['A', 'B'] }],
    },
  }); // oxfmt-ignore
  const { solution } = solved(model);
  const run = runReader(solution, 2, runThrough(model.members) as RunLink[])!;
  // Each case sags in its own span up to where its moment is that of the other: qx(7L/16 − x/2) = −qLx/16 at x = L.
  for (const side of ['max', 'min'] as const) {
    const stretches = run.governed('Mz', side)!;
    expect([stretches[0]!.from, stretches.at(-1)!.to]).toEqual([0, 2 * L]);
    for (const { from, to, outcome } of stretches)
      for (const t of [0.01, 0.5, 0.99]) {
        const there = run.at('Mz', from + t * (to - from))!;
        expect(side === 'max' ? there.maxFrom : there.minFrom).toBe(outcome);
      }
    expect(stretches.map(({ outcome }) => outcome)).toEqual(side === 'max' ? [0, 1] : [1, 0]);
    expect(stretches[0]!.to).toBeCloseTo(L, 9);
  }
  expect(run.governed('sigma', 'max')).toBeUndefined();
}); // oxfmt-ignore
