import { sectionSymbol } from '../../quantities/axis-names';
import { displayOf, massUnit } from '../../quantities/display';
import type { Section } from '../../model/model';
import { inUnit } from '../../quantities/show';
import { billOf } from '../../sections/bill';
import { relativeWords } from '../../sections/relative';
import { sectionProperties } from '../../sections/section-properties';
import { shapeWords } from '../../shapes/first-shape';
import { computedColumn, quantityColumn, textColumn, type Row, type TypedColumn } from '../column';
import type { Catalogue, ScheduleKind } from './list';
import { columns as WORDS, schedules } from '../words';

const sectionOf = (row: Row): Section => row as unknown as Section;

/** A designation typed here gives the section that shape, and takes away what was its own. */
const designation = (catalogue: Catalogue | undefined): TypedColumn => ({
  key: 'catalogue',
  title: WORDS.designation,
  value: (row) => (typeof row['catalogue'] === 'string' ? row['catalogue'] : ''),
  take: (row, typed) => {
    if (!catalogue) return WORDS.catalogueComes;
    const one = catalogue.shapeCalled(typed);
    return one ? { id: row.id, catalogue: one.designation, shape: one.shape } : WORDS.noDesignation(typed);
  },
});

/** J of a shape of the catalogue that only its mesh tells; nothing before the catalogue is here. */
function torsionOf(catalogue: Catalogue | undefined, name: string): number | undefined {
  const one = catalogue?.shapeCalled(name);
  return one && catalogue?.listed(one).J;
}

/** Sections with what is computed of their shape, or given, and what the model needs of each. */
export const sectionList: ScheduleKind = {
  words: schedules.sections,
  names: 'letters',
  columns: (model, catalogue) => {
    const display = displayOf(model);
    const { section: unit, length } = display;
    const bill = new Map(billOf(model).map((row) => [row.section, row]));
    const property = (key: 'A' | 'Iz' | 'Iy' | 'J' | 'Wz' | 'Wy'): TypedColumn => {
      const [dimension, power] =
        key === 'A' ? (['area', 2] as const) : key.startsWith('W') ? (['modulus', 3] as const) : (['inertia', 4] as const);
      return quantityColumn(key, sectionSymbol(key, display), { dimension, unit: `${unit}${power}` }, (row) => {
        const section = sectionOf(row);
        return (
          sectionProperties(section)[key] ??
          (key === 'J' && section.catalogue ? torsionOf(catalogue, section.catalogue) : undefined)
        );
      });
    };
    const told = (read: (row: ReturnType<typeof billOf>[number]) => number | undefined) => (row: Row) => {
      const found = bill.get(row.id);
      return found && read(found);
    };
    return [
      textColumn('id', WORDS.section),
      designation(catalogue),
      computedColumn('shape', WORDS.shape, (row) => {
        const { shape, relative } = sectionOf(row);
        if (relative) return relativeWords(relative);
        return shapeWords(shape?.type ?? 'general');
      }),
      ...(['A', 'Iz', 'Iy', 'J', 'Wz', 'Wy'] as const).map(property),
      computedColumn(
        'members',
        WORDS.members,
        told(({ members }) => members),
      ),
      computedColumn(
        'total',
        WORDS.totalLength,
        told((row) => inUnit(row.length, length)),
        length,
      ),
      computedColumn(
        'mass',
        WORDS.mass,
        told(({ mass }) => (mass === undefined ? undefined : inUnit(mass, massUnit(display)))),
        massUnit(display),
      ),
    ];
  },
  rows: (model) => model.sections.map((section) => ({ ...section }) as unknown as Row),
  newRow: (_, id) => ({ id, A: 0.01, Iz: 1e-4, Iy: 1e-4, J: 1e-5 }),
  put: (_, row) => [{ type: 'put', list: 'sections', entry: row }],
};
