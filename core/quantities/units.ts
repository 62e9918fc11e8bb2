import { dimensions, type Dimension } from './dimension';

/** One unit: its size in SI (radian, kelvin, metre, kilogram, second) and its dimension. */
export interface Unit {
  readonly factor: number;
  readonly dimension: Dimension;
}

const POUND_FORCE = 4.4482216152605;
const mass: Dimension = [0, 1, 0, 0, 0];
const unit = (factor: number, dimension: Dimension): Unit => ({ factor, dimension });

/** Every unit that input may use. Factors are the exact legal definitions (foot 0.3048 m, pound 0.45359237 kg). */
export const units: ReadonlyMap<string, Unit> = new Map([
  ['m', unit(1, dimensions.length)],
  ['mm', unit(1e-3, dimensions.length)],
  ['cm', unit(1e-2, dimensions.length)],
  ['km', unit(1e3, dimensions.length)],
  ['in', unit(0.0254, dimensions.length)],
  ['ft', unit(0.3048, dimensions.length)],
  ['N', unit(1, dimensions.force)],
  ['kN', unit(1e3, dimensions.force)],
  ['MN', unit(1e6, dimensions.force)],
  ['lbf', unit(POUND_FORCE, dimensions.force)],
  ['kip', unit(1e3 * POUND_FORCE, dimensions.force)],
  ['Pa', unit(1, dimensions.stress)],
  ['kPa', unit(1e3, dimensions.stress)],
  ['MPa', unit(1e6, dimensions.stress)],
  ['GPa', unit(1e9, dimensions.stress)],
  ['psi', unit(POUND_FORCE / 0.0254 ** 2, dimensions.stress)],
  ['ksi', unit((1e3 * POUND_FORCE) / 0.0254 ** 2, dimensions.stress)],
  ['kg', unit(1, mass)],
  ['t', unit(1e3, mass)],
  ['lb', unit(0.45359237, mass)],
  ['s', unit(1, [0, 0, 1, 0, 0])],
  ['K', unit(1, dimensions.temperature)],
  ['°C', unit(1, dimensions.temperature)],
  ['rad', unit(1, dimensions.angle)],
  ['mrad', unit(1e-3, dimensions.angle)],
  ['deg', unit(Math.PI / 180, dimensions.angle)],
  ['°', unit(Math.PI / 180, dimensions.angle)],
]);

/**
 * Splits a word such as `kNm` or `kipft` into known units, longest first; undefined when it is no such product.
 * A whole word that is a unit always wins (`mm` is a millimetre, never metre times metre).
 */
export function unitsOfWord(word: string): Unit[] | undefined {
  const whole = units.get(word);
  if (whole) return [whole];
  for (let cut = word.length - 1; cut > 0; cut--) {
    const head = units.get(word.slice(0, cut));
    const tail = head && unitsOfWord(word.slice(cut));
    if (head && tail) return [head, ...tail];
  }
  return undefined;
}
