import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';

/** What a reader finds on a page of a PDF: points. */
export interface PdfPage {
  readonly size: readonly number[];
  readonly texts: readonly { readonly text: string; readonly x: number; readonly y: number }[];
  readonly paths: readonly (readonly number[])[];
}

/** The pages of a PDF file, read by a standard reader. */
export function pagesOf(bytes: Uint8Array): PdfPage[] {
  const folder = mkdtempSync(path.join(tmpdir(), 'rigid-beam-pdf-'));
  const file = path.join(folder, 'file.pdf');
  writeFileSync(file, bytes);
  const reader = path.join(__dirname, '../../scripts/read-pdf.mjs');
  const read = execFileSync('node', [reader, file], { encoding: 'utf8', maxBuffer: 1 << 28 });
  rmSync(folder, { recursive: true });
  return JSON.parse(read) as PdfPage[];
}
