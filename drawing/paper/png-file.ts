import { Resvg } from '@resvg/resvg-wasm';
import type { PaperSheet } from './sheet';
import { svgFile } from './svg-file';
import type { TypeFamily } from './type-family';

/** Dots that a picture may have: what is larger is no picture any more, and takes more memory than there is. */
export const MOST_DOTS = 40e6;
const INCH = 25.4;

/** How many dots a picture has at so many to an inch. */
export const dotsOf = ({ size }: PaperSheet, perInch: number): number =>
  Math.round((size.width / INCH) * perInch) * Math.ceil((size.height / INCH) * perInch);

/** A sheet as a PNG file, with so many dots to an inch. What draws it (`initWasm`) is to be ready. */
export function pngFile(sheet: PaperSheet, family: TypeFamily, perInch: number): Uint8Array {
  const width = Math.round((sheet.size.width / INCH) * perInch);
  // Letters as outlines: what draws it brings none.
  const picture = new Resvg(svgFile(sheet, family, 'outlines'), { fitTo: { mode: 'width', value: width } });
  return picture.render().asPng();
}
