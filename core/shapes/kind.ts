/** Every dimension that a shape may have, and whether it may be zero. */
export const dimensionSigns = {
  h: 'positive',
  b: 'positive',
  tw: 'positive',
  tf: 'positive',
  bTop: 'positive',
  tfTop: 'positive',
  t: 'positive',
  d: 'positive',
  r: 'notNegative',
  ro: 'notNegative',
  ri: 'notNegative',
  rt: 'notNegative',
  slope: 'notNegative',
} as const;
export type Dimension = keyof typeof dimensionSigns;
export type Dimensions = { readonly [dimension in Dimension]: number };

/** A corner of a closed line: z to the right, y up, metres; rounded by a circle of radius r where that is given. */
export interface Corner {
  readonly z: number;
  readonly y: number;
  readonly r?: number;
}

/** Corners of a convex outline, z and y; or circles of one radius about such points. */
export interface Farthest {
  readonly points: readonly (readonly [z: number, y: number])[];
  readonly radius: number;
}

/** Where a dimension is written: beside the shape, or in the column at its right with a line to what it measures (z, y in metres). */
export interface DimensionPlace {
  readonly key: Dimension;
  readonly side: 'left' | 'top' | 'bottom' | 'right';
  readonly at?: readonly [z: number, y: number];
}

interface Common {
  readonly words: string;
  /** In one word, under its picture. */
  readonly short: string;
  /** Dimensions that it must have, and those that it may. */
  readonly needs: readonly Dimension[];
  readonly may: readonly Dimension[];
  /** What a new one begins with, metres. */
  readonly begin: { readonly [dimension in Dimension]?: number };
  /** What must hold of its dimensions, and what is said where it does not. */
  readonly rules: (s: Dimensions) => readonly (readonly [boolean, string])[];
  /** J, m⁴; undefined where only a mesh tells it. */
  readonly torsion: (s: Dimensions) => number | undefined;
  /** The part of the area that takes shear, where that is known; only a mesh tells that of the others. */
  readonly shear: number | 'by a mesh';
  /** Whether it is a tube, which may be rolled with another wall than it is calculated with. */
  readonly isTube?: true;
  /** Where its dimensions stand in its picture, those at the right from above. */
  readonly places: (s: Dimensions) => readonly DimensionPlace[];
}

/**
 * A shape of straight sides and rounded corners. Lines are closed, the outer one anticlockwise, a hole clockwise; what is symmetric stands upright
 * about z = 0, the back of what is not lies there.
 */
export interface CorneredShape extends Common {
  readonly body: 'corners';
  readonly corners: (s: Dimensions) => readonly (readonly Corner[])[];
  /** Its area and second moments where a formula is simpler than its outline: of what is symmetric about both axes, h by b outside. */
  readonly exact?: (s: Dimensions) => { readonly A: number; readonly Iz: number; readonly Iy: number };
  /** What is farthest from its middle, where its rounded corners tell that better than points on them. */
  readonly farthest?: (s: Dimensions) => Farthest;
}

/** Circles about one centre: the outer one, and that of a hole. */
export interface RoundShape extends Common {
  readonly body: 'circles';
  readonly diameters: (s: Dimensions) => readonly [outer: number, inner?: number];
}

/** A kind of shape: all that others ask of it. Its properties, outline, stresses and picture follow. */
export type ShapeKind = CorneredShape | RoundShape;

export const at = (z: number, y: number, r = 0): Corner => ({ z, y, r });

export function box(h: number, b: number, r: number): Corner[] {
  const [z, y] = [b / 2, h / 2];
  return [at(-z, -y, r), at(z, -y, r), at(z, y, r), at(-z, y, r)];
}

/** A line mirrored left to right, gone back over. */
export const mirrored = (right: readonly Corner[]): Corner[] => [
  ...right,
  ...right.map((corner) => ({ ...corner, z: -corner.z })).reverse(),
];

/** Dimensions at the left and below. */
export const DEPTH: DimensionPlace = { key: 'h', side: 'left' };
export const WIDTH: DimensionPlace = { key: 'b', side: 'bottom' };
export const beside = (key: Dimension, z: number, y: number): DimensionPlace => ({ key, side: 'right', at: [z, y] });
