import { parseQuantity } from './parse';
import { inUnit, showNumber } from './show';

export type ParsedSpacings =
  | { readonly ok: true; readonly steps: readonly number[] }
  | { readonly ok: false; readonly reason: string };

const MOST = 1000;
/** `3×5.4`: a whole number, a times sign, and what is repeated. */
const REPEATED = /^\s*(\d+)\s*[×x*·]\s*(.+)$/;

/**
 * Spacings as drawings write them: `3×5.4 + 2.7` is 5.4, 5.4, 5.4, 2.7. Each may have a unit; `unit` is what a bare number means.
 * Returned in metres.
 */
export function parseSpacings(text: string, unit: string): ParsedSpacings {
  const steps: number[] = [];
  for (const part of text.split('+')) {
    const [, count, repeated] = REPEATED.exec(part) ?? [];
    const length = parseQuantity(repeated ?? part, 'length', unit);
    if (!length.ok) return { ok: false, reason: `“${part.trim()}” is no spacing: ${length.reason}` };
    if (!(length.value > 1e-6)) return { ok: false, reason: `“${part.trim()}” is not greater than 0` };
    const times = count === undefined ? 1 : Number(count);
    if (steps.length + times > MOST) return { ok: false, reason: `these are more than ${MOST} spacings` };
    for (let i = 0; i < times; i++) steps.push(length.value);
  }
  return steps.length > 0 ? { ok: true, steps } : { ok: false, reason: 'no spacing is written' };
}

/** The same, written: equal spacings that follow each other are counted. */
export function showSpacings(steps: readonly number[], unit: string): string {
  const parts: { count: number; length: number }[] = [];
  for (const length of steps) {
    const last = parts.at(-1);
    if (last && Math.abs(last.length - length) < 1e-9) last.count++;
    else parts.push({ count: 1, length });
  }
  return parts.map(({ count, length }) => `${count > 1 ? `${count}×` : ''}${showNumber(inUnit(length, unit), 6)}`).join(' + ');
}
