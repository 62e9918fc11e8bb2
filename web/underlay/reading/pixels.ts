import { imageSize } from 'image-size';
import { blank, LARGEST, MOST_MEMORY, TooMuch } from './picture';

/** Bytes of a pixel, once it is read. */
const BYTES = 4;

/** Draws a PNG or JPEG file. Its size is known from its head before its pixels are read. */
export async function drawPixels(file: Blob): Promise<OffscreenCanvas> {
  const { width, height } = imageSize(new Uint8Array(await file.arrayBuffer()));
  if (!(width > 0) || !(height > 0)) throw new Error('It has no size');
  if (width * height * BYTES > MOST_MEMORY) throw new TooMuch();
  const image = await createImageBitmap(file);
  const scale = Math.min(1, LARGEST / Math.max(image.width, image.height));
  const canvas = blank(image.width * scale, image.height * scale);
  canvas.getContext('2d')!.drawImage(image, 0, 0, canvas.width, canvas.height);
  return canvas;
}
