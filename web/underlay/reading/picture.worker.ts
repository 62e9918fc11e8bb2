import { countMemory } from './counted-memory';
import { MOST_MEMORY, TooMuch, type AskedPicture, type LeftOut, type ReadPicture } from './picture';

// Reads one picture, away from the page, which ends it when it takes too long.

/** JPEG where PNG, which keeps lines sharp, gets larger than this. */
const LARGEST_PNG = 2_200_000;
const say = (found: ReadPicture): void => self.postMessage(found);

async function encoded(canvas: OffscreenCanvas, left: { left?: LeftOut } = {}): Promise<ReadPicture> {
  const { width, height } = canvas;
  const png = await canvas.convertToBlob({ type: 'image/png' });
  const picture = png.size < LARGEST_PNG ? png : await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.85 });
  return { status: 'read', picture, width, height, ...left };
}

async function read({ file, kind, page }: AskedPicture): Promise<ReadPicture> {
  if (kind === 'pixels') {
    const { drawPixels } = await import('./pixels');
    say({ status: 'begun' });
    return encoded(await drawPixels(file));
  }
  if (kind === 'svg') {
    const { svgReader, hasHtml } = await import('./svg');
    const draw = await svgReader();
    say({ status: 'begun' });
    return encoded(await draw(file), (await hasHtml(file)) ? { left: 'html' } : {});
  }
  const { drawPage, NoPage } = await import('./pdf');
  say({ status: 'begun' });
  countMemory(MOST_MEMORY, () => {
    // Whoever asks for it may take the failure for one of a part of the page, and go on without that part.
    say({ status: 'tooMuch' });
    throw new TooMuch();
  });
  try {
    const { canvas, ...left } = await drawPage(file, page);
    return await encoded(canvas, left);
  } catch (fault) {
    return fault instanceof NoPage ? { status: 'noPage', pages: fault.pages } : { status: 'damagedPdf' };
  }
}

self.addEventListener('message', ({ data }: MessageEvent<Partial<AskedPicture>>) => {
  if (data.file && data.kind)
    void read(data as AskedPicture)
      .catch((fault: unknown): ReadPicture => ({
        status: fault instanceof TooMuch ? 'tooMuch' : 'damaged',
      }))
      .then(say);
});
