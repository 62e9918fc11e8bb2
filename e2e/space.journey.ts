import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { Application } from './application';
import { ModelPage } from './model-page';

const application = new Application();
beforeAll(() => application.start());
afterAll(() => application.close());

describe('space', () => {
  test('a plane frame becomes a hall: into space, repeated with links, solved, drawn on a chosen plane', async () => {
    const model = await ModelPage.portal(application);
    await model.command('make it a space model clamped');
    await model.until('solution', /^Solved.*in balance/);
    await model.command('select everything');
    await model.command('repeat 3 times 0 by 0 by -5 linked');
    await model.counts(20, 25);
    await model.until('solution', /^Solved.*in balance/);
    await model.command('look from an angle 40, 35');
    await model.command('show or hide diagram');
    await model.press('Bending moment about y');
    await model.command('go to geometry');
    await model.unfold('Plane to draw on');
    await model.choose('Plane', 'level, X and Z (a floor)');
    await model.fill('At Y (m)', '4.5');
    await model.press('Look straight at it');
    await model.command('draw members');
    await model.page.keyboard.type('0');
    await model.typeOver('0 by 4.5 by -2.5');
    await model.page.keyboard.type('0');
    await model.typeOver('12 by 0 by 0');
    await model.counts(22, 26);
    await model.page.keyboard.press('Escape');
    await model.page.keyboard.press('Escape');
    await model.command('clean up');
    await model.until('solution', /^Solved.*in balance/);
    await model.stored();
  });

  test('by the pointer: turned, moved and zoomed, what is in front is meant, names in reading order', async () => {
    const model = await ModelPage.portal(application);
    const { page } = model;
    await page.keyboard.press('Escape');
    await model.unfold('Space');
    await model.choose('Feet, out of the plane', 'clamped');
    await model.press('Make it a space model');
    await model.until('solution', /^Solved/);
    await model.command('select everything');
    await model.command('copy 0 by 0 by -4');
    await model.counts(10, 8);
    await page.keyboard.press('Escape');
    await model.command('look from the front');
    await model.settled();
    const { x, y } = await model.place('Node 1 ');
    // Two feet stand behind each other: the one in front is meant.
    await page.mouse.click(x, y);
    await page.waitForSelector('aside[aria-label="Node 1"], aside[aria-label="Support of node 1"]');
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
    await model.press('Renumber nodes');
    await model.until('solution', /^Solved/);
    await model.stored();
  });

  test('by keys: a plane to draw on, members drawn upon it, looks at any angle', async () => {
    const model = await ModelPage.portal(application);
    const { page } = model;
    await page.keyboard.press('Escape');
    await model.command('make it a space model clamped');
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
    expect(await model.nodePlaces()).toEqual(expect.arrayContaining([expect.stringMatching(/ 4\.5$/)]));
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
    const model = await ModelPage.portal(application);
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
    await application.visit(page);
    const model = new ModelPage(application, page);
    await model.pressByKey('New plane model');
    await model.ready();
    await model.pressByKey('Multi-storey frame');
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
    await model.pressByKey('Cancel');
    await model.pressByKey('Back to Geometry');
    const summary = await page.waitForSelector('button[aria-expanded][aria-label^="Grid lines"]');
    await summary!.focus();
    await page.keyboard.press('Enter');
    await model.pressByKey('Bays along X: add');
    await model.fillByKey('Bays along X (m)', '2×6');
    await page.waitForFunction(() => document.querySelector('main li > button[aria-label*="12 m across, 0 m up"]'));
    await model.command('make it a space model clamped');
    await model.until('solution', /^Solved.*in balance/);
    for (const look of ['front', 'side', 'above', 'a corner'])
      await model.command(`look from ${look === 'front' || look === 'side' ? 'the ' : ''}${look}`);
    await model.command('show or hide local axes');
    await model.command('renumber members');
    await model.stored();
  });
});

test('no page complained', () => expect(application.complaints).toEqual([]));
