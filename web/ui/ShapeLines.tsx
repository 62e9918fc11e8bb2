import type { Loop } from '@rigid-beam/core/sections/path';

/** Closed lines as an SVG path, each point placed by `x` and `y`. */
export const pathOf = (loops: readonly Loop[], x: (z: number) => number, y: (up: number) => number): string =>
  loops
    .map((loop) => {
      const points = Array.from(
        { length: loop.length / 2 },
        (_, i) => `${x(loop[2 * i]!).toFixed(2)} ${y(loop[2 * i + 1]!).toFixed(2)}`,
      );
      return `M${points.join('L')}Z`;
    })
    .join('');

/** A distance to be dimensioned, level or upright, in pixels. */
export interface Span {
  readonly from: readonly [x: number, y: number];
  readonly to: readonly [x: number, y: number];
  readonly text: string;
}

/** A dimension line with its ticks and its text, upright ones read from the right. */
export function DimensionLine({ from, to, text }: Span) {
  const isUpright = from[0] === to[0];
  const [x, y] = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2];
  const tick = ([tx, ty]: readonly [number, number]): string => `M${tx - 3} ${ty + 3}L${tx + 3} ${ty - 3}`;
  return (
    <g stroke="currentColor" strokeWidth={0.8}>
      <path d={`M${from.join(' ')}L${to.join(' ')}${tick(from)}${tick(to)}`} fill="none" />
      <text
        stroke="none"
        textAnchor="middle"
        {...(isUpright ? { transform: `translate(${x - 4} ${y}) rotate(-90)` } : { x, y: y - 4 })}
      >
        {text}
      </text>
    </g>
  );
}
