import { catalogue } from '@rigid-beam/core/sections/catalogue/all';
import { families } from '@rigid-beam/core/sections/catalogue/families';
import type { CatalogueShape } from '@rigid-beam/core/sections/catalogue/family';
import { listed, plasticOf } from '@rigid-beam/core/sections/catalogue/listed';
import { searchCatalogue } from '@rigid-beam/core/sections/catalogue/search';
import { inUnit, showNumber } from '@rigid-beam/core/quantities/show';
import type { sectionFormats } from './choices';
import { exitCodes } from './exit-codes';

export interface SectionsOptions {
  readonly family?: string;
  readonly format: (typeof sectionFormats)[number];
}

/** Prints designations, dimensions and properties of the shapes that a search finds: SI in JSON and CSV, cm in the table. */
export function sections(search: readonly string[], { family, format }: SectionsOptions): number {
  const of = family === undefined ? undefined : families.find(({ id }) => id.toLowerCase() === family.toLowerCase());
  if (family !== undefined && !of) {
    console.error(`There is no family “${family}”. Choose one of: ${families.map(({ id }) => id).join(', ')}.`);
    return exitCodes.invalid;
  }
  const found = searchCatalogue({ text: search.join(' '), family: of?.id });
  if (!found.ok) {
    console.error(`${found.reason}.`);
    return exitCodes.invalid;
  }
  console.log(WRITERS[format](found.shapes));
  if (found.shapes.length === 0)
    console.error(`Nothing of the ${catalogue().length} shapes fits. Try fewer words, such as “ipe 3” or “I > 5000 cm4”.`);
  return exitCodes.solved;
}

const entryOf = (one: CatalogueShape) => ({
  designation: one.designation,
  family: one.family.id,
  standard: one.family.standard,
  shape: one.shape,
  ...listed(one),
  ...plasticOf(one),
});

const KEYS = ['A', 'Iz', 'Iy', 'J', 'Wz', 'Wy', 'Wplz', 'Wply', 'mass'] as const;
const DIMENSIONS = ['h', 'b', 'tw', 'tf', 'r', 't', 'ro', 'ri', 'rt', 'slope', 'd'] as const;

/** A field of a CSV file (RFC 4180). */
const field = (text: string): string => (/[",\n]/.test(text) ? `"${text.replaceAll('"', '""')}"` : text);

/** Columns of the table: the property, its unit, and what stands over it. */
const COLUMNS = [
  ['mass', 'kg/m', 'kg/m'],
  ['A', 'cm2', 'A cm²'],
  ['Iz', 'cm4', 'Iz cm⁴'],
  ['Iy', 'cm4', 'Iy cm⁴'],
  ['J', 'cm4', 'J cm⁴'],
  ['Wz', 'cm3', 'Wz cm³'],
  ['Wy', 'cm3', 'Wy cm³'],
  ['Wplz', 'cm3', 'Wplz cm³'],
  ['Wply', 'cm3', 'Wply cm³'],
] as const;

const WRITERS: Readonly<Record<SectionsOptions['format'], (shapes: readonly CatalogueShape[]) => string>> = {
  json: (shapes) => JSON.stringify(shapes.map(entryOf), undefined, 1),
  csv: (shapes) => {
    const head = [
      'designation',
      'family',
      'standard',
      ...DIMENSIONS.map((key) => `${key} (m)`.replace('slope (m)', 'slope')),
      ...KEYS,
    ];
    const rows = shapes.map((one) => {
      const { designation, family, standard, shape, ...values } = entryOf(one);
      return [
        designation,
        family,
        standard,
        ...DIMENSIONS.map((key) => shape[key] ?? ''),
        ...KEYS.map((key) => values[key] ?? ''),
      ];
    });
    return [head, ...rows].map((row) => row.map((cell) => field(String(cell))).join(',')).join('\n');
  },
  table: (shapes) => {
    const rows = shapes.map((one) => {
      const values = entryOf(one);
      return [
        one.designation,
        ...COLUMNS.map(([key, unit]) => (values[key] === undefined ? '' : showNumber(inUnit(values[key], unit), 4))),
      ];
    });
    const all = [['', ...COLUMNS.map(([, , words]) => words)], ...rows];
    const widths = all[0]!.map((_, c) => Math.max(...all.map((row) => row[c]!.length)));
    return all.map((row) => row.map((cell, c) => (c === 0 ? cell.padEnd(widths[c]!) : cell.padStart(widths[c]!))).join('  ').trimEnd()).join('\n'); // oxfmt-ignore
  },
};
