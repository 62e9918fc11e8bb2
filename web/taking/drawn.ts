import type { DrawnLine } from '@rigid-beam/core/formats/dxf/read-dxf';

/** The frame of a drawing in its own units, y up. */
export interface Extent {
  readonly left: number;
  readonly bottom: number;
  readonly width: number;
  readonly height: number;
}

export function extentOf(lines: readonly DrawnLine[]): Extent {
  let [left, bottom, right, top] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const { from, to } of lines)
    for (const [x, y] of [from, to]) {
      [left, right] = [Math.min(left, x), Math.max(right, x)];
      [bottom, top] = [Math.min(bottom, y), Math.max(top, y)];
    }
  return lines.length === 0
    ? { left: 0, bottom: 0, width: 1, height: 1 }
    : { left, bottom, width: right - left, height: top - bottom };
}

/** The lines as the path of an SVG picture, y down. */
export const pathOf = (lines: readonly DrawnLine[]): string =>
  lines.map(({ from, to }) => `M${from[0]} ${-from[1]}L${to[0]} ${-to[1]}`).join('');

/** Pixels of the longer side of a picture that is laid behind the drawing, and the room around it as a share of that side. */
const PIXELS = 2400;
const ROOM = 0.01;

/** The lines as a picture, and where it lies: its lower left corner and the metres of a pixel. */
export function pictureOf(
  lines: readonly DrawnLine[],
  unit: number,
): {
  readonly svg: string;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly metresPerPixel: (pixels: number) => number;
} {
  const { left, bottom, width, height } = extentOf(lines);
  const longest = Math.max(width, height);
  const room = longest * ROOM;
  const [w, h] = [width + 2 * room, height + 2 * room];
  const scale = PIXELS / Math.max(w, h);
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${Math.ceil(w * scale)}" height="${Math.ceil(h * scale)}" viewBox="${left - room} ${-(bottom + height + room)} ${w} ${h}"><path d="${pathOf(lines)}" fill="none" stroke="#333" stroke-width="${2 / scale}"/></svg>`;
  return {
    svg,
    x: (left - room) * unit,
    y: (bottom - room) * unit,
    width: w * unit,
    metresPerPixel: (pixels) => (w * unit) / pixels,
  };
}
