import { initWasm, Resvg } from '@resvg/resvg-wasm';
import { limitedMemory } from './limited-memory';
import { blank, LARGEST, MOST_MEMORY } from './picture';

const fetched = async (address: URL): Promise<Uint8Array> => new Uint8Array(await (await fetch(address)).arrayBuffer());

/** Loads what draws SVG files, and letters for their text: they come with the application. */
export async function svgReader(): Promise<(file: Blob) => Promise<OffscreenCanvas>> {
  const [module, letters] = await Promise.all([
    fetched(new URL('@resvg/resvg-wasm/index_bg.wasm', import.meta.url)),
    fetched(new URL('dejavu-fonts-ttf/ttf/DejaVuSans.ttf', import.meta.url)),
  ]);
  await initWasm(limitedMemory(module, MOST_MEMORY));
  return async (file) => {
    const text = await file.text();
    const whole = new Resvg(text);
    const mode = whole.width >= whole.height ? 'width' : 'height';
    whole.free();
    const font = { fontBuffers: [letters], defaultFontFamily: 'DejaVu Sans' };
    const drawn = new Resvg(text, { fitTo: { mode, value: LARGEST }, background: 'white', font }).render();
    const canvas = blank(drawn.width, drawn.height);
    const pixels = new ImageData(new Uint8ClampedArray(drawn.pixels), drawn.width, drawn.height);
    canvas.getContext('2d')!.putImageData(pixels, 0, 0);
    return canvas;
  };
}

/** Whether it has text in HTML, which is not drawn. */
export const hasHtml = async (file: Blob): Promise<boolean> => /<(\w+:)?foreignObject\b/.test(await file.text());
