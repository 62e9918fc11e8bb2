import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Category } from '../../model/categories';
import type { ActionGroup, Combining, LoadCase, Model } from '../../model/model';
import { actionsOf } from '../actions';
import { publishedRules } from '../rules/published';
import { generated, type Line } from './generate';

const set = (id: string) => publishedRules.find((one) => one.id === id)!;
const cases = (...all: readonly (readonly [id: string, category: Category])[]): LoadCase[] =>
  all.map(([id, category]) => ({ id, category }));

interface Ask {
  readonly rules: string;
  readonly situations: readonly string[];
  readonly permanent?: Combining['permanent'];
}

function linesOf(model: Pick<Model, 'cases' | 'actions'>, { rules, situations, permanent }: Ask): readonly Line[] {
  const made = generated(model, { rules: set(rules), situations, ...(permanent && { permanent }) });
  if (made.isTooMany) throw new Error('too many');
  return made.lines;
}

/** A line as engineers write it. */
const written = ({ factors }: Pick<Line, 'factors'>): string =>
  Object.entries(factors).map(([id, factor]) => `${factor} ${id}`).join(' + '); // oxfmt-ignore

const G: readonly [string, Category] = ['G', 'permanent'];
const Q: readonly [string, Category] = ['Q', 'imposed'];
const S: readonly [string, Category] = ['S', 'snow'];
const W: readonly [string, Category] = ['W', 'wind'];
const either: ActionGroup = { id: 'W', type: 'either', of: ['W1', 'W2'] };
const winds: readonly (readonly [string, Category])[] = [['W1', 'wind'], ['W2', 'wind']]; // oxfmt-ignore

