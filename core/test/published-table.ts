/**
 * Properties as printed in tables of sections: by family the names, and by property what is printed for each, in the
 * units of the table. Ours must agree to half a unit of the last printed digit.
 */
export interface PublishedFamily {
  readonly family: string;
  readonly names: readonly string[];
  /** A dash where a value is left out: what is printed follows from other rounded numbers, or is printed in two ways. */
  readonly printed: Readonly<Partial<Record<PrintedKey, readonly string[]>>>;
  /** Digits that tables print of a number without decimals. */
  readonly significant: number;
  readonly unit: PrintedUnit;
}

export const list = (text: string): string[] => text.trim().split(/\s+/);

export const printedPowers = { A: 2, Iz: 4, Iy: 4, J: 4, Wz: 3, Wy: 3, Wplz: 3, Wply: 3 } as const;
export type PrintedKey = keyof typeof printedPowers;

/** Centimetres and their powers; inches and theirs; or mm², 10⁶ mm⁴ (of J 10³ mm⁴) and 10³ mm³. */
export type PrintedUnit = 'cm' | 'in' | 'mm';

/** How many units of a table one SI unit of a property is. */
export function printedScale(key: PrintedKey, unit: PrintedUnit): number {
  if (unit === 'mm') return key === 'J' ? 1e9 : 1e6;
  return (unit === 'cm' ? 100 : 1 / 0.0254) ** printedPowers[key];
}

/** The name of a unit in the verification book. */
export const printedUnit = (key: PrintedKey, unit: PrintedUnit): string =>
  unit === 'mm'
    ? { 2: 'mm²', 3: '10³ mm³', 4: key === 'J' ? '10³ mm⁴' : '10⁶ mm⁴' }[printedPowers[key]]
    : `${unit}${'⁰¹²³⁴'[printedPowers[key]]}`;

interface Heading {
  readonly family: string;
  readonly prefix: string;
  readonly suffix?: string;
  readonly unit?: PrintedUnit;
  readonly keys: string;
  readonly significant: number;
}

/** A family as rows: a size (its blank written as `_`), then what is printed under each key. */
export function table({ family, prefix, suffix = '', unit = 'cm', keys, significant }: Heading, text: string): PublishedFamily {
  const rows = text.trim().split('\n').map(list);
  const printed = Object.fromEntries(list(keys).map((key, k) => [key, rows.map((row) => row[k + 1]!)]));
  return {
    family,
    names: rows.map(([size]) => `${prefix} ${size!.replace('_', ' ')} ${suffix}`.trim()),
    printed,
    significant,
    unit,
  };
}

/** One unit of the last digit that is printed: of 11770 the tens where tables print four digits. */
export function lastUnit(printed: string, significant: number): number {
  const decimals = printed.split('.')[1]?.length;
  if (decimals !== undefined) return 10 ** -decimals;
  return 10 ** Math.max(0, printed.length - significant);
}
