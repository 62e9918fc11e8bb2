import type { Shape } from '../model/model';
import { linesOfParts } from './built/lines';
import { cornersOf } from './corners';
import type { Corner } from './path';

/** The closed lines of a sound shape, outer ones anticlockwise, holes clockwise: as `cornersOf`, and those of a built section. */
export const linesOf = (shape: Shape): readonly (readonly Corner[])[] =>
  shape.type === 'built' ? linesOfParts(shape.parts ?? []) : cornersOf(shape);
