import { readFileSync } from 'node:fs';
import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs';

// Reads the PDF file that is named and prints its pages as JSON: their sizes in points, texts with the points where they begin, and paths as the
// numbers that are written. A process of its own, since the reader is a module only, which the tests are not.

const read = await getDocument({ data: new Uint8Array(readFileSync(process.argv[2])), verbosity: 0 }).promise;
const pages = [];
for (let i = 1; i <= read.numPages; i++) {
  const page = await read.getPage(i);
  const { items } = await page.getTextContent();
  const { fnArray, argsArray } = await page.getOperatorList();
  pages.push({
    size: page.view,
    texts: items.filter(({ str }) => str?.trim()).map(({ str, transform }) => ({ text: str, x: transform[4], y: transform[5] })),
    paths: argsArray.filter((_, k) => fnArray[k] === OPS.constructPath).map(([, points]) => Array.from(points)),
  });
}
process.stdout.write(JSON.stringify(pages));
await read.destroy();
