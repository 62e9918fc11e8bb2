import type { Model } from '@rigid-beam/core/model/model';
import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { Application } from './application';
import { ModelPage } from './model-page';
import { givenFile } from './given-file';
import { pdfOf } from './pdf-of';

const application = new Application({ provoked: /ERR_FAILED/ });
beforeAll(() => application.start());
afterAll(() => application.close());

/** By command: its name is filled in, and Enter runs it. */
async function putBehind(model: ModelPage, file: string): Promise<void> {
  await model.command('put an underlay');
  await model.page.waitForFunction(() => (document.activeElement as HTMLInputElement).value === 'Put an underlay behind ');
  await givenFile(model.page, file, () => model.page.keyboard.press('Enter'));
}

describe('an underlay', () => {
  test('an underlay by keys alone: the mark is carried by arrows, places are typed, and the command field knows it', async () => {
    const model = await ModelPage.portal(application);
    const { page } = model;
    await page.keyboard.press('Escape');
    const file = path.join(application.data, 'elevation.svg');
    writeFileSync(
      file,
      '<svg xmlns="http://www.w3.org/2000/svg" width="400" height="200"><path d="M50 150H350" stroke="black"/>' +
        // Text in HTML, which is not drawn: that is said.
        '<foreignObject width="90" height="20"><p xmlns="http://www.w3.org/1999/xhtml">Rib</p></foreignObject></svg>',
    );
    await putBehind(model, file);
    await page.waitForFunction(() => document.body.textContent?.includes('The text in HTML within this SVG file is not shown'));
    const placed = async (): Promise<Record<string, number>> => {
      await model.stored();
      const stored = await page.evaluate(async () => (await fetch(`/api${location.pathname}/file`)).json() as Promise<unknown>);
      return (stored as { underlay: Record<string, number> }).underlay;
    };
    const summary = await page.waitForSelector('button[aria-expanded][aria-label="Underlay: elevation.svg"]');
    const before = (await placed()).metresPerPixel!;
    await summary!.focus();
    await page.keyboard.press('Enter');
    await model.pressByKey('Calibrate by two points');
    const asks = (words: string): Promise<unknown> =>
      page.waitForFunction(
        (text: string) => document.querySelector('[data-testid=hint]')?.textContent?.includes(text),
        {},
        words,
      );
    await asks('one end of a known dimension');
    await page.keyboard.type('2');
    await model.typeOver('2 by 1');
    await asks('its other end');
    await page.keyboard.type('6');
    await model.typeOver('6 at 0');
    await model.typeOver('9');
    expect((await placed()).metresPerPixel! / before).toBeCloseTo(1.5, 9);
    // The keyboard is back where it was.
    await page.waitForFunction(() => document.activeElement?.textContent === 'Calibrate by two points');
    await model.pressByKey('Measure');
    for (const key of ['ArrowRight', 'Enter', 'ArrowUp', 'ArrowUp', 'Enter'] as const) await page.keyboard.press(key);
    await page.waitForFunction(() => /Measured: 0\.\d+ m/.test(document.body.textContent ?? ''));
    await model.command('dim the underlay 40');
    expect(await placed()).toMatchObject({ strength: 0.4 });
    await model.command('take the underlay away');
    await page.waitForFunction(() => document.body.textContent?.includes('Put a file behind'));
    await model.stored();
  });

  test('an underlay is traced: the pointer meets its corners and lines, named before the click', async () => {
    const model = await ModelPage.empty(application);
    const { page } = model;
    const file = path.join(application.data, 'frame.svg');
    writeFileSync(
      file,
      '<svg xmlns="http://www.w3.org/2000/svg" width="800" height="400"><path d="M100 300V100H700V300" fill="none" stroke="black" stroke-width="6"/></svg>',
    );
    await putBehind(model, file);
    await page.waitForSelector('[aria-label="Underlay: frame.svg"]');
    // 20 m for 800 units: the frame is 15 m wide and 5 m high, its left foot at 2.5 m across and 2.5 m up.
    await model.settled();
    await model.command('draw members');
    for (const place of ['0 by 0', '20 by 0']) {
      await page.keyboard.type(place[0]!);
      await model.typeOver(place);
      await page.keyboard.press('Escape');
    }
    await model.counts(2, 0);
    const [low, far] = [await model.place('Node 1 '), await model.place('Node 2 ')];
    const metre = (far.x - low.x) / 20;
    for (const [across, up] of [
      [2.5, 7.5],
      [17.5, 7.5],
    ] as const) {
      const [px, py] = [low.x + across * metre, low.y - up * metre];
      // The first move over a new picture begins to look for its lines.
      await page.mouse.move(px + 3, py - 3);
      await model.settled();
      await page.mouse.click(px + 5, py - 4);
    }
    await model.counts(4, 1);
    await page.keyboard.press('Escape');
    await page.keyboard.press('Escape');
    const places = (await model.nodePlaces()).slice(2).map((words) => words.split(' ').map(Number));
    // Nearer than a tenth of the stroke's width of 15 cm, although the clicks went past the corners.
    for (const [i, expected] of [2.5, 7.5, 17.5, 7.5].entries())
      expect(Math.abs(places.flat()[i]! - expected)).toBeLessThan(0.015);
    await model.stored();
  });

  test('an underlay is put behind, calibrated and measured, and kept with the model', async () => {
    const model = await ModelPage.portal(application);
    const { page } = model;
    await page.keyboard.press('Escape');
    await model.unfold('Underlay');
    const file = path.join(application.data, 'plan.svg');
    writeFileSync(
      file,
      '<svg xmlns="http://www.w3.org/2000/svg" width="400" height="200"><rect x="50" y="50" width="300" height="100" fill="none" stroke="black"/></svg>',
    );
    const input = (await page.waitForSelector('input[type=file]')) as unknown as { uploadFile(path: string): Promise<void> };
    await input.uploadFile(file);
    const scale = async (): Promise<number> => {
      await model.stored();
      const stored = await page.evaluate(async () => (await fetch(`/api${location.pathname}/file`)).json() as Promise<unknown>);
      return (stored as { underlay: { metresPerPixel: number } }).underlay.metresPerPixel;
    };
    await page.waitForFunction(() => document.body.textContent?.includes('Remove the underlay'));
    const before = await scale();
    await model.settled();
    const [first, last] = [await model.place('Node 1 '), await model.place('Node 3 ')];
    const metre = (last.x - first.x) / 12;
    await model.press('Calibrate by two points');
    // Well off the lines of the picture, which would catch the pointer.
    const [x, y] = [first.x + 4 * metre, first.y - 3.6 * metre];
    await page.mouse.click(x, y);
    await page.mouse.click(x + 300, y);
    await model.typeOver('15');
    await model.press('Measure');
    await page.mouse.click(x, y);
    await page.mouse.click(x + 5 * metre, y);
    await page.waitForFunction(() => /Measured: (5|4\.9\d+|5\.0\d+) m/.test(document.body.textContent ?? ''));
    expect((await scale()) / before).toBeCloseTo(15 / (300 / metre), 2);
    await page.reload({ waitUntil: 'networkidle0' });
    await model.unfold('Underlay');
    await model.press('Remove the underlay');
    await model.stored();
  });

  test('a page of a PDF becomes an underlay, without the network', async () => {
    const model = await ModelPage.portal(application);
    await model.unfold('Underlay');
    const file = path.join(application.data, 'plan.pdf');
    writeFileSync(file, pdfOf([{ stream: '2 w 20 20 m 180 20 l S' }]));
    const input = (await model.page.waitForSelector('input[type=file]')) as unknown as {
      uploadFile(path: string): Promise<void>;
    };
    await input.uploadFile(file);
    await model.page.waitForFunction(() => document.body.textContent?.includes('Remove the underlay'));
    await model.stored();
    // The page carries the model; the picture is fetched by what it holds.
    const html = await model.page.evaluate(async () => (await fetch(location.pathname)).text());
    expect(html).not.toMatch(/data:image\/png/);
    const [picture] = await Promise.all([model.page.waitForResponse((one) => /\/pictures\/[0-9a-f]{64}$/.test(one.url())), model.page.reload()]); // oxfmt-ignore
    expect([picture.status(), picture.headers()['cache-control']]).toEqual([200, 'private, max-age=31536000, immutable']);
    expect(await picture.text()).toMatch(/^data:image\/png/);
    await model.unfold('Underlay');
    await model.page.waitForFunction(() => document.body.textContent?.includes('Remove the underlay'));
    expect((await model.file<Model>()).underlay!.image).toBe(await picture.text());
    // Without it the model opens all the same, and says so.
    await model.page.setCacheEnabled(false);
    await model.page.setRequestInterception(true);
    model.page.on('request', (request) => void (/\/pictures\//.test(request.url()) ? request.abort() : request.continue()));
    await model.page.reload();
    await model.page.waitForFunction(() => /underlay could not be fetched/.test(document.querySelector('[role=alert]')?.textContent ?? '')); // oxfmt-ignore
    await model.counts(5, 4);
  });
});

test('no page complained', () => expect(application.complaints).toEqual([]));
