import { writeFile } from 'node:fs/promises';
import { isRefusal } from '@rigid-beam/core/formats/made-file';
import { drawingFile } from '@rigid-beam/drawing/files/drawing-file';
import type { Tools } from '@rigid-beam/drawing/files/tools';
import { paperKinds, saidOf, type Said } from '@rigid-beam/drawing/paper/asked';
import type { Paper, PaperWay } from '@rigid-beam/drawing/paper/sizes';
import type { Look } from '@rigid-beam/drawing/projection';
import { initWasm } from '@resvg/resvg-wasm';
import { exitCodes } from './exit-codes';
import { readFamily, readPackaged } from './family';
import { printNotices, readInput } from './input';
import { refused } from './refused';

export interface DrawOptions extends Said {
  readonly case?: string;
  readonly quantity: string;
  readonly look: Look;
  readonly paper: Paper;
  readonly way: PaperWay;
  readonly scale?: string;
  readonly black?: true;
  readonly dots: number;
  readonly output: string;
}

const readyForPictures = async (): Promise<void> => initWasm(await readPackaged('@resvg/resvg-wasm/index_bg.wasm'));

/** What drawings are made with here. */
export const tools: Tools = { family: readFamily, ready: readyForPictures };

/** Draws a model or its results on paper, to scale: of several cases or quantities a sheet each, as the pages of a PDF. */
export async function draw(file: string, options: DrawOptions): Promise<number> {
  const { case: cases, quantity: quantities, black, output, look, paper, way, scale, dots } = options;
  const kind = paperKinds.find((one) => output.toLowerCase().endsWith(`.${one}`));
  if (!kind) return refused({ words: `“${output}” is no drawing: name it .pdf, .svg, .png or .dxf.` });
  const { model, notices } = await readInput(file);
  printNotices(notices);
  if (!model) return exitCodes.invalid;
  try {
    const asked = { kind, quantities, cases, look, paper, way, scale, dots, said: saidOf(options) };
    const made = await drawingFile(model, { ...asked, inks: black ? 'black' : 'colour' }, tools);
    if (isRefusal(made)) return refused(made);
    for (const note of made.notes) console.error(`Note: ${note}`);
    await writeFile(output, made.parts);
  } catch (error) {
    return refused({ words: `The drawing could not be written: ${(error as Error).message}.` });
  }
  return 0;
}
