import type { OutlineCorner } from '@rigid-beam/core/shapes/shape';
import { parseQuantity } from '@rigid-beam/core/quantities/parse';
import { inUnit, showNumber } from '@rigid-beam/core/quantities/show';
import { parts as WORDS } from './words';

export interface Outline {
  readonly outline: readonly OutlineCorner[];
  readonly holes?: readonly (readonly OutlineCorner[])[];
}

/** Lines of corners as text: right, up and radius in a unit, one corner to a line, a blank line before each hole. */
export const cornersText = ({ outline, holes = [] }: Outline, unit: string): string =>
  [outline, ...holes]
    .map((line) =>
      line.map((corner) => corner.map((value) => showNumber(inUnit(value, unit), 7).replace('−', '-')).join('  ')).join('\n'),
    )
    .join('\n\n');

/** What such a text means, numbers parted by spaces, tabs or semicolons; or why it means nothing. */
export function readCornersText(
  text: string,
  unit: string,
): { readonly ok: true; readonly lines: Outline } | { readonly ok: false; readonly words: string } {
  // oxfmt-ignore
  const loops: OutlineCorner[][] = [[]];
  for (const [i, line] of text.split(/\r?\n/).entries()) {
    if (line.trim() === '') {
      if (loops.at(-1)!.length > 0) loops.push([]);
      continue;
    }
    const corner: number[] = [];
    // A unit goes with the number before it; by itself it would be read as one of it.
    const joined = line.trim().replace(/([\d.])[ \t]+(?=[a-z])/gi, '$1');
    for (const piece of joined.split(/[\s;]+/)) {
      const read = parseQuantity(piece, 'length', unit);
      if (!read.ok) return { ok: false, words: WORDS.cornersWrong(i + 1, read.reason) };
      corner.push(read.value);
    }
    if (corner.length < 2 || corner.length > 3) return { ok: false, words: WORDS.cornersWrong(i + 1, WORDS.cornersNumbers) };
    if ((corner[2] ?? 0) < 0) return { ok: false, words: WORDS.cornersWrong(i + 1, WORDS.cornersRadius) };
    loops.at(-1)!.push(corner);
  }
  if (loops.at(-1)!.length === 0) loops.pop();
  const [outline, ...holes] = loops;
  if (!outline || loops.some((loop) => loop.length < 3)) return { ok: false, words: WORDS.cornersThree };
  return { ok: true, lines: { outline, ...(holes.length > 0 && { holes }) } };
}
