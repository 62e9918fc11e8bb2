import { once } from '../../once';
import type { SectionProperties } from '../../model/model';
import { kindOf } from '../../shapes/dimensions';
import type { Shape } from '../../shapes/shape';
import { catalogue } from './all';
import meshed from './data/meshed.csv';
import { readData } from './data-file';
import type { CatalogueShape } from './family';

/** What a mesh tells of a shape: m⁴ and m². */
export type Meshed = Required<Pick<SectionProperties, 'J' | 'Ay' | 'Az'>>;

/** Shapes whose shear areas, and often J, only a mesh tells. */
export const isMeshedInCatalogue = (shape: Shape): boolean => kindOf(shape)?.shear === 'by a mesh';

const keyOf = (shape: Shape): string => JSON.stringify(Object.entries(shape).sort(([a], [b]) => (a < b ? -1 : 1)));

/** By shape: what the mesh of each shape of the catalogue told when the file was made (`npm run meshed`): J in cm⁴, Ay and Az in cm². */
const tableOf = once((all: readonly CatalogueShape[]): ReadonlyMap<string, Meshed> => {
  const rows = new Map(readData(meshed).map((row) => [row.get('designation')!, row]));
  return new Map(
    all
      .filter(({ shape }) => isMeshedInCatalogue(shape))
      .map(({ designation, shape }): [string, Meshed] => {
        const value = (column: string): number => Number(rows.get(designation)?.get(column) ?? NaN);
        return [keyOf(shape), { J: value('J') * 1e-8, Ay: value('Ay') * 1e-4, Az: value('Az') * 1e-4 }];
      }),
  );
});

/** The same of a shape that has the very dimensions of one in the catalogue. */
export const meshedInCatalogue = (shape: Shape): Meshed | undefined =>
  isMeshedInCatalogue(shape) ? tableOf(catalogue()).get(keyOf(shape)) : undefined;
