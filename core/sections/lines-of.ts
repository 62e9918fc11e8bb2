import { dimensionsOf, kindOf } from '../shapes/dimensions';
import type { Corner } from '../shapes/kind';
import type { Shape } from '../shapes/shape';
import { linesOfParts } from './built/lines';

/** The closed lines of a sound shape, outer ones anticlockwise, holes clockwise, where it is built; none of circles, nor of what has no outline. */
export function linesOf(shape: Shape): readonly (readonly Corner[])[] {
  const kind = kindOf(shape);
  if (kind) return kind.body === 'corners' ? kind.corners(dimensionsOf(shape)) : [];
  return linesOfParts(shape.parts ?? []);
}
