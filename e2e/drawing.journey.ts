import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { Application } from './application';
import { ModelPage } from './model-page';

const application = new Application();
beforeAll(() => application.start());
afterAll(() => application.close());

const emptySheet = (): Promise<ModelPage> => ModelPage.empty(application);

/** The spoken names of nodes with their places. */
const nodes = (model: ModelPage): Promise<string[]> =>
  model.page.$$eval('main li > button[aria-label^="Node "]', (all) =>
    all.map((one) => one.getAttribute('aria-label')!.replace(/;.*/, '')),
  );

async function typeWay(model: ModelPage, text: string): Promise<void> {
  await model.page.keyboard.type(text.charAt(0));
  await model.typeOver(text);
}

describe('drawing', () => {
  test('by the pointer: a chain, a level line, a joint on a member, an offer to join what crosses', async () => {
    const model = await emptySheet();
    const { page } = model;
    await model.press('Draw');
    // Typed at once, with the focus still on the button; then taken back.
    await typeWay(model, '0 by 0');
    await model.counts(1, 0);
    await model.undo();
    await model.counts(0, 0);
    await page.keyboard.press('Escape');
    const { x, y } = await model.sheet();
    const click = async (dx: number, dy: number): Promise<void> => {
      await page.mouse.move(x + dx, y + dy, { steps: 2 });
      await page.mouse.click(x + dx, y + dy);
    };
    await click(300, 400);
    await page.keyboard.down('Shift');
    await page.mouse.move(x + 700, y + 412, { steps: 2 });
    await page.mouse.click(x + 700, y + 412);
    await page.keyboard.up('Shift');
    await model.counts(2, 1);
    const [first, second] = await nodes(model);
    expect(first!.split(', ')[1]).toBe(second!.split(', ')[1]);
    // The chain goes on to the middle of the first member, which is split there; Escape steps back.
    const [a, b] = [await model.place('Node 1 '), await model.place('Node 2 ')];
    await click(700, 250);
    await click((a.x + b.x) / 2 - x, a.y - y + 2);
    await model.counts(4, 4);
    await page.keyboard.press('Escape');
    await click(350, 300);
    await click(450, 480);
    await page.waitForFunction(() => document.body.textContent?.includes('cross without a joint'));
    await page.keyboard.press('j');
    await model.counts(7, 7);
    await page.keyboard.press('Escape');
    await page.keyboard.press('Escape');
    for (let i = 0; i < 3; i++) await model.undo();
    await model.counts(4, 4);
    await model.stored();
  });

  test('by keys alone: places and ways are typed, arrows carry the mark', async () => {
    const model = await emptySheet();
    await model.command('draw members');
    await typeWay(model, '0 by 0');
    await model.counts(1, 0);
    await typeWay(model, '2*3 by 0');
    await model.counts(2, 1);
    await typeWay(model, '250 cm at 90');
    await model.counts(3, 2);
    await typeWay(model, '0 by 0 by 5');
    await model.page.waitForFunction(() => document.body.textContent?.includes('a place in the plane is written'));
    await model.page.keyboard.press('Escape');
    expect(await nodes(model)).toEqual([
      'Node 1 at 0 m across, 0 m up',
      'Node 2 at 6 m across, 0 m up',
      'Node 3 at 6 m across, 2.5 m up',
    ]);
    for (const key of ['ArrowLeft', 'ArrowLeft', 'ArrowUp'] as const) await model.page.keyboard.press(key);
    await model.page.keyboard.press('Enter');
    await model.page.waitForSelector(':is([aria-label*=", 3 members,"], [aria-label*=", 4 members,"])');
    await model.page.keyboard.press('Escape');
    await model.page.keyboard.press('Escape');
    await model.stored();
  });

  test('a node is dragged onto another and becomes part of it; a box selects what it touches', async () => {
    const model = await emptySheet();
    const { page } = model;
    await model.command('draw members');
    await typeWay(model, '0 by 0');
    await typeWay(model, '5 by 0');
    await typeWay(model, '0 by 3');
    await page.keyboard.press('Escape');
    await typeWay(model, '5 by 3.5');
    await typeWay(model, '-5 by 0');
    await model.counts(5, 3);
    await page.keyboard.press('Escape');
    await page.keyboard.press('Escape');
    await model.command('show the whole structure');
    await model.settled();
    const [from, to] = [await model.place('Node 4 '), await model.place('Node 3 ')];
    await model.drag(from, to);
    await model.counts(4, 3);
    await page.keyboard.press('Escape');
    const [low, high] = [await model.place('Node 2 '), await model.place('Node 3 ')];
    await model.drag({ x: high.x + 40, y: high.y - 40 }, { x: low.x - 60, y: low.y + 40 });
    await model.card('5 selected');
    await model.stored();
  });
});

