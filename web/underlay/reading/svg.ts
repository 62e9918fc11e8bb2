import { initWasm, Resvg } from '@resvg/resvg-wasm';
import { limitedMemory } from './limited-memory';
import { blank, LARGEST, MOST_MEMORY, TooMuch } from './picture';

const fetched = async (address: URL): Promise<Uint8Array> => new Uint8Array(await (await fetch(address)).arrayBuffer());

/** Loads what draws SVG files, and letters for their text: they come with the application. */
export async function svgReader(): Promise<(file: Blob) => Promise<OffscreenCanvas>> {
  const [module, letters] = await Promise.all([
    fetched(new URL('@resvg/resvg-wasm/index_bg.wasm', import.meta.url)),
    fetched(new URL('dejavu-fonts-ttf/ttf/DejaVuSans.ttf', import.meta.url)),
  ]);
  await initWasm(limitedMemory(module, MOST_MEMORY));
  const font = { fontBuffers: [letters], defaultFontFamily: 'DejaVu Sans' };
  const read = (text: string, mode: 'width' | 'height'): InstanceType<typeof Resvg> =>
    new Resvg(text, { fitTo: { mode, value: LARGEST }, background: 'white', font });
  return async (file) => {
    const text = await file.text();
    try {
      const wide = read(text, 'width');
      const drawn = (wide.width >= wide.height ? wide : read(text, 'height')).render();
      const canvas = blank(drawn.width, drawn.height);
      const pixels = new ImageData(new Uint8ClampedArray(drawn.pixels), drawn.width, drawn.height);
      canvas.getContext('2d')!.putImageData(pixels, 0, 0);
      return canvas;
    } catch (fault) {
      throw isUsedUp(fault) ? new TooMuch() : fault;
    }
  };
}

/** How it ends when its memory is used up, or when a drawing repeats itself too often. */
const isUsedUp = (fault: unknown): boolean => fault instanceof WebAssembly.RuntimeError || /nodes limit/.test(String(fault));

/** Whether it has text in HTML, which is not drawn. */
export const hasHtml = async (file: Blob): Promise<boolean> => /<(\w+:)?foreignObject\b/.test(await file.text());
