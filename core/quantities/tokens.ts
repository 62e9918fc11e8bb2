import { parseFault } from './parse-fault';
import { unitsOfWord } from './units';

/** A piece of what was typed, and where it begins in the text. */
export interface Token {
  readonly kind: 'number' | 'word' | 'name' | 'function' | 'superscript' | 'operator' | 'end';
  readonly text: string;
  readonly at: number;
}

/** What words mean beside units: names that stand for quantities, and those of functions. */
export interface Vocabulary {
  readonly isName: (word: string) => boolean;
  readonly isFunction: (word: string) => boolean;
  /** Told of each word that means nothing; it is a word like others. */
  readonly unknown: (word: string) => void;
}

const TOKEN =
  /\s*(?:(\d+(?:[.]\d*)?(?:[eE][+-]?\d+)?|[.]\d+(?:[eE][+-]?\d+)?)|([\p{L}_][\p{L}\p{Nd}_]*)|(°C|°)|([⁰¹²³⁴⁵⁶⁷⁸⁹⁻]+)|([-+−*·×/^(),])|(\S))/uy;
const LETTERS = /^[A-Za-z]+/;
export const MAXIMUM_LENGTH = 200;

/** Cuts a text into tokens. A word is a name or a function where it is one as a whole; otherwise its letters are units. */
export function tokensOf(text: string, { isName, isFunction, unknown }: Vocabulary): Token[] {
  const tokens: Token[] = [];
  const pattern = TOKEN;
  pattern.lastIndex = 0;
  const put = (kind: Token['kind'], piece: string): void => {
    tokens.push({ kind, text: piece, at: pattern.lastIndex - piece.length });
  };
  while (pattern.lastIndex < text.length) {
    const match = pattern.exec(text);
    if (!match) break;
    const [, number, word, degree, superscript, operator, other] = match;
    if (number !== undefined) put('number', number);
    else if (degree !== undefined) put('word', degree);
    else if (superscript !== undefined) put('superscript', superscript);
    else if (operator !== undefined) put('operator', operator);
    else if (other !== undefined) throw parseFault(`the character “${other}” has no meaning here`);
    else if (isName(word!)) put('name', word!);
    else if (isFunction(word!) && /^\s*\(/.test(text.slice(pattern.lastIndex))) put('function', word!);
    else {
      const letters = LETTERS.exec(word!)?.[0];
      if (letters === undefined || !unitsOfWord(letters)) {
        unknown(word!);
        put('word', word!);
        continue;
      }
      // `cm4`: what follows the letters is read for itself.
      pattern.lastIndex -= word!.length - letters.length;
      put('word', letters);
    }
  }
  return tokens;
}
