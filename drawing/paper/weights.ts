/** ISO 128-2: the widths in which lines are drawn, millimetres. */
const WIDTHS = [0.13, 0.18, 0.25, 0.35, 0.5, 0.7, 1];

/** Millimetres on paper of what is a pixel on the screen: its letters of 12 are 2.6 mm high there, and as large as those of a book. */
export const PIXEL = 0.22;

/** The width of a line on paper that is so many pixels wide on the screen. What is wider than any line is an area, and keeps its measure. */
export function lineWidth(pixels: number): number {
  const width = pixels * PIXEL;
  if (width > WIDTHS.at(-1)!) return width;
  return WIDTHS.reduce((best, one) => (Math.abs(one - width) < Math.abs(best - width) ? one : best));
}
