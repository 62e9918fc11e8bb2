import type { Combination } from '../model/model';
import { showNumber } from '../quantities/show';

type Factors = Readonly<Record<string, number>>;

/** A sum as engineers write it: `1.35 G + 0.75 S − 1.5 W`. */
export function sumText(factors: Factors): string {
  const terms = Object.entries(factors).map(([id, factor]) => ({
    sign: factor < 0 ? '−' : '+',
    text: `${showNumber(Math.abs(factor), 5)} ${id}`,
  }));
  return terms.map(({ sign, text }, i) => (i === 0 ? (sign === '−' ? `−${text}` : text) : ` ${sign} ${text}`)).join('');
}

/** What a combination is called beside its name: its title; a sum without one, as it is written. */
export const titleOfCombination = (combination: Combination): string =>
  combination.title ?? (combination.type === 'sum' ? sumText(combination.factors) : '');

export type ReadSum = { readonly ok: true; readonly factors: Factors } | { readonly ok: false; readonly reason: string };

const NUMBER = /^\d+(?:\.\d+)?|^\.\d+/;
const COMMA = /^\d*,\d/;

/**
 * Reads a sum as engineers write it: signs, factors (1 where none stands) and names of what it may hold. A name may have spaces in it: the longest that fits
 * is meant. What stands twice is added.
 */
export function readSum(text: string, names: readonly string[]): ReadSum {
  const longestFirst = names.toSorted((a, b) => b.length - a.length);
  const factors = new Map<string, number>();
  let rest = text.trim();
  for (let isFirst = true; rest !== ''; isFirst = false) {
    const sign = /^[+\-−–]/.exec(rest)?.[0];
    if (sign === undefined && !isFirst) return { ok: false, reason: `a sign is missing before “${rest.slice(0, 20)}”` };
    rest = rest.slice(sign?.length ?? 0).trimStart();
    if (COMMA.test(rest)) return { ok: false, reason: 'a comma cannot be read for certain: write the decimal mark as a point' };
    // A name may begin with a digit: a factor stands before it only if a name follows.
    const number = NUMBER.exec(rest)?.[0];
    const behind = number === undefined ? rest : rest.slice(number.length).replace(/^\s*[*·×]?\s*/, '');
    const startsWith = (from: string) =>
      longestFirst.find((name) => from.startsWith(name) && /^(?:\s|[+\-−–]|$)/.test(from.slice(name.length)));
    const named = startsWith(behind);
    const name = named ?? startsWith(rest);
    if (name === undefined && behind === '') return { ok: false, reason: `a name is missing after “${text.trim().slice(-20)}”` };
    if (name === undefined) return { ok: false, reason: `“${(behind || rest).slice(0, 20)}” is no case and no sum` };
    const factor =
      (named !== undefined && number !== undefined ? Number(number) : 1) * (sign !== undefined && sign !== '+' ? -1 : 1);
    factors.set(name, Number(((factors.get(name) ?? 0) + factor).toPrecision(12)));
    rest = (named === undefined ? rest : behind).slice(name.length).trimStart();
  }
  if (factors.size === 0) return { ok: false, reason: 'nothing stands there' };
  return { ok: true, factors: Object.fromEntries(factors) };
}
