import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { writeFileSync } from 'node:fs';
import path from 'node:path';
import type { Model } from '@rigid-beam/core/model/model';
import { Application } from './application';
import { givenFile } from './given-file';
import { halfWay, ModelPage, type Place } from './model-page';

const application = new Application();
beforeAll(() => application.start());
afterAll(() => application.close());

/** Somebody at a model who does only what the screen suggests, and counts it: a click, a key, a drag, a choice, a value typed with Enter. */
class Newcomer {
  actions = 0;
  constructor(readonly model: ModelPage) {}
  async does(action: Promise<unknown>): Promise<void> {
    this.actions++;
    await action;
  }
  press = (name: string): Promise<void> => this.does(this.model.press(name));
  fill = (label: string, text: string): Promise<void> => this.does(this.model.fill(label, text));
  type = (text: string): Promise<void> => this.does(this.model.typeOver(text));
  key = (key: 'Escape' | 'Enter'): Promise<void> => this.does(this.model.page.keyboard.press(key));
  stage = (name: string): Promise<void> => this.does(this.model.stage(name));
  everything = (): Promise<void> => this.does(this.model.chord('a'));
  box = (from: Place, to: Place): Promise<void> => this.does(this.model.drag(from, to));
  async click({ x, y }: Place): Promise<void> {
    await this.model.page.mouse.move(x - 4, y - 3);
    await this.does(this.model.page.mouse.click(x, y));
  }
  /** The way to a new model, which is an action too. */
  static async begins(kind: string): Promise<Newcomer> {
    const page = await application.page();
    await application.visit(page);
    const user = new Newcomer(new ModelPage(application, page));
    await user.press(kind);
    await user.model.ready();
    return user;
  }
}

/** A pitched portal of 12 m as it came on paper, with its one dimension. */
const PORTAL = `<svg xmlns="http://www.w3.org/2000/svg" width="800" height="400" viewBox="0 0 800 400">
  <path d="M100 340V160L400 80L700 160V340" fill="none" stroke="black" stroke-width="3"/>
  <path d="M60 340H740" stroke="black"/><text x="360" y="385" font-size="22">12.00</text></svg>`;

/** Where a place of the picture is seen while it is all that is fitted into the sheet, with as much paper around it. */
async function onPicture(model: ModelPage): Promise<(x: number, y: number) => Place> {
  const sheet = await model.page.$eval('[data-testid=sheet]', (canvas) => {
    const { x, y, width, height } = canvas.getBoundingClientRect();
    return { x, y, width, height };
  });
  const scale = Math.min((sheet.width - 140) / 800, (sheet.height - 140) / 400);
  return (x, y) => ({
    x: sheet.x + sheet.width / 2 + (x - 400) * scale,
    y: sheet.y + sheet.height / 2 + (y - 200) * scale,
  });
}

