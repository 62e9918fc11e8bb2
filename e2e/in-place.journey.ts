import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { Application } from './application';
import { ModelPage } from './model-page';

const application = new Application();
beforeAll(() => application.start());
afterAll(() => application.close());

interface Stored {
  readonly loads: readonly { readonly id: string; readonly case: string; readonly from?: { readonly wy?: number } }[];
  readonly members: readonly { readonly id: string; readonly section: string }[];
  readonly nodes: readonly { readonly id: string; readonly x: number }[];
  readonly formulas: readonly { readonly is: string }[];
}

test('a value that is said once for a run is changed for all of it, or for one; Tab goes on to the next', async () => {
  const lintel = await ModelPage.open(application, 'Lintel over the potting bench', '?stage=loads&acting=G');
  const own = async (): Promise<(number | undefined)[]> =>
    (await lintel.file<Stored>()).loads.flatMap((load) => (load.case === 'G' ? [load.from?.wy] : []));
  const before = await own();
  expect(new Set(before)).toEqual(new Set([-6000]));
  const [second, third] = [await lintel.place('Node 2 '), await lintel.place('Node 3 ')];
  const x = (second.x + third.x) / 2;
  await lintel.clickText({ x, y: second.y - 120 }, { x, y: second.y });
  await lintel.typeOver('7');
  await lintel.page.waitForSelector('::-p-named(Undo: Set 3 loads)');
  expect(await own()).toEqual(before.map(() => -7000));
  await lintel.undo();
  await lintel.clickText({ x, y: second.y - 120 }, { x, y: second.y });
  await lintel.page.locator('::-p-named(Only this one)').click();
  await lintel.typeOver('7');
  await lintel.page.waitForFunction(() => !(document.activeElement instanceof HTMLInputElement));
  expect((await own()).filter((wy) => wy === -7000)).toHaveLength(1);
  // Three figures stand there now: Tab takes one and opens the next.
  const first = await lintel.place('Node 1 ');
  await lintel.clickText({ x: (first.x + second.x) / 2, y: second.y - 120 }, { x: (first.x + second.x) / 2, y: second.y });
  await lintel.page.keyboard.type('5');
  await lintel.page.keyboard.press('Tab');
  await lintel.page.waitForFunction(
    () => document.activeElement instanceof HTMLInputElement && document.activeElement.value === '7',
  );
  await lintel.page.keyboard.press('Escape');
  expect([...(await own())].sort()).toEqual([-5000, -6000, -7000]);
  for (let i = 0; i < 2; i++) await lintel.undo();
  expect(await own()).toEqual(before);
});

test('a bay and loads take expressions where they are typed over, in hand too, and show them there again', async () => {
  const rib = await ModelPage.open(application, 'Glasshouse rib', '?stage=geometry');
  const { page } = rib;
  const typeOverItem = async (label: string): Promise<string> => {
    await page.focus(`main li > button[aria-label^="${label}"]`);
    await page.keyboard.press('Enter');
    await page.waitForFunction(() => document.activeElement instanceof HTMLInputElement);
    return page.evaluate(() => (document.activeElement as HTMLInputElement).value);
  };
  await typeOverItem('Bay from 0 m to 1 m');
  // Words of a choice are pressed like the choice itself.
  for (const words of ['Only this line moves', 'Everything to the right moves with it'])
    await page.locator(`::-p-text(${words})`).click();
  await rib.typeOver('span/10');
  await page.waitForSelector('::-p-named(Undo: Bay of span/10)');
  expect((await rib.file<Stored>()).nodes.map(({ x }) => x)).toEqual([
    0,
    1.2,
    ...[2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12].map((x) => x + 0.2),
  ]);
  expect(await typeOverItem('Bay from 0 m to 1.2 m')).toBe('span/10');
  await page.keyboard.press('Escape');
  await rib.undo();
  // It hangs on a parameter already, and on another share of it then.
  expect(await typeOverItem('Load snow right')).toBe('2 snow');
  await rib.typeOver('3 snow');
  await page.waitForSelector('::-p-named(Undo: Set load snow right)');
  expect(await typeOverItem('Load snow right')).toBe('3 snow');
  await page.keyboard.press('Escape');
  await rib.undo();
  await rib.command('go to loads');
  await rib.fill('What acts', 'snow/2 left');
  const [from, to] = [await rib.place('Node 4 '), await rib.place('Node 10 ')];
  await page.mouse.click((from.x + to.x) / 2 + 30, (from.y + to.y) / 2);
  await page.waitForSelector('::-p-named(Undo: Put snow/2 left on member tie)');
  expect((await rib.file<Stored>()).formulas.filter(({ is }) => is.includes('snow/2'))).toHaveLength(2);
  await page.keyboard.press('Escape');
  await rib.undo();
  await rib.stored();
});

