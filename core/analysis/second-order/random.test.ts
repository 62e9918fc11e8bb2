import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Model } from '../../model/model';
import { Random } from '../../test/random';
import { storeyedFrame as frame } from '../../test/storeyed-frame';
import { edited } from '../../test/edited';
import { randomFrame } from '../../test/random-frame';
import { underAnyLoad } from '../../test/random-loads';
import { randomSpace } from '../../test/random-space';
import type { StructuralResponse } from '../../results/results';
import { responseOf } from '../../results/sums';
import { denseSecondOrder } from '../../test/stability-functions';
import { loadsOnNodes } from '../../stiffness/assemble';
import { giveBackKernels, takeKernels } from '../../linear-algebra/kernel-pool';
import { AnalysisSession, solve } from '../session';
import { criticalLoads } from './critical';

describe('frames by the stability functions of the textbook and a dense matrix', () => {
  test.each(['plane', 'space'] as const)('200 of them in the %s', (space) => {
    let [refused, unsettled] = [0, 0];
    const worst: number[] = [];
    for (let seed = 1; seed <= 200; seed++) {
      const model = frame(new Random(seed), space);
      const { solution: first, others } = solve(model, [], ['second-order']);
      const { structure } = first!;
      const { solution, notices } = others!.get('second-order')!;
      const found = solution && responseOf(solution, 0);
      if (notices.some(({ message }) => message.includes('does not settle'))) {
        unsettled++;
        continue;
      }
      const { ends } = found ?? first!.responses[0]!;
      const exact = denseSecondOrder(
        structure,
        loadsOnNodes(structure, 0),
        Array.from(structure.lengths, (_, m) => ends[12 * m + 6]!),
      );
      expect([seed, found !== undefined]).toEqual([seed, exact !== undefined]);
      if (!found || !exact) {
        refused++;
        continue;
      }
      const size = Math.max(...exact.map(Math.abs));
      const off = Math.max(...exact.map((value, f) => Math.abs(value - found.displacements[f]!))) / size;
      expect(found.equilibrium.residual).toBeLessThan(1e-9);
      worst.push(off);
      // Just under the critical load an unrefined dense solution is the worse of both.
      expect([seed, off < 1e-6]).toEqual([seed, true]);
    }
    expect(worst.filter((off) => off < 1e-9).length / worst.length).toBeGreaterThan(0.95);
    expect(unsettled).toBeLessThan(10);
    expect(refused).toBeGreaterThan(10);
    expect(refused).toBeLessThan(150);
  });
});

describe('critical loads', () => {
  test.each(['plane', 'space'] as const)('of 200 frames in the %s lie where the dense matrix turns', (space) => {
    let compared = 0;
    const kernels = takeKernels();
    for (let seed = 1; seed <= 200; seed++) {
      const session = new AnalysisSession();
      const { solution } = session.update(frame(new Random(seed), space)).now;
      const { structure, supported, responses } = solution!;
      const [critical] = criticalLoads(session.system!, supported, kernels, { first: responses[0]!, modes: 1 });
      session.close();
      if (!critical) continue;
      compared++;
      const isStable = (factor: number): boolean =>
        denseSecondOrder(
          structure,
          loadsOnNodes(structure, 0),
          Array.from(structure.lengths, (_, m) => factor * responses[0]!.ends[12 * m + 6]!),
        ) !== undefined;
      expect([seed, isStable(critical.factor * (1 - 1e-7)), isStable(critical.factor * (1 + 1e-7))]).toEqual([seed, true, false]);
    }
    giveBackKernels(kernels);
    expect(compared).toBeGreaterThan(180);
  });
});

describe('members cut in three', () => {
  test.each([['plane', randomFrame], ['space', randomSpace]] as const)('change nothing in 60 %s frames under any load', (_, frames) => {
    let compared = 0;
    fc.assert(
      fc.property(underAnyLoad(frames), fc.integer({ min: 1, max: 30 }), (drawn, factor) => {
        const factors = Object.fromEntries(drawn.cases.map(({ id }) => [id, factor]));
        const model: Model = { ...drawn, combinations: [{ id: 'U', type: 'sum', factors }] };
        const cuts = model.members.filter(({ behaviour }) => behaviour !== 'truss').map(({ id }) => ({ member: id, at: [0.3, 0.65] }));
        const [whole, cut] = [model, edited(model, { type: 'split', cuts })].map((one) => {
          const { solution } = solve(one, [], ['second-order']).others!.get('second-order')!;
          return solution && responseOf(solution, solution.outcomes.findIndex(({ id }) => id === 'U'));
        });
        if (!whole || !cut) return;
        compared++;
        const moved = whole.displacements;
        const size = Math.max(...moved.map(Math.abs));
        moved.forEach((value, f) => expect(Math.abs(value - cut.displacements[f]!) / size).toBeLessThan(1e-7));
        const push = Math.max(...whole.reactions.map(Math.abs));
        whole.reactions.forEach((value, f) => expect(Math.abs(value - cut.reactions[f]!) / push).toBeLessThan(1e-7));
      }),
      { numRuns: 60, seed: 7 },
    );
    expect(compared).toBeGreaterThan(30);
  });
}); // oxfmt-ignore

describe('sums one after the other', () => {
  test.each([['plane', randomFrame], ['space', randomSpace]] as const)('are as each is alone in 40 %s frames under any load', (_, frames) => {
    let compared = 0;
    const factors = fc.array(fc.integer({ min: -20, max: 20 }), { minLength: 9, maxLength: 9 });
    fc.assert(
      fc.property(underAnyLoad(frames), factors, (drawn, given) => {
        const sums = ['U', 'V', 'W'].map((id, c) => ({ id, type: 'sum' as const, factors: Object.fromEntries(drawn.cases.map((one, i) => [one.id, given[(3 * c + i) % 9]!])) }));
        const analysis = { ...drawn.analysis, secondOrder: { of: 'combinations', bow: { ratio: 1 / 250 } } } as const;
        const solved = (combinations: Model['combinations']): (StructuralResponse | undefined)[] => {
          const { solution } = solve({ ...drawn, analysis, combinations });
          return combinations.map(({ id }) => solution && responseOf(solution, solution.outcomes.findIndex((one) => one.id === id)));
        };
        const together = solved(sums);
        for (const [i, one] of sums.entries()) {
          const [alone] = solved([one]);
          if (!together[i] || !alone) return;
          compared++;
          expect(together[i].pieces.from).toEqual(alone.pieces.from);
          for (const key of ['displacements', 'ends', 'coefficients'] as const) {
            const off = alone[key].map((value, k) => Math.abs(value - together[i]![key][k]!));
            expect(Math.max(...off)).toBeLessThanOrEqual(1e-8 * Math.max(...alone[key].map(Math.abs)));
          }
        }
      }),
      { numRuns: 40, seed: 11 },
    );
    expect(compared).toBeGreaterThan(30);
  });
}); // oxfmt-ignore
