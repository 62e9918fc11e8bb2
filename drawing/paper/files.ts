import { dxfFile } from './dxf-file';
import { pdfFile } from './pdf-file';
import { dotsOf, MOST_DOTS, pngFile } from './png-file';
import type { PaperKind } from './asked';
import type { PaperSheet } from './sheet';
import { svgFile } from './svg-file';
import type { TypeFamily } from './type-family';
import { paperWords as WORDS } from './words';

/** What a file of sheets is written with. */
export interface WrittenWith {
  readonly family: TypeFamily;
  /** What the file is called. */
  readonly title: string;
  /** Of a picture, to an inch. */
  readonly dots: number;
  /** Makes ready what draws pictures (`initWasm`). */
  readonly ready: () => Promise<unknown>;
}

type Writer = (sheets: readonly PaperSheet[], at: number, how: WrittenWith) => Parts | string | Promise<Parts | string>;
type Parts = readonly (string | Uint8Array)[];

/** Each kind of file that sheets are put into: a PDF has all of them, others the one at a place. A new kind is entered here and in `paperKinds`. */
const WRITERS: Readonly<Record<PaperKind, { readonly mediaType: string; readonly write: Writer }>> = {
  pdf: { mediaType: 'application/pdf', write: (sheets, _, { family, title }) => pdfFile(sheets, family, title) },
  svg: { mediaType: 'image/svg+xml', write: (sheets, at, { family }) => [svgFile(sheets[at]!, family)] },
  png: {
    mediaType: 'image/png',
    write: async (sheets, at, { family, dots, ready }) => {
      if (dotsOf(sheets[at]!, dots) > MOST_DOTS) return WORDS.tooManyDots(MOST_DOTS / 1e6);
      await ready();
      return [pngFile(sheets[at]!, family, dots)];
    },
  },
  dxf: { mediaType: 'image/vnd.dxf', write: (sheets, at) => [dxfFile(sheets[at]!.figure)] },
};

/** Sheets as a file, in parts; or why it is not written, in words. */
export async function paperFile(
  kind: PaperKind,
  sheets: readonly PaperSheet[],
  at: number,
  how: WrittenWith,
): Promise<{ readonly mediaType: string; readonly parts: Parts } | string> {
  const { mediaType, write } = WRITERS[kind];
  const parts = await write(sheets, at, how);
  return typeof parts === 'string' ? parts : { mediaType, parts };
}
