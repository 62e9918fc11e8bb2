import { describe, expect, test } from '@jest/globals';
import lintel from '../../../examples/lintel.rbm.json';
import { applyIntent } from '../../model/edits/apply-intent';
import { checkModel } from '../../model/check';
import type { Model, OwnRules } from '../../model/model';
import { answerOf } from '../asked';
import { copiedRules, knownRules, rulesFaults } from './own';
import { publishedRules } from './published';
import { readRules } from './read-rules';

const base = checkModel(lintel).model!;
const withSet = (model: Model, entry: object): Model => {
  const applied = applyIntent(model, { type: 'put', list: 'ruleSets', entry: { ...entry } });
  if (!applied.ok) throw new Error(applied.faults.map(({ message }) => message).join(' '));
  return applied.model;
};
const linesOf = (model: Model, rules: string) => {
  const { made } = answerOf({ ...model, combinations: [] }, { rules }, knownRules(model))!;
  if (made.isTooMany) throw new Error('too many');
  return made.lines.map(({ factors, reason, clause }) => ({ factors, reason, clause }));
};

describe('a set of a model’s own', () => {
  test.each(publishedRules.map((rules) => [rules.id, rules] as const))(
    'copied from %s asks for the same, and is kept with the model',
    (id, rules) => {
      const copy = copiedRules(base, rules);
      expect(copy).toMatchObject({ id: 'own', title: 'Own rules' });
      const model = withSet(base, JSON.parse(JSON.stringify(copy)) as object);
      expect(checkModel(JSON.parse(JSON.stringify(model))).model).toEqual(model);
      expect(linesOf(model, 'own')).toEqual(linesOf(base, id));
      expect(copiedRules(model, rules)).toMatchObject({ id: 'own 2', title: 'Own rules 2' });
    },
  );

  test('with another factor asks for another line', () => {
    const copy = copiedRules(base, publishedRules[0]!);
    const text = JSON.stringify(copy).replaceAll('1.35', '1.2');
    const model = withSet(base, JSON.parse(text) as object);
    expect(linesOf(model, 'own').some(({ factors }) => factors['G'] === 1.2)).toBe(true);
    expect(linesOf(model, 'own').some(({ factors }) => factors['G'] === 1.35)).toBe(false);
  });

  test('may be like another, and takes no name of a set that comes with the application', () => {
    const like = { format: 'rigid-beam/rules', version: 1, id: 'annex', title: 'Annex', standard: 'ours', like: 'en1990-6.10', values: [{ symbol: 'ψ₀', clause: 'annex', of: { imposed: 0.5 } }] }; // oxfmt-ignore
    expect(rulesFaults(base, like)).toEqual([]);
    expect(linesOf(withSet(base, like), 'annex').some(({ reason }) => reason.includes('ψ₀ = 0.5'))).toBe(true);
    expect(rulesFaults(base, { ...like, id: 'en1990-6.10' }).join()).toMatch(/name of a set that comes with the application/);
    expect(rulesFaults(base, { ...like, values: [{ symbol: 'ψ₀', clause: 'annex', of: { imposed: 1.5 } }] }).join()).toMatch(
      /between 0 and 1/,
    );
    expect(rulesFaults(base, { ...like, like: 'nothing' }).join()).toMatch(/no set of rules “nothing”/);
  });

  test('that cannot be used is left out, and everything else stays', () => {
    const bad = { ...copiedRules(base, publishedRules[0]!), situations: [] } as unknown as OwnRules;
    expect(knownRules({ ruleSets: [bad] })).toHaveLength(publishedRules.length);
    expect(readRules(bad).rules).toBeUndefined();
  });
});
