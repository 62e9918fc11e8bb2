import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { prepare } from '../analysis/prepare';
import { solve } from '../analysis/session';
import { actingCases } from '../combinations/outcome';
import type { Model } from '../model/model';
import { responseOf } from '../results/sums';
import { randomFrame } from '../test/random-frame';
import { underAnyLoad } from '../test/random-loads';
import { randomSpace } from '../test/random-space';
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
        if (!found) return;
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
