import path from 'node:path';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { Page } from 'puppeteer-core';
import { Application } from './application';
import { byKeys, byPointer } from './hands';
import { catchFiles, keptFiles, type Kept } from './kept-files';
import { givenFile } from './given-file';
import { ModelPage } from './model-page';

const application = new Application();
beforeAll(() => application.start());
afterAll(() => application.close());

/** The preview of a sheet is there, at this scale. */
const previewed = async (page: Page, name: string, scale: RegExp): Promise<void> => {
  await page.waitForSelector(`img[alt="Sheet: ${name}"][data-going="false"]`);
  await page.waitForFunction(
    (source) => new RegExp(source).test(document.querySelector('[role=dialog] [role=status]')?.textContent ?? ''),
    {},
    scale.source,
  );
};
const order = (page: Page): Promise<string[]> =>
  page.$$eval('[role=dialog] [role=row]', (rows) => rows.map((row) => row.querySelector('span')!.textContent ?? ''));

describe.each([
  { hands: 'by pointer', handsOf: byPointer },
  { hands: 'by keys', handsOf: byKeys },
])('a model on paper, $hands', ({ handsOf }) => {
  test('sheets to one scale, previewed, told why they do not fit, and saved as PDF, SVG and PNG', async () => {
    const rib = await ModelPage.open(application, 'Glasshouse rib', '?stage=results&acting=U1&quantity=Mz');
    const hands = handsOf(rib);
    const { page } = rib;
    await hands.pick('Save as file', 'On paper …');
    await previewed(page, 'As on the screen', /^at 1:50/);
    await catchFiles(page);
    await hands.press('Save SVG');
    const [svg] = await keptFiles(page, 1);
    expect([svg!.name, svg!.type]).toEqual(['glasshouse-rib.svg', 'image/svg+xml']);
    // The screen's diagram, with the project that the title block begins with.
    for (const words of ['Bending moment', 'Trials', '1 of 1'])
      expect([words, svg!.text.includes(`>${words}</text>`)]).toEqual([words, true]);
    await hands.choose('What', 'Loads');
    await hands.choose('Of', 'every case');
    await hands.press('Add 3 sheets');
    await previewed(page, 'Loads · G', /^at 1:50/);
    await hands.fill('Scale', '1:20');
    await page.waitForFunction(() => /At 1:20 the drawing covers .* It fits at 1:50/.test(document.querySelector('[role=dialog] [role=alert]')?.textContent ?? '')); // oxfmt-ignore
    await hands.fill('Scale', '1:100');
    await hands.fill('Revision', 'B');
    await previewed(page, 'Loads · G', /^at 1:100/);
    await hands.press('Save PDF of 4 sheets');
    const [, pdf] = await keptFiles(page, 2);
    expect([pdf!.name, pdf!.type, pdf!.text.slice(0, 5)]).toEqual(['glasshouse-rib.pdf', 'application/pdf', '%PDF-']);
    expect(pdf!.text.match(/\/Type \/Page\n/g)).toHaveLength(4);
    await hands.press('Save PNG');
    const [, , png] = await keptFiles(page, 3);
    expect([png!.name, png!.text.slice(1, 4)]).toEqual(['glasshouse-rib.png', 'PNG']);
    // What lies over the page keeps the keys: nothing behind it is taken back or asked for.
    await page.focus('[role=dialog] [role=row]');
    await rib.undo();
    await page.keyboard.press('/');
    expect(await page.evaluate(() => document.activeElement?.closest('[role=dialog]') !== null)).toBe(true);
    await page.keyboard.press('Escape');
    await page.waitForFunction(() => !document.querySelector('[role=dialog]'));
    // In a field, what was typed is given up first.
    await rib.command('put on paper');
    await previewed(page, 'As on the screen', /^at 1:100/);
    await page.focus('[role=dialog] input[value="B"]');
    await page.keyboard.type('not this');
    await page.keyboard.press('Escape');
    await page.waitForSelector('[role=dialog] input[value="B"]');
    await page.keyboard.press('Escape');
    await page.waitForFunction(() => !document.querySelector('[role=dialog]'));
    expect(await page.$('[aria-label^="Redo: "]')).toBeNull();
    // What was chosen is there again.
    await rib.command('put on paper');
    await previewed(page, 'As on the screen', /^at 1:100/);
    await page.waitForSelector('[role=dialog] input[value="B"]');
  });
});

