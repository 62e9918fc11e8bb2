import { american } from './american';
import { australian } from './australian';
import { bars } from './bars';
import { british } from './british';
import { european } from './european';
import { europeanAngles } from './european-angles';
import { hollowShapesOf, shapesOf, type CatalogueShape, type Family, type Series } from './family';
import { hollow } from './hollow';
import { indian } from './indian';
import { timber } from './timber';

/** All families, in the order in which they are listed. */
export const families: readonly (Family | Series)[] = [
  ...european,
  ...europeanAngles,
  ...british,
  ...hollow,
  ...american,
  ...australian,
  ...indian,
  ...bars,
  ...timber,
];

let read: readonly CatalogueShape[] | undefined;

/** Every shape of the catalogue, read from its tables once. */
export const catalogue = (): readonly CatalogueShape[] =>
  (read ??= families.flatMap((family) => ('sizes' in family ? hollowShapesOf(family) : shapesOf(family))));
