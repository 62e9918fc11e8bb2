import { expect, test } from '@jest/globals';
import { solve } from '@rigid-beam/core/analysis/session';
import type { Model } from '@rigid-beam/core/model/model';
import { extremesOverMembers } from '@rigid-beam/core/results/extremes-over-members';
import { readCurve } from '@rigid-beam/core/results/read-curve';
import { readExtremes } from '@rigid-beam/core/results/read-extremes';
import { isReady, withFound } from '@rigid-beam/core/results/readings';
import { spaceBuilding } from '../bench/structures';
import { governingInSteps, governingValues } from './diagram-scale';
import { sheetItems } from './sheet-items';
import { ribModel, solutionOf } from './test/demo';
import { plainView } from './view';

/** The rib with an envelope over so many sums. */
const enveloped = (count: number): Model => {
  const sums = Array.from({ length: count }, (_, i) => ({
    id: `S${i}`,
    type: 'sum' as const,
    factors: Object.fromEntries(ribModel.cases.map(({ id }, c) => [id, ((7 * i + 5 * c) % 13) / 6 - 1])),
  }));
  return { ...ribModel, combinations: [...sums, { id: 'E', type: 'envelope', of: sums.map(({ id }) => id) }] };
};

const finished = <T>(work: Generator<number, T>): T => {
  let step = work.next();
  while (!step.done) step = work.next();
  return step.value;
};

test('an envelope over thousands of parts is drawn when it was read, and is then what its parts make it', () => {
  const [many, few] = [enveloped(2600), enveloped(13)];
  const outcome = ribModel.cases.length + 2600;
  const solution = solve(many).solution!;
  const view = { ...plainView, outcome, quantity: 'Mz' as const, values: 'that matter' as const };
  expect(isReady(solution, outcome)).toBe(false);
  expect(governingValues(solution, outcome, 'Mz')).toBeUndefined();
  const bare = sheetItems(many, solution, view);

  const read = withFound(solution, outcome, { extremes: finished(readExtremes(solution, outcome)) });
  const drawn = withFound(read, outcome, { curve: ['Mz', finished(readCurve(solution, outcome, 'Mz'))] });
  expect([isReady(read, outcome), isReady(read, outcome, 'Mz'), isReady(drawn, outcome, 'Mz')]).toEqual([true, false, true]);
  // The factors come again every 13 sums: that many parts are the whole envelope.
  const whole = solve(few).solution!;
  const known = governingValues(whole, ribModel.cases.length + 13, 'Mz')!;
  const found = governingValues(drawn, outcome, 'Mz')!;
  for (const side of ['max', 'min'] as const) {
    expect(found[side].value / known[side].value).toBeCloseTo(1, 9);
    expect([found[side].member, found[side].x]).toEqual([known[side].member, expect.closeTo(known[side].x, 6)]);
  }
  const texts = (items: readonly { kind: string; text?: string }[]): (string | undefined)[] =>
    items.filter(({ kind }) => kind === 'label').map(({ text }) => text);
  expect(bare.length).toBeLessThan(sheetItems(many, drawn, view).length);
  expect(texts(sheetItems(many, drawn, view))).toEqual(
    texts(sheetItems(few, whole, { ...view, outcome: ribModel.cases.length + 13 })),
  );
});

/** Of more members than are looked at in one step. */
const large = solutionOf(spaceBuilding(5, 5, 7, 2));

test('who asks for a governing value that is being sought gets it at once, and the search goes on with what is found', () => {
  const steps = governingInSteps(large, 0, 'uX');
  expect(steps.next().done).toBe(false);
  const found = governingValues(large, 0, 'uX')!;
  expect(found).toEqual(extremesOverMembers(large, 0, 'uX'));
  expect(steps.next()).toEqual({ done: true, value: found });
  expect(governingValues(large, 0, 'uX')).toBe(found);
});

test('of a magnitude only the largest value counts, and stands for both', () => {
  const { max, min } = governingValues(large, 0, 'M')!;
  expect(max).toEqual(extremesOverMembers(large, 0, 'M')!.max);
  expect(min).toBe(max);
});
