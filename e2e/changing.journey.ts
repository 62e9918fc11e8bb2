import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { Application } from './application';
import { ModelPage } from './model-page';

const application = new Application();
beforeAll(() => application.start());
afterAll(() => application.close());

describe('changing', () => {
  test('by the pointer: turned with a preview, mirrored as a copy, split and joined', async () => {
    const model = await ModelPage.portal(application);
    await model.command('select everything');
    await model.card('9 selected');
    await model.press('Mirror');
    await model.press('as a copy');
    await model.fill('Mirror stands at (m)', '12');
    await model.press('Make the copy');
    await model.counts(8, 7);
    await model.until('solution', /^Solved/);
    await model.page.keyboard.press('Escape');
    await model.settled();
    const [a, b] = [await model.place('Node 2 '), await model.place('Node 5 ')];
    await model.page.mouse.click((a.x * 2 + b.x) / 3, (a.y * 2 + b.y) / 3);
    await model.card('Member c');
    await model.unfold('Change the selection');
    await model.press('Split');
    await model.counts(9, 8);
    await model.undo();
    await model.counts(8, 7);
    await model.stored();
  });

  test('by keys: moved, copied, repeated, split, joined, numbered through the command field', async () => {
    const model = await ModelPage.portal(application);
    await model.command('select everything');
    await model.command('move 1.5 by 0.5');
    await model.page.waitForFunction(() => document.querySelector('main li > button[aria-label*="1.5 m across, 0.5 m up"]'));
    await model.undo();
    await model.command('select node 1');
    await model.card('Node 1');
    await model.command('select everything');
    await model.command('repeat 2 times 12 by 0');
    await model.counts(11, 10);
    await model.until('solution', /^Solved/);
    await model.command('select member a');
    await model.command('split into 3');
    await model.counts(13, 12);
    await model.command('select level members');
    await model.command('select member a, k');
    await model.command('join members');
    await model.counts(12, 11);
    await model.command('renumber nodes');
    expect((await model.nodePlaces()).length).toBe(12);
    await model.command('repeat 2 times somewhere');
    await model.page.waitForFunction(() => document.body.textContent?.includes('is not a length'));
    await model.page.keyboard.press('Escape');
    await model.stored();
  });

  test('a dimension typed over stretches all beyond it, or only its line', async () => {
    const model = await ModelPage.portal(application);
    await model.page.keyboard.press('Escape');
    await model.settled();
    const [a, b] = [await model.place('Node 1 '), await model.place('Node 3 ')];
    const middle = { x: a.x + (b.x - a.x) / 4, y: a.y };
    await model.clickText({ x: middle.x, y: a.y + 20 }, { x: middle.x, y: a.y + 90 });
    await model.page.locator('::-p-named(Only this line moves)').click();
    await model.typeOver('5');
    await model.page.waitForFunction(() => document.querySelector('main li > button[aria-label*="5 m across, 6 m up"]'));
    expect(await model.nodePlaces()).toEqual(['0 0', '0 4.5', '12 0', '12 4.5', '5 6']);
    await model.undo();
    await model.stored();
  });

  test('grid lines: the structure follows another spacing', async () => {
    const model = await ModelPage.portal(application);
    await model.unfold('Grid lines');
    await model.press('Bays along X: add');
    await model.fill('Bays along X (m)', '6 + 7.5');
    await model.page.waitForFunction(() => document.querySelector('main li > button[aria-label*="13.5 m across, 4.5 m up"]'));
    await model.stored();
  });

  test('clean-up finds what was drawn twice and mends it', async () => {
    const model = await ModelPage.portal(application);
    await model.command('draw members');
    const isFree = (): Promise<unknown> =>
      model.page.waitForFunction(() => !(document.activeElement instanceof HTMLInputElement));
    await isFree();
    await model.page.keyboard.type('1');
    await model.typeOver('-1 by 4.5');
    await isFree();
    await model.page.keyboard.type('1');
    await model.typeOver('5 by 0');
    await model.page.keyboard.press('Escape');
    await model.page.keyboard.press('Escape');
    await model.unfold('Clean up and number');
    await model.page.waitForFunction(() => document.body.textContent?.includes('and is not joined to it'));
    await model.command('clean up');
    await model.page.waitForFunction(() => document.body.textContent?.includes('Nothing needs mending'));
    await model.undo();
    await model.stored();
  });
});

