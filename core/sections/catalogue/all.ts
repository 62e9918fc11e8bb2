import { families } from './families';
import { hollowShapesOf, shapesOf, type CatalogueShape } from './family';

let read: readonly CatalogueShape[] | undefined;

/** Every shape of the catalogue, read from its tables once. */
export const catalogue = (): readonly CatalogueShape[] =>
  (read ??= families.flatMap((family) => ('finish' in family ? hollowShapesOf(family) : shapesOf(family))));
