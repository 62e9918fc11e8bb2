import { parseQuantity } from '@rigid-beam/core/quantities/parse';
import { showQuantity } from '@rigid-beam/core/quantities/show';
import { readPlace as WORDS } from '../words';

export type ReadPlace = { readonly ok: true; readonly x: number } | { readonly ok: false; readonly words: string };

/** A place along a run as it is written: a length (`2.4`, `240 cm`), a part of the whole (`35 %`), or a fraction of it (`1/3`, `0.4 L`). */
export function readPlace(text: string, length: number, unit: string): ReadPlace {
  const x = metresOf(text.trim(), length, unit);
  if (typeof x === 'string') return { ok: false, words: x };
  // What rounding makes of an end is the end.
  if (x < -1e-9 || x > length * (1 + 1e-9)) return { ok: false, words: WORDS.beside(showQuantity(length, unit)) };
  return { ok: true, x: Math.min(Math.max(x, 0), length) };
}

function metresOf(text: string, length: number, unit: string): number | string {
  const [, percent] = /^([\d.]+)\s*%$/u.exec(text) ?? [];
  if (percent !== undefined) return (Number(percent) / 100) * length;
  const [, over, under] = /^([\d.]+)\s*\/\s*([\d.]+)\s*L?$/u.exec(text) ?? [];
  if (over !== undefined) return (Number(over) / Number(under)) * length;
  const [, times] = /^([\d.]*)\s*L$/u.exec(text) ?? [];
  if (times !== undefined) return (times === '' ? 1 : Number(times)) * length;
  const read = parseQuantity(text, 'length', unit);
  return read.ok ? read.value : WORDS.unreadable(read.reason);
}
