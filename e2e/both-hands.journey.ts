import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { Model } from '@rigid-beam/core/model/model';
import { Application } from './application';
import { byKeys, byPointer, type Hands } from './hands';
import { ModelPage, type Place } from './model-page';

const application = new Application();
beforeAll(() => application.start());
afterAll(() => application.close());

/** What a message never holds: paths of the file, words in brackets that nobody typed, “1 members”, powers of ten. */
const CODE =
  /\w\[\d+\]|\((supports|members|nodes|loads|cases)\)|(?<![\d.])1 (nodes|members|supports|loads|cases|panels)\b|\d\.0e[+-]?\d/;

/** What the trade says otherwise. */
const NOT_OF_THE_TRADE =
  /Warmth|Misfit|Settles|Rolls|Bears|Free (along|across)|as good as infinite|counts in no case|nothing acts|pulled up|Letter members|is no factor|leads out of|hold each other|head strip/;

const steel = { id: 'steel', E: 210e9, nu: 0.3, alpha: 12e-6 };
const node = (id: string, x: number, y: number, z?: number) => ({ id, x, y, ...(z !== undefined && { z }) });
const member = (id: string, start: string, end: string, section = 'IPE 240') => ({ id, start, end, section, material: 'steel' });
const pinned = (at: string) => ({ node: at, ux: 'fixed', uy: 'fixed', uz: 'fixed' });
const FILE = {
  format: 'rigid-beam/model', version: 1, title: 'Potting shed', space: 'plane', materials: [steel],
  sections: [{ id: 'IPE 240', A: 39.1e-4, Iz: 3892e-8, Iy: 284e-8, J: 12.9e-8 }, { id: 'IPE 180', A: 23.9e-4, Iz: 1317e-8, Iy: 101e-8, J: 4.8e-8 }],
}; // oxfmt-ignore

/** A portal of a shed with a force in the middle of its beam, and a case in which nothing acts. */
const SHED = {
  ...FILE,
  nodes: [node('1', 0, 0), node('2', 0, 3), node('3', 6, 3), node('4', 6, 0)],
  members: [member('a', '1', '2'), member('b', '2', '3'), member('c', '3', '4', 'IPE 180')],
  supports: ['1', '4'].map((at) => ({ node: at, ux: 'fixed', uy: 'fixed' })),
  cases: [{ id: 'Q', category: 'imposed' }, { id: 'G', category: 'permanent', selfWeight: 1 }, { id: 'S', category: 'snow' }],
  loads: [
    { id: 'p', case: 'Q', type: 'point', member: 'b', at: 3, measure: 'length', fy: -10_000 },
    { id: 'q', case: 'Q', type: 'node', node: '2', fx: 10_000 },
  ],
}; // oxfmt-ignore

/** Two frames of a hall, joined along their eaves, so that its walls are panels. */
const HALL = {
  ...FILE, space: 'space', title: 'Glasshouse',
  nodes: [0, -5].flatMap((z, i) => [node(`${4 * i + 1}`, 0, 0, z), node(`${4 * i + 2}`, 0, 3, z), node(`${4 * i + 3}`, 6, 3, z), node(`${4 * i + 4}`, 6, 0, z)]),
  members: [...[0, 4].flatMap((n, i) => [member(`a${i}`, `${n + 1}`, `${n + 2}`), member(`b${i}`, `${n + 2}`, `${n + 3}`), member(`c${i}`, `${n + 3}`, `${n + 4}`)]), member('d', '2', '6'), member('e', '3', '7')],
  supports: ['1', '4', '5', '8'].map((at) => ({ ...pinned(at), rx: 'fixed', ry: 'fixed', rz: 'fixed' })),
  cases: [{ id: 'W', category: 'wind' }],
}; // oxfmt-ignore

