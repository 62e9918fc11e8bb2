import type { SectionProperties } from '../../model/model';
import { plasticModuli } from '../plastic-modulus';
import { shapeProperties } from '../shape-properties';
import type { CatalogueShape } from './family';

/** kg/m³ of steel (EN 1991-1-1, table A.4). */
const STEEL = 7850;

/** What the catalogue says of a shape: everything computed from its dimensions. SI; mass in kg/m, of steel only. */
export interface Listed extends SectionProperties {
  readonly A: number;
  readonly Iz: number;
  readonly Iy: number;
  readonly mass?: number;
}

const known = new WeakMap<CatalogueShape, Listed>();

/** The properties of a shape, computed once. */
export function listed(one: CatalogueShape): Listed {
  const before = known.get(one);
  if (before) return before;
  const { A = 0, Iz = 0, Iy = 0, ...rest } = shapeProperties(one.shape);
  const made: Listed = { A, Iz, Iy, ...rest, ...(one.made === 'steel' && { mass: A * STEEL }) };
  known.set(one, made);
  return made;
}

type Plastic = ReturnType<typeof plasticModuli>;
const plastic = new WeakMap<CatalogueShape, Plastic>();

/** Its plastic moduli, computed once, and only when they are asked for. */
export function plasticOf(one: CatalogueShape): Plastic {
  const made = plastic.get(one) ?? plasticModuli(one.shape);
  plastic.set(one, made);
  return made;
}

/** Its greatest extent upwards, metres. */
export const depthOf = ({ shape }: CatalogueShape): number => shape.h ?? shape.d ?? 0;
