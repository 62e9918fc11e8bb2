import type { Loop } from '@rigid-beam/core/sections/path';

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