describe('every combination, worked by hand', () => {
  const lists: readonly (readonly [string, Pick<Model, 'cases' | 'actions'>, Ask, readonly string[]])[] = [
    ['6.10: permanent alone', { cases: cases(G) }, { rules: 'en1990-6.10', situations: ['persistent'] }, ['1.35 G', '1 G']],
    ['6.10: with imposed', { cases: cases(G, Q) }, { rules: 'en1990-6.10', situations: ['persistent'] },
      ['1.35 G + 1.5 Q', '1.35 G', '1 G + 1.5 Q', '1 G']],
    ['6.10: snow and wind lead in turn', { cases: cases(G, S, W) }, { rules: 'en1990-6.10', situations: ['persistent'] },
      ['1.35 G + 1.5 S + 0.9 W', '1.35 G + 1.5 S', '1.35 G + 0.75 S + 1.5 W', '1.35 G + 1.5 W', '1.35 G',
        '1 G + 1.5 S + 0.9 W', '1 G + 1.5 S', '1 G + 0.75 S + 1.5 W', '1 G + 1.5 W', '1 G']],
    ['6.10: wind from either side, never both', { cases: cases(G, ...winds), actions: [either] }, { rules: 'en1990-6.10', situations: ['persistent'] },
      ['1.35 G + 1.5 W1', '1.35 G + 1.5 W2', '1.35 G', '1 G + 1.5 W1', '1 G + 1.5 W2', '1 G']],
    ['6.10: imposed on the roof acts with neither snow nor wind', { cases: cases(G, ['H', 'roof'], S) }, { rules: 'en1990-6.10', situations: ['persistent'] },
      ['1.35 G + 1.5 H', '1.35 G + 1.5 S', '1.35 G', '1 G + 1.5 H', '1 G + 1.5 S', '1 G']],
    ['6.10: permanent actions each by itself', { cases: cases(['G1', 'permanent'], ['G2', 'permanent']) }, { rules: 'en1990-6.10', situations: ['persistent'], permanent: 'each by itself' },
      ['1.35 G1 + 1.35 G2', '1.35 G1 + 1 G2', '1 G1 + 1.35 G2', '1 G1 + 1 G2']],
    ['6.10a and 6.10b: permanent alone', { cases: cases(G) }, { rules: 'en1990-6.10ab', situations: ['persistent'] }, ['1.35 G', '1 G', '1.1475 G']],
    ['6.10a and 6.10b: with imposed', { cases: cases(G, Q) }, { rules: 'en1990-6.10ab', situations: ['persistent'] },
      ['1.35 G + 1.05 Q', '1.35 G', '1 G + 1.05 Q', '1 G', '1.1475 G + 1.5 Q', '1.1475 G', '1 G + 1.5 Q']],
    ['6.10a and 6.10b: wind to both sides', { cases: cases(G, W), actions: [{ id: '±W', type: 'both signs', of: ['W'] }] }, { rules: 'en1990-6.10ab', situations: ['persistent'] },
      ['1.35 G + 0.9 W', '1.35 G + -0.9 W', '1.35 G', '1 G + 0.9 W', '1 G + -0.9 W', '1 G',
        '1.1475 G + 1.5 W', '1.1475 G + -1.5 W', '1.1475 G', '1 G + 1.5 W', '1 G + -1.5 W']],
    ['6.10a and 6.10b: storage accompanies in full', { cases: cases(G, ['E', 'storage']) }, { rules: 'en1990-6.10ab', situations: ['persistent'] },
      ['1.35 G + 1.5 E', '1.35 G', '1 G + 1.5 E', '1 G', '1.1475 G + 1.5 E', '1.1475 G']],
    ['6.10a and 6.10b: loads that act only together', { cases: cases(G, ['C1', 'imposed'], ['C2', 'imposed']), actions: [{ id: 'C', type: 'together', of: ['C1', 'C2'] }] }, { rules: 'en1990-6.10ab', situations: ['persistent'] },
      ['1.35 G + 1.05 C1 + 1.05 C2', '1.35 G', '1 G + 1.05 C1 + 1.05 C2', '1 G', '1.1475 G + 1.5 C1 + 1.5 C2', '1.1475 G', '1 G + 1.5 C1 + 1.5 C2']],
    ['accidental: nothing without an accident', { cases: cases(G, Q) }, { rules: 'en1990-6.10', situations: ['accidental'] }, []],
    ['accidental: with imposed', { cases: cases(G, Q, ['A', 'accidental']) }, { rules: 'en1990-6.10', situations: ['accidental'] }, ['1 G + 0.5 Q + 1 A', '1 G + 1 A']],
    ['accidental: snow and imposed', { cases: cases(G, Q, S, ['A', 'accidental']) }, { rules: 'en1990-6.10', situations: ['accidental'] },
      ['1 G + 0.5 Q + 1 A', '1 G + 0.3 Q + 0.2 S + 1 A', '1 G + 0.2 S + 1 A', '1 G + 1 A']],
    ['seismic: imposed in part', { cases: cases(G, Q, S, ['E', 'seismic']) }, { rules: 'en1990-6.10', situations: ['seismic'] }, ['1 G + 0.3 Q + 1 E', '1 G + 1 E']],
    ['characteristic', { cases: cases(G, Q, W) }, { rules: 'en1990-6.10', situations: ['characteristic'] },
      ['1 G + 1 Q + 0.6 W', '1 G + 1 Q', '1 G + 0.7 Q + 1 W', '1 G + 1 W', '1 G']],
    ['frequent', { cases: cases(G, Q, W) }, { rules: 'en1990-6.10', situations: ['frequent'] }, ['1 G + 0.5 Q', '1 G + 0.3 Q + 0.2 W', '1 G + 0.2 W', '1 G']],
    ['quasi-permanent', { cases: cases(G, Q, S, W) }, { rules: 'en1990-6.10', situations: ['quasi-permanent'] }, ['1 G + 0.3 Q', '1 G']],
    ['service whole: the same line once', { cases: cases(G, S) }, { rules: 'en1990-6.10', situations: ['characteristic', 'frequent', 'quasi-permanent'] }, ['1 G + 1 S', '1 G', '1 G + 0.2 S']],
    ['ASCE strength: dead alone', { cases: cases(G) }, { rules: 'asce7-strength', situations: ['strength'] }, ['1.4 G', '1.2 G']],
    ['ASCE strength: dead and live', { cases: cases(G, Q) }, { rules: 'asce7-strength', situations: ['strength'] },
      ['1.4 G', '1.2 G + 1.6 Q', '1.2 G', '1.2 G + 1 Q']],
    ['ASCE strength: dead, snow, wind', { cases: cases(G, S, W) }, { rules: 'asce7-strength', situations: ['strength'] },
      ['1.4 G', '1.2 G + 0.5 S', '1.2 G', '1.2 G + 1.6 S', '1.2 G + 1.6 S + 0.5 W', '1.2 G + 0.5 W', '1.2 G + 0.5 S + 1 W', '1.2 G + 1 W', '0.9 G + 1 W']],
    ['ASCE strength: roof or snow', { cases: cases(G, ['R', 'roof'], S) }, { rules: 'asce7-strength', situations: ['strength'] },
      ['1.4 G', '1.2 G + 0.5 R', '1.2 G + 0.5 S', '1.2 G', '1.2 G + 1.6 R', '1.2 G + 1.6 S']],
    ['ASCE strength: live and wind', { cases: cases(G, Q, W) }, { rules: 'asce7-strength', situations: ['strength'] },
      ['1.4 G', '1.2 G + 1.6 Q', '1.2 G', '1.2 G + 1 Q', '1.2 G + 0.5 W', '1.2 G + 1 Q + 1 W', '1.2 G + 1 W', '0.9 G + 1 W']],
    ['ASCE allowable: dead alone', { cases: cases(G) }, { rules: 'asce7-allowable', situations: ['allowable'] }, ['1 G']],
    ['ASCE allowable: dead and live', { cases: cases(G, Q) }, { rules: 'asce7-allowable', situations: ['allowable'] }, ['1 G', '1 G + 1 Q', '1 G + 0.75 Q']],
    ['ASCE allowable: dead and wind', { cases: cases(G, W) }, { rules: 'asce7-allowable', situations: ['allowable'] }, ['1 G', '1 G + 0.6 W', '1 G + 0.45 W', '0.6 G + 0.6 W']],
    ['ASCE allowable: live and snow', { cases: cases(G, Q, S) }, { rules: 'asce7-allowable', situations: ['allowable'] },
      ['1 G', '1 G + 1 Q', '1 G + 1 S', '1 G + 0.75 Q + 0.75 S', '1 G + 0.75 Q', '1 G + 0.75 S']],
    ['ASCE allowable: snow and wind', { cases: cases(G, S, W) }, { rules: 'asce7-allowable', situations: ['allowable'] },
      ['1 G', '1 G + 1 S', '1 G + 0.75 S', '1 G + 0.6 W', '1 G + 0.75 S + 0.45 W', '1 G + 0.45 W', '0.6 G + 0.6 W']],
  ]; // oxfmt-ignore
  test.each(lists)('%s', (_, model, ask, expected) => {
    expect(linesOf(model, ask).map(written).toSorted()).toEqual([...expected].toSorted());
  });
});

