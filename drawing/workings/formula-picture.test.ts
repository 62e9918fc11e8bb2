import { expect, test } from '@jest/globals';
import { chainFormulas, classicFormulas, fixedEndFormulas, formulas } from '@rigid-beam/core/workings/words';
import type { Painter } from '../paper/painter';
import { formulaPicture } from './formula-picture';

const all = [formulas, fixedEndFormulas, chainFormulas, classicFormulas].flatMap((table) => Object.values(table));

/** Corners of what is painted, outline by outline. */
function painted(tex: string, widest = 170): { outlines: [number, number][][]; size: { width: number; height: number } } {
  const picture = formulaPicture(tex, 3.4, widest, '#000000')!;
  const outlines: [number, number][][] = [];
  const pen = {
    moveTo: (x: number, y: number) => void outlines.push([[x, y]]),
    lineTo: (x: number, y: number) => void outlines.at(-1)!.push([x, y]),
    closePath: () => undefined,
  };
  const painter: Pick<Painter, 'path'> = { path: (trace) => trace(pen as never) };
  picture.paint(painter as Painter);
  return { outlines, size: picture.size };
}

test.each(all.map(({ tex, plain }) => [plain, tex]))('%s stands in type, within its size', (_, tex) => {
  const { outlines, size } = painted(tex);
  expect(outlines.length).toBeGreaterThan(0);
  const slack = 0.6;
  for (const [x, y] of outlines.flat()) {
    expect(x).toBeGreaterThan(-slack);
    expect(x).toBeLessThan(size.width + slack);
    expect(y).toBeGreaterThan(-slack);
    expect(y).toBeLessThan(size.height + slack);
  }
});

test('a fraction has a bar between its halves; what is too wide is made smaller; what is not known is none', () => {
  const { outlines, size } = painted(fixedEndFormulas.axial.tex);
  const bars = outlines.filter((one) => one.length === 4 && one[0]![1] === one[1]![1] && one[1]![0] - one[0]![0] > 1);
  expect(bars).toHaveLength(2);
  const small = painted(fixedEndFormulas.axial.tex, size.width / 2);
  expect(small.size.width).toBeCloseTo(size.width / 2, 9);
  expect(small.size.height).toBeCloseTo(size.height / 2, 9);
  expect(formulaPicture('x^9', 3, 100, '#000000')).toBeUndefined();
});
