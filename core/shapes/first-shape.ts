import { shapeKinds, type ShapeType } from './registry';
import type { Shape } from './shape';

const isDimensioned = (type: ShapeType): type is keyof typeof shapeKinds => type in shapeKinds;

/** What a type of shape is called. */
export const shapeWords = (type: ShapeType): string =>
  isDimensioned(type) ? shapeKinds[type].words : { built: 'Built of parts', general: 'By its properties' }[type];

/** The same in one word. */
export const shortShapeWords = (type: ShapeType): string =>
  isDimensioned(type) ? shapeKinds[type].short : { built: 'Built', general: 'Typed' }[type];

/** What a new shape of a type begins with: an I-shape of plates where it is built of parts. */
export function firstShape(type: ShapeType): Shape {
  if (isDimensioned(type)) return { type, ...shapeKinds[type].begin };
  const parts = [
    { shape: { type: 'rectangle', h: 0.2, b: 0.01 } },
    { shape: { type: 'rectangle', h: 0.012, b: 0.12 }, at: [0, 0.106] },
  ] as const;
  return type === 'built' ? { type, parts } : { type };
}
