/** Pixels of the longer side at most: enough to trace on, and small enough to be stored with the model. */
export const LARGEST = 2600;
/** Bytes that the work of reading a picture may take. */
export const MOST_MEMORY = 300e6;

/** What is asked of the worker that reads pictures. */
export interface AskedPicture {
  readonly file: Blob;
  readonly kind: 'pdf' | 'svg' | 'pixels';
  readonly page: number;
}

/** What is not drawn: text in HTML within an SVG, masks of a PDF. */
export type LeftOut = 'html' | 'masks';

/** What it found: the picture, or the name of the words that say why there is none; it has begun once all that reads is loaded. */
export type ReadPicture =
  | { readonly status: 'begun' }
  | { readonly status: 'read'; readonly picture: Blob; readonly width: number; readonly height: number; readonly left?: LeftOut }
  | { readonly status: 'damaged' | 'damagedPdf' | 'tooMuch' }
  | { readonly status: 'noPage'; readonly pages: number };

/** Reading has taken too much memory. */
export class TooMuch extends Error {}

/** Paper is white where the picture is not. */
export function blank(width: number, height: number): OffscreenCanvas {
  const canvas = new OffscreenCanvas(Math.max(1, Math.round(width)), Math.max(1, Math.round(height)));
  const context = canvas.getContext('2d')!;
  context.fillStyle = 'white';
  context.fillRect(0, 0, canvas.width, canvas.height);
  return canvas;
}
