import { once } from '../../once';
import type { SectionProperties } from '../../model/model';
import { plasticModuli } from '../plastic-modulus';
import { shapeProperties } from '../shape-properties';
import type { CatalogueShape } from './family';
import { meshedInCatalogue } from './meshed';

/** kg/m³ of steel (EN 1991-1-1, table A.4). */
export const STEEL = 7850;

/** What the catalogue says of a shape: everything computed from its dimensions. SI; mass in kg/m, of steel only. */
export interface Listed extends SectionProperties {
  readonly A: number;
  readonly Iz: number;
  readonly Iy: number;
  readonly mass?: number;
}

/** The properties of a shape, computed once. */
export const listed = once((one: CatalogueShape): Listed => {
  const { A = 0, Iz = 0, Iy = 0, ...rest } = { ...meshedInCatalogue(one.shape), ...shapeProperties(one.shape) };
  return { A, Iz, Iy, ...rest, ...(one.made === 'steel' && { mass: one.family.wall === undefined ? A * STEEL : one.mass! }) };
});

/** Its plastic moduli, computed once, and only when they are asked for. */
export const plasticOf = once((one: CatalogueShape) => plasticModuli(one.shape));

/** Its greatest extent upwards, metres. */
export const depthOf = ({ shape }: CatalogueShape): number => shape.h ?? shape.d ?? 0;
