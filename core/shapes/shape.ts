import type { ShapeType } from './registry';

/** Dimensions in metres; which ones count depends on the type. */
export interface Shape {
  readonly type: ShapeType;
  readonly h?: number;
  readonly b?: number;
  readonly tw?: number;
  readonly tf?: number;
  readonly r?: number;
  readonly bTop?: number;
  readonly tfTop?: number;
  readonly t?: number;
  readonly ro?: number;
  /** Inner radius of a hollow section; ro − t where it is left out. */
  readonly ri?: number;
  readonly d?: number;
  /** Radius of the toes, on the inner side. */
  readonly rt?: number;
  /** How much thicker a flange grows towards the web, per length; of an I-shape tf is then measured b/4 from the toe, of a channel b/2. */
  readonly slope?: number;
  /** Of a built section: what stands side by side in it. */
  readonly parts?: readonly SectionPart[];
}

/** A corner of an outline: z to the right, y up, metres; rounded where a radius follows. */
export type OutlineCorner = readonly number[];

/**
 * A part of a built section: one of a shape (about its centroid), a designation of the catalogue with the shape that it stands for, and an
 * outline. Mirrored left to right first, then turned (degrees, anticlockwise), then moved.
 */
export interface SectionPart {
  readonly shape?: Shape;
  readonly catalogue?: string;
  readonly outline?: readonly OutlineCorner[];
  readonly holes?: readonly (readonly OutlineCorner[])[];
  readonly at?: readonly number[];
  readonly angle?: number;
  readonly mirrored?: boolean;
}