test('by touch: a long press shows the other choices, two fingers zoom, and removing says first what goes along', async () => {
  const model = await emptySheet();
  const { page } = model;
  await page.setViewport({ width: 1280, height: 800, hasTouch: true });
  await model.press('Continuous beam');
  await model.press('Place it');
  await model.counts(4, 3);
  await page.keyboard.press('Escape');
  await model.settled();
  const place = await model.place('Node 2 ');
  const finger = await page.touchscreen.touchStart(place.x, place.y);
  await page.waitForSelector('[aria-label="Other choices"]');
  await finger.end();
  await model.press('Select what is connected');
  await model.card('7 selected');
  await page.keyboard.press('Escape');
  await model.settled();
  const width = async (): Promise<number> => (await model.place('Node 4 ')).x - (await model.place('Node 1 ')).x;
  const before = await width();
  const { x, y } = await model.sheet();
  const [a, b] = [await page.touchscreen.touchStart(x + 300, y + 200), await page.touchscreen.touchStart(x + 360, y + 200)];
  await a.move(x + 240, y + 200);
  await b.move(x + 420, y + 200);
  await a.end();
  await b.end();
  await model.settled();
  expect((await width()) / before).toBeGreaterThan(2);
  await model.press('Whole structure');
  await model.settled();
  await model.command('select by a box');
  const [left, right] = [await model.place('Node 1 '), await model.place('Node 4 ')];
  const drawn = await page.touchscreen.touchStart(left.x - 40, left.y - 50);
  await drawn.move((left.x + right.x) / 2, left.y);
  await drawn.move(right.x + 40, right.y + 50);
  await drawn.end();
  await model.card('7 selected');
  await model.command('select node 2');
  await page.keyboard.press('Delete');
  await page.waitForFunction(() => document.body.textContent?.includes('takes along 2 members, 1 support'));
  await model.counts(4, 3);
  await page.keyboard.press('Delete');
  await model.counts(3, 1);
  await model.undo();
  await model.counts(4, 3);
  await model.stored();
});

describe('typical structures', () => {
  test('a truss by its measures, seen before it is placed, in one undo step', async () => {
    const model = await emptySheet();
    await model.press('Truss');
    await model.until('solution', /^Solved/);
    await model.fill('Span (m)', '17.5');
    await model.fill('Panels', '7');
    await model.choose('Web', 'zigzag without posts');
    await model.until('solution', /^Solved/);
    await model.counts(0, 0);
    await model.press('Place it');
    await model.counts(15, 27);
    await model.stored();
    await model.undo();
    await model.counts(0, 0);
    await model.redo();
    await model.counts(15, 27);
    // Its groups came with it.
    await model.unfold('Select and show');
    await model.press('bottom chord · 7');
    await model.card('7 selected');
    // It remains a truss: from what is selected one comes to its measures, which may be others now.
    await model.press('Measures of Truss');
    await model.fill('Panels', '9');
    await model.counts(19, 35);
    await model.until('solution', /^Solved/);
    await model.command('let joints = 4');
    await model.fill('Panels', 'joints + 1');
    await model.counts(11, 19);
    await model.fill('Panels', 'joints / 3');
    expect(await model.page.evaluate(() => document.body.innerText)).toContain('Panels must be a whole number from 1 to 200');
    await model.page.keyboard.press('Escape');
    await model.page.evaluate(() => (document.activeElement as HTMLElement).blur());
    await model.undo();
    await model.counts(19, 35);
  });

  test('a tower makes a space model of an empty one', async () => {
    const model = await emptySheet();
    await model.press('Lattice tower');
    await model.press('Place it');
    await model.until('solution', /^Solved.*in balance/);
    await model.command('look from above');
    await model.command('look from a corner');
    await model.stored();
  });
});

test('no page complained', () => expect(application.complaints).toEqual([]));
