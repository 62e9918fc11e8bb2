import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { Application } from './application';
import { ModelPage } from './model-page';

const application = new Application();
beforeAll(() => application.start());
afterAll(() => application.close());

interface Stored {
  readonly loads: readonly { readonly id: string; readonly case: string; readonly from?: { readonly wy?: number } }[];
  readonly members: readonly { readonly id: string; readonly section: string }[];
}

async function stored(model: ModelPage): Promise<Stored> {
  await model.stored();
  return model.page.evaluate(async () => (await fetch(`/api${location.pathname}/file`)).json() as Promise<never>);
}

test('a value that is said once for a run is changed for all of it, or for one; Tab goes on to the next', async () => {
  const lintel = await ModelPage.open(application, 'Lintel over the potting bench', '?stage=loads&acting=G');
  const own = async (): Promise<(number | undefined)[]> =>
    (await stored(lintel)).loads.flatMap((load) => (load.case === 'G' ? [load.from?.wy] : []));
  const before = await own();
  expect(new Set(before)).toEqual(new Set([-6000]));
  const [second, third] = [await lintel.place('Node 2 '), await lintel.place('Node 3 ')];
  const x = (second.x + third.x) / 2;
  await lintel.clickText({ x, y: second.y - 120 }, { x, y: second.y });
  await lintel.typeOver('7');
  await lintel.page.waitForSelector('::-p-aria(Undo: Set 3 loads)');
  expect(await own()).toEqual(before.map(() => -7000));
  await lintel.undo();
  await lintel.clickText({ x, y: second.y - 120 }, { x, y: second.y });
  await lintel.page.locator('::-p-aria(Only this one)').click();
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

test('a section is typed over where its name stands', async () => {
  const rib = await ModelPage.open(application, 'Glasshouse rib', '?stage=sections');
  const tie = await rib.place('Member tie');
  await rib.clickText({ x: tie.x, y: tie.y - 30 }, { x: tie.x, y: tie.y - 4 });
  await rib.typeOver('oak');
  await rib.page.waitForFunction(() => document.body.textContent?.includes('There is no section “oak”'));
  await rib.typeOver('rib');
  await rib.page.waitForSelector('::-p-aria(Undo: Section of tie: rib)');
  expect((await stored(rib)).members.find(({ id }) => id === 'tie')!.section).toBe('rib');
  await rib.undo();
  await rib.stored();
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
  await page.waitForSelector('::-p-aria(Show the side panel)');
  expect(await share()).toBeGreaterThan(0.85);
  await page.keyboard.press('q');
  await page.waitForSelector('::-p-aria(Fold the side panel away)');
  const plane = (words: string): Promise<unknown> =>
    page.waitForFunction((text: string) => document.querySelector('[aria-label=View]')?.textContent?.includes(text), {}, words);
  await page.keyboard.press(']');
  await plane('Z = 0 m');
  await page.keyboard.press('[');
  await plane('all planes');
});

test('no page complained', () => expect(application.complaints).toEqual([]));
