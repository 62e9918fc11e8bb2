import type { Dimension } from './kind';

/** How dimensions are written beside a shape. */
export const DIMENSION_SYMBOLS: Readonly<Record<Dimension, string>> = {
  h: 'h',
  b: 'b',
  tw: 'tw',
  tf: 'tf',
  r: 'r',
  bTop: 'b′',
  tfTop: 'tf′',
  t: 't',
  ro: 'ro',
  ri: 'ri',
  d: 'd',
  rt: 'rt',
  slope: 'slope',
};
