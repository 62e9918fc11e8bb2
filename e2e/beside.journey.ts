import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { Application } from './application';
import { ModelPage } from './model-page';

const application = new Application();
beforeAll(() => application.start());
afterAll(() => application.close());

test('a second case is drawn beside the first, in the same size; what is pressed in it is selected, and the address brings both back', async () => {
  const model = await ModelPage.open(application, 'Glasshouse rib');
  const { page } = model;
  await model.command('Draw a case beside U2');
  await page.waitForSelector('[data-testid=sheet-beside]');
  await model.until('extremes-beside', /^.*kN·m/);
  await model.choose('Quantity beside', 'N · Axial force');
  const words = await model.until('extremes-beside', /C .*kN/);
  const sizes = await page.$$eval('[data-testid=sheet], [data-testid=sheet-beside]', (all) =>
    all.map((canvas) => [canvas.clientWidth, canvas.clientHeight]),
  );
  expect(sizes[0]).toEqual(sizes[1]);

  // The tie is pressed where it lies in the second drawing.
  await model.settled();
  const [first, second] = await page.$$eval('[data-testid=sheet], [data-testid=sheet-beside]', (all) =>
    all.map((canvas) => canvas.getBoundingClientRect().x),
  );
  const tie = await model.place('Member tie');
  await page.mouse.click(tie.x + second! - first!, tie.y);
  await model.card('Member tie');

  await page.reload();
  await page.waitForSelector('[data-testid=sheet-beside]');
  expect(await model.until('extremes-beside', /C .*kN/)).toBe(words);
  await model.command('Draw one sheet only');
  await page.waitForFunction(() => !document.querySelector('[data-testid=sheet-beside]'));
  expect(page.url()).not.toContain('beside');
});

test('up to four drawings stand beside each other in one size; each is chosen for itself, and closed for itself', async () => {
  const model = await ModelPage.open(application, 'Glasshouse rib');
  const { page } = model;
  for (const words of ['Draw a case beside U2', 'Draw a case beside U1', 'Draw a case beside W']) await model.command(words);
  await page.waitForSelector('[data-testid=sheet-beside-3]');
  const sizes = (): Promise<number[][]> =>
    page.$$eval('canvas[data-testid^=sheet]', (all) => all.map((canvas) => [canvas.clientWidth, canvas.clientHeight]));
  const four = await sizes();
  expect(four).toHaveLength(4);
  for (const [width, height] of four) {
    expect(Math.abs(width! - four[0]![0]!)).toBeLessThanOrEqual(1);
    expect(Math.abs(height! - four[0]![1]!)).toBeLessThanOrEqual(1);
  }
  await model.choose('Quantity beside, 3', 'N · Axial force');
  const words = await model.until('extremes-beside-2', /C .*kN/);
  await model.until('extremes-beside-3', /kN·m/);
  await page.reload();
  await page.waitForSelector('[data-testid=sheet-beside-3]');
  expect(await model.until('extremes-beside-2', /C .*kN/)).toBe(words);
  // Two of them look at what they have less than the first.
  for (const at of [3, 4]) {
    const bar = `[aria-label="What the drawing beside shows, ${at}"]`;
    await page.locator(`${bar} button[aria-pressed="false"]`).click();
    await page.waitForSelector(`${bar} button[aria-pressed="true"]`);
  }
  await page.waitForFunction(() => ['3 · U1 − G', '4 · W − G'].every((words) => document.body.innerText.includes(words)));
  await page.locator('[aria-label="What the drawing beside shows, 3"] button[aria-pressed="true"]').click();
  await model.command('Draw a case beside S');
  await page.waitForFunction(() => /4 drawings stand beside each other already: close one first/.test(document.body.innerText));
  await page.keyboard.press('Escape');
  await model.press('Close drawing 2');
  await page.waitForFunction(() => document.querySelectorAll('canvas[data-testid^=sheet]').length === 3);
  expect(await model.until('extremes-beside', /C .*kN/)).toBe(words);
});
