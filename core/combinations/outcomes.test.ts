import { describe, expect, test } from '@jest/globals';
import lintel from '../../examples/lintel.rbm.json';
import { checkModel } from '../model/check';
import type { ActionGroup, Combination, Model } from '../model/model';
import { memberReader } from '../results/read-quantity';
import { solved } from '../test/build';
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
