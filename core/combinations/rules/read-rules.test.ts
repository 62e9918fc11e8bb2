import { describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { publishedRules } from './published';
import { readRules } from './read-rules';

const term = { of: ['permanent'], acts: 'always', factor: 1.35, favourable: 1 };
const file = (change: Readonly<Record<string, unknown>> = {}, terms: readonly object[] = [term]): unknown => ({
  format: 'rigid-beam/rules', version: 1, id: 'own', title: 'Own', standard: 'Office rule 3',
  situations: [{ id: 'strength', title: 'Strength', letter: 'U', limitState: 'strength', expressions: [{ clause: '1', terms }] }],
  ...change,
}); // oxfmt-ignore

describe('a file of rules', () => {
  test('is read, and takes from another what it does not say itself', () => {
    expect(readRules(file()).rules).toMatchObject({ id: 'own', situations: [{ expressions: [{ terms: [term] }] }] });
    const own = readRules(file({ like: 'en1990-6.10', values: [{ symbol: 'ψ₀', clause: 'national annex', of: { snow: 0.7 } }] }), publishedRules);
    expect(own.rules!.situations.map(({ id }) => id)).toEqual(['persistent', 'accidental', 'seismic', 'characteristic', 'frequent', 'quasi-permanent', 'strength']); // oxfmt-ignore
    expect(own.rules!.values['ψ₀']!.of).toMatchObject({ snow: 0.7, wind: 0.6, roof: 0 });
    expect(own.rules!.values['ψ₁']!.of.imposed).toBe(0.5);
  }); // oxfmt-ignore

  test('of the document is one', () => {
    const text = readFileSync(path.join(__dirname, '../../../docs/rules-format.md'), 'utf8');
    const { rules, notices } = readRules(JSON.parse(/```json\n([\s\S]*?)```/.exec(text)![1]!), publishedRules);
    expect(notices).toEqual([]);
    expect(rules!.values['ψ₀']!.of.snow).toBe(0.7);
  });

  test.each([
    ['a factor that is no number', file({}, [{ ...term, factor: 'much' }]), /unit|number/],
    ['a way to act that is none', file({}, [{ ...term, acts: 'sometimes' }]), /one of always, leading/],
    ['a category that is none', file({}, [{ ...term, of: ['sleet'] }]), /“sleet” is neither a category nor a list/],
    ['a ψ out of range', file({ values: [{ symbol: 'ψ₀', clause: '2', of: { snow: 1.2 } }] }), /ψ₀ of snow must lie between 0 and 1/],
    ['a value that is not there', file({}, [{ ...term, value: 'ξ' }]), /There is no ξ of permanent, which “strength” takes/],
    ['a list in the place of a category', file({ values: [{ symbol: 'ψ₀', clause: '2', of: { variable: 0.7 } }] }), /“variable” is not a category/],
    ['a situation twice', file({ situations: [1, 2].map(() => ({ id: 'a', title: 'A', letter: 'U', limitState: 'strength', expressions: [{ clause: '1', terms: [term] }] })) }), /already a situation “a”/],
    ['a helping factor of what may be away', file({}, [{ of: ['snow'], acts: 'each', factor: 1.5, favourable: 0 }]), /Only what acts always/],
    ['nothing that leads', file({}, [{ of: ['snow'], acts: 'accompanying', factor: 1.5 }]), /Nothing leads/],
    ['a set that is not there', file({ like: 'none' }), /no set of rules “none”/],
    ['another version', file({ version: 2 }), /Version 2/],
    ['another format', file({ format: 'rigid-beam/model' }), /not one of the choices/],
    ['no situation', { format: 'rigid-beam/rules', version: 1, id: 'own', title: 'Own', standard: '' }, /no situation/],
    ['no object', [], /An object was expected/],
  ])('is refused with %s', (_, value, message) => {
    const { rules, notices } = readRules(value, publishedRules);
    expect(rules).toBeUndefined();
    expect(notices.map((one) => one.message).join(' ')).toMatch(message);
  }); // oxfmt-ignore
});
