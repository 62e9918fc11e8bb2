import type { DimensionName } from '../quantities/dimension';
import { mentionsAny, readTyped } from '../model/parameters/typed';
import type { Scope } from '../quantities/expression';

/** Why a phrase says no load. */
export class PhraseFault extends Error {}

/** A size that mentions parameters: its value, and the expression that is to be kept. */
export interface Mentioned {
  readonly dimension: DimensionName;
  readonly value: number;
  readonly kept: string;
}

/** What names in a phrase stand for, and where sizes that mention some are told. */
export interface Naming {
  readonly scope: Scope;
  readonly hear: (mentioned: Mentioned) => void;
}

export interface Size {
  readonly dimension: DimensionName;
  /** What a number without a unit has. */
  readonly unit: string;
  /** As what it is refused. */
  readonly what: string;
}

const NOTHING: Scope = new Map();

export function sizeOf(text: string, { dimension, unit, what }: Size, naming?: Naming): number {
  const read = readTyped(text, dimension, unit, naming?.scope ?? NOTHING);
  if (!read.ok) throw new PhraseFault(`“${text.trim()}” is not ${what}: ${read.reason}`);
  if (read.kept !== undefined) naming?.hear({ dimension, value: read.value, kept: read.kept });
  return read.value;
}

/** In `8 to 4 kN/m` the unit stands for both; a name does not. */
export function withUnit(one: string, last: string, naming?: Naming): string {
  if (naming && mentionsAny(last, naming.scope)) return one;
  // Behind all numbers, of which 1e3 is one.
  const unit = /^(?:\d[\d.]*(?:e[+-]?\d+)?|[\s+\-−*/()·×])*([a-z°].*)$/i.exec(last)?.[1] ?? '';
  return /[a-z°]/i.test(one) ? one : `(${one}) ${unit}`;
}
