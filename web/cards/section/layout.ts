import type { Loop } from '@rigid-beam/core/sections/path';
import { dimensionsOf, type Dimension } from '@rigid-beam/core/sections/shape-table';
import type { Shape } from '@rigid-beam/core/model/model';

/** How a section lies in its picture: metres to pixels. */
export interface Layout {
  readonly x: (z: number) => number;
  readonly y: (up: number) => number;
  /** Left, right, low and high of the lines, metres. */
  readonly box: readonly [number, number, number, number];
  readonly scale: number;
}

interface Room {
  readonly width: number;
  readonly height: number;
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
}

/** Fits closed lines into the room inside the margins. */
export function layoutOf(loops: readonly Loop[], room: Room): Layout {
  const [left, right] = rangeOf(loops, 0);
  const [low, high] = rangeOf(loops, 1);
  const scale = Math.min(
    (room.width - room.left - room.right) / (right - left),
    (room.height - room.top - room.bottom) / (high - low),
  );
  const [midX, midY] = [(room.left + room.width - room.right) / 2, (room.top + room.height - room.bottom) / 2];
  return {
    x: (z) => midX + (z - (left + right) / 2) * scale,
    y: (up) => midY - (up - (low + high) / 2) * scale,
    box: [left, right, low, high],
    scale,
  };
}

/** Least and greatest z (0) or y (1) of all points. */
const rangeOf = (loops: readonly Loop[], k: 0 | 1): readonly [number, number] => {
  const values = loops.flatMap((loop) => loop.filter((_, i) => i % 2 === k));
  return [Math.min(...values), Math.max(...values)];
};

/** Where a dimension is written: beside the shape, or in the column at its right with a line to what it measures (z, y in metres). */
export interface DimensionPlace {
  readonly key: Dimension;
  readonly side: 'left' | 'top' | 'bottom' | 'right';
  readonly at?: readonly [z: number, y: number];
}

/** The dimensions of a shape and where they stand in its picture, those at the right from above. */
export function dimensionPlaces(shape: Shape): readonly DimensionPlace[] {
  const { h, b, tw, tf, t, r, ro, bTop, tfTop, d } = dimensionsOf(shape);
  const left: DimensionPlace = { key: 'h', side: 'left' };
  const below: DimensionPlace = { key: 'b', side: 'bottom' };
  const right = (key: Dimension, z: number, y: number): DimensionPlace => ({ key, side: 'right', at: [z, y] });
  switch (shape.type) {
    case 'i':
      return [
        left,
        below,
        { key: 'bTop', side: 'top' },
        right('tfTop', bTop / 2, h - tfTop / 2),
        right('tw', tw / 2, h * 0.55),
        right('r', tw / 2 + 0.3 * r, tf + 0.3 * r),
        right('tf', b / 2, tf / 2),
        right('rt', b / 2, tf),
        right('slope', b / 3, tf),
      ];
    case 'channel':
      return [
        left,
        below,
        right('tf', b * 0.9, h - tf / 2),
        right('tw', tw, h * 0.55),
        right('r', tw + 0.3 * r, tf + 0.3 * r),
        right('rt', b, tf),
        right('slope', b * 0.6, tf),
      ];
    case 'angle':
      return [left, below, right('t', t, h * 0.6), right('r', t + 0.3 * r, t + 0.3 * r), right('rt', b, t)];
    case 'tee':
      return [
        left,
        below,
        right('tf', b / 2, h - tf / 2),
        right('r', tw / 2 + 0.3 * r, h - tf - 0.3 * r),
        right('tw', tw / 2, h * 0.3),
      ];
    case 'rhs':
      return [
        left,
        below,
        right('t', b / 2 - t / 2, h * 0.1),
        right('ro', b / 2 - 0.3 * ro, -h / 2 + 0.3 * ro),
        right('ri', b / 2 - t, -h / 2 + t),
      ];
    case 'chs':
      return [{ key: 'd', side: 'bottom' }, right('t', d / 2 - t / 2, 0)];
    case 'rectangle':
      return [left, below];
    case 'round':
      return [{ key: 'd', side: 'bottom' }];
    case 'built':
    case 'general':
      return [];
  }
}
