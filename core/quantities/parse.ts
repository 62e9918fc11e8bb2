import { combine, dimensions, dimensionWords, power, sameDimension, type Dimension, type DimensionName } from './dimension';
import { unitsOfWord } from './units';

/** A number in SI with its dimension. */
interface Quantity {
  readonly value: number;
  readonly dimension: Dimension;
  /** True when a unit was written somewhere in it: only then may a further number follow, as in `6 ft 3 in`. */
  readonly hasUnit: boolean;
}

export type Parsed =
  | { readonly ok: true; readonly value: number; readonly hasUnit: boolean }
  | { readonly ok: false; readonly reason: string };

class ParseFault extends Error {}

const SUPERSCRIPTS = '⁰¹²³⁴⁵⁶⁷⁸⁹';
const TOKEN =
  /\s*(?:(\d+(?:[.]\d*)?(?:[eE][+-]?\d+)?|[.]\d+(?:[eE][+-]?\d+)?)|(°C|°|[A-Za-z]+)|([⁰¹²³⁴⁵⁶⁷⁸⁹⁻]+)|([-+−*·×/^()])|(\S))/uy;
const MAXIMUM_LENGTH = 200;
const MAXIMUM_DEPTH = 20;

interface Token {
  readonly kind: 'number' | 'word' | 'superscript' | 'operator' | 'end';
  readonly text: string;
}

function tokenize(text: string): Token[] {
  const tokens: Token[] = [];
  TOKEN.lastIndex = 0;
  const trimmed = text.trim();
  while (TOKEN.lastIndex < trimmed.length) {
    const match = TOKEN.exec(trimmed);
    if (!match) break;
    if (match[1] !== undefined) tokens.push({ kind: 'number', text: match[1] });
    else if (match[2] !== undefined) tokens.push({ kind: 'word', text: match[2] });
    else if (match[3] !== undefined) tokens.push({ kind: 'superscript', text: match[3] });
    else if (match[4] !== undefined) tokens.push({ kind: 'operator', text: match[4] });
    else if (match[5] === ',') throw new ParseFault('a comma cannot be read for certain: write the decimal mark as a point');
    else throw new ParseFault(`the character “${match[5]}” has no meaning here`);
  }
  return tokens;
}

/**
 * A recursive-descent reader of sums, products, powers and units; nothing is ever executed.
 * sum := product ((+|-) product)*;  product := run ((*|·|/) run)*;  run := power+ (a number and the units behind it);
 * power := atom (^ integer | superscript)?
 */
class Reader {
  private at = 0;
  private depth = 0;
  constructor(private readonly tokens: readonly Token[]) {}

  whole(): Quantity {
    const result = this.sum();
    if (this.at < this.tokens.length) throw new ParseFault(`“${this.peek().text}” was not expected there`);
    return result;
  }

  private peek(): Token {
    return this.tokens[this.at] ?? { kind: 'end', text: 'the end' };
  }

  private takes(...operators: string[]): string | undefined {
    const token = this.peek();
    if (token.kind !== 'operator' || !operators.includes(token.text)) return undefined;
    this.at++;
    return token.text;
  }