test('a portal traced from a sketch, with three cases and a sum of them, in at most 60 actions', async () => {
  const user = await Newcomer.begins('New plane model');
  const { model } = user;
  const { page } = model;
  const file = path.join(application.data, 'potting-shed.svg');
  writeFileSync(file, PORTAL);
  await givenFile(page, file, () => user.press('Trace a plan'));
  // Its size is asked for at once.
  await model.until('hint', /one end of a known dimension/);
  await model.settled();
  let at = await onPicture(model);
  await user.click(at(100, 340));
  await user.click(at(700, 340));
  await user.type('12');
  await model.until('hint', /Click a value/);
  at = await onPicture(model);
  await user.press('Draw');
  for (const [x, y] of [[100, 340], [100, 160], [400, 80], [700, 160], [700, 340]] as const) {
    const { x: px, y: py } = at(x, y);
    await user.click({ x: px + 2, y: py + 2 });
  } // oxfmt-ignore
  await model.counts(5, 4);
  await user.key('Escape');
  await user.key('Escape');
  // The clicks went past the corners: those of the picture were met, also the flat one of the ridge. 20 mm of it are a pixel.
  const { nodes } = await model.file<Model>();
  const ideal = [[0, 0], [0, 3.6], [6, 5.2], [12, 3.6], [12, 0]]; // oxfmt-ignore
  nodes.forEach((node, i) => {
    expect(Math.abs(node.x - nodes[0]!.x - ideal[i]![0]!)).toBeLessThan(0.02);
    expect(Math.abs(node.y - nodes[0]!.y - ideal[i]![1]!)).toBeLessThan(0.02);
  });
  // Plumb is plumb.
  expect([nodes[1]!.x, nodes[4]!.x]).toEqual([nodes[0]!.x, nodes[3]!.x]);

  await user.stage('Supports');
  await user.press('Pinned');
  const feet = [await model.place('Node 1 '), await model.place('Node 5 ')] as const;
  await user.box({ x: feet[0].x - 40, y: feet[0].y - 20 }, { x: feet[1].x + 40, y: feet[1].y + 20 });
  await model.until('solution', /^Solved/);
  await user.stage('Sections');
  await user.fill('Standard shapes', 'IPE 300');
  await model.until('hint', /get IPE 300/);
  await page.mouse.move(feet[0].x + 200, feet[0].y - 60);
  await user.everything();
  await page.waitForSelector('[aria-label^="Undo: IPE 300 for 4 members"]');

  await user.stage('Loads');
  await user.press('Line load');
  const [eaves, ridge, far] = [await model.place('Node 2 '), await model.place('Node 3 '), await model.place('Node 4 ')];
  const roof = async (words: string): Promise<void> => {
    await user.fill('What acts', words);
    await user.click(halfWay(eaves, ridge));
    await user.click(halfWay(ridge, far));
  };
  await roof('1.2 kN/m down');
  await user.press('Add a case');
  await user.press('Snow');
  await roof('3 kN/m down on plan');
  await user.press('Add a case');
  await user.press('Wind');
  await user.fill('What acts', '2 kN/m right');
  await user.click(halfWay(feet[0], eaves));
  await user.fill('What acts', '1 kN/m right');
  await user.click(halfWay(far, feet[1]));
  await user.press('Remove Q');

  await user.stage('Combinations');
  await user.press('Add a sum');
  await user.stage('Results');
  await model.until('solution', /^Solved.*in balance/);
  await model.until('extremes', /kN·m in/);
  const { cases, loads, title } = await model.file<Model>();
  expect(cases.map(({ id, category, colour }) => [id, category, colour])).toEqual([
    ['G', 'permanent', undefined],
    ['S', 'snow', 'slate'],
    ['W', 'wind', 'plum'],
  ]);
  expect(loads).toHaveLength(6);
  expect(title).toBe('');
  expect(user.actions).toBeLessThanOrEqual(60);
  expect(user.actions).toBe(39);
}, 240_000);

test('a frame of two bays is made a hall of five with snow and wind, in at most 45 actions', async () => {
  const user = await Newcomer.begins('New plane model');
  const { model } = user;
  const { page } = model;
  await user.press('Portal frame');
  await user.fill('Bays (m)', '2×12');
  await user.press('Place it');
  await model.counts(8, 7);
  // It is called what it is.
  expect(await page.$eval('h1', (title) => title.textContent)).toBe('Portal frame');
  await user.press('Space: a plane model');
  await user.fill('Frames in a row', '5');
  await user.fill('Spacing (m)', '6');
  await user.press('Make it a hall of 5 frames');
  await model.counts(40, 55);
  await model.until('solution', /^Solved/);
  await user.stage('Sections');
  await user.fill('Standard shapes', 'HEB 260');
  await model.until('hint', /get HEB 260/);
  await page.mouse.move(1100, 650);
  await user.everything();
  await page.waitForSelector('[aria-label^="Undo: HEB 260 for 55 members"]');
  await user.stage('Loads');
  await user.press('Add a case');
  await user.press('Snow');
  await user.press('Pressure on an area');
  await page.mouse.move(1100, 650);
  await user.everything();
  await user.press('Put it on these 16 panels');
  await user.press('Add a case');
  await user.press('Wind');
  await user.press('Pressure on an area');
  // The wall on the left, from post to post along the hall: what the instrument offers for wind acts to the right.
  const [a, b, c, d] = [
    await model.place('Node 1 '),
    await model.place('Node 2 '),
    await model.place('Node 9 '),
    await model.place('Node 10 '),
  ];
  const middle = { x: (a.x + b.x + c.x + d.x) / 4, y: (a.y + b.y + c.y + d.y) / 4 };
  await page.mouse.move(middle.x + 3, middle.y);
  await model.until('hint', /0\.8 kN\/m² right/);
  await user.click(middle);
  await page.waitForSelector('[aria-label^="Undo: Put 0.8 kN/m²"]');
  await user.key('Escape');
  await user.press('Remove Q');
  await user.stage('Results');
  await model.until('solution', /^Solved.*in balance/);
  const { cases, loads, space } = await model.file<Model>();
  expect(space).toBe('space');
  expect(cases.map(({ id }) => id)).toEqual(['G', 'S', 'W']);
  expect(loads.filter((load) => load.case === 'S')).toHaveLength(16);
  // A wall without a bottom rail spans from post to post.
  expect(loads.filter((load) => load.case === 'W')).toMatchObject([{ type: 'area', direction: 'normal', spread: 'oneWay' }]);
  expect(user.actions).toBeLessThanOrEqual(45);
  expect(user.actions).toBe(24);
}, 240_000);
