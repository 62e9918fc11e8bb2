import { outlineProperties } from '../built/properties';
import { linesOf } from '../lines-of';
import { catalogue } from './all';
import type { CatalogueShape } from './family';
import { isMeshedInCatalogue } from './meshed';

/** The line of a shape in the data file: its designation, J in cm⁴, Ay and Az in cm², with five digits. */
export function meshedLine({ designation, shape }: CatalogueShape): string {
  const { J, Ay = 0, Az = 0 } = outlineProperties(linesOf(shape));
  return [designation, ...[J * 1e8, Ay * 1e4, Az * 1e4].map((value) => Number(value.toPrecision(5)))].join(',');
}

/** The data file, made anew from the meshes of all shapes. */
export const meshedFile = (): string =>
  [
    'designation,J,Ay,Az',
    ...catalogue()
      .filter(({ shape }) => isMeshedInCatalogue(shape))
      .map(meshedLine),
    '',
  ].join('\n');