  private sum(): Quantity {
    if (++this.depth > MAXIMUM_DEPTH) throw new ParseFault('the brackets are nested too deep');
    let left = this.product();
    for (;;) {
      const operator = this.takes('+', '-', '−');
      // `6 ft 3 in`: a number behind a finished quantity adds to it.
      const follows = !operator && left.hasUnit && this.peek().kind === 'number';
      if (!operator && !follows) break;
      const right = this.product();
      if (!sameDimension(left.dimension, right.dimension))
        throw new ParseFault('the parts that are added have different dimensions');
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
      if (operator === '/' && right.value === 0) throw new ParseFault('it divides by zero');
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
    while (this.peek().kind === 'word') {
      const right = this.power();
      left = { value: left.value * right.value, dimension: combine(left.dimension, right.dimension, 1), hasUnit: true };
    }
    return sign === '-' || sign === '−' ? { ...left, value: -left.value } : left;
  }

  private power(): Quantity {
    const base = this.atom();
    const exponent = this.exponent();
    if (exponent === undefined) return base;
    return { value: base.value ** exponent, dimension: power(base.dimension, exponent), hasUnit: base.hasUnit };
  }

  private exponent(): number | undefined {
    const token = this.peek();
    if (token.kind === 'superscript') {
      this.at++;
      return Number([...token.text].map((c) => (c === '⁻' ? '-' : String(SUPERSCRIPTS.indexOf(c)))).join(''));
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
    if (value.kind !== 'number' || !/^\d$/.test(value.text)) throw new ParseFault('a power must be a whole number of one digit');
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
    if (token.text === '(') {
      const inner = this.sum();
      if (!this.takes(')')) throw new ParseFault('a bracket is not closed');
      return inner;
    }
    throw new ParseFault(token.kind === 'end' ? 'it ends too early' : `“${token.text}” was not expected there`);
  }

  private unit(word: string): Quantity {
    const found = unitsOfWord(word);
    if (!found) throw new ParseFault(`the unit “${word}” is not known`);
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

/**
 * Reads `text` as a quantity of the dimension `expected` and returns it in SI.
 * A result without any unit takes `bareUnit` (a unit's name, as shown beside an input field); without `bareUnit` it is refused,
 * as is every unknown unit, wrong dimension and number that is not finite.
 */
export function parseQuantity(text: string, expected: DimensionName, bareUnit?: string): Parsed {
  try {
    if (text.length > MAXIMUM_LENGTH) throw new ParseFault(`it is longer than ${MAXIMUM_LENGTH} characters`);
    if (text.trim() === '') throw new ParseFault('nothing is written');
    const result = new Reader(tokenize(text)).whole();
    if (!Number.isFinite(result.value)) throw new ParseFault('the number is too large');
    const wanted = dimensions[expected];
    if (sameDimension(result.dimension, wanted)) return { ok: true, value: result.value, hasUnit: result.hasUnit };
    if (!result.hasUnit && bareUnit !== undefined) {
      const scale = new Reader(tokenize(bareUnit)).whole();
      return { ok: true, value: result.value * scale.value, hasUnit: false };
    }
    if (!result.hasUnit) throw new ParseFault(`a unit is missing: ${dimensionWords[expected]} was expected`);
    throw new ParseFault(`its unit is not that of ${dimensionWords[expected]}`);
  } catch (fault) {
    if (fault instanceof ParseFault) return { ok: false, reason: fault.message };
    throw fault;
  }
}

/** Reads `text` as a quantity of the dimension of `unit`, and returns it in this unit, which a number without one has. */
export function parseIn(text: string, unit: string): Parsed {
  try {
    if (text.length > MAXIMUM_LENGTH) throw new ParseFault(`it is longer than ${MAXIMUM_LENGTH} characters`);
    if (text.trim() === '') throw new ParseFault('nothing is written');
    const result = new Reader(tokenize(text)).whole();
    if (!Number.isFinite(result.value)) throw new ParseFault('the number is too large');
    if (!result.hasUnit) return { ok: true, value: result.value, hasUnit: false };
    const scale = unit === '' ? undefined : new Reader(tokenize(unit)).whole();
    if (!scale || !sameDimension(result.dimension, scale.dimension))
      throw new ParseFault(unit === '' ? 'there is a unit where none is expected' : `its unit is not one for ${unit}`);
    return { ok: true, value: result.value / scale.value, hasUnit: true };
  } catch (fault) {
    if (fault instanceof ParseFault) return { ok: false, reason: fault.message };
    throw fault;
  }
}

/** The size of a unit in SI; an unknown unit is a fault of the program and throws. */
export function unitFactor(unit: string): number {
  return new Reader(tokenize(unit)).whole().value;
}
