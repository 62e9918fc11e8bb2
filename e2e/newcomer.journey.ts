import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { Model } from '@rigid-beam/core/model/model';
import { Application } from './application';
import { halfWay, ModelPage, type Place } from './model-page';

const application = new Application();
beforeAll(() => application.start());
afterAll(() => application.close());

describe('nothing is in the way', () => {
  test('Enter is heard before the catalogue has come, and Ctrl+A from the button that was pressed last', async () => {
    const model = await ModelPage.portal(application);
    const { page } = model;
    await model.stage('Sections');
    let release: () => void = () => undefined;
    const held = new Promise<void>((resolve) => (release = resolve));
    await page.setRequestInterception(true);
    page.on('request', (request) => {
      void held.then(() => request.continue());
    });
    await model.fill('Standard shapes', 'IPE 300');
    release();
    await model.until('hint', /get IPE 300/);
    page.removeAllListeners('request');
    await page.setRequestInterception(false);
    await model.chord('a');
    await page.waitForSelector('[aria-label^="Undo: IPE 300 for 4 members"]');
    await model.stage('Loads');
    await model.press('Line load');
    await model.chord('a');
    await page.waitForSelector('::-p-named(Put it on the 4 selected members)');
  });

  test('a box with a section in hand gives it to what it touches, in one step; timber brings its material and says so', async () => {
    const model = await ModelPage.portal(application);
    const { page } = model;
    await model.stage('Sections');
    await model.fill('Standard shapes', 'Lumber 2x12');
    await model.until('hint', /get Lumber 2x12/);
    const [eaves, ridge] = [await model.place('Node 2 '), await model.place('Node 5 ')];
    await model.drag({ x: eaves.x + 30, y: ridge.y - 30 }, { x: eaves.x + 60, y: eaves.y + 10 });
    await model.until('remarks', /1 member now of Douglas Fir-Larch No\. 2/);
    const { members } = await model.file<Model>();
    expect(members.filter(({ section }) => section === 'Lumber 2x12').map(({ material }) => material)).toEqual([
      'Douglas Fir-Larch No. 2',
    ]);
    // The first of its kind asks for its grade; the next ones take what is there.
    await model.choose('Grade', 'Hem-Fir No. 2');
    await page.waitForSelector('[aria-label="Undo: Hem-Fir No. 2 for 1 member"]');
    expect((await model.file<Model>()).materials.map(({ id }) => id)).toEqual(['steel', 'Hem-Fir No. 2']);
    await page.mouse.move(eaves.x + 30, ridge.y - 30);
    await model.chord('a');
    await page.waitForSelector('[aria-label^="Undo: Lumber 2x12 of Hem-Fir No. 2 for 4 members"]');
    await model.undo();
    await model.undo();
    await model.undo();
    expect((await model.file<Model>()).members.every(({ section }) => section === 'beam')).toBe(true);
  });
});

describe('loads and figures', () => {
  test('are called what the trade calls them; loads on one member stand one above the other, each with its value', async () => {
    const model = await ModelPage.portal(application);
    await model.stage('Loads');
    await model.page.waitForSelector('[aria-label="Loads to place"] button');
    const names = await model.page.$$eval('[aria-label="Loads to place"] button', (all) => all.map((one) => one.textContent));
    expect(names).toEqual(['Line', 'Force', 'Couple', 'Area', 'Temperature', 'Lack of fit', 'Settlement']);
    await model.command('apply 5 kN/m down on members c');
    await model.page.waitForSelector('[aria-label^="Undo: Put 5 kN/m"]');
    await model.command('apply 1 kN/m down on members c');
    await model.page.waitForSelector('[aria-label^="Undo: Put 1 kN/m"]');
    // From above one meets the value of the second first, whose comb stands on the back of the first.
    const rafter = halfWay(await model.place('Node 2 '), await model.place('Node 5 '));
    await model.clickText({ x: rafter.x, y: rafter.y - 130 }, rafter);
    await model.page.waitForFunction(() => document.activeElement instanceof HTMLInputElement);
    expect(await model.page.evaluate(() => (document.activeElement as HTMLInputElement).value)).toBe('1');
  });
});

describe('a selection', () => {
  test('made after the load was chosen gets it by Enter; it is narrowed in one step', async () => {
    const model = await ModelPage.portal(application);
    const { page } = model;
    await model.stage('Loads');
    await model.press('Line load');
    const [a, b] = [await model.place('Node 2 '), await model.place('Node 4 ')];
    await model.drag({ x: a.x - 30, y: a.y - 90 }, { x: b.x + 30, y: b.y + 30 });
    await model.press('2 inclined');
    await page.waitForSelector('::-p-named(Put it on the 2 selected members)');
    await page.mouse.move(a.x + 40, a.y + 60);
    await page.keyboard.press('Enter');
    await page.waitForSelector('[aria-label^="Undo: Put 10 kN/m down on 2 members"]');
    // Two alike are changed as one.
    expect((await model.file<Model>()).loads).toHaveLength(2);
    await model.press('10 kN/m down · member c');
    await model.press('Select all like it');
    await model.card('2 loads');
    await model.fill('What acts', '7 kN/m down');
    await page.waitForSelector('[aria-label^="Undo: Change 2 loads"]');
    expect((await model.file<Model>()).loads.map((load) => (load.type === 'line' ? load.from.wy : 0))).toEqual([-7000, -7000]);
  });

  test('what is hidden is neither selected nor removed, and is told on the sheet', async () => {
    const model = await ModelPage.portal(application);
    await model.command('select upright members');
    await model.command('hide the selection');
    await model.press('Whole structure');
    const told = await model.page.waitForSelector('::-p-xpath(//button[contains(., "hidden · show")])');
    await model.command('select everything');
    await model.page.keyboard.press('Escape');
    await model.chord('a');
    const before = await model.file<Model>();
    // Of four members the two rafters, and the ridge that still shows.
    await model.press('Only 2 members');
    await told!.click();
    await model.page.waitForFunction(() => !/hidden · show/.test(document.body.innerText));
    expect((await model.file<Model>()).members).toEqual(before.members);
  });
});

