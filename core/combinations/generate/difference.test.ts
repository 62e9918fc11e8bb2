import { expect, test } from '@jest/globals';
import { applyIntent } from '../../model/edits/apply-intent';
import { emptyModel, type Combination, type Model, type SumCombination } from '../../model/model';
import { publishedRules } from '../rules/published';
import { byHand, differenceOf, isDifferent, taking } from './difference';
import { generated } from './generate';

const rules = publishedRules.find(({ id }) => id === 'en1990-6.10')!;
const ask = { rules, situations: ['persistent', 'characteristic'] };

function differenceIn(model: Model) {
  const made = generated(model, ask);
  if (made.isTooMany) throw new Error('too many');
  return differenceOf(model, rules.id, made.lines);
}

function taken(model: Model): Model {
  const applied = applyIntent(model, taking(model, rules, { rules: rules.id, situations: ask.situations }, differenceIn(model)));
  if (!applied.ok) throw new Error(applied.faults.map(({ message }) => message).join(' '));
  return applied.model;
}

const idsOf = (all: readonly Combination[]): string[] => all.map(({ id }) => id);
const own: SumCombination = { id: 'U1', title: 'Erection', type: 'sum', factors: { G: 1.2 }, limitState: 'strength' };
const garden = (): Model => ({ ...emptyModel('Fern house'), combinations: [own] });

test('what is made gets free names, an envelope of all for each limit state, and nothing is left to take', () => {
  const model = taken(garden());
  expect(model.combinations[0]).toBe(own);
  expect(idsOf(model.combinations)).toEqual(['U1', 'U2', 'U3', 'U4', 'U5', 'K1', 'K2', 'Strength', 'Service']);
  expect(model.combinations.at(-2)).toMatchObject({
    type: 'envelope',
    of: ['U1', 'U2', 'U3', 'U4', 'U5'],
    made: { situation: 'all' },
  });
  expect(model.combining).toEqual({ rules: 'en1990-6.10', situations: ['persistent', 'characteristic'] });
  expect(isDifferent(differenceIn(model))).toBe(false);
  expect(taken(model)).toEqual(model);
});

test('a case that comes, changes its category or goes is a difference: names stay where a line stays', () => {
  const before = taken(garden());
  const withSnow: Model = { ...before, cases: [...before.cases, { id: 'S', category: 'snow' }] };
  const came = differenceIn(withSnow);
  expect([came.kept.length, came.changed.length, came.gone.length]).toEqual([6, 0, 0]);
  expect(came.added.map(({ factors }) => factors)).toContainEqual({ G: 1.35, Q: 1.05, S: 1.5 });
  const snowed = taken(withSnow);
  // Storage accompanies in full: the same lines with another ψ₀ keep their names.
  const stored: Model = { ...snowed, cases: snowed.cases.map((one) => (one.id === 'Q' ? { ...one, category: 'storage' } : one)) };
  const other = differenceIn(stored);
  expect(other.changed.map(([{ factors }, after]) => [factors, after.factors])).toContainEqual([{ G: 1.35, Q: 1.05, S: 1.5 }, { G: 1.35, Q: 1.5, S: 1.5 }]);
  for (const [from, to] of other.changed) expect(to.id).toBe(from.id);
  const without = applyIntent(snowed, { type: 'remove', list: 'cases', keys: ['S'] });
  if (!without.ok) throw new Error('The case was not removed.');
  expect(taken(without.model).combinations.map(({ id }) => id).toSorted()).toEqual(idsOf(before.combinations).toSorted()); // oxfmt-ignore
}); // oxfmt-ignore

test('a line that is edited by hand is typed from then on: rules make another, and leave it alone', () => {
  const before = taken(garden());
  const edited = byHand(before.combinations[1], { ...(before.combinations[1] as SumCombination), factors: { G: 1.4, Q: 1.5 } });
  expect(edited).not.toHaveProperty('made');
  const model = taken({ ...before, combinations: before.combinations.map((one) => (one.id === 'U2' ? edited : one)) });
  expect(model.combinations.find(({ id }) => id === 'U2')).toEqual(edited);
  expect(model.combinations.find(({ id }) => id === 'U6')).toMatchObject({
    factors: (before.combinations[1] as SumCombination).factors,
  });
  expect(model.combinations.find(({ id }) => id === 'Strength')).toMatchObject({ of: expect.arrayContaining(['U2', 'U6']) });
});

test('what is put by hand is typed, unless only its name or title is another', () => {
  const [, sum] = taken(garden()).combinations as SumCombination[];
  expect(byHand(sum, { ...sum!, id: 'U9', title: 'Wet' })).toHaveProperty('made');
  expect(byHand(sum, { ...sum!, limitState: 'service' })).not.toHaveProperty('made');
  expect(byHand(undefined, { ...sum!, id: 'copy' })).not.toHaveProperty('made');
  const envelope = taken(garden()).combinations.at(-1)!;
  expect(byHand(envelope, { ...envelope, of: ['G'] } as typeof envelope)).not.toHaveProperty('made');
});

test('another title of a case, and other rules with the same factors, give a line another reason, not another name', () => {
  const model = taken(garden());
  const titled: Model = { ...model, cases: model.cases.map((one) => (one.id === 'Q' ? { ...one, title: 'Visitors' } : one)) };
  const { added, changed, gone } = differenceIn(titled);
  expect([added.length, gone.length]).toEqual([0, 0]);
  expect(changed.map(([, after]) => after.made!.reason)).toContain('Visitors leads (γ 1.5); permanent unfavourable.');
  const other = publishedRules.find(({ id }) => id === 'en1990-6.10ab')!;
  const made = generated(model, { rules: other, situations: ['persistent'] });
  if (made.isTooMany) throw new Error('too many');
  const same = differenceOf(model, other.id, made.lines).changed.find(
    ([, after]) => after.factors.G === 1 && after.factors.Q === 1.5,
  )!;
  expect(same[1]).toMatchObject({
    id: same[0].id,
    factors: same[0].factors,
    made: { rules: 'en1990-6.10ab', clause: '6.4.3.2, expression 6.10b' },
  });
});