test('an influence line is put on paper as the screen shows it', async () => {
  const lintel = await ModelPage.open(application, 'Lintel over the potting bench', '?stage=results&acting=C3');
  const { page } = lintel;
  await (await page.waitForSelector('button[aria-label*="Influence line of the bending moment"]'))!.click();
  await page.waitForSelector('[role=region][aria-label="Influence line"]');
  await lintel.command('put on paper');
  await previewed(page, 'As on the screen', /^at 1:/);
  await catchFiles(page);
  await lintel.press('Save SVG');
  const [{ text }] = (await keptFiles(page, 1)) as [Kept];
  expect([text.includes('>Influence line</text>'), text.includes('on the tension face')]).toEqual([true, false]);
});

test('sheets are put into another order by the keys of their handles, and left out', async () => {
  const rib = await ModelPage.open(application, 'Glasshouse rib', '?stage=results&acting=U1');
  const { page } = rib;
  await rib.command('put on paper');
  await rib.pressByKey('Add the sheet');
  await previewed(page, 'Geometry', /^at 1:/);
  expect(await order(page)).toEqual(['As on the screen', 'Geometry']);
  await rib.pressByKey('Move Geometry');
  // What is taken up stands at its first place as soon as the places are there; the arrows lead from one to the next.
  const place = (): Promise<string> => page.evaluate(() => document.activeElement?.getAttribute('aria-label') ?? '');
  await page.waitForFunction(() => /^Insert /.test(document.activeElement?.getAttribute('aria-label') ?? ''));
  for (let step = 0; step < 4 && !/before As on the screen/.test(await place()); step++) await page.keyboard.press('ArrowUp');
  await page.keyboard.press('Enter');
  await page.waitForFunction(() => document.querySelector('[role=dialog] [role=row] span')?.textContent === 'Geometry');
  await rib.press('Leave out As on the screen');
  await page.waitForFunction(() => document.querySelectorAll('[role=dialog] [role=row]').length === 1);
  expect(await order(page)).toEqual(['Geometry']);
});

describe.each([
  { hands: 'by pointer', handsOf: byPointer },
  { hands: 'by keys', handsOf: byKeys },
])('a calculation report, $hands', ({ handsOf }) => {
  test('is leafed through, its chapters are left out and put back, and it is saved as PDF and HTML', async () => {
    const rib = await ModelPage.open(application, 'Glasshouse rib', '?stage=results&acting=U1');
    const hands = handsOf(rib);
    const { page } = rib;
    const shows = (words: RegExp): Promise<unknown> =>
      page.waitForFunction((source) => new RegExp(source).test(document.querySelector('[role=dialog] [role=status]')?.textContent ?? ''), {}, words.source); // oxfmt-ignore
    await rib.command('put on paper');
    await hands.press('Report');
    await shows(/^Page 1 of 17/);
    await hands.press('Next page');
    await page.waitForSelector('img[alt="Page 2 of 17"][data-going="false"]');
    // Into the list first: it takes the keyboard to one of its rows.
    await page.focus('[role=dialog] [role=row]');
    await hands.press('Leave out Checks');
    await shows(/^Page 2 of 16/);
    await hands.press('Add checks');
    await shows(/^Page 2 of 17/);
    await hands.choose('Results of', 'every combination');
    await shows(/^Page 2 of (1[89]|[234]\d)/);
    await catchFiles(page);
    await hands.press('Save PDF');
    await hands.press('Save HTML');
    const kept = await keptFiles(page, 2);
    expect(kept.map(({ name, type }) => [name, type]).sort()).toEqual([
      ['glasshouse-rib.html', 'text/html'],
      ['glasshouse-rib.pdf', 'application/pdf'],
    ]);
    expect(kept.find(({ type }) => type === 'text/html')!.text).toMatch(/<h3 id="[^"]+">U2 .* Wind lifts<\/h3>/);
  });
});

