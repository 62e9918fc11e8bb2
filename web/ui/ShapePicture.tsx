'use client';

import type { Shape } from '@rigid-beam/core/shapes/shape';
import { outlineLoops } from '@rigid-beam/core/sections/outline';
import { pathOf } from './ShapeLines';

interface ShapePictureProps {
  readonly shape: Shape | undefined;
  /** Pixels of its box. */
  readonly size: number;
  /** Metres that fill the box: pictures of one scale can be compared; its own size where it is left out. */
  readonly metres?: number;
}

/** A section's true outline; a dotted box where its shape is not known. */
export function ShapePicture({ shape, size, metres }: ShapePictureProps) {
  const loops = shape ? outlineLoops(shape) : [];
  const points = loops.flat();
  const [zs, ys] = [points.filter((_, i) => i % 2 === 0), points.filter((_, i) => i % 2 === 1)];
  const [left, right, low, high] = [Math.min(...zs), Math.max(...zs), Math.min(...ys), Math.max(...ys)];
  const scale = (size - 2) / (metres ?? Math.max(right - left, high - low));
  const path = pathOf(
    loops,
    (z) => size / 2 + (z - (left + right) / 2) * scale,
    (y) => size / 2 - (y - (low + high) / 2) * scale,
  );
  return (
    <svg width={size} height={size} viewBox={`0 0 ${size} ${size}`} aria-hidden>
      {path === '' ? (
        <rect x={3} y={3} width={size - 6} height={size - 6} fill="none" stroke="var(--soft)" strokeDasharray="2 3" />
      ) : (
        <path d={path} fill="currentColor" fillOpacity={0.2} fillRule="evenodd" stroke="currentColor" strokeWidth={1} />
      )}
    </svg>
  );
}
