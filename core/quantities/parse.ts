import { dimensions, dimensionWords, sameDimension, type DimensionName } from './dimension';
import { readExpression, type Scope } from './expression';
import { ParseFault, parseFault } from './parse-fault';

export type Parsed =
  | { readonly ok: true; readonly value: number; readonly hasUnit: boolean }
  | { readonly ok: false; readonly reason: string };

/**
 * Reads `text` as a quantity of the dimension `expected` and returns it in SI.
 * A result without any unit takes `bareUnit` (a unit's name, as shown beside an input field); without `bareUnit` it is refused,
 * as is every unknown unit, wrong dimension and number that is not finite. `scope`: what names in it stand for.
 */
export function parseQuantity(text: string, expected: DimensionName, bareUnit?: string, scope?: Scope): Parsed {
  return told(() => {
    const result = readExpression(text, scope);
    if (sameDimension(result.dimension, dimensions[expected])) return { ok: true, value: result.value, hasUnit: result.hasUnit };
    if (!result.hasUnit && bareUnit !== undefined)
      return { ok: true, value: result.value * unitFactor(bareUnit), hasUnit: false };
    if (!result.hasUnit) throw parseFault(`a unit is missing: ${dimensionWords[expected]} was expected`);
    throw parseFault(`its unit is not that of ${dimensionWords[expected]}`);
  });
}

/** Reads `text` as a quantity of the dimension of `unit`, and returns it in this unit, which a number without one has. */
export function parseIn(text: string, unit: string): Parsed {
  return told(() => {
    const result = readExpression(text);
    if (!result.hasUnit) return { ok: true, value: result.value, hasUnit: false };
    const scale = unit === '' ? undefined : readExpression(unit);
    if (!scale || !sameDimension(result.dimension, scale.dimension))
      throw parseFault(unit === '' ? 'there is a unit where none is expected' : `its unit is not one for ${unit}`);
    return { ok: true, value: result.value / scale.value, hasUnit: true };
  });
}

function told(read: () => Parsed): Parsed {
  try {
    return read();
  } catch (fault) {
    if (fault instanceof ParseFault) return { ok: false, reason: fault.message };
    throw fault;
  }
}

/** The size of a unit in SI; an unknown unit is a fault of the program and throws. */
export const unitFactor = (unit: string): number => readExpression(unit).value;
