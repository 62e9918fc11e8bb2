import { once } from '@rigid-beam/core/once';
import type { Picture } from '../report/picture';
import outlines from './formula-outlines.json';

interface Letter {
  readonly outline: readonly Float64Array[];
  readonly x: number;
  readonly y: number;
  readonly scale: number;
}

/** A formula in type, in thousandths of the height of its letters from where its first one stands, y up. */
interface Typeset {
  readonly width: number;
  readonly above: number;
  readonly below: number;
  readonly letters: readonly Letter[];
  readonly bars: readonly (readonly number[])[];
}

const numbers = (text: string): number[] => (text === '' ? [] : text.split(' ').map(Number));
const parts = (text: string): string[] => (text === '' ? [] : text.split('|'));

const glyphs = once((all: readonly string[]) => all.map((one) => parts(one).map((line) => Float64Array.from(numbers(line)))));

function typeset(tex: string): Typeset | undefined {
  const set = (outlines.formulas as { readonly [tex: string]: { size: string; letters: string; bars: string } })[tex];
  if (!set) return undefined;
  const [width = 0, above = 0, below = 0] = numbers(set.size);
  const letters = parts(set.letters).map((text): Letter => {
    const [glyph = 0, x = 0, y = 0, scale = 1] = numbers(text);
    return { outline: glyphs(outlines.glyphs)[glyph]!, x, y, scale };
  });
  return { width, above, below, letters, bars: parts(set.bars).map(numbers) };
}

/**
 * A formula of the workings as a picture, its letters so many millimetres high; smaller where it would be wider than `widest`. Its outlines are kept beside
 * this file (`scripts/build-formulas.mjs`); undefined of a formula that is not among them.
 */
export function formulaPicture(tex: string, height: number, widest: number, colour: string): Picture | undefined {
  const set = typeset(tex);
  if (!set) return undefined;
  const unit = Math.min(height / 1000, widest / set.width);
  return {
    size: { width: unit * set.width, height: unit * (set.above + set.below) },
    paint: ({ path }) =>
      path(
        (pen) => {
          for (const { outline, x, y, scale } of set.letters)
            for (const line of outline) {
              for (let i = 0; i < line.length; i += 2) {
                const [px, py] = [unit * (x + scale * line[i]!), unit * (set.above - y - scale * line[i + 1]!)];
                if (i === 0) pen.moveTo(px, py);
                else pen.lineTo(px, py);
              }
              pen.closePath();
            }
          for (const [x = 0, y = 0, wide = 0, high = 0] of set.bars) {
            const [left, right] = [unit * x, unit * (x + wide)];
            const [upper, lower] = [unit * (set.above - y - high), unit * (set.above - y)];
            pen.moveTo(left, upper);
            pen.lineTo(right, upper);
            pen.lineTo(right, lower);
            pen.lineTo(left, lower);
            pen.closePath();
          }
        },
        { fill: colour },
      ),
  };
}
