import type { Shape } from '../shapes/shape';
import { diametersOf } from '../shapes/dimensions';
import { composite } from './shape-properties';

/** Where the centroid of a sound shape lies in its outline (`outlineLoops`), metres: y up, z to the right. */
export function centroidOf(shape: Shape): { readonly y: number; readonly z: number } {
  if (diametersOf(shape)) return { y: 0, z: 0 };
  const { y, z } = composite(shape);
  return { y, z };
}
