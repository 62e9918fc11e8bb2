import { limitStates } from './categories';
import { id, type Field, type Fields } from './fields';

/**
 * How the actions of a term act: `always` all of them; `leading` one of them or none; `accompanying` each of those that do not lead, or
 * not, while another leads; `each` or not, by itself; `either` those of one category, each or not; `exactly one` of them, without which
 * the expression says nothing.
 */
export const waysToAct = ['always', 'leading', 'accompanying', 'each', 'either', 'exactly one'] as const;

const text: Field = { kind: 'text' };
const needed: Field = { kind: 'text', required: true };
const names: Field = { kind: 'names' };
const list = (fields: Fields, words: string): Field => ({ kind: 'list', of: { kind: 'object', fields }, most: 100, words });
const number = { kind: 'quantity', dimension: 'number' } as const;

const term: Fields = {
  of: names,
  acts: { kind: 'choice', of: waysToAct, required: true },
  factor: { ...number, required: true },
  value: text,
  favourable: number,
  clause: text,
};

/** What a file of rules holds; `docs/rules-format.md` says what each means. */
export const ruleFields: Fields = {
  format: { kind: 'choice', of: ['rigid-beam/rules'], required: true },
  version: { ...number, required: true },
  id,
  title: needed,
  standard: needed,
  like: text,
  lists: list({ name: needed, of: names }, 'lists of categories'),
  values: list({ symbol: needed, clause: needed, of: { kind: 'factors', required: true } }, 'reduction values'),
  apart: list({ one: names, others: names, clause: needed }, 'pairs that never act together'),
  situations: list(
    {
      id,
      title: needed,
      letter: needed,
      limitState: { kind: 'choice', of: limitStates, required: true },
      expressions: list({ clause: needed, terms: list(term, 'terms') }, 'expressions'),
    },
    'situations',
  ),
};
