import type { Painter, WidthOf } from './painter';
import type { Area } from './sizes';

/** A field of the title block: its name in small letters over what it says. */
export interface TitleField {
  readonly name: string;
  readonly text: string;
  /** Its share of the row. */
  readonly share: number;
}

/** ISO 7200: no title block is wider, millimetres. */
const WIDTH = 180;
const ROW = 9;
const NAME = 1.8;
const TEXT = 3;
const SMALLEST = 2;
const INSET = 1.5;

export const titleHeight = (rows: number): number => ROW * rows;

/** A line of text in a width: in smaller letters where it is too long, and cut where these are too. */
export function fitted(text: string, width: number, widthOf: WidthOf): { readonly text: string; readonly size: number } {
  const size = Math.max(SMALLEST, Math.min(TEXT, width / Math.max(widthOf(text, 'regular'), 1e-9)));
  if (size * widthOf(text, 'regular') <= width) return { text, size };
  const letters = [...text];
  while (letters.length > 0 && size * widthOf(`${letters.join('')}…`, 'regular') > width) letters.pop();
  return { text: `${letters.join('').trimEnd()}…`, size };
}

/** Draws the rows at the lower right corner of what the frame encloses. */
export function paintTitle(rows: readonly (readonly TitleField[])[], frame: Area, painter: Painter, widthOf: WidthOf): void {
  const width = Math.min(WIDTH, frame.width);
  const [left, right] = [frame.left + frame.width - width, frame.left + frame.width];
  const top = frame.top + frame.height - titleHeight(rows.length);
  const line = (x1: number, y1: number, x2: number, y2: number, thick: number): void =>
    painter.path(
      (pen) => {
        pen.moveTo(x1, y1);
        pen.lineTo(x2, y2);
      },
      { stroke: '#000000', width: thick },
    );
  line(left, top, left, frame.top + frame.height, HEAVY);
  rows.forEach((fields, r) => {
    const y = top + ROW * r;
    line(left, y, right, y, r === 0 ? HEAVY : FINE);
    const whole = fields.reduce((sum, { share }) => sum + share, 0);
    let x = left;
    fields.forEach(({ name, text, share }, i) => {
      const wide = (width * share) / whole;
      if (i > 0) line(x, y, x, y + ROW, FINE);
      const common = { x: x + INSET, at: 'start', weight: 'regular' } as const;
      painter.text({ ...common, text: name, y: y + 2.2, size: NAME, colour: '#555555' });
      const shown = fitted(text, wide - 2 * INSET, widthOf);
      if (text !== '') painter.text({ ...common, ...shown, y: y + 6, colour: '#000000' });
      x += wide;
    });
  });
}
/** Of lines around the block and within it, millimetres. */
const HEAVY = 0.5;
const FINE = 0.25;
