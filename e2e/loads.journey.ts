import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { Application } from './application';
import { ModelPage } from './model-page';

const application = new Application();
beforeAll(() => application.start());
afterAll(() => application.close());

interface Stored {
  readonly loads: readonly Record<string, unknown>[];
  readonly members: readonly { readonly id: string; readonly section: string }[];
}

const newest = async (model: ModelPage): Promise<Record<string, unknown>> => (await model.file<Stored>()).loads.at(-1)!;
const said = (model: ModelPage): Promise<string> =>
  model.page.$eval('::-p-named([name="What acts"][role="textbox"])', (field) => (field as HTMLInputElement).value);

describe('loads are said, and put where one points', () => {
  test('a phrase with its place, on the member that is clicked; nothing by a press that slips', async () => {
    const lintel = await ModelPage.open(application, 'Lintel over the potting bench', '?stage=loads&acting=Q1');
    const { page } = lintel;
    await lintel.fill('What acts', '8 to 4 kN/m down between 0.5 m and 1.5 m');
    const [second, third] = [await lintel.place('Node 2 '), await lintel.place('Node 3 ')];
    const middle = { x: (second.x + third.x) / 2, y: second.y };
    const count = (await lintel.file<Stored>()).loads.length;
    await page.mouse.move(middle.x, middle.y);
    await page.mouse.down();
    await page.mouse.move(middle.x + 40, middle.y + 60, { steps: 4 });
    await page.mouse.move(middle.x + 20, middle.y, { steps: 4 });
    await page.mouse.up();
    await page.mouse.click(middle.x, middle.y);
    await page.waitForSelector('[aria-label^="Undo: Put 8 kN/m"]');
    expect((await lintel.file<Stored>()).loads).toHaveLength(count + 1);
    expect(await newest(lintel)).toMatchObject({
      ...{ case: 'Q1', type: 'line', measure: 'length' },
      ...{ from: { at: 0.5, wy: -8000 }, to: { at: 1.5, wy: -4000 } },
    });
    await lintel.undo();
    await lintel.stored();
  });

  test('Tab turns the direction; a settlement says where it cannot be', async () => {
    const lintel = await ModelPage.open(application, 'Lintel over the potting bench', '?stage=loads&acting=Q1');
    const { page } = lintel;
    await lintel.press('Force');
    const first = await lintel.place('Node 1 ');
    await page.mouse.move(first.x, first.y - 60);
    expect(await said(lintel)).toBe('10 kN down');
    await page.keyboard.press('Tab');
    await page.waitForFunction(() => document.activeElement?.getAttribute('data-testid') === 'sheet');
    expect(await said(lintel)).toBe('10 kN up');
    await page.keyboard.down('Shift');
    await page.keyboard.press('Tab');
    await page.keyboard.press('Tab');
    await page.keyboard.up('Shift');
    expect(await said(lintel)).toBe('10 kN left');
    await page.keyboard.press('Escape');
    await lintel.press('Settlement of a support');
    const free = await lintel.place('Node 4 ');
    await page.mouse.move(free.x, free.y);
    await lintel.until('hint', /Not there: node 4 is not held that way/);
    await page.mouse.click(free.x, free.y);
    await page.mouse.click(first.x, first.y);
    await page.waitForSelector('[aria-label="Undo: Put 10 mm down on node 1"]');
    expect(await newest(lintel)).toMatchObject({ type: 'settlement', node: '1', uy: -0.01 });
    await lintel.undo();
    await lintel.stored();
  });

  test('where a combination acts, or another bench is open, no load stays in hand for a case that nobody sees', async () => {
    const lintel = await ModelPage.open(application, 'Lintel over the potting bench', '?stage=loads&acting=Q1');
    const { page } = lintel;
    const count = (await lintel.file<Stored>()).loads.length;
    const [second, third] = [await lintel.place('Node 2 '), await lintel.place('Node 3 ')];
    await lintel.press('Line load');
    await lintel.act('All spans loaded');
    await page.waitForFunction(() => document.body.textContent?.includes('A combination acts.'));
    await page.mouse.click((second.x + third.x) / 2 + 30, second.y);
    await lintel.card('Member b');
    expect((await lintel.file<Stored>()).loads).toHaveLength(count);
    expect(page.url()).not.toMatch(/acting=Q1/);
  });

  test('along a run of members as one; a phrase that means nothing is refused with a reason', async () => {
    const rib = await ModelPage.open(application, 'Glasshouse rib', '?stage=loads&acting=S');
    const { page } = rib;
    for (const id of ['a', 'b', 'c']) {
      const member = await rib.place(`Member ${id} `);
      if (id !== 'a') await page.keyboard.down('Shift');
      await page.mouse.click(member.x, member.y);
      await page.keyboard.up('Shift');
    }
    await rib.bench();
    await rib.fill('What acts', '6 kN/m sideways');
    await page.waitForFunction(() => /“sideways” is not understood here/.test(document.body.textContent ?? ''));
    await rib.fill('What acts', '6 to 2 kN/m right across');
    await rib.press('Put it along the run of 3 as one');
    expect(await newest(rib)).toMatchObject({
      type: 'chain',
      members: ['a', 'b', 'c'],
      axes: 'local',
      from: { wy: -6000 },
      to: { wy: -2000 },
    });
    await rib.undo();
    await rib.stored();
  });
});

test('a section is taken in hand and given to members; a new one begins from its shape', async () => {
  const rib = await ModelPage.open(application, 'Glasshouse rib', '?stage=sections');
  const { page } = rib;
  await rib.press('Round tube');
  await page.waitForSelector('[role=group][aria-label="section round-tube"]');
  const card = await page.waitForSelector('[aria-label="section round-tube"] button');
  await card!.click();
  const tie = await rib.place('Member tie');
  await page.mouse.click(tie.x + 60, tie.y);
  await page.waitForSelector('[aria-label^="round-tube, "][aria-label$="1 member"]');
  expect((await rib.file<Stored>()).members.find(({ id }) => id === 'tie')!.section).toBe('round-tube');
  // Another name stays in hand.
  await rib.fill('Section', 'tie tube');
  await page.waitForSelector('[aria-label="section tie tube"] [aria-pressed=true]');
  for (let i = 0; i < 3; i++) await rib.undo();
  await rib.stored();
});

test('no page complained', () => expect(application.complaints).toEqual([]));
