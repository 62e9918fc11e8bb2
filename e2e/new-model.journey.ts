import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { Application } from './application';
import { ModelPage } from './model-page';

const application = new Application();
beforeAll(() => application.start());
afterAll(() => application.close());

/** Draws a simple beam of 6 m by clicking once and typing the way, and supports it. */
async function simpleBeam(): Promise<ModelPage> {
  const page = await application.page();
  await application.visit(page);
  await page.locator('::-p-named(New plane model)').click();
  const beam = new ModelPage(application, page);
  await beam.ready();
  await beam.until('hindrance', /There is no member yet/);
  await beam.press('Draw');
  const sheet = await page.$eval('[data-testid=sheet]', (canvas) => ({
    x: canvas.getBoundingClientRect().x,
    y: canvas.getBoundingClientRect().y,
  }));
  await page.mouse.click(sheet.x + 250, sheet.y + 250);
  await beam.stored();
  await page.mouse.move(sheet.x + 400, sheet.y + 240, { steps: 3 });
  await page.keyboard.type('1');
  await beam.typeOver('6 at 0');
  await beam.until('hindrance', /there is no support/);
  await page.keyboard.press('Escape');
  await page.keyboard.press('Escape');
  await beam.press('Whole structure');
  await beam.press('Supports: 0 supports, needs attention');
  await beam.press('Pinned');
  const [first, second] = [await beam.place('Node 1 '), await beam.place('Node 2 ')];
  await page.mouse.click(first.x, first.y);
  await beam.press('Roller, free along X');
  await page.mouse.click(second.x, second.y);
  await beam.until('solution', /^Solved/);
  return beam;
}

describe('a new model from nothing', () => {
  test('nodes, a member, supports, loads, a freed end and the diagrams that theory gives', async () => {
    const beam = await simpleBeam();
    const { page } = beam;
    await beam.press('Loads: 0 loads, nothing yet');
    await beam.command('show or hide diagram');
    await beam.fill('Self weight ×', '0');
    await beam.press('Line load');
    await beam.fill('What acts', '15 kN/m down');
    const [first, second] = [await beam.place('Node 1 '), await beam.place('Node 2 ')];
    await page.mouse.click((first.x + second.x) / 2 + 40, first.y);
    // qL²/8
    await beam.until('extremes', /^67\.5 kN·m in a, sagging/);
    await beam.press('Shear force');
    await beam.until('extremes', /^45 kN in a · −45 kN in a$/);

    // A force in the middle: qL²/8 + PL/4 with P = 10 kN.
    await beam.press('Force');
    await page.mouse.click((first.x + second.x) / 2, first.y);
    await beam.press('Bending moment');
    await beam.until('extremes', /^82\.5 kN·m in a, sagging/);
    await beam.stored();

    // Fixing the start makes it a propped cantilever; hinging the member there brings the simple beam back.
    await beam.press('Supports: 2 supports, in order');
    await beam.command('show or hide diagram');
    await beam.press('Fixed');
    await page.mouse.click(first.x, first.y);
    await beam.until('extremes', /hogging/);
    await page.keyboard.press('Escape');
    await page.mouse.click((first.x + second.x) / 2 - 60, first.y);
    await beam.press('Hinge at node 1');
    await beam.until('extremes', /^82\.5 kN·m in a, sagging/);
    await beam.stored();
  });

  test('a force placed on a node', async () => {
    const beam = await simpleBeam();
    await beam.press('Loads: 0 loads, nothing yet');
    await beam.command('show or hide diagram');
    await beam.fill('Self weight ×', '0');
    await beam.fill('What acts', '25 kN right');
    const second = await beam.place('Node 2 ');
    await beam.page.mouse.click(second.x, second.y);
    await beam.press('Axial force');
    await beam.until('extremes', /^T 25 kN in a$/);
    await beam.stored();
  });

  test('undo goes back to the empty sheet step by step, and redo forward again', async () => {
    const beam = await simpleBeam();
    for (let i = 0; i < 4; i++) await beam.undo();
    await beam.until('hindrance', /There is no member yet/);
    for (let i = 0; i < 4; i++) await beam.redo();
    await beam.until('solution', /^Solved/);
    await beam.stored();
  });

  test('no page complained', () => expect(application.complaints).toEqual([]));
});