test('each line says why: what leads, what accompanies it and with what, and whether what is permanent helps', () => {
  const model = { cases: [...cases(G, S), { id: 'W', category: 'wind', title: 'Wind from the left' } as const] };
  const reasons = new Map(
    linesOf(model, { rules: 'en1990-6.10', situations: ['persistent'] }).map((line) => [written(line), line]),
  );
  expect(reasons.get('1 G + 0.75 S + 1.5 W')).toMatchObject({
    reason: 'Wind from the left leads (γ 1.5); S accompanies with ψ₀ = 0.5; permanent favourable.',
    clause: '6.4.3.2, expression 6.10',
  });
  expect(reasons.get('1.35 G')!.reason).toBe('No variable action; permanent unfavourable.');
});

test('what no rule speaks of is told, and too many are counted by their expression before they are made', () => {
  const one = generated({ cases: cases(G, ['U', 'settlement']) }, { rules: set('en1990-6.10'), situations: ['persistent'] });
  expect(one).toMatchObject({ isTooMany: false, untold: [{ id: 'U' }] });
  const many = { cases: cases(G, ...Array.from({ length: 40 }, (_, i) => [`Q${i}`, 'imposed'] as const)) };
  // Each of 40 leads, with the other 39 or not; or none does; twice for what is permanent.
  expect(generated(many, { rules: set('en1990-6.10'), situations: ['persistent'] })).toMatchObject({
    isTooMany: true,
    count: 2 * (40 * 2 ** 39 + 1),
    by: [{ clause: '6.4.3.2, expression 6.10' }],
  });
});

