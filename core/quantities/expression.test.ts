import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { dimensions } from './dimension';
import { namesIn, readExpression, type Scope } from './expression';
import { ParseFault } from './parse-fault';
import { parseQuantity } from './parse';

const scope: Scope = new Map([
  ['span', { value: 12, dimension: dimensions.length }],
  ['rise', { value: 2.4, dimension: dimensions.length }],
  ['g', { value: 2500, dimension: dimensions.intensity }],
  ['n', { value: 8, dimension: dimensions.number }],
  ['h_1', { value: 0.3, dimension: dimensions.length }],
]);
const reason = (text: string): string => {
  try {
    return `${readExpression(text, scope).value}`;
  } catch (fault) {
    if (fault instanceof ParseFault) return fault.message;
    throw fault;
  }
};

describe('expressions of names', () => {
  test.each([
    ['span/2', 6],
    ['2 rise + 20 cm', 5],
    ['span - rise', 9.6],
    ['1.35*g', 3375],
    ['g span^2/8', (2500 * 144) / 8],
    ['sqrt((span/2)^2 + rise^2)', Math.hypot(6, 2.4)],
    ['max(rise, 3 m, span/5)', 3],
    ['n h_1', 2.4],
    ['ceil(span/(1.7 m))', 8],
    ['span tan(30 deg)', 12 * Math.tan(Math.PI / 6)],
    ['2 pi span', 24 * Math.PI],
    ['2e3 n', 16000],
    ['span²', 144],
  ])('%s', (text, value) => expect(readExpression(text, scope).value).toBeCloseTo(value, 9));

  test('say what they lack', () => {
    expect(reason('spam/2')).toBe('“spam” is neither a parameter nor a unit');
    expect(reason('h_2')).toMatch(/“h_2” is neither/);
    expect(reason('span + n')).toMatch(/different dimensions/);
    expect(reason('sqrt(span)')).toMatch(/no dimension/);
    expect(reason('sin(30)')).toMatch(/takes an angle/);
    expect(reason('round(span)')).toMatch(/takes a plain number/);
    expect(reason('min(span, g)')).toMatch(/one dimension/);
    expect(reason('asin(n)')).toMatch(/no asin of 8/);
    expect(reason('n2')).toMatch(/“n2” is neither/);
    expect(reason('1/(rise-rise)')).toMatch(/divides by zero/);
    expect(reason('(n-n)^-1')).toMatch(/divides by zero/);
    expect(reason('max()')).toMatch(/not expected/);
    expect(parseQuantity('n', 'length', 'm', scope)).toEqual({ ok: true, value: 8, hasUnit: false });
    expect(parseQuantity('g', 'length', 'm', scope)).toMatchObject({ ok: false });
  });

  test('a word may be a unit in one scope and a name in another, read in turns', () => {
    const own: Scope = new Map([['kN', { value: 7, dimension: dimensions.number }]]);
    for (const _ of [1, 2]) {
      expect(readExpression('2 kN').value).toBe(2000);
      expect(readExpression('2 kN', own).value).toBe(14);
      expect(namesIn('2 kN', () => false)).toEqual([]);
      expect(() => readExpression('2 kNx', own)).toThrow('neither a parameter nor a unit');
      expect(() => readExpression('2 kNx')).toThrow('is not known');
    }
  });

  test('tell their names and where they stand', () => {
    expect(namesIn(' 2 span + rise*span', (word) => scope.has(word)).map(({ text, at }) => [text, at])).toEqual([
      ['span', 3],
      ['rise', 10],
      ['span', 15],
    ]);
  });

  test('give what a plain evaluator gives', () => {
    interface Tree {
      readonly text: string;
      readonly value: number;
    }
    const { tree } = fc.letrec<{ tree: Tree }>((tie) => ({
      tree: fc.oneof(
        { depthSize: 'small', withCrossShrink: true },
        fc.integer({ min: 0, max: 1000 }).map((value): Tree => ({ text: String(value), value })),
        fc.constant<Tree>({ text: 'n', value: 8 }),
        fc.tuple(tie('tree'), tie('tree'), fc.constantFrom('+', '-', '*', '/', 'max', 'min')).map(([a, b, sign]): Tree => {
          if (sign === 'max' || sign === 'min')
            return { text: `${sign}(${a.text}, ${b.text})`, value: Math[sign](a.value, b.value) };
          const value = { '+': a.value + b.value, '-': a.value - b.value, '*': a.value * b.value, '/': a.value / b.value }[sign]!;
          return { text: `(${a.text}) ${sign} (${b.text})`, value };
        }),
        tie('tree').map((a): Tree => ({ text: `abs(-(${a.text})^2)`, value: Math.abs(a.value ** 2) })),
      ),
    }));
    fc.assert(
      fc.property(tree, ({ text, value }) => {
        fc.pre(text.length <= 200);
        const read = parseQuantity(text, 'number', undefined, scope);
        if (read.ok) expect(read.value).toBe(value);
        else expect(Number.isFinite(value) ? read.reason : 'no number').toMatch(/no number|too deep|divides by zero/);
      }),
      { numRuns: 2000 },
    );
  });

  test('of 10,000 hostile texts none does more than to be read or refused', () => {
    const pieces = [
      ...'()^*/+-,·²⁻ .9e_',
      'span',
      '__proto__',
      'constructor',
      'max(',
      'sqrt(',
      '1e308',
      '⁻⁻',
      'kN',
      '°',
      'ﬀ',
      '\u0000',
      '𝛑',
      '((((((((',
    ];
    const hostile = fc.oneof(
      fc.string({ unit: 'binary', maxLength: 250 }),
      fc.array(fc.constantFrom(...pieces), { maxLength: 80 }).map((all) => all.join('')),
    );
    fc.assert(
      fc.property(hostile, (text) => {
        namesIn(text, (word) => scope.has(word));
        const read = parseQuantity(text, 'number', undefined, scope);
        if (read.ok) expect(Number.isFinite(read.value)).toBe(true);
        else expect(read.reason).not.toBe('');
      }),
      { numRuns: 10_000 },
    );
  });
});
