import * as reader from 'pdfjs-dist';
// Beside the page it would run in a worker of its own. Here it is in one already, and ends with it.
import 'pdfjs-dist/build/pdf.worker.mjs';
import { blank, LARGEST } from './picture';

/** The page that was asked for does not exist. */
export class NoPage extends Error {
  constructor(readonly pages: number) {
    super(`There are ${pages} pages.`);
  }
}

interface Drawn {
  canvas: OffscreenCanvas | null;
  context: OffscreenCanvasRenderingContext2D | null;
}

/** Canvases where there is no page to make them. */
class Canvases {
  create(width: number, height: number): Drawn {
    const canvas = new OffscreenCanvas(width, height);
    return { canvas, context: canvas.getContext('2d') };
  }
  reset({ canvas }: Drawn, width: number, height: number): void {
    Object.assign(canvas!, { width, height });
  }
  destroy(drawn: Drawn): void {
    Object.assign(drawn, { canvas: null, context: null });
  }
}

let wantedFilter = false;
const filter = (): string => {
  wantedFilter = true;
  return 'none';
};

/** Filters belong to a page: what a mask of them would hide is drawn, and that is told. */
class NoFilters {
  addFilter = (maps?: unknown): string => (maps ? filter() : 'none');
  addHCMFilter = filter;
  addAlphaFilter = filter;
  addLuminosityFilter = filter;
  addHighlightHCMFilter = filter;
  destroy(): void {
    // There is nothing to take away.
  }
}

/** Draws a page of a PDF, and tells whether masks were left out. */
export async function drawPage(file: Blob, number: number): Promise<{ canvas: OffscreenCanvas; left?: 'masks' }> {
  // Of a page only its fonts are needed: those that the file brings along are added to them, for the others the system's stand in.
  const ownerDocument = { fonts: (self as unknown as { fonts: FontFaceSet }).fonts } as unknown as HTMLDocument;
  const given = { CanvasFactory: Canvases, FilterFactory: NoFilters, ownerDocument, useWorkerFetch: false };
  const data = await file.arrayBuffer();
  const document = await reader.getDocument({ data, ...given, isEvalSupported: false, useSystemFonts: false }).promise;
  if (number < 1 || number > document.numPages) throw new NoPage(document.numPages);
  const page = await document.getPage(number);
  const size = page.getViewport({ scale: 1 });
  const viewport = page.getViewport({ scale: LARGEST / Math.max(size.width, size.height) });
  const canvas = blank(viewport.width, viewport.height);
  const canvasContext = canvas.getContext('2d') as unknown as CanvasRenderingContext2D;
  await page.render({ canvasContext, viewport }).promise;
  return { canvas, ...(wantedFilter && { left: 'masks' }) };
}