describe('selecting and schedules', () => {
  test('groups are made, hidden and shown; the menu of the right button', async () => {
    const model = await ModelPage.portal(application);
    await model.command('select upright members');
    await model.card('2 selected');
    await model.bench();
    await model.unfold('Select and show');
    await model.fill('Name the selection as a group', 'posts');
    await model.press('posts · 2');
    await model.command('show only the selection');
    await model.page.waitForFunction(() => document.querySelectorAll('main li > button[aria-label^="Member "]').length === 2);
    await model.command('show all that is hidden');
    await model.page.waitForFunction(() => document.querySelectorAll('main li > button[aria-label^="Member "]').length === 4);
    const place = await model.place('Node 2 ');
    await model.page.mouse.click(place.x, place.y, { button: 'right' });
    await model.press('Select what is connected');
    await model.card('9 selected');
    await model.stored();
  });

  test('a schedule is typed into, filled down and pasted into, and follows the selection', async () => {
    const model = await ModelPage.portal(application);
    const { page } = model;
    await model.command('open the schedule of nodes');
    await page.focus('[role=grid]');
    for (let i = 0; i < 2; i++) await page.keyboard.press('ArrowRight');
    await page.keyboard.type('0.25');
    await page.keyboard.press('Enter');
    await page.waitForFunction(() => document.querySelector('main li > button[aria-label*="0 m across, 0.25 m up"]'));
    await page.keyboard.press('ArrowDown');
    await page.keyboard.press('ArrowUp');
    await page.$eval('[role=grid]', (grid) => {
      const data = new DataTransfer();
      data.setData('text/plain', '5\n5.5');
      grid.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));
    });
    await page.waitForFunction(() => document.querySelector('main li > button[aria-label*="0 m across, 5 m up"]'));
    await page.keyboard.type('far');
    await page.keyboard.press('Enter');
    await page.waitForFunction(() => document.body.textContent?.includes('is not a length'));
    await page.keyboard.press('Escape');
    await page.keyboard.press(' ');
    await model.card('2 selected');
    await model.undo();
    await page.keyboard.press('Escape');
    await model.stored();
  });

  test('a schedule by the pointer: typed into, sorted, filled down, filtered, rows selected', async () => {
    const model = await ModelPage.portal(application);
    const { page } = model;
    await page.keyboard.press('Escape');
    await model.press('Schedules');
    const cell = async (row: number, column: number): Promise<{ x: number; y: number }> => {
      const found = await page.waitForSelector(`#cell-${row}-${column}`);
      const box = (await found!.boundingBox())!;
      return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
    };
    const shown = (column: number): Promise<string[]> =>
      page.$$eval(`[role=gridcell][id$="-${column}"]`, (cells) => cells.map((one) => one.textContent ?? ''));
    const first = await cell(0, 2);
    await page.mouse.click(first.x, first.y, { count: 2 });
    await model.typeOver('0.5');
    await page.waitForFunction(() => document.querySelector('#cell-0-2')?.textContent === '0.5');
    const [support, third] = [await cell(0, 3), await cell(2, 3)];
    await model.drag(support, third);
    await model.press('Fill down');
    await page.waitForFunction(() => document.querySelector('#cell-2-3')?.textContent === 'pinned');
    await model.undo();
    await model.undo();
    const heading = (await page.$('::-p-xpath(//*[@role="columnheader"][starts-with(., "X")])'))!;
    for (const way of ['ascending', 'descending']) {
      await heading.click();
      await page.waitForSelector(`[aria-sort=${way}]`);
    }
    const across = (await shown(1)).filter((text) => text !== '').map(Number);
    expect(across).toEqual([...across].sort((a, b) => b - a));
    const rows = await page.$$('[role=rowheader]');
    await rows[0]!.click();
    await page.keyboard.down('Shift');
    await rows[2]!.click();
    await page.keyboard.up('Shift');
    await model.card('3 selected');
    await page.locator('::-p-named(Show only rows with)').fill('pinned');
    await page.waitForFunction(() => document.querySelector('[role=grid]')?.getAttribute('aria-rowcount') === '4');
    await model.press('Close the schedule');
    await model.stored();
  });

  test('points are shown for a command: the selection is copied by two of them', async () => {
    const model = await ModelPage.portal(application);
    const { page } = model;
    await model.command('select everything');
    await model.command('copy by two points');
    await page.keyboard.type('0');
    await model.typeOver('0 by 0');
    await page.keyboard.type('2');
    await model.typeOver('20 by 0');
    await model.counts(10, 8);
    await model.command('write into nodes y of the selection to 1 ft');
    await page.waitForFunction(() => document.body.textContent?.includes('has no length'));
    await page.keyboard.press('Escape');
    await model.undo();
    await model.counts(5, 4);
    await model.stored();
  });
});

test('no page complained', () => expect(application.complaints).toEqual([]));
