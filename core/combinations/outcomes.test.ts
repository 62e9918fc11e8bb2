import { describe, expect, test } from '@jest/globals';
import lintel from '../../examples/lintel.rbm.json';
import { checkModel } from '../model/check';
import type { ActionGroup, Combination, Model } from '../model/model';
import { memberReader } from '../results/read-quantity';
import { analysisFaults } from '../stiffness/analysis-checks';
import { inRow, pin, roller, sketch, solved } from '../test/build';
import { answerOf } from './asked';
import { publishedRules } from './rules/published';
import { outcomes } from './outcomes';

const base = checkModel(lintel).model!;
const sum = (id: string, factors: Readonly<Record<string, number>>): Combination => ({ id, type: 'sum', factors });
const envelope = (id: string, ...of: string[]): Combination => ({ id, type: 'envelope', of });
const baskets: ActionGroup = { id: 'Q', type: 'either', of: ['Q1', 'Q2'] };
const swing: ActionGroup = { id: '±Q3', type: 'both signs', of: ['Q3'] };
const modelOf = (combinations: readonly Combination[], actions: readonly ActionGroup[] = [baskets, swing]): Model => {
  const { model, notices } = checkModel({ ...base, combinations, actions });
  if (!model) throw new Error(notices.map(({ message }) => message).join(' '));
  return model;
};
/** Envelopes with what is in them, sums with their factors. */
const told = (model: Model) => {
  const all = outcomes(model);
  return all.slice(model.cases.length).map((one) => {
    if (one.kind === 'envelope') return `${one.id}: ${one.parts.map((part) => all[part]!.id).join(' | ')}`;
    return one.kind === 'superposed' ? `${one.id} = ${one.factors.join(' ')}` : one.id;
  });
};

describe('an action in a combination', () => {
  test('that acts in several ways makes of a sum the envelope of them; they stand behind the combinations', () => {
    expect(told(modelOf([sum('U', { G: 1.35, Q: 1.5 }), envelope('E', 'U', 'G')]))).toEqual([
      'U: U, Q1 | U, Q2',
      'E: U, Q1 | U, Q2 | G',
      'U, Q1 = 1.35 1.5 0 0',
      'U, Q2 = 1.35 0 1.5 0',
    ]);
  });

  test('is one way with another in sums of sums, and each in an envelope', () => {
    const model = modelOf([sum('S', { '±Q3': 2 }), sum('U', { G: 1, S: 1.5, Q: 1 }), envelope('E', 'Q', '±Q3')]);
    expect(told(model)).toEqual([
      'S: S, Q3 | S, −Q3',
      'U: U, Q1, Q3 | U, Q1, −Q3 | U, Q2, Q3 | U, Q2, −Q3',
      'E: Q1 | Q2 | Q3 | −Q3',
      'S, Q3 = 0 0 0 2',
      'S, −Q3 = 0 0 0 -2',
      'U, Q1, Q3 = 1 1 0 3',
      'U, Q1, −Q3 = 1 1 0 -3',
      'U, Q2, Q3 = 1 0 1 3',
      'U, Q2, −Q3 = 1 0 1 -3',
      '−Q3 = 0 0 0 -1',
    ]); // oxfmt-ignore
  });

  test('of cases that act only together stays one sum', () => {
    const both: ActionGroup = { id: 'Q', type: 'together', of: ['Q1', 'Q2'] };
    expect(told(modelOf([sum('U', { G: 1, Q: 1.5 })], [both]))).toEqual(['U = 1 1.5 1.5 0']);
  });

  test('reads as the envelope of the sums that it stands for', () => {
    const model = modelOf([
      sum('U', { G: 1.35, Q: 1.5, '±Q3': 1 }),
      ...(['Q1', 'Q2'].flatMap((q) => [1, -1].map((s) => sum(`${q}${s}`, { G: 1.35, [q]: 1.5, Q3: s })))), // oxfmt-ignore
      envelope('E', 'Q11', 'Q1-1', 'Q21', 'Q2-1'),
    ]);
    const { solution } = solved(model);
    const at = (id: string): number => solution.outcomes.findIndex((one) => one.id === id);
    for (let m = 0; m < model.members.length; m++) {
      const of = (id: string): readonly number[] => {
        const { max, min } = memberReader(solution, at(id), m).extremes('Mz')!;
        return [max.x, max.value, min.x, min.value];
      };
      expect(of('U')).toEqual(of('E'));
    }
  });
});

