import { sameDimension } from '../../quantities/dimension';
import { readExpression } from '../../quantities/expression';
import { ParseFault, parseFault } from '../../quantities/parse-fault';
import { fromUnit, inUnit, showNumber } from '../../quantities/show';
import type { Parameter } from '../model';
import { dimensionOfUnit } from './evaluate';

/** From where to where a parameter goes, and by which step; SI. */
export interface Range {
  readonly from: number;
  readonly to: number;
  readonly step?: number;
}
export type ReadRange = { readonly ok: true; readonly range: Range } | { readonly ok: false; readonly reason: string };

/** Reads `6 to 18 m by 0.5`, or as a command has it `6m..18m/0.5m`: a number without a unit has that of the end of the range, or else of the parameter. */
export function readRange(text: string, { unit = '' }: Pick<Parameter, 'unit'>): ReadRange {
  const parts = /^\s*(.+?)\s*(?:\bto\b|\.\.)\s*(.+?)\s*(?:(?:\bby\b|\/)\s*(.+?)\s*)?$/u.exec(text);
  if (!parts) return { ok: false, reason: `a range goes from one value to another: 2 to 5 by 0.25, in ${unit || 'numbers'}` };
  try {
    // `300 to 400 cm`: the unit stands for both.
    const shared = /^[-+−]?[\d.]+(?:e[-+]?\d+)?\s*([^\d\s.+*/·×−-].*)$/iu.exec(parts[2]!)?.[1] ?? unit;
    const read = (part: string): number => amount(part, { unit, shared });
    const to = read(parts[2]!);
    const from = read(parts[1]!);
    const step = parts[3] === undefined ? undefined : read(parts[3]);
    if (!(from < to)) throw parseFault('it ends before it begins');
    if (step !== undefined && !(step > 0)) throw parseFault('its step is greater than 0');
    return { ok: true, range: { from, to, ...(step !== undefined && { step }) } };
  } catch (fault) {
    if (fault instanceof ParseFault) return { ok: false, reason: fault.message };
    throw fault;
  }
}

/** A number in SI, of the dimension of the unit; in the one that is shared where it has none of its own. */
function amount(text: string, { unit, shared }: { readonly unit: string; readonly shared: string }): number {
  const { value, dimension, hasUnit } = readExpression(text);
  if (!hasUnit) return fromUnit(value, shared);
  if (!sameDimension(dimension, dimensionOfUnit(unit)!))
    throw parseFault(`${text.trim()}: its unit is not one for ${unit || 'a plain number'}`);
  return value;
}

/** A range as it is read again. */
export function rangeText({ from, to, step, unit = '' }: Parameter): string {
  if (from === undefined || to === undefined) return '';
  const shown = (value: number): string => showNumber(inUnit(value, unit), 7).replace('−', '-');
  return `${shown(from)} to ${shown(to)}${unit && ` ${unit}`}${step === undefined ? '' : ` by ${shown(step)}`}`;
}

/** Values that a range is gone through in: its step, or a round one of which there are about so many. */
export function stepOfRange({ from, to, step }: Range, about: number): number {
  if (step !== undefined) return step;
  const raw = (to - from) / about;
  const size = 10 ** Math.floor(Math.log10(raw));
  return Number(([1, 2, 5, 10].find((one) => one * size >= raw * (1 - 1e-9))! * size).toPrecision(12));
}
