import { expect, test } from '@jest/globals';
import { solve } from '../analysis/session';
import type { Model } from '../model/model';
import { valueAt } from './read';
import { inRow, pin, roller, sketch } from '../test/build';
import { withDifference } from './difference';

test('the difference of two sums has in each place the difference of both; of an envelope there is none', () => {
  const model: Model = sketch({
    nodes: inRow(0, 4, 9), members: [['a', '1', '2'], ['b', '2', '3']], supports: [pin('1'), roller('2'), roller('3')],
    extra: {
      cases: ['G', 'Q'].map((id) => ({ id, title: id, category: 'imposed' })),
      loads: [
        { id: '1', case: 'G', type: 'line', member: 'a', from: { wy: -3e3 }, to: { wy: -3e3 } },
        { id: '2', case: 'Q', type: 'point', member: 'b', at: 0.3, fy: -8e3 },
      ] as Model['loads'],
      combinations: [
        { id: 'U', title: '', type: 'sum', factors: { G: 1.35, Q: 1.5 } },
        { id: 'E', title: '', type: 'envelope', of: ['U', 'G'] },
      ],
    },
  }); // oxfmt-ignore
  const solution = solve(model).solution!;
  const at = (id: string): number => solution.outcomes.findIndex((one) => one.id === id);
  const both = withDifference(solution, at('U'), at('G'))!;
  // Whoever asks again gets the very same.
  expect(withDifference(solution, at('U'), at('G'))).toBe(both);
  const last = both.outcomes.length - 1;
  expect(both.outcomes[last]).toMatchObject({ id: 'U − G' });
  for (const [m, x] of [[0, 1.3], [0, 4], [1, 0], [1, 1.5], [1, 4.2]] as const)
    expect(valueAt(both, last, m, 'Mz', x)).toBeCloseTo(valueAt(solution, at('U'), m, 'Mz', x) - valueAt(solution, at('G'), m, 'Mz', x), 6);
  expect(withDifference(solution, at('E'), at('G'))).toBeUndefined();
  expect(withDifference(solution, at('G'), at('G'))).toBeUndefined();
}); // oxfmt-ignore