test('an action that stands in two sums of a sum acts in both the same way', () => {
  const model = modelOf([sum('A', { G: 1, Q: 1 }), sum('B', { Q: 0.5 }), sum('U', { A: 1, B: 1 })]);
  expect(told(model).filter((line) => line.startsWith('U'))).toEqual([
    'U: U, Q1 | U, Q2',
    'U, Q1 = 1 1.5 0 0',
    'U, Q2 = 1 0 1.5 0',
  ]);
});

test('more ways than fit are counted before they are made', () => {
  const cases = [...base.cases, ...Array.from({ length: 8 }, (_, i) => ({ id: `W${i}`, category: 'wind' }))];
  const actions = Array.from({ length: 8 }, (_, i): ActionGroup => ({ id: `±W${i}`, type: 'both signs', of: [`W${i}`] }));
  const half = (from: number): Combination =>
    sum(`U${from}`, Object.fromEntries(actions.slice(from, from + 4).map(({ id }) => [id, 1])));
  const many = { ...base, cases, actions, combinations: [half(0), half(4), sum('U', { U0: 1, U4: 1 })] };
  expect(checkModel(many).notices.map(({ message }) => message).join(' ')).toMatch(/“U” could act in 256 ways, and 200 is the most/); // oxfmt-ignore
});

