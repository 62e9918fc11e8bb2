import { angle } from './angle';
import { channel } from './channel';
import { chs } from './chs';
import { iShape } from './i';
import type { ShapeKind } from './kind';
import { rectangle } from './rectangle';
import { rhs } from './rhs';
import { round } from './round';
import { tee } from './tee';

/** Every shape that has dimensions of its own, by its name in the file. */
const kinds = { i: iShape, channel, angle, tee, rhs, chs, rectangle, round } as const satisfies Readonly<
  Record<string, ShapeKind>
>;

export type DimensionedShape = keyof typeof kinds;
export type ShapeType = DimensionedShape | 'built' | 'general';

export const shapeKinds: { readonly [type in DimensionedShape]: ShapeKind } = kinds;
export const dimensionedShapes = Object.keys(kinds) as readonly DimensionedShape[];
export const shapeTypes: readonly ShapeType[] = [...dimensionedShapes, 'built', 'general'];
