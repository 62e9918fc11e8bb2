import { combine, dimensions, power, sameDimension } from './dimension';
import { constants, functions, type Measured } from './functions';
import { parseFault } from './parse-fault';
import { MAXIMUM_LENGTH, tokensOf, type Token } from './tokens';
import { unitsOfWord } from './units';

/** What names stand for, in SI with their dimensions. */
export type Scope = ReadonlyMap<string, Measured>;

/** A number in SI with its dimension. */
export interface Quantity extends Measured {
  /** True when a unit was written somewhere in it, or came by a name: only then may a further number follow, as in `6 ft 3 in`. */
  readonly hasUnit: boolean;
}

const NOTHING: Scope = new Map();
const SUPERSCRIPTS = '⁰¹²³⁴⁵⁶⁷⁸⁹';
const MAXIMUM_DEPTH = 20;

/**
 * A recursive-descent reader of sums, products, powers, units, names and functions; nothing is ever executed.
 * sum := product ((+|-) product)*;  product := run ((*|·|/) run)*;  run := power+ (a number and the units or names behind it);
 * power := atom (^ integer | superscript)?;  atom := number | unit | name | ( sum ) | function ( sum (, sum)* )
 */
class Reader {
  private at = 0;
  private depth = 0;
  constructor(
    private readonly tokens: readonly Token[],
    private readonly scope: Scope,
  ) {}

  whole(): Quantity {
    const result = this.sum();
    if (this.at < this.tokens.length) throw unexpected(this.peek());
    return result;
  }

  private peek(): Token {
    return this.tokens[this.at] ?? { kind: 'end', text: 'the end', at: 0 };
  }

  private takes(...operators: string[]): string | undefined {
    const token = this.peek();
    if (token.kind !== 'operator' || !operators.includes(token.text)) return undefined;
    this.at++;
    return token.text;
  }

  private sum(): Quantity {
    if (++this.depth > MAXIMUM_DEPTH) throw parseFault('the brackets are nested too deep');
    let left = this.product();
    for (;;) {
      const operator = this.takes('+', '-', '−');
      // `6 ft 3 in`: a number behind a finished quantity adds to it.
      const follows = !operator && left.hasUnit && this.peek().kind === 'number';
      if (!operator && !follows) break;
      const right = this.product();
      if (!sameDimension(left.dimension, right.dimension)) throw parseFault('the parts that are added have different dimensions');
      const sign = operator === '-' || operator === '−' ? -1 : 1;
      left = { value: left.value + sign * right.value, dimension: left.dimension, hasUnit: left.hasUnit || right.hasUnit };
    }
    this.depth--;
    return left;
  }

  private product(): Quantity {
    let left = this.run();
    for (;;) {
      const operator = this.takes('*', '·', '×', '/');
      if (!operator) return left;
      const right = this.run();
      if (operator === '/' && right.value === 0) throw parseFault('it divides by zero');
      const sign = operator === '/' ? -1 : 1;
      left = {
        value: sign === 1 ? left.value * right.value : left.value / right.value,
        dimension: combine(left.dimension, right.dimension, sign),
        hasUnit: left.hasUnit || right.hasUnit,
      };
    }
  }

  private run(): Quantity {
    const sign = this.takes('-', '−', '+');
    let left = this.power();
    while (['word', 'name', 'function'].includes(this.peek().kind)) {
      const right = this.power();
      left = {
        value: left.value * right.value,
        dimension: combine(left.dimension, right.dimension, 1),
        hasUnit: left.hasUnit || right.hasUnit,
      };
    }
    return sign === '-' || sign === '−' ? { ...left, value: -left.value } : left;
  }

  private power(): Quantity {
    const base = this.atom();
    const exponent = this.exponent();
    if (exponent === undefined) return base;
    if (exponent < 0 && base.value === 0) throw parseFault('it divides by zero');
    return { value: base.value ** exponent, dimension: power(base.dimension, exponent), hasUnit: base.hasUnit };
  }

  private exponent(): number | undefined {
    const token = this.peek();
    if (token.kind === 'superscript') {
      this.at++;
      const exponent = Number([...token.text].map((c) => (c === '⁻' ? '-' : String(SUPERSCRIPTS.indexOf(c)))).join(''));
      if (!Number.isInteger(exponent) || Math.abs(exponent) > 9) throw parseFault('a power must be a whole number of one digit');
      return exponent;
    }
    if (!this.takes('^')) {
      // `cm4`: a whole number that touches a unit is its power; the tokenizer has dropped spaces, so only 2, 3 and 4 count.
      const previous = this.tokens[this.at - 1];
      if (previous?.kind === 'word' && token.kind === 'number' && /^[234]$/.test(token.text) && this.peekAfter() !== 'word') {
        this.at++;
        return Number(token.text);
      }
      return undefined;
    }
    const sign = this.takes('-', '−') ? -1 : 1;
    const value = this.peek();
    if (value.kind !== 'number' || !/^\d$/.test(value.text)) throw parseFault('a power must be a whole number of one digit');
    this.at++;
    return sign * Number(value.text);
  }