test('a chapter in one’s own words: its numbers follow the model, what means nothing is told, and it is stored with the model', async () => {
  const rib = await ModelPage.open(application, 'Glasshouse rib', '?stage=results&acting=U1');
  const { page } = rib;
  const write = async (text: string): Promise<void> => {
    await page.focus('[role=dialog] textarea');
    await rib.chord('a');
    await page.keyboard.sendCharacter(text);
    await page.keyboard.down('Control');
    await page.keyboard.press('Enter');
    await page.keyboard.up('Control');
  };
  await rib.command('put on paper');
  await rib.pressByKey('Report');
  await page.waitForSelector('img[alt="Page 1 of 17"][data-going="false"]');
  await rib.pressByKey('Add own text');
  await page.waitForSelector('img[alt="Page 5 of 18"][data-going="false"]');
  await write('The ribs stand on walls; {M of U9}.');
  await page.waitForFunction(() => /there is no case or combination “U9”/.test(document.querySelector('[role=dialog] [role=alert]')?.textContent ?? '')); // oxfmt-ignore
  await write('The ribs stand on walls; the largest moment is {M.max of U}.');
  await rib.fillByKey('Title', 'Basis');
  await page.waitForFunction(() => document.querySelectorAll('[role=dialog] [role=row]')[1]?.textContent?.includes('Basis'));
  await page.waitForSelector('img[alt="Page 5 of 18"][data-going="false"]');
  await givenFile(page, path.join(__dirname, '..', 'docs', 'screenshots', 'report.png'), () => rib.pressByKey('Add a picture'));
  await page.waitForSelector('[role=dialog] img[alt="Picture 1"]');
  await rib.fillByKey('Under picture 1', 'As it was seen');
  await page.waitForSelector('img[alt="Page 5 of 18"][data-going="false"]');
  await catchFiles(page);
  await rib.pressByKey('Save HTML');
  await rib.pressByKey('Save PDF');
  const kept = await keptFiles(page, 2);
  const [html, pdf] = ['text/html', 'application/pdf'].map((type) => kept.find((one) => one.type === type)!) as [Kept, Kept];
  expect(pdf.text).toMatch(/^%PDF[^]*\/Subtype \/Image/u);
  const { text } = html;
  expect(/the largest moment is 12\.\d+ kN/.test(text)).toBe(true);
  expect(text).toMatch(/<img src="data:image[^"]+" width="\d+" height="\d+" alt="As it was seen">/);
  await page.keyboard.press('Escape');
  await page.waitForFunction(() => !document.querySelector('[role=dialog]'));
  const { report } = await rib.file<{ report: { chapters: { chapter: string; title?: string }[] } }>();
  expect(report.chapters.map(({ chapter, title }) => title ?? chapter)).toEqual([
    ...['structure', 'Basis', 'sections', 'loads', 'combinations', 'results', 'members', 'checks'],
  ]);
});

test('a report reads those members closely that are selected on the sheet', async () => {
  const rib = await ModelPage.open(application, 'Glasshouse rib', '?stage=results&acting=U1');
  const { page } = rib;
  await byKeys(rib).use('Member tie');
  await rib.command('put on paper');
  await rib.pressByKey('Report');
  await page.waitForSelector('img[alt="Page 1 of 17"][data-going="false"]');
  await page.focus('[role=dialog] [role=row]');
  for (let down = 0; down < 5; down++) await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await page.waitForFunction(() => /It reads the members in which something governs/.test(document.querySelector('[role=dialog]')?.textContent ?? '')); // oxfmt-ignore
  await rib.pressByKey('Read the selected: tie');
  await page.waitForFunction(() => /It reads member tie\./.test(document.querySelector('[role=dialog]')?.textContent ?? ''));
  await page.waitForSelector('img[alt^="Page 14 of"][data-going="false"]');
  await page.keyboard.press('Escape');
  await page.waitForFunction(() => !document.querySelector('[role=dialog]'));
  const { report } = await rib.file<{ report: { chapters: { chapter: string; members?: string[] }[] } }>();
  expect(report.chapters.find(({ chapter }) => chapter === 'members')).toEqual({ chapter: 'members', members: ['tie'] });
});

test('the sheet is saved as a picture of a chosen size', async () => {
  const walk = await ModelPage.open(application, 'Canopy walk', '?stage=sections');
  const { page } = walk;
  await walk.settled();
  await catchFiles(page);
  await walk.command('save the sheet as a picture 40');
  await page.waitForFunction(() => /no width in pixels/.test(document.querySelector('[role=alert]')?.textContent ?? ''));
  await page.keyboard.press('Escape');
  await walk.command('save the sheet as a picture 2400 px');
  const [{ name, type, text }] = (await keptFiles(page, 1)) as [Kept];
  const header = Buffer.from(text.slice(0, 32), 'latin1');
  const sheet = await page.$eval('[data-testid=sheet]', (canvas) => canvas.clientHeight / canvas.clientWidth);
  expect([name, type, header.readUInt32BE(16)]).toEqual(['canopy-walk-first-span.png', 'image/png', 2400]);
  expect(Math.abs(header.readUInt32BE(20) - 2400 * sheet)).toBeLessThan(2);
});
