import type { Shape } from '@rigid-beam/core/shapes/shape';
import { centroidOf } from '@rigid-beam/core/sections/centroid';
import { outlineLoops } from '@rigid-beam/core/sections/outline';
import type { DisplayUnits } from '@rigid-beam/core/quantities/display';
import { inUnit, showNumber } from '@rigid-beam/core/quantities/show';
import { DIMENSION_SYMBOLS } from '@rigid-beam/core/shapes/dimension-symbols';
import { dimensionsOf, kindOf } from '@rigid-beam/core/shapes/dimensions';
import type { PaperInks } from '../paper/asked';
import { colourOf } from '../paper/paint-sheet';
import type { Painter } from '../paper/painter';
import { line, type Picture } from './picture';

/** Millimetres: the picture, and what is left around the shape for its dimensions. */
const WIDTH = 66;
const HEIGHT = 46;
const ROOM = { left: 14, right: 26, top: 5, bottom: 8 };
const LETTERS = 2.5;
const LINE = 0.18;
const TICK = 0.9;

/** A shape drawn as it is built, with its dimensions and its centroid; nothing where it has no outline. */
export function sectionPicture(shape: Shape, display: DisplayUnits, inks: PaperInks): Picture | undefined {
  const loops = outlineLoops(shape);
  const points = loops.flatMap((loop) =>
    Array.from({ length: loop.length / 2 }, (_, i) => [loop[2 * i]!, loop[2 * i + 1]!] as const),
  );
  if (points.length === 0) return undefined;
  const [zs, ys] = [points.map(([z]) => z), points.map(([, y]) => y)];
  const [left, right, low, high] = [Math.min(...zs), Math.max(...zs), Math.min(...ys), Math.max(...ys)];
  const room = { width: WIDTH - ROOM.left - ROOM.right, height: HEIGHT - ROOM.top - ROOM.bottom };
  const scale = Math.min(room.width / (right - left), room.height / (high - low));
  const x = (z: number): number => ROOM.left + room.width / 2 + (z - (left + right) / 2) * scale;
  const y = (up: number): number => ROOM.top + room.height / 2 - (up - (low + high) / 2) * scale;
  const colour = colourOf('dimension', { inks });
  const places =
    kindOf(shape)
      ?.places(dimensionsOf(shape))
      .filter(({ key }) => shape[key] !== undefined) ?? [];
  const beside = places.filter(({ side }) => side === 'right');
  const words = (key: (typeof places)[number]['key']): string => {
    const value = key === 'slope' ? shape[key]! : inUnit(shape[key]!, display.deflection);
    return `${DIMENSION_SYMBOLS[key]} ${showNumber(value)}`;
  };
  const paint = (painter: Painter): void => {
    painter.path(
      (pen) => {
        for (const loop of loops) {
          for (let i = 0; i < loop.length; i += 2) (i === 0 ? pen.moveTo : pen.lineTo)(x(loop[i]!), y(loop[i + 1]!));
          pen.closePath();
        }
      },
      { fill: colourOf('faint', { inks }), stroke: colourOf('member', { inks }), width: 0.25 },
    );
    const { y: cy, z: cz } = centroidOf(shape);
    line(painter, [[x(cz) - 2, y(cy)], [x(cz) + 2, y(cy)]], { stroke: colour, width: LINE }); // oxfmt-ignore
    line(painter, [[x(cz), y(cy) - 2], [x(cz), y(cy) + 2]], { stroke: colour, width: LINE }); // oxfmt-ignore
    const tick = (px: number, py: number): void =>
      line(painter, [[px - TICK, py + TICK], [px + TICK, py - TICK]], { stroke: colour, width: LINE }); // oxfmt-ignore
    const text = (said: string, px: number, py: number, more: { at: 'start' | 'middle'; angle?: number }): void =>
      painter.text({ text: said, x: px, y: py, size: LETTERS, weight: 'regular', colour: '#000000', ...more });
    for (const { key, side, at } of places) {
      if (side === 'left') {
        const px = x(left) - 3;
        line(painter, [[px, y(high)], [px, y(low)]], { stroke: colour, width: LINE }); // oxfmt-ignore
        tick(px, y(high));
        tick(px, y(low));
        text(words(key), px - 2, (y(high) + y(low)) / 2, { at: 'middle', angle: -Math.PI / 2 });
      } else if (side === 'right' && at) {
        const row = beside.findIndex((one) => one.key === key);
        const py = ((row + 0.5) * HEIGHT) / beside.length;
        line(painter, [[x(at[0]), y(at[1])], [WIDTH - ROOM.right + 8, py], [WIDTH - ROOM.right + 10, py]], { stroke: colour, width: LINE }); // oxfmt-ignore
        text(words(key), WIDTH - ROOM.right + 11, py, { at: 'start' });
      } else {
        const py = side === 'top' ? y(high) - 2 : y(low) + 2.5;
        line(painter, [[x(left), py], [x(right), py]], { stroke: colour, width: LINE }); // oxfmt-ignore
        tick(x(left), py);
        tick(x(right), py);
        text(words(key), (x(left) + x(right)) / 2, side === 'top' ? py - 2 : py + 2.4, { at: 'middle' });
      }
    }
  };
  return { size: { width: WIDTH, height: HEIGHT }, paint };
}
