import type { Dimensions } from './kind';
import { shapeKinds } from './registry';
import type { Shape } from './shape';

/** All dimensions with their defaults: no radius, no slope, equal flanges. */
export function dimensionsOf(shape: Shape): Dimensions {
  const { h = 0, b = 0, tw = 0, tf = 0, r = 0, t = 0, ro = 0, d = 0, rt = 0, slope = 0 } = shape;
  return {
    ...{ h, b, tw, tf, r, t, ro, d, rt, slope },
    ri: shape.ri ?? Math.max(0, ro - t),
    bTop: shape.bTop ?? b,
    tfTop: shape.tfTop ?? tf,
  };
}

/** The first thing about the dimensions of a shape that cannot be built, in words; undefined when they are sound. */
export function dimensionsFault(shape: Shape): string | undefined {
  const kind = kindOf(shape);
  if (!kind) return undefined;
  const missing = kind.needs.filter((key) => shape[key] === undefined);
  if (missing.length > 0) return `the dimension ${missing.join(', ')} is missing`;
  for (const key of kind.needs) {
    const size = sizeFault(`the dimension ${key}`, shape[key]!);
    if (size !== undefined) return size;
  }
  return kind.rules(dimensionsOf(shape)).find(([sound]) => !sound)?.[1];
}

/** Metres between which whatever a section is made of has its size. */
const [SMALLEST, LARGEST] = [1e-6, 1000];

/** Says so where something is larger or smaller than anything that is built. */
export const sizeFault = (what: string, metres: number): string | undefined =>
  metres >= SMALLEST && metres <= LARGEST ? undefined : `${what} is ${metres} m: from 0.001 mm to 1 km can be built`;

/** What kind of shape it is; undefined of one that has no dimensions of its own: built of parts, or known by its properties only. */
export const kindOf = ({ type }: Shape) => (type === 'built' || type === 'general' ? undefined : shapeKinds[type]);

/** The diameters of a shape of circles: the outer one, and that of its hole; undefined of every other. */
export function diametersOf(shape: Shape): readonly [outer: number, inner?: number] | undefined {
  const kind = kindOf(shape);
  return kind?.body === 'circles' ? kind.diameters(dimensionsOf(shape)) : undefined;
}
