import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { Application } from './application';
import { ModelPage } from './model-page';

const application = new Application();
beforeAll(() => application.start());
afterAll(() => application.close());

interface Stored {
  readonly sections: readonly { readonly id: string; readonly catalogue?: string; readonly shape?: { readonly h?: number } }[];
  readonly members: readonly { readonly id: string; readonly section: string }[];
  readonly materials: readonly { readonly id: string; readonly E: number; readonly fy?: number }[];
}

const sectionOf = async (model: ModelPage, member: string): Promise<string> =>
  (await model.file<Stored>()).members.find(({ id }) => id === member)!.section;

test('by keys: a condition, a look at a shape, and the members that are clicked get it', async () => {
  const rib = await ModelPage.open(application, 'Glasshouse rib', '?stage=sections');
  const { page } = rib;
  await page.locator('::-p-named([name="Standard shapes"][role="textbox"])').click();
  // What the model has comes first.
  await page.waitForSelector('[role=option]');
  expect(await page.$$eval('[role=option]', (all) => all.slice(0, 2).map((one) => one.textContent!.slice(0, 7)))).toEqual([
    'IPE 160',
    'CHS 76.',
  ]);
  await page.keyboard.type('I > 800 cm4, mass < 20 kg');
  await page.waitForFunction(() => /“mass < 20 kg” is not understood/.test(document.body.textContent ?? ''));
  await page.keyboard.type('/m');
  await page.waitForFunction(() => document.querySelectorAll('[role=option]').length > 5);
  // Typing stays in the field: the stroke did not lead to the commands.
  expect(await page.evaluate(() => document.activeElement?.getAttribute('aria-label'))).not.toBe('Command');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowDown');
  await page.waitForSelector('[aria-label="IPE 180, drawn with its dimensions"]');
  expect(await page.$eval('[aria-label="Properties of IPE 180"]', (one) => one.textContent)).toMatch(
    /Iz1317 cm⁴.*Wpl,z166.4 cm³/,
  );
  await page.keyboard.press('Enter');
  await rib.until('hint', /Click the members that get IPE 180/);
  const [a, b] = [await rib.place('Node 1 '), await rib.place('Node 2 ')];
  await page.mouse.click((a.x + b.x) / 2, (a.y + b.y) / 2);
  await page.waitForSelector('[aria-label="Undo: IPE 180 for 1 member"]');
  expect(await sectionOf(rib, 'a')).toBe('IPE 180');
  expect((await rib.file<Stored>()).sections.find(({ id }) => id === 'IPE 180')).toMatchObject({
    catalogue: 'IPE 180',
    shape: { h: 0.18 },
  });
  await page.keyboard.press('Escape');
});

test('on a member’s card: another shape by its name, and its neighbours by keys while the sheet is looked at', async () => {
  const rib = await ModelPage.open(application, 'Glasshouse rib', '?stage=results');
  const { page } = rib;
  await rib.selectByKey('Member a');
  await rib.unfold('Change it');
  await page.locator('::-p-named([name="Standard shapes"][role="textbox"])').click();
  await page.keyboard.type('HEA 1');
  await page.waitForSelector('[aria-label="HEA 100, drawn with its dimensions"]');
  await rib.press('HEA 100 for this member');
  await page.waitForSelector('[aria-label="Undo: HEA 100 for 1 member"]');
  await rib.press('Close');
  await rib.press('Heavier: HEA 120');
  await page.waitForSelector('[aria-label="Undo: HEA 120 for 1 member"]');
  // A shape that nobody has any more is swept out.
  expect((await rib.file<Stored>()).sections.map(({ id }) => id)).toEqual(['rib', 'tube', 'HEA 120']);
  await page.$eval('[data-testid=sheet]', (canvas) => (canvas as HTMLElement).focus());
  await page.keyboard.press(',');
  await page.waitForSelector('[aria-label="Undo: HEA 100 for 1 member"]');
  await page.keyboard.press('.');
  await page.waitForSelector('[aria-label="Undo: HEA 120 for 1 member"]');
  expect(await sectionOf(rib, 'a')).toBe('HEA 120');
});

test('in the place of a section for every member that has it; a dimension typed over takes the designation away', async () => {
  const rib = await ModelPage.open(application, 'Glasshouse rib', '?stage=sections');
  const { page } = rib;
  const card = await page.waitForSelector('button[aria-label^="rib, IPE 160 "]');
  await card!.click();
  await rib.press('Lighter: IPE 140');
  await page.waitForSelector('[aria-label="Undo: IPE 140 in the place of rib"]');
  const after = await rib.file<Stored>();
  expect(after.members.filter(({ section }) => section === 'IPE 140')).toHaveLength(12);
  expect(after.sections.some(({ id }) => id === 'rib')).toBe(false);
  const renamed = await page.waitForSelector('button[aria-label^="IPE 140, A "][aria-pressed=true]');
  expect(renamed).not.toBeNull();
  await rib.fill('Depth h', '150');
  await page.waitForFunction(() => !/Heavier/.test(document.body.innerHTML));
  expect((await rib.file<Stored>()).sections.find(({ id }) => id === 'IPE 140')).toEqual({
    id: 'IPE 140',
    shape: expect.objectContaining({ h: 0.15 }),
  });
});

test('a material of a standard', async () => {
  const rib = await ModelPage.open(application, 'Glasshouse rib', '?stage=sections');
  await rib.choose('Add a standard material', 'C24 · Softwood, E 11 GPa');
  await rib.page.waitForSelector('button[aria-label^="C24, E 11 GPa · 420 kg/m³"]');
  expect((await rib.file<Stored>()).materials.at(-1)).toEqual({ id: 'C24', E: 11e9, G: 0.69e9, density: 420, alpha: 5e-6 });
});

test('no page complained', () => expect(application.complaints).toEqual([]));
