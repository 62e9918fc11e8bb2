import { readPicture as WORDS } from './words';
import type { AskedPicture, ReadPicture } from './reading/picture';

/** A picture that can be laid behind the drawing. */
export interface Picture {
  readonly image: string;
  readonly width: number;
  readonly height: number;
}

/** A picture, and in words what of its file was left out. */
export interface PictureOfFile {
  readonly picture: Picture;
  readonly left?: string;
}

const MAXIMUM_FILE = 40_000_000;
/** Milliseconds in which a file must be read, once what reads it is there, and in which that must be there. */
const LONGEST = 5_000;
const LOADING = 30_000;

/**
 * Reads a PNG, JPEG or SVG file, or one page of a PDF, in the browser alone: in a worker, which is ended when it takes more than 5 s or
 * 300 MB. Throws an Error with words for the user.
 */
export async function readPicture(file: File, page = 1): Promise<PictureOfFile> {
  if (file.size > MAXIMUM_FILE) throw new Error(WORDS.tooLarge);
  const kind = kindOf(file);
  if (!kind) throw new Error(WORDS.otherKind(file.name));
  const found = await inWorker({ file, kind, page });
  switch (found?.status) {
    case 'read': {
      const { picture, width, height, left } = found;
      const image = await dataAddress(picture, file.name);
      return { picture: { image, width, height }, ...(left && { left: WORDS.leftOut[left] }) };
    }
    case 'noPage':
      throw new Error(WORDS.noPage(found.pages, page));
    case 'tooMuch':
    case 'damaged':
    case 'damagedPdf':
      throw new Error(WORDS[found.status]);
    default:
      throw new Error(WORDS.tooLong);
  }
}

function kindOf({ type, name }: File): AskedPicture['kind'] | undefined {
  if (type === 'application/pdf' || name.toLowerCase().endsWith('.pdf')) return 'pdf';
  if (type === 'image/svg+xml') return 'svg';
  return /^image\/(png|jpeg)$/.test(type) ? 'pixels' : undefined;
}

/** What the worker finds; nothing where it takes too long or dies. */
function inWorker(asked: AskedPicture): Promise<Exclude<ReadPicture, { status: 'begun' }> | undefined> {
  const worker = new Worker(new URL('./reading/picture.worker.ts', import.meta.url), { type: 'module' });
  return new Promise((resolve) => {
    const end = (found?: Exclude<ReadPicture, { status: 'begun' }>): void => {
      clearTimeout(timer);
      worker.terminate();
      resolve(found);
    };
    let timer = setTimeout(end, LOADING);
    worker.addEventListener('error', () => end({ status: 'damaged' }));
    worker.addEventListener('message', ({ data }: MessageEvent<Partial<ReadPicture>>) => {
      if (data.status === 'begun') {
        clearTimeout(timer);
        timer = setTimeout(end, LONGEST);
      } else if (data.status) end(data as Exclude<ReadPicture, { status: 'begun' }>);
    });
    worker.postMessage(asked);
  });
}

const dataAddress = (file: Blob, name: string): Promise<string> =>
  new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => resolve(reader.result as string);
    reader.onerror = () => reject(new Error(WORDS.cannotBeRead(name)));
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