test('a section is typed over where its name stands', async () => {
  const rib = await ModelPage.open(application, 'Glasshouse rib', '?stage=sections');
  const tie = await rib.place('Member tie');
  await rib.clickText({ x: tie.x, y: tie.y - 30 }, { x: tie.x, y: tie.y - 4 });
  await rib.typeOver('oak');
  await rib.page.waitForFunction(() => document.body.textContent?.includes('There is no section “oak”'));
  await rib.typeOver('rib');
  await rib.page.waitForSelector('::-p-named(Undo: Section of tie: rib)');
  expect((await rib.file<Stored>()).members.find(({ id }) => id === 'tie')!.section).toBe('rib');
  await rib.undo();
  await rib.stored();
});

test('where a node stands is typed over, by pointer and by keys', async () => {
  const rib = await ModelPage.open(application, 'Glasshouse rib', '?stage=geometry');
  const { page } = rib;
  const standsAt = async (): Promise<unknown> => (await rib.file<Stored>()).nodes.find(({ id }) => id === '6');
  const before = await standsAt();
  const node = await rib.place('Node 6 ');
  await page.mouse.click(node.x, node.y);
  await page.waitForSelector('::-p-text(Node 6)');
  await rib.clickText({ x: node.x, y: node.y - 40 }, { x: node.x, y: node.y - 10 });
  await rib.typeOver('5 by 4.6 m');
  await page.waitForSelector('::-p-named(Undo: Move node 6)');
  expect(await standsAt()).toMatchObject({ x: 5, y: 4.6 });
  await rib.undo();
  await page.focus('main li > button[aria-label^="Node 6 "]');
  await page.keyboard.press('Enter');
  await rib.typeOver('nowhere');
  await page.waitForFunction(() => document.body.textContent?.includes('a place is written: across by up'));
  await page.keyboard.press('Escape');
  expect(await standsAt()).toEqual(before);
});

test('members that follow each other are read as one line; a deflection is drawn with its figure', async () => {
  const rib = await ModelPage.open(application, 'Glasshouse rib', '?stage=results&acting=G');
  const { page } = rib;
  const [a, b] = [await rib.place('Member a '), await rib.place('Member b ')];
  await page.mouse.click(a.x, a.y);
  await page.keyboard.down('Shift');
  await page.mouse.click(b.x, b.y);
  await page.keyboard.up('Shift');
  await page.locator('::-p-text(Read all its diagrams)').click();
  await page.waitForSelector('::-p-text(2 members from node 1 to node 3)');
  await page.locator('::-p-named(Close the diagrams)').click();
  await page.locator('[aria-label="Quantity"] [aria-label="Deflection"]').click();
  await page.waitForFunction(() => /mm in tie/.test(document.querySelector('[data-testid=extremes]')?.textContent ?? ''));
});

test('the edges of the drawing say from where one looks, and take one there', async () => {
  const walk = await ModelPage.open(application, 'Canopy walk', '?stage=geometry');
  const { page } = walk;
  const pressed = (words: string): Promise<unknown> =>
    page.waitForFunction(
      (label: string) => document.querySelector(`[aria-label="${label}"]`)?.getAttribute('aria-pressed') === 'true',
      {},
      words,
    );
  await pressed('Seen from a corner');
  await page.locator('[aria-label="Seen from the front"]').click();
  await pressed('Seen from the front');
  await page.focus('[aria-label="Seen from above"]');
  await page.keyboard.press('Enter');
  await pressed('Seen from above');
  await page.locator('[aria-label="Turn to the left"]').click();
  await page.waitForFunction(() => document.querySelector('[aria-label="Seen from"] [aria-pressed=true]') === null);
});

test('keys fold the side panel and bring planes forward; the sheet keeps two thirds, and 85 % without the panel', async () => {
  const walk = await ModelPage.open(application, 'Canopy walk', '?stage=results');
  const { page } = walk;
  const share = (): Promise<number> =>
    page.$eval('[data-testid=sheet]', (canvas) => {
      const { width, height } = canvas.getBoundingClientRect();
      return (width * height) / (window.innerWidth * window.innerHeight);
    });
  expect(await share()).toBeGreaterThan(0.66);
  await page.keyboard.press('q');
  await page.waitForSelector('::-p-named(Show the side panel)');
  expect(await share()).toBeGreaterThan(0.85);
  await page.keyboard.press('q');
  await page.waitForSelector('::-p-named(Fold the side panel away)');
  const plane = (words: string): Promise<unknown> =>
    page.waitForFunction((text: string) => document.querySelector('[aria-label=View]')?.textContent?.includes(text), {}, words);
  await page.keyboard.press(']');
  await plane('Z = 0 m');
  await page.keyboard.press('[');
  await plane('all planes');
});

test('no page complained', () => expect(application.complaints).toEqual([]));
