import type { Ink } from '../display-list';
import { inks } from '../inks';
import { pathRuns } from '../path-runs';
import { TEXT_HEIGHT } from '../place-labels';
import { tracePath, type Pen } from '../trace-path';
import type { Painter, WidthOf } from './painter';
import { weightOf, type Figure } from './figure';
import type { PaperSheet } from './sheet';
import type { Area } from './sizes';
import { paintTitle } from './title-block';
import { lineWidth, PIXEL } from './weights';

/** Which colour an ink has on paper. Without colours only what is a hint stays grey. */
export const colourOf = (ink: Ink, { inks: way }: Pick<Figure, 'inks'>): string => {
  if (way === 'colour' || GREY.has(ink)) return inks.print[ink];
  return '#000000';
};
const GREY: ReadonlySet<Ink> = new Set<Ink>(['paper', 'grid', 'gridStrong', 'faint']);

/** Puts a sheet on paper: the drawing, then its frame and title block. */
export function paintSheet({ figure, frame, rows }: PaperSheet, painter: Painter, widthOf: WidthOf): void {
  paintFigure(figure, { x: frame.left, y: frame.top }, painter);
  painter.path((pen) => box(pen, frame), { stroke: '#000000', width: FRAME });
  paintTitle(rows, frame, painter, widthOf);
}

/** Puts a figure on paper with its upper left corner at a place, millimetres. */
export function paintFigure(figure: Figure, corner: { readonly x: number; readonly y: number }, painter: Painter): void {
  const { list, camera, placed } = figure;
  const x = (pixels: number): number => corner.x + PIXEL * pixels;
  const y = (pixels: number): number => corner.y + PIXEL * pixels;
  for (const run of pathRuns(list)) {
    const { stroke, width, dash, fill, opacity } = run[0]!;
    painter.path(
      (pen) => {
        const inMm: Pen = {
          moveTo: (px, py) => pen.moveTo(x(px), y(py)),
          lineTo: (px, py) => pen.lineTo(x(px), y(py)),
          closePath: () => pen.closePath(),
        };
        for (const one of run) tracePath(one, camera, inMm);
      },
      {
        ...(stroke && { stroke: colourOf(stroke, figure), width: lineWidth(width ?? 1) }),
        ...(dash && dash.length > 0 && { dash: dash.map((pixels) => PIXEL * pixels) }),
        ...(fill && { fill: colourOf(fill, figure) }),
        ...(opacity !== undefined && { opacity }),
      },
    );
  }
  for (const { label, left, top, width, height, angle, leader } of placed) {
    const colour = colourOf(label.ink, figure);
    if (leader)
      painter.path(
        (pen) => {
          pen.moveTo(x(leader[0]), y(leader[1]));
          pen.lineTo(x(leader[2]), y(leader[3]));
        },
        { stroke: colour, width: lineWidth(0.8), opacity: 0.6 },
      );
    const middle = { x: x(left + width / 2), y: y(top + height / 2) };
    painter.path((pen) => veil(pen, middle, PIXEL * (width + 2), PIXEL * (height - 2), angle), {
      fill: colourOf('paper', figure),
      opacity: VEIL,
    });
    painter.text({
      ...middle,
      text: label.text,
      size: PIXEL * TEXT_HEIGHT[label.role],
      weight: weightOf(label.role),
      colour,
      at: 'middle',
      ...(angle !== 0 && { angle }),
    });
  }
}

/** ISO 5457: the line of the frame, millimetres. */
const FRAME = 0.7;
/** A veil of paper keeps a text legible where light lines run behind it. */
const VEIL = 0.78;

function box(pen: Pen, { left, top, width, height }: Area): void {
  pen.moveTo(left, top);
  pen.lineTo(left + width, top);
  pen.lineTo(left + width, top + height);
  pen.lineTo(left, top + height);
  pen.closePath();
}

/** A rectangle about a point, turned by an angle. */
function veil(
  pen: Pen,
  { x, y }: { readonly x: number; readonly y: number },
  width: number,
  height: number,
  angle: number,
): void {
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  const corners = [[-1, -1], [1, -1], [1, 1], [-1, 1]] as const; // oxfmt-ignore
  corners.forEach(([right, down], i) => {
    const [dx, dy] = [(right * width) / 2, (down * height) / 2];
    const at = [x + c * dx - s * dy, y + s * dx + c * dy] as const;
    if (i === 0) pen.moveTo(...at);
    else pen.lineTo(...at);
  });
  pen.closePath();
}