/** A few cases, some of them in groups. */
const models = fc
  .array(fc.constantFrom<Category>('permanent', 'imposed', 'storage', 'roof', 'snow', 'wind', 'thermal', 'accidental'), { minLength: 1, maxLength: 5 })
  .chain((kinds) => fc.tuple(fc.constant(kinds), fc.array(fc.constantFrom<ActionGroup['type']>('either', 'together', 'both signs'), { minLength: 2, maxLength: 2 }), fc.nat(4)))
  .map(([kinds, types, grouped]): Pick<Model, 'cases' | 'actions'> => {
    const all = kinds.map((category, i) => ({ id: `${i}`, category }));
    // The cases of the kind of one of them act as one action, and that may stand in another.
    const of = all.filter(({ category }) => category === kinds[grouped]).map(({ id }) => id);
    if (of.length < 2) return { cases: all };
    return { cases: all, actions: [{ id: 'a', type: types[0]!, of }, { id: 'b', type: types[1]!, of: ['a'] }] };
  }); // oxfmt-ignore

/** The largest response to what a clause allows, by trying every state of every action; `effects` by case. */
function bruteForce(model: Pick<Model, 'cases' | 'actions'>, effects: Readonly<Record<string, number>>, permanent: Combining['permanent']): number {
  const { values } = set('en1990-6.10');
  const psi = values['ψ₀']!.of;
  const actions = actionsOf(model);
  const responses = actions.map(({ variants }) => variants.map(({ shares }) => [...shares].reduce((sum, [id, share]) => sum + share * effects[id]!, 0)));
  const isPermanent = (i: number): boolean => actions[i]!.category === 'permanent';
  const isVariable = (i: number): boolean => psi[actions[i]!.category] !== undefined;
  const worst = (list: readonly number[]): number => Math.max(...list);
  const all = actions.map((_, i) => i);
  const dead = all.filter(isPermanent);
  const ofPermanent = permanent === 'each by itself'
    ? dead.reduce((sum, i) => sum + worst(responses[i]!.flatMap((r) => [1.35 * r, r])), 0)
    : worst([1.35, 1].map((factor) => dead.reduce((sum, i) => sum + worst(responses[i]!.map((r) => factor * r)), 0)));
  const roof = (on: readonly number[]): boolean => !on.some((i) => actions[i]!.category === 'roof') || !on.some((i) => /snow|wind/.test(actions[i]!.category));
  const live = all.filter(isVariable);
  let best = 0;
  // Which are there, and which of them leads; each in its worst variant.
  for (let state = 1; state < 2 ** live.length; state++) {
    const on = live.filter((_, k) => (state >> k) % 2 === 1);
    for (const lead of on) {
      const acting = on.filter((i) => i === lead || psi[actions[i]!.category] !== 0);
      if (!roof(acting)) continue;
      best = Math.max(best, acting.reduce((sum, i) => sum + worst(responses[i]!.map((r) => r * (i === lead ? 1.5 : 1.5 * psi[actions[i]!.category]!))), 0));
    }
  }
  return ofPermanent + best;
} // oxfmt-ignore

test('the largest of what is made is the largest of all that the clause allows', () => {
  const property = fc.property(
    models,
    // Not doubles: nearly all of those are next to nothing.
    fc.array(fc.integer({ min: -999, max: 999 }), { minLength: 5, maxLength: 5 }),
    fc.constantFrom<NonNullable<Combining['permanent']>>('as one', 'each by itself'),
    (model, sizes, permanent) => {
      const effects = Object.fromEntries(model.cases.map(({ id }, i) => [id, sizes[i]!]));
      const lines = linesOf(model, { rules: 'en1990-6.10', situations: ['persistent'], permanent });
      const values = lines.map(({ factors }) => Object.entries(factors).reduce((sum, [id, factor]) => sum + factor * effects[id]!, 0));
      // Without anything permanent, nothing at all may act.
      const largest = Math.max(...values, ...(model.cases.some(({ category }) => category === 'permanent') ? [] : [0]));
      expect(largest).toBeCloseTo(bruteForce(model, effects, permanent), 9);
    },
  ); // oxfmt-ignore
  fc.assert(property, { numRuns: 300, seed: 11 });
});
