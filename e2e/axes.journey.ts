import { afterAll, beforeAll, expect, test } from '@jest/globals';
import lintel from '../examples/lintel.rbm.json';
import { Application } from './application';
import { ModelPage } from './model-page';

const application = new Application();
beforeAll(() => application.start());
afterAll(() => application.close());

test('the first European shape asks once what axes are called; the answer holds in fields, schedules and commands, and is undone like any edit', async () => {
  const { display: _, ...unasked } = lintel;
  const model = await ModelPage.given(application, unasked);
  const { page } = model;
  await model.stage('Sections');
  await model.press('Z up, strong axis y');
  await page.waitForFunction(() => !document.querySelector('[aria-label="Names of axes"]'));
  expect(await model.file<{ display: object }>()).toMatchObject({ display: { up: 'Z', strong: 'y' } });
  await model.command('open the schedule of nodes');
  const heads = await page.$$eval('[role=columnheader]', (all) => all.map((one) => one.textContent?.trim()));
  expect(heads.slice(1, 4)).toEqual(['Node', 'X (m)', 'Z (m)']);
  await model.command('write into nodes z of 4 to 0.5');
  await model.command('select node 4');
  await page.waitForSelector('::-p-named([name="Z (m)"][role="textbox"])');
  const { nodes } = await model.file<{ nodes: { id: string; y: number }[] }>();
  expect(nodes.find(({ id }) => id === '4')!.y).toBe(0.5);
  await model.undo();
  await model.undo();
  await page.waitForSelector('::-p-named([name="Y (m)"][role="textbox"])');
});
