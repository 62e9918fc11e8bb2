import type { Point } from '../../model/point';

// Ours are X to the right, Y up, Z towards the viewer; those of the file X, Y, and Z up. Of a member y is up and the height of its section; in the
// file it is z. Both are the same turn about x.

/** A vector, or a turn about one, of ours along the axes of the file. */
export const toFile = ([x, y, z]: Point): Point => [x + 0, -z + 0, y + 0];
/** The other way round. */
export const fromFile = ([x, y, z]: Point): Point => [x + 0, z + 0, -y + 0];
