import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { deflateSync } from 'node:zlib';
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { Application } from './application';
import { ModelPage } from './model-page';
import { pdfOf } from './pdf-of';

const application = new Application();
beforeAll(() => application.start());
afterAll(() => application.close());

const svg = (inner: string): string => `<svg xmlns="http://www.w3.org/2000/svg" width="100" height="50">${inner}</svg>`;

/** Twenty-four steps, each of which repeats the step before twice. */
const nested = svg(
  `<defs><g id="a0"><rect width="1" height="1"/></g>${Array.from({ length: 24 }, (_, i) => `<g id="a${i + 1}"><use href="#a${i}"/><use href="#a${i}" x="1"/></g>`).join('')}</defs><use href="#a24"/>`,
);
const filter = svg(
  `<filter id="f" x="-9" y="-9" width="20" height="20">${'<feGaussianBlur stdDeviation="400"/><feMorphology operator="dilate" radius="400"/><feTurbulence numOctaves="9" baseFrequency="0.9"/>'.repeat(30)}</filter>${'<rect filter="url(#f)" width="100" height="50"/>'.repeat(30)}`,
);

/** A page that draws a form, which draws one twice, and so on. */
const nestedPdf = pdfOf(
  Array.from({ length: 28 }, (_, i) => ({
    stream: i === 27 ? '0 0 m 9 9 l S' : '/F Do /F Do',
    ...(i < 27 && { form: i + 1 }),
  })),
);
/** A page whose drawing is 600 MB of spaces. */
const inflating = pdfOf([{ stream: deflateSync(Buffer.alloc(600_000_000, 32)), isDeflated: true }]);

/** The head of a PNG picture of so many pixels, and nothing else. */
function largePng(width: number, height: number): Buffer {
  const head = Buffer.alloc(33);
  Buffer.from('89504e470d0a1a0a0000000d49484452', 'hex').copy(head);
  head.writeUInt32BE(width, 16);
  head.writeUInt32BE(height, 20);
  head.set([8, 6, 0, 0, 0], 24);
  return head;
}

/** Which of the two bounds is met first hangs on the machine. */
const hostile: readonly [name: string, content: string | Buffer, words: RegExp][] = [
  ['nested.svg', nested, /within 300 MB|within 5 s/],
  ['filter.svg', filter, /within 300 MB|within 5 s/],
  ['nested.pdf', nestedPdf, /within 5 s|within 300 MB/],
  ['inflating.pdf', inflating, /within 300 MB|within 5 s/],
  ['large.png', largePng(60_000, 60_000), /within 300 MB/],
  ['cut-off.png', largePng(40, 40).subarray(0, 20), /is damaged/],
  ['broken.svg', '<svg><g', /is damaged/],
];

test('a picture that takes too long or too much is given up with words, and the page goes on meanwhile', async () => {
  const model = await ModelPage.portal(application);
  const { page } = model;
  await model.unfold('Underlay');
  const input = (await page.waitForSelector('input[type=file]')) as unknown as { uploadFile(path: string): Promise<void> };
  // The longest that the page did not answer, and for how long a file has been read.
  await page.evaluate(() => {
    const watched = globalThis as typeof globalThis & { longest: number };
    let last = performance.now();
    watched.longest = 0;
    setInterval(() => {
      watched.longest = Math.max(watched.longest, performance.now() - last);
      last = performance.now();
    }, 20);
  });
  const longest = (): Promise<number> =>
    page.evaluate(() => {
      const watched = globalThis as typeof globalThis & { longest: number };
      const found = watched.longest;
      watched.longest = 0;
      return found;
    });
  for (const [name, content, words] of hostile) {
    const file = path.join(application.data, name);
    writeFileSync(file, content);
    await longest();
    const begun = performance.now();
    await input.uploadFile(file);
    await page
      .waitForFunction((pattern: string) => new RegExp(pattern).test(document.body.textContent ?? ''), {}, words.source)
      .catch(async () => {
        throw new Error(`${name} is not given up with “${words.source}”: ${await page.evaluate(() => document.body.innerText)}`);
      });
    expect(await page.evaluate(() => /Take it away/.test(document.body.textContent ?? ''))).toBe(false);
    // Where reading takes its time, the page answers meanwhile.
    const took = performance.now() - begun;
    if (took > 3000) expect((await longest()) / took).toBeLessThan(0.6);
    await layBehind(model, input);
  }
  await model.stored();
});

/** A plain picture is put behind the drawing and removed: what was said of the file before goes. */
async function layBehind(model: ModelPage, input: { uploadFile(path: string): Promise<void> }): Promise<void> {
  const { page } = model;
  // A machine that is starved refuses even this one for its time: once more, then.
  for (let tries = 0; tries < 5; tries++) {
    await input.uploadFile(plain(path.join(application.data, `plain-${tries}.svg`)));
    const lies = page.waitForFunction(() => /Remove the underlay/.test(document.body.textContent ?? ''), { timeout: 40_000 });
    if (await lies.catch(() => undefined)) break;
  }
  await model.press('Remove the underlay');
  await page.waitForFunction(() => document.body.textContent?.includes('Put a file behind'));
}

function plain(file: string): string {
  writeFileSync(
    file,
    svg('<path d="M10 40V10H90V40" fill="none" stroke="black"/><text x="20" y="30" font-size="9">Rib 1:50</text>'),
  );
  return file;
}

test('no page complained', () => expect(application.complaints).toEqual([]));
