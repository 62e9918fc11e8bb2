import type { DimensionName } from '../quantities/dimension';
import { parseQuantity } from '../quantities/parse';

/** Why a phrase says no load. */
export class PhraseFault extends Error {}

export function sizeOf(text: string, dimension: DimensionName, unit: string, what: string): number {
  const parsed = parseQuantity(text, dimension, unit);
  if (!parsed.ok) throw new PhraseFault(`“${text.trim()}” is not ${what}: ${parsed.reason}`);
  return parsed.value;
}

/** In `8 to 4 kN/m` the unit stands for both. */
export function withUnit(one: string, last: string): string {
  // Behind all numbers, of which 1e3 is one.
  const unit = /^(?:\d[\d.]*(?:e[+-]?\d+)?|[\s+\-−*/()·×])*([a-z°].*)$/i.exec(last)?.[1] ?? '';
  return /[a-z°]/i.test(one) ? one : `(${one}) ${unit}`;
}
