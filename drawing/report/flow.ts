import type { Weight, WidthOf } from '../paper/painter';

/** Measures of a page of a report, millimetres: A4 upright (ISO 216), with a margin to file it by. */
export const PAGE = { width: 210, height: 297, left: 25, right: 15, top: 24, bottom: 20 } as const;
export const WIDE = PAGE.width - PAGE.left - PAGE.right;
export const LOWEST = PAGE.height - PAGE.bottom;

/** A line of which its words fill no more than this surely is not too long. */
const SURELY = 0.96;

/** Letters that no line has. */
const LETTERS = 600;

/** A text in lines that are no wider than `width`; a word that is too long is broken. */
export function linesOf(
  text: string,
  width: number,
  size: number,
  widthOf: WidthOf,
  weight: Weight = 'regular',
): readonly string[] {
  const exactly = (line: string): number => size * widthOf(line, weight);
  const space = exactly(' ');
  const lines: string[] = [];
  let [line, long] = ['', 0];
  for (const word of text.split(' ')) {
    const own = word.length > LETTERS ? Infinity : exactly(word);
    const longer = line === '' ? word : `${line} ${word}`;
    // What the words add up to tells, but near the edge, where letters that move towards each other count.
    const sum = line === '' ? own : long + space + own;
    if (sum <= SURELY * width || (sum < 2 * width && exactly(longer) <= width)) {
      [line, long] = [longer, sum];
      continue;
    }
    if (line !== '') lines.push(line);
    line = word;
    while (line.length > 1 && (line.length > LETTERS || exactly(line) > width)) {
      let [fits, tooMany] = [1, Math.min(line.length, LETTERS) + 1];
      while (tooMany - fits > 1) {
        const middle = Math.floor((fits + tooMany) / 2);
        if (exactly(line.slice(0, middle)) <= width) fits = middle;
        else tooMany = middle;
      }
      lines.push(line.slice(0, fits));
      line = line.slice(fits);
    }
    long = exactly(line);
  }
  return [...lines, line];
}

/** Millimetres between the columns of a table. */
const GAP = 3;
/** No column is narrower, however many there are. */
const NARROWEST = 8;

/**
 * How wide the columns of a table are: what each asks for where that fits, else those that are wide give way. `asked`: the width of the
 * widest text of each.
 */
export function columnWidths(asked: readonly number[], width: number): readonly number[] {
  const room = width - GAP * (asked.length - 1);
  const widths = asked.map((one) => Math.max(one, NARROWEST));
  let total = widths.reduce((sum, one) => sum + one, 0);
  for (let step = 0; total > room && step < asked.length; step++) {
    // The widest give up down to the next, or as much as is missing.
    const most = Math.max(...widths);
    const wide = widths.flatMap((one, i) => (one > most - 1e-9 ? [i] : []));
    const next = Math.max(NARROWEST, ...widths.filter((one) => one < most - 1e-9));
    const to = Math.max(next, most - (total - room) / wide.length);
    for (const i of wide) widths[i] = to;
    total = widths.reduce((sum, one) => sum + one, 0);
  }
  return widths;
}

export const columnGap = GAP;