describe('keys', () => {
  test('lead from a field to the commands, out of it, and step its value while the sway is watched', async () => {
    const model = await ModelPage.portal(application);
    const { page } = model;
    await model.stage('Loads');
    await model.command('apply 10 kN right on node 2');
    await page.waitForSelector('[aria-label^="Undo: Put 10 kN right"]');
    await model.command('show or hide deflected line');
    const scale = (): Promise<string> => page.evaluate(() => /deflections × [\d,.]+/.exec(document.body.innerText)?.[0] ?? '');
    await page.waitForFunction(() => /deflections ×/.test(document.body.innerText));
    await model.press('10 kN right · node 2');
    const before = await scale();
    const field = await page.waitForSelector('::-p-named([name="Force X (kN)"][role="textbox"])');
    await field!.focus();
    const sway = async (): Promise<number> => {
      const words = await page.$eval('main li > button[aria-label^="Node 2 "]', (item) => item.getAttribute('aria-label')!);
      return Number(/moves ([-−\d.]+) mm/.exec(words)![1]);
    };
    const first = await sway();
    for (let i = 0; i < 10; i++) await page.keyboard.press('ArrowUp');
    await page.waitForFunction((was) => {
      const words = document.querySelector('main li > button[aria-label^="Node 2 "]')?.getAttribute('aria-label') ?? '';
      return Number(/moves ([-−\d.]+) mm/.exec(words)?.[1] ?? 0) > 1.9 * was;
    }, {}, first); // oxfmt-ignore
    // Twice the sway, drawn twice as far: the scale holds.
    expect(await scale()).toBe(before);
    await page.keyboard.press('Escape');
    await page.waitForFunction((was) => {
      const words = document.querySelector('main li > button[aria-label^="Node 2 "]')?.getAttribute('aria-label') ?? '';
      return Number(/moves ([-−\d.]+) mm/.exec(words)?.[1] ?? 0) === was;
    }, {}, first); // oxfmt-ignore
    await page.keyboard.press('ArrowUp');
    await page.keyboard.press('Enter');
    expect((await model.file<Model>()).loads).toMatchObject([{ fx: 11_000 }]);
    await field!.focus();
    await model.chord('/');
    await page.waitForFunction(() => document.activeElement?.getAttribute('aria-label') === 'Command');
  });
});

describe('in space', () => {
  test('a tower opens on axial forces; a plane is chosen from a list; places are said by floor and grid; two fingers turn', async () => {
    const model = await ModelPage.empty(application);
    const { page } = model;
    await model.press('Lattice tower');
    await model.press('Place it');
    await model.until('solution', /^Solved/);
    await model.stage('Loads');
    await model.command('apply 20 kN right on node 20');
    await model.stage('Results');
    await page.waitForFunction(
      () =>
        document.querySelector('[aria-label="Axial force"]')?.getAttribute('aria-pressed') === 'true' ||
        /[TC] [\d.]+ kN in/.test(document.body.innerText),
    );
    await page.waitForSelector('::-p-xpath(//button[@aria-haspopup="listbox"][contains(., "all planes")])');
    await (await page.$('::-p-xpath(//button[@aria-haspopup="listbox"][contains(., "all planes")])'))!.click();
    await (await page.waitForSelector('[role=option]:nth-child(2)'))!.click();
    await page.waitForFunction(
      () =>
        !/all planes/.test(
          document.querySelector('[aria-label="View"] button[aria-haspopup=listbox]')?.textContent ?? 'all planes',
        ),
    );
    const looked = (): Promise<Place> => model.place('Node 20 ');
    const before = await looked();
    const client = await page.createCDPSession();
    const sheet = await model.sheet();
    const fingers = (dx: number) => [0, 1].map((i) => ({ x: sheet.x + 400 + 80 * i + dx, y: sheet.y + 300, id: i }));
    await client.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: fingers(0) });
    for (let dx = 10; dx <= 120; dx += 10)
      await client.send('Input.dispatchTouchEvent', { type: 'touchMove', touchPoints: fingers(dx) });
    await client.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] });
    expect(await looked()).not.toEqual(before);
  });

  test('three nodes span a plane to draw on', async () => {
    const model = await ModelPage.empty(application);
    await model.press('Space frame building');
    await model.press('Place it');
    await model.until('solution', /^Solved/);
    const { nodes } = await model.file<Model>();
    const [a, b] = nodes;
    const c = nodes.find(({ x, y, z }) => x !== a!.x && y > 0 && z !== b!.z)!;
    await model.command(`select node ${a!.id}, ${b!.id}, ${c.id}`);
    const named = new RegExp(`Draw on the plane through ${[a!.id, b!.id, c.id].join(', ')}`);
    await model.page.waitForFunction((words) => new RegExp(words).test(document.body.innerText), {}, named.source);
    await (await model.page.waitForSelector('::-p-xpath(//button[starts-with(., "Draw on the plane through")])'))!.click();
    await model.page.waitForFunction(() =>
      /^through /.test(document.querySelector('[aria-label="View"] button[aria-haspopup=listbox]')?.textContent ?? ''),
    );
  });
});
