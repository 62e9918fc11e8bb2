import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { AnalysisSession } from '../analysis/session';
import type { Model } from '../model/model';
import { randomFrame } from '../test/random-frame';
import { underAnyLoad } from '../test/random-loads';
import { randomSpace } from '../test/random-space';
import { worked, contributionsTo } from './worked';

test.each([['plane', randomFrame], ['space', randomSpace]] as const)('100 frames in the %s under any load multiply out to what the solver finds', (_, frames) => {
  let compared = 0;
  fc.assert(
    fc.property(underAnyLoad(frames), (model: Model) => {
      const session = new AnalysisSession();
      const { solution } = session.update(model).now;
      if (!solution) return session.close();
      model.cases.forEach((__, c) => {
        const found = worked(session.system!, c, solution.responses[c]!);
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
      session.close();
    }),
    { numRuns: 100 },
  );
  expect(compared).toBeGreaterThan(80);
}); // oxfmt-ignore
