import type { Painter } from '../paper/painter';
import type { Size } from '../paper/sizes';

/** A picture that is painted as it is told, millimetres from its upper left corner: a section with its dimensions, diagrams over one axis. */
export interface Picture {
  readonly size: Size;
  readonly paint: (painter: Painter) => void;
}

/** The same painter with everything moved. */
export const moved = ({ path, text, image }: Painter, dx: number, dy: number): Painter => ({
  path: (trace, style) =>
    path(
      (pen) =>
        trace({
          moveTo: (x, y) => pen.moveTo(x + dx, y + dy),
          lineTo: (x, y) => pen.lineTo(x + dx, y + dy),
          closePath: () => pen.closePath(),
        }),
      style,
    ),
  text: (one) => text({ ...one, x: one.x + dx, y: one.y + dy }),
  image: (one) => image({ ...one, x: one.x + dx, y: one.y + dy }),
});

/** A line from place to place. */
export const line = (
  painter: Painter,
  points: readonly (readonly [x: number, y: number])[],
  style: Parameters<Painter['path']>[1],
): void => painter.path((pen) => points.forEach(([x, y], i) => (i === 0 ? pen.moveTo(x, y) : pen.lineTo(x, y))), style);
