import PDFDocument from 'pdfkit';
import type { Pen } from '../trace-path';
import { paintSheet } from './paint-sheet';
import { TO_BASELINE, type Painter, type PaperStyle, type Weight } from './painter';
import type { PaperSheet } from './sheet';
import { startOf } from './svg-file';
import type { TypeFamily } from './type-family';

/** Points of a PDF to a millimetre. */
export const POINTS = 72 / 25.4;

/** The library asks for a time, of which it makes the name of a file: this one is no time, and the file does not tell it. */
const NEVER = { getTime: () => 0, toISOString: () => '' } as never;

export type PdfDocument = PDFKit.PDFDocument;

/**
 * A PDF file to be written, and its bytes when it is ended. The letters that are used are in it, and no time: what is the same gives the same
 * bytes. `pages`: whether one comes back to pages that were written.
 */
export function newDocument(
  family: TypeFamily,
  title: string,
  pages: 'pages follow each other' | 'pages are finished at the end',
): { readonly document: PdfDocument; readonly whole: Promise<Uint8Array[]> } {
  const document = new PDFDocument({
    autoFirstPage: false,
    bufferPages: pages === 'pages are finished at the end',
    margin: 0,
    // None but the family's own.
    font: null as never,
    info: { Title: title, Creator: 'Rigid Beam', Producer: 'Rigid Beam', CreationDate: NEVER },
  });
  Object.defineProperty(document.info, 'CreationDate', { value: NEVER, enumerable: false });
  const parts: Uint8Array[] = [];
  const whole = new Promise<Uint8Array[]>((resolve, reject) => {
    document.on('data', (part: Uint8Array) => parts.push(part));
    document.on('end', () => resolve(parts));
    document.on('error', reject);
  });
  for (const weight of ['regular', 'strong'] as const)
    family.files[weight].forEach((file, i) => document.registerFont(fontName(weight, i), file as Buffer));
  return { document, whole };
}

/** Sheets as one PDF file, a page each: lines and letters. */
export function pdfFile(sheets: readonly PaperSheet[], family: TypeFamily, title: string): Promise<Uint8Array[]> {
  const { document, whole } = newDocument(family, title, 'pages follow each other');
  for (const sheet of sheets) {
    document.addPage({ size: [sheet.size.width * POINTS, sheet.size.height * POINTS], margin: 0 });
    document.scale(POINTS);
    document.lineJoin('round');
    paintSheet(sheet, pdfPainter(document, family), family.widthOf);
  }
  document.end();
  return whole;
}

const fontName = (weight: Weight, i: number): string => `${weight} ${i}`;

/** Puts lines and texts on the page at hand, in millimetres. */
export function pdfPainter(document: PdfDocument, family: TypeFamily): Painter {
  const pen: Pen = {
    moveTo: (x, y) => void document.moveTo(x, y),
    lineTo: (x, y) => void document.lineTo(x, y),
    closePath: () => void document.closePath(),
  };
  return {
    path: (trace, { stroke, fill, width, dash, opacity }: PaperStyle) => {
      if (stroke === undefined && fill === undefined) return;
      document.save();
      if (opacity !== undefined) document.opacity(opacity);
      if (width !== undefined) document.lineWidth(width);
      if (dash) document.dash([...dash] as never, {});
      trace(pen);
      if (stroke !== undefined && fill !== undefined) document.fillAndStroke(fill, stroke);
      else if (fill !== undefined) document.fill(fill);
      else document.stroke(stroke!);
      document.restore();
    },
    image: ({ image, x, y, width, height }) => void document.image(image, x, y, { width, height }),
    text: (text) => {
      const { size, weight, colour, angle, x, y } = text;
      document.save();
      if (angle !== undefined) document.rotate((angle * 180) / Math.PI, { origin: [x, y] });
      document.fillColor(colour).fontSize(size);
      let at = startOf(text, family);
      for (const { text: part, font, width } of family.runsOf(text.text, weight)) {
        document
          .font(fontName(weight, font))
          .text(part, at, y + TO_BASELINE * size, { lineBreak: false, baseline: 'alphabetic' });
        at += size * width;
      }
      document.restore();
    },
  };
}