describe.each([
  { hands: 'by pointer', handsOf: byPointer },
  { hands: 'by keys', handsOf: byKeys },
])('$hands', ({ handsOf }) => {
  const begin = async (file: object): Promise<{ model: ModelPage; hands: Hands }> => {
    const model = await ModelPage.given(application, file);
    return { model, hands: handsOf(model) };
  };
  const spoken = ({ page }: ModelPage): Promise<string> =>
    page.evaluate(() => document.body.innerText + Array.from(document.querySelectorAll('[aria-label]'), (one) => one.getAttribute('aria-label')).join('\n')); // oxfmt-ignore
  const alert = async ({ page }: ModelPage, pattern: RegExp): Promise<void> => {
    await page.waitForFunction((source) => new RegExp(source).test(document.querySelector('[role=alert]')?.textContent ?? ''), {}, pattern.source); // oxfmt-ignore
    expect(await page.$eval('[role=alert]', (slip) => slip.textContent)).not.toMatch(CODE);
  };
  const where = (model: ModelPage, name: string): Promise<Place> =>
    model.page.locator(`::-p-named(${name})`).map((element) => {
      const { x, y } = (element as Element).getBoundingClientRect();
      return { x, y };
    }).wait(); // oxfmt-ignore

  test('1: a way of one digit makes a member', async () => {
    const model = await ModelPage.empty(application);
    await handsOf(model).press('Draw members');
    await model.page.keyboard.type('0');
    await model.typeOver('0 by 0');
    await model.page.keyboard.type('4');
    await model.page.keyboard.press('Enter');
    await model.counts(2, 1);
    expect(await model.nodePlaces()).toEqual(['0 0', '4 0']);
    expect(await spoken(model)).not.toMatch(CODE);
  });

  test('2: what is shown is in hand: Enter takes the load that is offered', async () => {
    const { model, hands } = await begin(SHED);
    await hands.stage('Loads');
    const field = await model.page.waitForSelector('::-p-named([name="What acts"][role="textbox"])');
    const shown = (): Promise<string> => field!.evaluate((input) => (input as HTMLInputElement).value);
    await (handsOf === byKeys ? field!.focus() : field!.click());
    expect(await shown()).toBe('');
    await model.page.keyboard.press('Enter');
    await model.page.waitForFunction(() => document.querySelector('[aria-label="Line load"]')?.getAttribute('aria-pressed') === 'true'); // oxfmt-ignore
    expect(await shown()).toBe('10 kN/m down');
    await hands.use('Member b ');
    await model.page.waitForSelector('[aria-label^="Undo: Put 10 kN/m down"]');
  });

  test('3: messages move nothing, and the picture keeps its place from stage to stage', async () => {
    const { model, hands } = await begin(SHED);
    const seen: Place[] = [];
    for (const name of ['Geometry', 'Sections', 'Supports', 'Loads', 'Combinations', 'Results', 'Loads']) {
      await hands.stage(name);
      seen.push(await model.place('Node 2 '));
    }
    for (const place of seen) expect(place).toEqual(seen[0]);
    // A fault comes, and goes: what one was about to press stays where it is.
    await hands.fill('Case', 'R');
    const before = await where(model, 'Line load');
    await hands.fill('Case', 'G');
    await alert(model, /There is already a case or combination “G”\. /);
    expect(await where(model, 'Line load')).toEqual(before);
    expect(await model.place('Node 2 ')).toEqual(seen[0]);
  });

  test('5: timber brings its material, with its density, and asks for the grade; a warning has its remedy beside it', async () => {
    const { model, hands } = await begin(SHED);
    await hands.press('Take 7850 kg/m³, as for S235');
    await hands.stage('Sections');
    await hands.fill('Standard shapes', 'Lumber 2x12');
    await model.until('hint', /get Lumber 2x12/);
    await hands.use('Member b ');
    await model.until('remarks', /1 member now of Douglas Fir-Larch No\. 2/);
    await hands.choose('Grade', 'Hem-Fir No. 2');
    await model.page.waitForSelector('[aria-label="Undo: Hem-Fir No. 2 for 1 member"]');
    const { materials, members } = await model.file<Model>();
    expect(materials.map(({ id, density }) => [id, Math.round(density!)])).toEqual([['steel', 7850], ['Hem-Fir No. 2', expect.any(Number)]]); // oxfmt-ignore
    expect(members.map(({ material }) => material)).toEqual(['steel', 'Hem-Fir No. 2', 'steel']);
  });

  test('6: messages are told in words, with what was typed and what to do', async () => {
    const { model, hands } = await begin(SHED);
    await hands.stage('Loads');
    await hands.fill('Case', 'G');
    await alert(model, /already/);
    await hands.press('10 kN down at 3 m · member b');
    await hands.fill('From the start (m)', '99');
    await alert(model, /99/);
    expect(await spoken(model)).not.toMatch(CODE);
    await hands.stage('Combinations');
    await hands.press('Add a sum');
    await hands.stage('Results');
    expect(await spoken(model)).not.toMatch(CODE);
  });

  test('7: what is placed, held and told is called what the trade calls it', async () => {
    const { model, hands } = await begin(SHED);
    for (const name of ['Geometry', 'Sections', 'Supports', 'Combinations', 'Results', 'Loads']) {
      await hands.stage(name);
      if (name === 'Supports') for (const kind of ['Roller, free along X', 'Roller, free along Y']) await where(model, kind);
      expect(await spoken(model)).not.toMatch(NOT_OF_THE_TRADE);
    }
    await model.page.waitForFunction(() => /Case S has no loads/.test(document.body.innerText));
    for (const [kind, put] of [
      ['Temperature', 'Member a '],
      ['Lack of fit', 'Member b '],
      ['Settlement of a support', 'Node 1 '],
    ] as const) {
      await hands.press(kind);
      await hands.use(put);
    }
    await model.page.waitForSelector('[aria-label^="Undo: Put"]');
    expect((await model.file<Model>()).loads.map(({ type }) => type)).toEqual([
      'point',
      'node',
      'thermal',
      'strain',
      'settlement',
    ]);
    expect(await spoken(model)).not.toMatch(NOT_OF_THE_TRADE);
  });

  test('8: a new case is asked for its kind, and is named and coloured from it; loads on one member stack', async () => {
    const { model, hands } = await begin(SHED);
    await hands.stage('Loads');
    await hands.pick('Add a case', 'Wind');
    await model.page.waitForFunction(() => /Wind/.test(document.querySelector('[aria-label="Cases and combinations"]')?.textContent ?? '')); // oxfmt-ignore
    for (const words of ['5 kN/m down', '1 kN/m down']) {
      await hands.fill('What acts', words);
      await hands.use('Member b ');
      await model.page.waitForSelector(`[aria-label^="Undo: Put ${words}"]`);
    }
    const { cases, loads } = await model.file<Model>();
    expect(cases.at(-1)).toMatchObject({ id: 'W', category: 'wind' });
    const colours = cases.map(({ colour }) => colour);
    expect(colours.at(-1)).not.toBeUndefined();
    expect(loads.slice(-2).map((load) => load.case)).toEqual(['W', 'W']);
    // The value of each is typed over in a place of its own.
    const heights: number[] = [];
    for (const words of ['5 kN/m', '1 kN/m']) {
      const item = await model.page.waitForSelector(`main li > button[aria-label*="${words} down on member b"]`);
      await item!.focus();
      await model.page.keyboard.press('Enter');
      await model.page.waitForFunction(() => document.activeElement instanceof HTMLInputElement);
      heights.push(await model.page.evaluate(() => document.activeElement!.getBoundingClientRect().y));
      await model.page.keyboard.press('Escape');
    }
    expect(Math.abs(heights[0]! - heights[1]!)).toBeGreaterThan(8);
  });

  test('9: name and number are typed in the head; a model in space is begun from the projects page', async () => {
    const page = await application.page();
    await application.visit(page);
    const model = new ModelPage(application, page);
    const hands = handsOf(model);
    await hands.press('New space model');
    await model.ready();
    await hands.press('Name of the model: Untitled');
    await model.typeOver('Fern house');
    await page.waitForFunction(() => document.title === 'Fern house · Rigid Beam');
    const number = await page.$eval('[aria-label^="Number of the project"]', (one) => one.getAttribute('aria-label')!);
    await hands.press(number);
    await model.typeOver(handsOf === byKeys ? '26-118' : '26-117');
    await page.waitForSelector(`[aria-label="Number of the project: ${handsOf === byKeys ? '26-118' : '26-117'}"]`);
    expect(await model.file<Model>()).toMatchObject({ title: 'Fern house', space: 'space' });
  });

  test('10: in feet and pounds spans are round, and weights are in pounds', async () => {
    const model = await ModelPage.empty(application);
    const hands = handsOf(model);
    await hands.press('Units and settings');
    await hands.choose('Units', 'Imperial: ft, kip, ksi');
    await hands.press('Portal frame');
    const fields = await model.page.$$eval('input', (all) => all.map(({ value }) => value));
    expect(fields.join(' ')).not.toMatch(/\d\.\d{4}/);
    await hands.press('Place it');
    await hands.stage('Sections');
    await model.page.waitForFunction(() => /In total [\d.]+ lb, [\d.]+ ft² to be painted/.test(document.body.innerText));
    await hands.stage('Results');
    await model.page.waitForFunction(() => /1 ft = [\d.]+ kip·ft/.test(document.body.innerText));
  });

  test('12: what is hidden is not selected, moved or removed, and is told on the sheet', async () => {
    const { model, hands } = await begin(SHED);
    await model.command('select member c');
    await model.command('hide the selection');
    const told = (): Promise<string> => model.page.evaluate(() => /\d+ hidden · show/.exec(document.body.innerText)?.[0] ?? '');
    await model.page.waitForFunction(() => /hidden · show/.test(document.body.innerText));
    const before = await model.file<Model>();
    await model.command('stretch x beyond 6 by 1');
    // Node 3 shows, node 4 does not: it would have gone along.
    await alert(model, /would move 1 hidden node\. Nothing was changed\./);
    expect((await model.file<Model>()).nodes).toEqual(before.nodes);
    await model.page.keyboard.press('Escape');
    await model.command('select everything');
    await hands.press('Only 2 members');
    await model.command('remove');
    await hands.press(await told());
    await model.page.waitForFunction(() => !/hidden · show/.test(document.body.innerText));
    expect((await model.file<Model>()).members.map(({ id }) => id)).toEqual(['c']);
    await model.undo();
    await model.command('stretch x beyond 6 by 1');
    await model.page.waitForSelector('[aria-label^="Undo: Change a dimension"]');
  });

  test('13: a refused phrase leaves nothing in hand; wind on a wall on the ground is one panel', async () => {
    const { model, hands } = await begin(HALL);
    await hands.stage('Loads');
    await hands.press('Line load');
    await hands.fill('What acts', '8 kN/m sideways');
    await model.until('hint', /Click a value/);
    await hands.use('Member a0 ');
    expect((await model.file<Model>()).loads).toEqual([]);
    await model.command('go to loads');
    await hands.press('Pressure on an area');
    const field = await model.page.waitForSelector('::-p-named([name="What acts"][role="textbox"])');
    await model.page.waitForFunction((input) => (input as HTMLInputElement).value === '0.8 kN/m² right', {}, field!);
    await model.command('select all on a plane x at 0');
    const offer = await model.page.waitForSelector(
      '::-p-xpath(//button[starts-with(normalize-space(.), "Put it on the panel")])',
    );
    await hands.press(await offer!.evaluate((button) => button.textContent ?? ''));
    await model.page.waitForSelector('[aria-label^="Undo: Put 0.8 kN/m²"]');
    expect((await model.file<Model>()).loads).toMatchObject([{ type: 'area', case: 'W', direction: 'normal', spread: 'oneWay' }]);
  });

  test('14: a selection made after the load was chosen gets it by Enter; a support in hand is given to all at once', async () => {
    const { model, hands } = await begin({ ...SHED, supports: [] });
    await hands.stage('Loads');
    await hands.press('Line load');
    const [left, right] = [await model.place('Node 2 '), await model.place('Node 3 ')];
    if (handsOf === byKeys) await model.command('select member b');
    else await model.drag({ x: left.x + 40, y: left.y - 40 }, { x: left.x + 80, y: left.y + 20 });
    await model.page.waitForSelector('::-p-named(Put it on the selected member)');
    await model.page.keyboard.press('Enter');
    await model.page.waitForSelector('[aria-label^="Undo: Put 10 kN/m down"]');
    await hands.stage('Supports');
    await hands.press('Pinned');
    if (handsOf === byKeys) await model.chord('a');
    else await model.drag({ x: left.x - 40, y: left.y - 40 }, { x: right.x + 40, y: right.y + 40 });
    await model.until('solution', /^Solved/);
    expect((await model.file<Model>()).supports.map((support) => support.node)).toEqual(handsOf === byKeys ? ['1', '2', '3', '4'] : ['2', '3']); // oxfmt-ignore
  });

  test('15: unlike members say what they differ in; a change is made to all that are alike', async () => {
    const { model, hands } = await begin(SHED);
    await model.command('select everything');
    await hands.press('Only 3 members');
    await model.page.waitForFunction(() => /3 members\. A change is made to all of them.*They differ in section\./.test(document.body.innerText)); // oxfmt-ignore
    await hands.choose('Section', 'IPE 180');
    await model.page.waitForSelector('[aria-label^="Undo: "]');
    expect((await model.file<Model>()).members.map(({ section, material }) => [section, material])).toEqual(Array.from({ length: 3 }, () => ['IPE 180', 'steel'])); // oxfmt-ignore
  });

  test('17: a plane is chosen from a list, and three nodes span one to draw on', async () => {
    const { model, hands } = await begin(HALL);
    const plane = (pattern: RegExp): Promise<unknown> =>
      model.page.waitForFunction((source) => new RegExp(source).test(document.querySelector('[aria-label="View"] button[aria-haspopup=listbox]')?.textContent ?? ''), {}, pattern.source); // oxfmt-ignore
    await plane(/all planes/);
    await hands.choose('Plane', 'Z = −5 m');
    await plane(/−5 m/);
    await model.command('select node 1, 3, 6');
    await hands.press('Draw on the plane through 1, 3, 6');
    await plane(/^through 1, 3, 6/);
  });

  test('18: what is nothing beside the rest is 0; a place is told by floor and grid', async () => {
    const model = await ModelPage.empty(application);
    const hands = handsOf(model);
    await hands.press('Multi-storey frame');
    await hands.press('Place it');
    await model.until('solution', /^Solved/);
    await hands.stage('Results');
    await model.page.waitForFunction(() =>
      /Loads and reactions, and the forces at every joint, balance/.test(document.body.innerText),
    );
    expect(await spoken(model)).not.toMatch(/\de[-−]\d/);
    await hands.use('Node 2 ');
    await model.page.waitForFunction(() =>
      /(Ground|Floor \d), grid [A-Z]/.test(document.querySelector('aside')?.textContent ?? ''),
    );
  });
});

test('no page complained', () => expect(application.complaints).toEqual([]));