describe('a case that is loaded in patterns', () => {
  const three = sketch({
    nodes: inRow(0, 4, 9, 12),
    members: [['a', '1', '2'], ['b', '2', '3'], ['c', '3', '4']],
    supports: [pin('1'), roller('2'), roller('3'), roller('4')],
    loads: [
      ...['a', 'b', 'c'].map((member, i) => ({ type: 'line' as const, member, from: { wy: -1e3 * (i + 2) }, to: { wy: -1e3 } })),
      { type: 'point', member: 'b', at: 0.3, fy: -7e3 },
      { type: 'node', node: '3', mz: 2e3 },
    ],
  }); // oxfmt-ignore
  const whole: Model = {
    ...three,
    cases: [{ id: 'G', category: 'permanent', selfWeight: 1 }, { id: 'Q', category: 'imposed', selfWeight: 0.5 }],
    materials: [{ ...three.materials[0]!, density: 7850 }],
  }; // oxfmt-ignore
  const pattern: ActionGroup = { id: 'P', type: 'pattern', of: ['Q'] };
  const sound = (model: Model): Model => {
    const checked = checkModel(model);
    if (!checked.model) throw new Error(checked.notices.map(({ message }) => message).join(' '));
    return checked.model;
  };

  test('is one term of a sum, and the envelope over the spans that it loads', () => {
    const model = sound({ ...whole, actions: [pattern], combinations: [sum('U', { G: 1.35, P: 1.5 }), envelope('E', 'P', 'G')] });
    expect(told(model)).toEqual([
      'U: U, Q | U, Q on spans 1, 3 | U, Q on span 2 | U, Q on spans 1, 2 | U, Q on spans 2, 3',
      'E: Q | Q on spans 1, 3 | Q on span 2 | Q on spans 1, 2 | Q on spans 2, 3 | G',
      'U, Q = 1.35 1.5 0 0 0 0',
      'U, Q on spans 1, 3 = 1.35 0 1.5 0 1.5 1.5',
      'U, Q on span 2 = 1.35 0 0 1.5 0 1.5',
      'U, Q on spans 1, 2 = 1.35 0 1.5 1.5 0 1.5',
      'U, Q on spans 2, 3 = 1.35 0 0 1.5 1.5 1.5',
      'Q on spans 1, 3 = 0 0 1 0 1 1',
      'Q on span 2 = 0 0 0 1 0 1',
      'Q on spans 1, 2 = 0 0 1 1 0 1',
      'Q on spans 2, 3 = 0 0 0 1 1 1',
    ]);
  });

  test('has the extremes of the same written out span by span', () => {
    const ways = ['everywhere', 'each', 'adjacent', 'alternate'] as const;
    const model = sound({ ...whole, actions: [{ ...pattern, ways }], combinations: [sum('U', { G: 1.35, P: -1.5 })] });
    // The weight of each span as a load of its own.
    const weight = (member: string) => ({
      type: 'line' as const,
      member,
      from: { wy: -0.5 * 7850 * 9.80665 * 0.005 },
      to: { wy: -0.5 * 7850 * 9.80665 * 0.005 },
    });
    const byHand = sound({
      ...whole,
      cases: [whole.cases[0]!, ...['a', 'b', 'c', 'n'].map((id) => ({ id, category: 'imposed' as const }))],
      loads: [...whole.loads, ...['a', 'b', 'c'].map((member, i) => ({ id: `w${i}`, case: 'Q', ...weight(member) }))].map((load) => ({ ...load, case: 'member' in load ? load.member! : 'n' })) as Model['loads'],
      combinations: [
        ...['abc', 'a', 'b', 'c', 'ab', 'bc', 'ac'].map((spans) => sum(spans.toUpperCase(), { G: 1.35, n: -1.5, ...Object.fromEntries([...spans].map((id) => [id, -1.5])) })),
        envelope('U', 'ABC', 'A', 'B', 'C', 'AB', 'BC', 'AC'),
      ],
    }); // oxfmt-ignore
    const [ours, theirs] = [solved(model).solution, solved(byHand).solution];
    const at = (solution: typeof ours): number => solution.outcomes.findIndex(({ id }) => id === 'U');
    for (let m = 0; m < 3; m++)
      for (const quantity of ['Vy', 'Mz', 'v'] as const) {
        const [one, other] = [memberReader(ours, at(ours), m), memberReader(theirs, at(theirs), m)].map((reader) => reader.extremes(quantity)!); // oxfmt-ignore
        for (const side of ['max', 'min'] as const)
          expect(Math.abs(one![side].value - other![side].value)).toBeLessThanOrEqual(
            1e-9 * Math.abs(other![side].value) + 1e-12,
          );
      }
  });

  test('counts as one action for the rules, and may turn round with others', () => {
    const model = sound({
      ...whole,
      actions: [pattern, { id: '±', type: 'both signs', of: ['P'] }],
      combinations: [sum('U', { '±': 1 })],
    });
    expect(told(model)[0]).toBe(
      'U: U, Q | U, Q on spans 1, 3 | U, Q on span 2 | U, Q on spans 1, 2 | U, Q on spans 2, 3 | U, −Q | U, −Q on spans 1, 3 | U, −Q on span 2 | U, −Q on spans 1, 2 | U, −Q on spans 2, 3',
    );
    const rules = publishedRules.find(({ id }) => id === 'en1990-6.10')!;
    const answer = answerOf({ ...model, actions: [pattern], combinations: [] }, { rules: rules.id }, publishedRules)!;
    const lines = answer.made.isTooMany ? [] : answer.made.lines;
    expect(lines.map(({ factors }) => factors)).toContainEqual({ G: 1.35, P: 1.5 });
    expect(lines.some(({ factors }) => 'Q' in factors)).toBe(false);
  });

  test('what would not fit of spans, factors and parts is refused before it is solved', () => {
    const row = (spans: number, combinations: readonly Combination[] = []): Model =>
      sketch({
        nodes: inRow(...Array.from({ length: spans + 1 }, (_, i) => i)),
        members: Array.from({ length: spans }, (_, i) => [`${i}`, `${i + 1}`, `${i + 2}`] as const),
        supports: [pin('1'), ...Array.from({ length: spans }, (_, i) => roller(`${i + 2}`))],
        loads: Array.from({ length: spans }, (_, i) => ({ type: 'line' as const, member: `${i}`, from: { wy: -1e3 }, to: { wy: -1e3 } })),
        extra: { actions: [{ ...pattern, ways: ['adjacent', 'each'] }], combinations },
      }); // oxfmt-ignore
    const said = (model: Model): string => analysisFaults(sound(model)).map(({ message }) => message).join(); // oxfmt-ignore
    expect(said(row(51))).toMatch(/“P” has 51 spans, and 40 is the most/);
    // 40 spans alone and 39 pairs: 79 ways of a factor on each of 41 cases.
    const sums = Array.from({ length: 6200 }, (_, i) => sum(`S${i}`, { P: 1 + i / 1e4 }));
    expect(said(row(40, sums))).toMatch(/sums have too many factors .*: at most 20,000,000 fit .*20091239/);
    const envelopes = Array.from({ length: 20 }, (_, i) => envelope(`E${i}`, ...sums.slice(0, 700).map(({ id }) => id))); // oxfmt-ignore
    expect(said(row(40, [...sums.slice(0, 700), ...envelopes]))).toMatch(/envelopes have too many parts .*1050700/);
    expect(said(row(40, [...sums.slice(0, 700), ...envelopes.slice(1, 10)]))).toBe('');
  });
});
