import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import lintel from '../../examples/lintel.rbm.json';
import { solve } from '../analysis/session';
import { checkModel } from '../model/check';
import type { Model } from '../model/model';
import { defaultDisplay } from '../quantities/display';
import { nodalAt, valueAt } from '../results/read';
import { FREEDOMS, isPlane } from '../stiffness/structure';
import { randomFrame } from '../test/random-frame';
import { underAnyLoad } from '../test/random-loads';
import { randomSpace } from '../test/random-space';
import { workingsIn } from './ask';
import { piecesOf } from './pieces';
import { polynomialWords } from './polynomial-words';
import type { WorkingsBlock } from './blocks';
import { chainOf, type Chain } from './chain';
import type { Component } from '../influence/effect';

const chain = (found: Chain | string): Chain => {
  if (typeof found === 'string') throw new Error(found);
  return found;
};
type TableBlock = Extract<WorkingsBlock, { is: 'table' }>;
const tables = ({ links }: Chain): readonly TableBlock[] => links.flatMap(({ blocks }) => blocks.filter((one): one is TableBlock => one.is === 'table')); // oxfmt-ignore
const number = (text: string | number): number => Number(String(text).replace('−', '-'));

describe.each([['the plane', randomFrame], ['space', randomSpace]] as const)('in %s', (_, frames) => {
  test('the chain behind any number begins with that number, and each link is the sum of its terms', () => {
    let [compared, numbers] = [0, 0];
    fc.assert(
      fc.property(underAnyLoad(frames), fc.nat(), fc.double({ min: 0, max: 1, noNaN: true }), fc.boolean(), (frame: Model, pick, share, axialDeformation) => {
        const model = { ...frame, analysis: { ...frame.analysis, axialDeformation } };
        const { solution } = solve(model);
        const of = solution && workingsIn(model, solution, model.cases[0]!.id);
        if (!of || typeof of === 'string') return;
        const { structure } = of;
        const member = pick % structure.names.members.length;
        const at = share * structure.lengths[member]!;
        const near = (found: number, expected: number, size: number): void => expect(Math.abs(found - expected)).toBeLessThanOrEqual(1e-8 * size + 1e-9); // oxfmt-ignore
        const quantities = isPlane(structure) ? (['N', 'Vy', 'Mz'] as const) : (['N', 'Vy', 'Vz', 'T', 'My', 'Mz'] as const);
        const forces = Math.max(...of.members.flatMap((one) => one.forces.map(Math.abs)));
        const loads = of.members.flatMap((one) => one.loads.flatMap((load) => load.actions.map(Math.abs)));
        for (const quantity of quantities)
          near(
            chain(chainOf(of, { kind: 'along', member, at, quantity }, defaultDisplay)).value,
            valueAt(solution, 0, member, quantity, at),
            Math.max(forces, ...loads) * (1 + structure.lengths[member]!),
          );
        // The same as pieces, which meet the solver’s diagrams on the whole member.
        for (const { from, to, forces: pieces } of piecesOf(of.members[member]!))
          for (const quantity of quantities)
            for (const part of [0.2, 0.7]) {
              const x = from + part * (to - from);
              const value = pieces[quantity]!.reduceRight((sum, one) => sum * x + one, 0);
              near(value, valueAt(solution, 0, member, quantity, x), 10 * Math.max(forces, ...loads) * (1 + structure.lengths[member]!)); // oxfmt-ignore
            }
        const node = pick % structure.names.nodes.length;
        for (const component of structure.active as readonly Component[]) {
          for (const kind of ['reaction', 'movement'] as const) {
            const found = chainOf(of, { kind, node, component }, defaultDisplay);
            if (typeof found === 'string') continue;
            const key = kind === 'reaction' ? 'reactions' : 'displacements';
            const size = Math.max(...solution.responses[0]![key].map(Math.abs));
            numbers++;
            near(found.value, nodalAt(solution, 0, key, FREEDOMS * node + component), kind === 'reaction' ? Math.max(forces, size) : size);
            // Displacements as K⁻¹ and the loads make them, reactions as K and springs: what the terms come to.
            for (const { columns, rows } of tables(found)) {
              const [, what, freedom] = /^([dR]) (\d+)$/.exec(columns[1] ?? '') ?? [];
              if (freedom === undefined) continue;
              const i = Number(freedom) - 1;
              const expected = what === 'd' ? of.displacements[i]! : of.reactions[i]! / 1e3;
              const terms = rows.slice(0, -1).reduce((sum, row) => sum + number(row[1]!), 0);
              const most = Math.max(...rows.map((row) => Math.abs(number(row[1]!))));
              near(number(rows.at(-1)![1]!), expected, 2e4 * Math.abs(expected));
              near(terms, expected, 1e5 * rows.length * most);
              compared++;
            }
          }
        }
      }),
      { numRuns: 60 },
    );
    expect(numbers).toBeGreaterThan(300);
    expect(compared).toBeGreaterThan(20);
  });
}); // oxfmt-ignore

test('on the lintel: the moment at a place, down to the loads, each link leading to its step', () => {
  const model = checkModel(lintel).model!;
  const { solution } = solve(model);
  const of = workingsIn(model, solution!, 'Q1');
  if (typeof of === 'string') throw new Error(of);
  const found = chain(chainOf(of, { kind: 'along', member: 0, at: 1.8, quantity: 'Mz' }, defaultDisplay));
  expect(found.title).toBe('M in a at x = 1.8');
  expect(found.links.map(({ title, leads }) => [title, leads.step])).toEqual([
    ['From the start of the member to x', 'ends'],
    ['Forces at the start', 'ends'],
    ['Movements of the ends of a', 'members'],
    ['Displacements of the nodes', 'solution'],
    ['Loads on the joints', 'joint-loads'],
  ]);
  const [piece, , turn] = tables(found);
  expect(piece!.rows.map(([words]) => words)).toEqual(['y₁·x: (19.286) · 1.8', '−θ₁: −(0)', 'qy −12', 'Together']);
  expect(number(piece!.rows.at(-1)![1]!)).toBeCloseTo(19.286 * 1.8 - (12 * 1.8 ** 2) / 2, 2);
  expect(turn!.rows.map(([words]) => String(words).split(':')[0])).toEqual(['k·θ₁', 'k·θ₂', 'f', 'Together']);
  expect(chainOf(of, { kind: 'along', member: 0, at: 1, quantity: 'v' }, defaultDisplay)).toMatch(/follows from its moments/);
});

test('pieces are written as one writes polynomials', () => {
  expect(polynomialWords([0, 19.2856, -6, 0])).toBe('19.286 x − 6 x²');
  expect(polynomialWords([-2, 0, 0, 0.5])).toBe('−2 + 0.5 x³');
  expect(polynomialWords([0, 0, 0, 0])).toBe('0');
});
