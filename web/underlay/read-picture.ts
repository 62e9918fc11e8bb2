import { readPicture as WORDS } from './words';
/** A picture that can be laid behind the drawing. */
export interface Picture {
  readonly image: string;
  readonly width: number;
  readonly height: number;
}

/** Pixels of the longer side at most: enough to trace on, and small enough to be stored with the model. */
const LARGEST = 2600;
const MAXIMUM_FILE = 40_000_000;

/** Reads a PNG, JPEG or SVG file, or one page of a PDF, in the browser alone. Throws an Error with words for the user. */
export async function readPicture(file: File, page = 1): Promise<Picture> {
  if (file.size > MAXIMUM_FILE) throw new Error(WORDS.tooLarge);
  if (file.type === 'application/pdf' || file.name.toLowerCase().endsWith('.pdf')) return readPage(file, page);
  if (!/^image\/(png|jpeg|svg\+xml)$/.test(file.type)) throw new Error(WORDS.otherKind(file.name));
  const vector = file.type === 'image/svg+xml';
  // A browser gives out what it drew of an SVG with text in HTML only when that came as data.
  const address = vector ? await dataAddress(file) : URL.createObjectURL(file);
  try {
    const image = await loaded(address);
    // An SVG without a size of its own is drawn as large as can be.
    const [width, height] = [image.naturalWidth || LARGEST, image.naturalHeight || LARGEST];
    const scale = vector ? LARGEST / Math.max(width, height) : Math.min(1, LARGEST / Math.max(width, height));
    const canvas = blank(width * scale, height * scale);
    canvas.getContext('2d')!.drawImage(image, 0, 0, canvas.width, canvas.height);
    return encoded(canvas);
  } finally {
    URL.revokeObjectURL(address);
  }
}

const dataAddress = (file: File): Promise<string> =>
  new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => resolve(reader.result as string);
    reader.onerror = () => reject(new Error(WORDS.cannotBeRead(file.name)));
    reader.readAsDataURL(file);
  });

/** An image of this address, once it is there. */
export function loaded(address: string): Promise<HTMLImageElement> {
  return new Promise((resolve, reject) => {
    const image = new Image();
    image.onload = () => resolve(image);
    image.onerror = () => reject(new Error(WORDS.damaged));
    image.src = address;
  });
}

/** Paper is white where the picture is not. */
function blank(width: number, height: number): HTMLCanvasElement {
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(width));
  canvas.height = Math.max(1, Math.round(height));
  const context = canvas.getContext('2d')!;
  context.fillStyle = 'white';
  context.fillRect(0, 0, canvas.width, canvas.height);
  return canvas;
}

/** PNG keeps lines sharp; where it gets too large JPEG does. */
function encoded(canvas: HTMLCanvasElement): Picture {
  let png: string;
  try {
    png = canvas.toDataURL('image/png');
  } catch {
    throw new Error(WORDS.notGivenOut);
  }
  const image = png.length < 3_000_000 ? png : canvas.toDataURL('image/jpeg', 0.85);
  return { image, width: canvas.width, height: canvas.height };
}

/** The reader is loaded only when a PDF is opened; it runs in a worker of its own and comes with the application. */
async function readPage(file: File, number: number): Promise<Picture> {
  const reader = await import('pdfjs-dist');
  reader.GlobalWorkerOptions.workerPort ??= new Worker(new URL('./pdf.worker.ts', import.meta.url), { type: 'module' });
  const opening = reader.getDocument({ data: await file.arrayBuffer(), isEvalSupported: false, useSystemFonts: false });
  const document = await opening.promise.catch(() => {
    throw new Error(WORDS.damagedPdf);
  });
  try {
    if (number < 1 || number > document.numPages) throw new Error(WORDS.noPage(document.numPages, number));
    const page = await document.getPage(number);
    const size = page.getViewport({ scale: 1 });
    const viewport = page.getViewport({ scale: LARGEST / Math.max(size.width, size.height) });
    const canvas = blank(viewport.width, viewport.height);
    await page.render({ canvasContext: canvas.getContext('2d')!, viewport }).promise;
    return encoded(canvas);
  } finally {
    await opening.destroy();
  }
}
