import { expect, test } from '@jest/globals';
import { actingFactors } from './acting-factors';
import { resultantItems } from './resultant-items';
import { labels, lintelModel, paths, ribModel, solutionOf } from './test/demo';
import { plainView } from './view';

test('the resultant of a case stands on its line of action; one load alone needs none', () => {
  const solution = solutionOf(lintelModel);
  const of = (id: string) => {
    const outcome = solution.outcomes.findIndex((one) => one.id === id);
    return { items: resultantItems(lintelModel, solution, { ...plainView, outcome }), outcome };
  };
  // 6 kN/m over 9.9 m and the weight of the beam, in the middle of it.
  const { items, outcome } = of('G');
  expect(labels(items).map(({ text }) => text)).toEqual(['resultant 62.38 kN']);
  expect(paths(items)[0]!.vertices[0]).toBeCloseTo(4.95, 6);
  expect([...actingFactors(lintelModel, solution, outcome)].filter(([, factor]) => factor !== 0)).toEqual([['G', 1]]);
  expect(of('Q3').items).toEqual([]);
  expect(of('C').items).toEqual([]);
});

test('its arrow points the way the loads push', () => {
  const solution = solutionOf(ribModel);
  const outcome = solution.outcomes.findIndex(({ id }) => id === 'W');
  const [shaft] = paths(resultantItems(ribModel, solution, { ...plainView, outcome }));
  const [fromX, fromY, toX, toY] = [2, 3, 6, 7].map((i) => shaft!.vertices[i]!);
  // From the left, and down as much as the windward side leans.
  expect(toX! - fromX!).toBeGreaterThan(0);
  expect(toY! - fromY!).toBeLessThan(0);
});

test('it is drawn in the colour of the case that acts alone; a sum has none', () => {
  const cases = ribModel.cases.map((one) => ({ ...one, colour: 'plum' as const }));
  const solution = solutionOf(ribModel);
  const inkOf = (id: string) => {
    const outcome = solution.outcomes.findIndex((one) => one.id === id);
    return labels(resultantItems({ ...ribModel, cases }, solution, { ...plainView, outcome }))[0]!.ink;
  };
  expect(inkOf('W')).toBe('load-plum');
  expect(inkOf('U2')).toBe('load');
});
