import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { Application } from './application';
import { ModelPage } from './model-page';

const application = new Application();
beforeAll(() => application.start());
afterAll(() => application.close());

/** A new model with a portal frame of 12 m, placed by keys and lists. */
async function portal(): Promise<ModelPage> {
  const page = await application.page();
  await page.goto(application.address, { waitUntil: 'networkidle0' });
  await page.locator('::-p-aria(New plane model)').click();
  const model = new ModelPage(application, page);
  await model.ready();
  await model.choose('Structure', 'Portal frame');
  await model.press('Place it');
  await model.counts(5, 4);
  await model.until('solution', /^Solved/);
  return model;
}

const nodes = (model: ModelPage): Promise<string[]> =>
  model.page.$$eval('main li > button[aria-label^="Node "]', (all) =>
    all.map((one) => /at ([-−\d.]+) m across, ([-−\d.]+) m up/.exec(one.getAttribute('aria-label')!)!.slice(1).join(' ')),
  );

describe('changing', () => {
  test('by the pointer: turned with a preview, mirrored as a copy, split and joined', async () => {
    const model = await portal();
    await model.card('4 selected');
    await model.press('Mirror');
    await model.press('as a copy');
    await model.fill('Mirror stands at X (m)', '12');
    await model.press('Make the copy');
    await model.counts(8, 7);
    await model.until('solution', /^Solved/);
    await model.page.keyboard.press('Escape');
    await model.settled();
    const [a, b] = [await model.place('Node 2 '), await model.place('Node 5 ')];
    await model.page.mouse.click((a.x * 2 + b.x) / 3, (a.y * 2 + b.y) / 3);
    await model.card('Member c');
    await model.press('Split');
    await model.counts(9, 8);
    await model.undo();
    await model.counts(8, 7);
    await model.stored();
  });

  test('by keys: moved, copied, repeated, split, joined, numbered through the command field', async () => {
    const model = await portal();
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
    expect((await nodes(model)).length).toBe(12);
    await model.command('repeat 2 times somewhere');
    await model.page.waitForFunction(() => document.body.textContent?.includes('is no length'));
    await model.page.keyboard.press('Escape');
    await model.stored();
  });

  test('a dimension typed over stretches all beyond it, or only its line', async () => {
    const model = await portal();
    await model.page.keyboard.press('Escape');
    await model.settled();
    const [a, b] = [await model.place('Node 1 '), await model.place('Node 3 ')];
    const middle = { x: a.x + (b.x - a.x) / 4, y: a.y };
    await model.clickText({ x: middle.x, y: a.y + 60 }, { x: middle.x, y: a.y + 110 });
    await model.page.locator('::-p-aria(Only this line moves)').click();
    await model.typeOver('5');
    await model.page.waitForFunction(() => document.querySelector('main li > button[aria-label*="5 m across, 6 m up"]'));
    expect(await nodes(model)).toEqual(['0 0', '0 4.5', '12 0', '12 4.5', '5 6']);
    await model.undo();
    await model.stored();
  });

  test('grid lines: the structure follows another spacing', async () => {
    const model = await portal();
    await model.unfold('Grid lines');
    await model.press('Bays along X: add');
    await model.fill('Bays along X (m)', '6 + 7.5');
    await model.page.waitForFunction(() => document.querySelector('main li > button[aria-label*="13.5 m across, 4.5 m up"]'));
    await model.stored();
  });

  test('clean-up finds what was drawn twice and mends it', async () => {
    const model = await portal();
    await model.command('draw members');
    await model.page.keyboard.type('1');
    await model.typeOver('-1 by 4.5');
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

describe('selecting, schedules, underlay', () => {
  test('groups are made, hidden and shown; the menu of the right button', async () => {
    const model = await portal();
    await model.command('select upright members');
    await model.card('2 selected');
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
    const model = await portal();
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
    await page.waitForFunction(() => document.body.textContent?.includes('is no length'));
    await page.keyboard.press('Escape');
    await page.keyboard.press(' ');
    await model.card('2 selected');
    await model.undo();
    await page.keyboard.press('Escape');
    await model.stored();
  });

  test('a schedule by the pointer: typed into, sorted, filled down, filtered, rows selected', async () => {
    const model = await portal();
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
    await page.mouse.move(support.x, support.y);
    await page.mouse.down();
    await page.mouse.move(third.x, third.y, { steps: 4 });
    await page.mouse.up();
    await model.press('Fill down');
    await page.waitForFunction(() => document.querySelector('#cell-2-3')?.textContent === 'pinned');
    await model.undo();
    await model.undo();
    const heading = (await page.$('::-p-xpath(//*[@role="columnheader"][starts-with(., "X")])'))!;
    for (const way of ['ascending', 'descending']) {
      await heading.click();
      await page.waitForSelector(`[aria-sort=${way}]`, { timeout: 15_000 });
    }
    const across = (await shown(1)).filter((text) => text !== '').map(Number);
    expect(across).toEqual([...across].sort((a, b) => b - a));
    const rows = await page.$$('[role=rowheader]');
    await rows[0]!.click();
    await page.keyboard.down('Shift');
    await rows[2]!.click();
    await page.keyboard.up('Shift');
    await model.card('3 selected');
    await page.locator('::-p-aria(Show only rows with)').fill('pinned');
    await page.waitForFunction(() => document.querySelector('[role=grid]')?.getAttribute('aria-rowcount') === '4');
    await model.press('Close the schedule');
    await model.stored();
  });

  test('an underlay by keys alone: the mark is carried by arrows, places are typed, and the command field knows it', async () => {
    const model = await portal();
    const { page } = model;
    await page.keyboard.press('Escape');
    const file = path.join(application.data, 'elevation.svg');
    writeFileSync(
      file,
      '<svg xmlns="http://www.w3.org/2000/svg" width="400" height="200"><path d="M50 150H350" stroke="black"/></svg>',
    );
    const [chooser] = await Promise.all([page.waitForFileChooser(), model.command('put an underlay\n')]);
    await chooser.accept([file]);
    const placed = async (): Promise<Record<string, number>> => {
      await model.stored();
      const stored = await page.evaluate(async () => (await fetch(`/api${location.pathname}/file`)).json() as Promise<unknown>);
      return (stored as { underlay: Record<string, number> }).underlay;
    };
    await page.waitForFunction(() => document.body.textContent?.includes('elevation.svg'));
    const before = (await placed()).metresPerPixel!;
    const summary = await page.waitForSelector('::-p-xpath(//details/summary[starts-with(., "Underlay")])');
    await summary!.focus();
    await page.keyboard.press('Enter');
    await model.pressByKey('Calibrate by two points');
    const asks = (words: string): Promise<unknown> =>
      page.waitForFunction(
        (text: string) => document.querySelector('main [role=status]')?.textContent?.includes(text),
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
    const [chooser] = await Promise.all([page.waitForFileChooser(), model.command('put an underlay\n')]);
    await chooser.accept([file]);
    await page.waitForFunction(() => document.body.textContent?.includes('frame.svg'));
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
    const places = (await nodes(model)).slice(2).map((words) => words.split(' ').map(Number));
    // Nearer than a tenth of the stroke's width of 15 cm, although the clicks went past the corners.
    for (const [i, expected] of [2.5, 7.5, 17.5, 7.5].entries())
      expect(Math.abs(places.flat()[i]! - expected)).toBeLessThan(0.015);
    await model.stored();
  });

  test('points are shown for a command: the selection is copied by two of them', async () => {
    const model = await portal();
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

  test('an underlay is put behind, calibrated and measured, and kept with the model', async () => {
    const model = await portal();
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
    const { x, y } = await model.sheet();
    const scale = async (): Promise<number> => {
      await model.stored();
      const stored = await page.evaluate(async () => (await fetch(`/api${location.pathname}/file`)).json() as Promise<unknown>);
      return (stored as { underlay: { metresPerPixel: number } }).underlay.metresPerPixel;
    };
    await page.waitForFunction(() => document.body.textContent?.includes('Take it away'));
    const before = await scale();
    await page.evaluate(() => document.querySelector('[data-testid=sheet]')!.scrollIntoView());
    const [first, last] = [await model.place('Node 1 '), await model.place('Node 3 ')];
    const metre = (last.x - first.x) / 12;
    await model.press('Calibrate by two points');
    await page.mouse.click(x + 200, y + 100);
    await page.mouse.click(x + 500, y + 100);
    await model.typeOver('15');
    await model.press('Measure');
    await page.mouse.click(x + 200, y + 100);
    await page.mouse.click(x + 200 + 5 * metre, y + 100);
    await page.waitForFunction(() => /Measured: (5|4\.9\d+|5\.0\d+) m/.test(document.body.textContent ?? ''));
    expect((await scale()) / before).toBeCloseTo(15 / (300 / metre), 2);
    await page.reload({ waitUntil: 'networkidle0' });
    await model.unfold('Underlay');
    await model.press('Take it away');
    await model.stored();
  });

  test('a page of a PDF becomes an underlay, without the network', async () => {
    const model = await portal();
    await model.unfold('Underlay');
    const file = path.join(application.data, 'plan.pdf');
    writeFileSync(file, onePagePdf());
    const input = (await model.page.waitForSelector('input[type=file]')) as unknown as {
      uploadFile(path: string): Promise<void>;
    };
    await input.uploadFile(file);
    await model.page.waitForFunction(() => document.body.textContent?.includes('Take it away'));
    await model.stored();
  });
});

/** The smallest PDF with a line on its page. */
function onePagePdf(): string {
  const stream = '2 w 20 20 m 180 20 l S';
  const objects = [
    '<< /Type /Catalog /Pages 2 0 R >>',
    '<< /Type /Pages /Kids [3 0 R] /Count 1 >>',
    '<< /Type /Page /Parent 2 0 R /MediaBox [0 0 200 100] /Contents 4 0 R /Resources << >> >>',
    `<< /Length ${stream.length} >>\nstream\n${stream}\nendstream`,
  ];
  let text = '%PDF-1.4\n';
  const offsets = objects.map((object, i) => {
    const at = text.length;
    text += `${i + 1} 0 obj\n${object}\nendobj\n`;
    return at;
  });
  const start = text.length;
  text += `xref\n0 5\n0000000000 65535 f \n${offsets.map((at) => `${String(at).padStart(10, '0')} 00000 n \n`).join('')}`;
  return `${text}trailer << /Size 5 /Root 1 0 R >>\nstartxref\n${start}\n%%EOF`;
}

describe('space', () => {
  test('a plane frame becomes a hall: into space, repeated with links, solved, drawn on a chosen plane', async () => {
    const model = await portal();
    await model.command('make it a space model');
    await model.until('solution', /^Solved.*in balance/);
    await model.command('select everything');
    await model.command('repeat 3 times 0 by 0 by -5 linked');
    await model.counts(20, 31);
    await model.until('solution', /^Solved.*in balance/);
    await model.press('Look from higher');
    await model.press('Bending moment about y');
    await model.choose('Plane', 'level, X and Z (a floor)');
    await model.fill('At Y (m)', '4.5');
    await model.press('Look straight at it');
    await model.command('draw members');
    await model.page.keyboard.type('0');
    await model.typeOver('0 by 4.5 by -2.5');
    await model.page.keyboard.type('0');
    await model.typeOver('12 by 0 by 0');
    await model.counts(22, 32);
    await model.page.keyboard.press('Escape');
    await model.page.keyboard.press('Escape');
    await model.command('clean up');
    await model.until('solution', /^Solved.*in balance/);
    await model.stored();
  });

  test('by the pointer: turned, moved and zoomed, what is in front is meant, names in reading order', async () => {
    const model = await portal();
    const { page } = model;
    await page.keyboard.press('Escape');
    await model.unfold('Space');
    await model.press('Make it a space model');
    await model.until('solution', /^Solved/);
    await model.command('select everything');
    await model.command('copy 0 by 0 by -4');
    await model.counts(10, 8);
    await page.keyboard.press('Escape');
    await model.press('Front');
    await model.settled();
    const { x, y } = await model.place('Node 1 ');
    // Two feet stand behind each other: the one in front is meant.
    await page.mouse.click(x, y);
    await page.waitForSelector('main [aria-label="Node 1"], main [aria-label="Support of node 1"]');
    await page.keyboard.press('Escape');
    await model.settled();
    const apart = async (): Promise<number> => {
      const [a, b] = [await model.place('Node 1 '), await model.place('Node 6 ')];
      return Math.hypot(a.x - b.x, a.y - b.y);
    };
    expect(await apart()).toBeLessThan(1);
    const drag = async (button: 'middle' | 'right'): Promise<void> => {
      await page.mouse.move(x + 60, y - 60);
      await page.mouse.down({ button });
      await page.mouse.move(x + 140, y - 90, { steps: 6 });
      await page.mouse.up({ button });
      await model.settled();
    };
    await drag('right');
    const turned = await apart();
    expect(turned).toBeGreaterThan(20);
    const before = await model.place('Node 1 ');
    await drag('middle');
    const after = await model.place('Node 1 ');
    expect([after.x - before.x, after.y - before.y]).toEqual([expect.closeTo(80, 0), expect.closeTo(-30, 0)]);
    await page.mouse.move(after.x, after.y);
    await page.mouse.wheel({ deltaY: -400 });
    await model.settled();
    expect((await apart()) / turned).toBeGreaterThan(1.5);
    await model.unfold('Clean up');
    await model.press('Number nodes anew');
    await model.until('solution', /^Solved/);
    await model.stored();
  });

  test('by keys: a plane to draw on, members drawn upon it, looks at any angle', async () => {
    const model = await portal();
    const { page } = model;
    await page.keyboard.press('Escape');
    await model.command('make it a space model');
    await model.until('solution', /^Solved/);
    await model.command('draw on the plane y at 4.5');
    await model.command('look from an angle 40, 30');
    await model.command('draw members');
    for (const way of ['0 by 4.5 by 0', '0 by 0 by -3']) {
      await page.keyboard.type(way[0]!);
      await model.typeOver(way);
    }
    // From the end of it the mark goes on by arrows, on the plane that was chosen.
    for (const key of ['ArrowRight', 'ArrowRight', 'Enter'] as const) await page.keyboard.press(key);
    await model.counts(7, 6);
    await page.keyboard.press('Escape');
    await page.keyboard.press('Escape');
    expect(await nodes(model)).toEqual(expect.arrayContaining([expect.stringMatching(/ 4\.5$/)]));
    await model.command('draw on the plane none');
    await model.command('zoom in');
    await model.command('move the paper left');
    await model.command('select all on a plane y at 4.5');
    await model.card('6 selected');
    await model.stored();
  });
});

describe('by keyboard alone', () => {
  test('a dimension is an item of the drawing: Enter types over it, and what moves is chosen', async () => {
    const model = await portal();
    const { page } = model;
    await model.command('select everything');
    await page.keyboard.press('Escape');
    const bay = await page.waitForSelector('main li > button[aria-label^="Bay from 6 m to 12 m"]');
    await bay!.focus();
    await page.keyboard.press('Enter');
    await model.typeOver('7.5');
    await page.waitForSelector('main li > button[aria-label^="Bay from 6 m to 13.5 m"]');
    await model.stored();
  });

  test('typical structure, groups, grid lines at the sheet, change with a preview, clean-up, looks at space', async () => {
    const page = await application.page();
    await page.goto(application.address, { waitUntil: 'networkidle0' });
    const model = new ModelPage(application, page);
    await model.pressByKey('New plane model');
    await model.ready();
    await model.chooseByKey('Structure', 'Multi');
    await model.fillByKey('Bays (m)', '2×5');
    await model.pressByKey('Place it');
    await model.counts(12, 15);
    await model.command('select upright members');
    await model.card('9 selected');
    await model.command('group the selection posts');
    await model.command('select group posts');
    await model.card('9 selected');
    await model.command('select everything');
    await model.pressByKey('Turn');
    await model.fillByKey('By (deg)', '180');
    await model.until('solution', /^Solved|mechanism/);
    await model.pressByKey('Leave it');
    const summary = await page.waitForSelector('::-p-xpath(//details/summary[starts-with(., "Grid lines")])');
    await summary!.focus();
    await page.keyboard.press('Enter');
    await model.pressByKey('Bays along X: add');
    await model.fillByKey('Bays along X (m)', '2×6');
    await page.waitForFunction(() => document.querySelector('main li > button[aria-label*="12 m across, 0 m up"]'));
    await model.command('make it a space model');
    await model.until('solution', /^Solved.*in balance/);
    for (const look of ['front', 'side', 'above', 'a corner'])
      await model.command(`look from ${look === 'front' || look === 'side' ? 'the ' : ''}${look}`);
    await model.command('show or hide local axes');
    await model.command('renumber members');
    await model.stored();
  });
});

test('no page complained', () => expect(application.complaints).toEqual([]));