  private peekAfter(): Token['kind'] {
    return this.tokens[this.at + 1]?.kind ?? 'end';
  }

  private atom(): Quantity {
    const token = this.peek();
    this.at++;
    if (token.kind === 'number') return { value: Number(token.text), dimension: dimensions.number, hasUnit: false };
    if (token.kind === 'word') return this.unit(token.text);
    if (token.kind === 'name') return this.named(token.text);
    if (token.kind === 'function') return this.function(token.text);
    if (token.kind !== 'operator' || token.text !== '(') throw unexpected(token);
    const inner = this.sum();
    if (!this.takes(')')) throw parseFault('a bracket is not closed');
    return inner;
  }

  private named(name: string): Quantity {
    const { value, dimension } = this.scope.get(name) ?? constants.get(name)!;
    return { value, dimension, hasUnit: !sameDimension(dimension, dimensions.number) };
  }

  private function(name: string): Quantity {
    this.at++;
    const all = [this.sum()];
    while (this.takes(',')) all.push(this.sum());
    if (!this.takes(')')) throw parseFault('a bracket is not closed');
    const result = functions.get(name)!(all);
    return { ...result, hasUnit: !sameDimension(result.dimension, dimensions.number) };
  }

  private unit(word: string): Quantity {
    const found = unitsOfWord(word)!;
    // In `kNm2` the power belongs to the last unit only; it is applied by the caller when the word is a single unit.
    const last = found[found.length - 1]!;
    const head = found.slice(0, -1);
    const exponent = head.length > 0 ? (this.exponent() ?? 1) : 1;
    let value = last.factor ** exponent;
    let dimension = power(last.dimension, exponent);
    for (const factor of head) {
      value *= factor.factor;
      dimension = combine(dimension, factor.dimension, 1);
    }
    return { value, dimension, hasUnit: true };
  }
}

const unexpected = ({ kind, text }: Token): Error =>
  parseFault(
    kind === 'end'
      ? 'it ends too early'
      : text === ','
        ? 'a comma cannot be read for certain: write the decimal mark as a point'
        : `“${text}” was not expected there`,
  );

const unknownUnit = (word: string): string => `the unit “${word}” is not known`;
const unknownName = (word: string): string => `“${word}” is neither a parameter nor a unit`;

/** What a text was cut into, with the first word that means nothing, and what each word was taken for: while that is the same, it is cut alike. */
interface Cut {
  readonly tokens: readonly Token[];
  readonly unknown: string | undefined;
  readonly words: readonly (readonly [word: string, isName: boolean])[];
}

/** Texts that were cut before: the expressions of a model are read again at every edit. */
const cuts = new Map<string, Cut>();
const MOST_CUTS = 20_000;

/** Names are looked up in the scope first: a model may have a `pi` of its own. */
function cutOf(text: string, isName: (word: string) => boolean): Cut {
  const before = cuts.get(text);
  if (before?.words.every(([word, was]) => isName(word) === was)) return before;
  const words: [string, boolean][] = [];
  const unknown: string[] = [];
  const tokens = tokensOf(text, {
    isName: (word) => {
      const is = isName(word);
      words.push([word, is]);
      return is || constants.has(word);
    },
    isFunction: (word) => functions.has(word),
    unknown: (word) => void unknown.push(word),
  });
  const cut = { tokens, unknown: unknown[0], words };
  if (cuts.size >= MOST_CUTS) cuts.clear();
  cuts.set(text, cut);
  return cut;
}

/** Reads a text as a quantity; throws a `ParseFault` that says why it is none. */
export function readExpression(text: string, scope: Scope = NOTHING): Quantity {
  if (text.length > MAXIMUM_LENGTH) throw parseFault(`it is longer than ${MAXIMUM_LENGTH} characters`);
  if (text.trim() === '') throw parseFault('nothing is written');
  const { tokens, unknown } = cutOf(text.trimEnd(), (word) => scope.has(word));
  if (unknown !== undefined) throw parseFault(scope.size > 0 ? unknownName(unknown) : unknownUnit(unknown));
  const result = new Reader(tokens, scope).whole();
  if (!Number.isFinite(result.value)) throw parseFault('the number is too large');
  return result;
}

/** The names that a text mentions, each with the places at which it stands; nothing where it cannot be cut into words. */
export function namesIn(text: string, isName: (word: string) => boolean): Token[] {
  try {
    return text.length > MAXIMUM_LENGTH
      ? []
      : cutOf(text.trimEnd(), isName).tokens.filter(({ kind, text: word }) => kind === 'name' && isName(word));
  } catch {
    return [];
  }
}
