import { initWasm } from '@resvg/resvg-wasm';
import type { Model } from '@rigid-beam/core/model/model';
import type { Solution } from '@rigid-beam/core/results/results';
import { paperFile } from '@rigid-beam/drawing/paper/files';
import { sheetsOf } from '@rigid-beam/drawing/paper/sheets';
import { viewOfSubject } from '@rigid-beam/drawing/paper/subjects';
import { svgFile } from '@rigid-beam/drawing/paper/svg-file';
import type { View } from '@rigid-beam/drawing/view';
import type { PaperAsked, PaperFound } from './asked';
import { fetched, shippedFamily } from './family';

let isReady = false;
async function readyForPictures(): Promise<void> {
  if (isReady) return;
  await initWasm(await fetched(new URL('@resvg/resvg-wasm/index_bg.wasm', import.meta.url)));
  isReady = true;
}

/** A model on paper as it is asked for, or why it is not. */
export async function onPaper(model: Model, solution: Solution | undefined, wanted: PaperAsked): Promise<PaperFound> {
  const { sheets: asked, projection, as, dots } = wanted;
  const family = await shippedFamily();
  const views: View[] = [];
  for (const one of asked) {
    const view = one.is === 'view' ? one.view : viewOfSubject(model, solution, { ...one, projection });
    if (typeof view === 'string') return { refused: view };
    views.push(view);
  }
  const sheets = sheetsOf(model, solution, views, wanted.asked, family.widthOf);
  if (typeof sheets === 'string') return { refused: sheets };
  const at = Math.min(wanted.at, sheets.length - 1);
  const { ratio, leftOut } = sheets[at]!.figure;
  // A picture in a page has no letters of its own.
  const made =
    as === 'preview'
      ? { mediaType: 'image/svg+xml', parts: [svgFile(sheets[at]!, family, 'outlines')] }
      : await paperFile(as, sheets, at, { family, title: model.title, dots, ready: readyForPictures });
  if (typeof made === 'string') return { refused: made };
  return { content: new Blob(made.parts as BlobPart[], { type: made.mediaType }), ratio, leftOut };
}
