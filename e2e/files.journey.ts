import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { spaceBuilding } from '../bench/structures';
import { Application } from './application';
import { givenFile } from './given-file';
import { ModelPage } from './model-page';

// Refused requests and an absent server are what these journeys are about; the browser logs each.
const application = new Application({ own: 'data', provoked: /Failed to load resource/ });
beforeAll(() => application.start());
afterAll(() => application.close());

const folder = mkdtempSync(path.join(tmpdir(), 'rigid-beam-files-'));
const lintel = JSON.parse(readFileSync('examples/lintel.rbm.json', 'utf8')) as Record<string, unknown>;

/** Chooses a file on the projects page, as the file dialog would. */
async function upload(model: object | string): Promise<ModelPage> {
  const file = path.join(folder, typeof model === 'string' ? 'model.ifc' : 'model.rbm.json');
  writeFileSync(file, typeof model === 'string' ? model : JSON.stringify(model));
  const page = await application.page();
  await application.visit(page);
  await givenFile(page, file, () => page.locator('::-p-named(From a file)').click());
  return new ModelPage(application, page);
}

/** Saves the model as a kind of file, and reads what came. */
async function saved(model: ModelPage, kind: string, name: string): Promise<unknown> {
  return JSON.parse(await savedText(model, kind, name));
}

async function savedText(model: ModelPage, kind: string, name: string, hands: 'pointer' | 'keys' = 'pointer'): Promise<string> {
  const { page } = model;
  const client = await page.createCDPSession();
  await client.send('Browser.setDownloadBehavior', {
    behavior: 'allow',
    browserContextId: page.browserContext().id!,
    downloadPath: folder,
    eventsEnabled: true,
  });
  const done = new Promise<void>((resolve) =>
    client.on('Browser.downloadProgress', ({ state }) => state === 'completed' && resolve()),
  );
  if (hands === 'keys') {
    await model.pressByKey('Save as file');
    await page.waitForSelector('[role=menuitem]:focus');
    await page.keyboard.type(kind);
    await page.waitForFunction((words) => document.activeElement?.textContent?.startsWith(words), {}, kind);
    await page.keyboard.press('Enter');
  } else {
    await page.locator('::-p-named(Save as file)').click();
    await page.locator(`::-p-xpath(//*[@role="menuitem"][contains(., "${kind}")])`).click();
  }
  await done;
  return readFileSync(path.join(folder, name), 'utf8');
}

describe('files', () => {
  test('a model comes in from a file with units, and goes out in SI', async () => {
    const nodes = (lintel.nodes as { x: number }[]).map((node) => ({ ...node, x: `${node.x * 1000} mm` }));
    const model = await upload({ ...lintel, title: 'Shelf in the fernery', nodes });
    await model.ready();
    await model.until('solution', /^Solved/);
    const written = (await saved(model, 'Model file', 'shelf-in-the-fernery.rbm.json')) as {
      title: string;
      nodes: { x: number }[];
    };
    expect(written.title).toBe('Shelf in the fernery');
    written.nodes.forEach(({ x }, i) => expect(x).toBeCloseTo((lintel.nodes as { x: number }[])[i]!.x, 12));
    expect(await saved(model, 'Results file', 'shelf-in-the-fernery.results.json')).toMatchObject({ status: 'solved' });
  });

  test('a model goes out as IFC with what it cannot say, and comes in again with what is left out of the file', async () => {
    const model = await ModelPage.open(application, 'Shelf in the fernery');
    await model.until('solution', /^Solved/);
    const text = await savedText(model, 'IFC', 'shelf-in-the-fernery.ifc', 'keys');
    expect(text).toMatch(/FILE_SCHEMA\(\('IFC4X3_ADD2'\)\)/);
    await model.until('remarks', /1 envelope is left out: the standard has sums only/);
    const wall = "#90001=IFCWALL('0000000000000000000000',$,'Wall',$,$,$,$,$,$);\nENDSEC;\nEND-ISO";
    const again = await upload(text.replace('ENDSEC;\nEND-ISO', wall).replaceAll('Shelf in the fernery', 'Shelf that came back'));
    await again.ready();
    await again.until('solution', /^Solved, in balance/);
    expect(await again.until('remarks', /IfcWall has no place/)).toMatch(/first in line \d+/);
    const extremes = async (page: ModelPage): Promise<string> => {
      await page.command('results');
      return page.until('extremes', /kN·m/);
    };
    expect(await extremes(again)).toBe(await extremes(model));
  });

  test('a space model is solved whole and seen from a corner, and from the front', async () => {
    const walk = JSON.parse(readFileSync('examples/canopy-walk.rbm.json', 'utf8')) as object;
    const model = await upload(walk);
    await model.ready();
    await model.until('solution', /^Solved.*in balance/);
    const corner = await model.place('Node n3 ');
    await model.command('look from the front');
    await model.page.waitForFunction(
      (y) => document.querySelector('main li > button[aria-label^="Node n3 "]')!.getBoundingClientRect().y !== y,
      {},
      corner.y - 13,
    );
    await model.settled();
    const [near, far] = [await model.place('Node n3 '), await model.place('Node s3 ')];
    expect(near).toEqual(far);
  });

  test('a long solution tells of its progress, can be stopped, and started again', async () => {
    const model = await upload({ ...spaceBuilding(12, 12, 20, 1), title: 'Palm house' });
    await model.page.waitForSelector('[data-testid=sheet]');
    // Pressed in the page, in the frame in which it appears: from outside the solution might be there before.
    const said = await model.page.evaluate(
      () =>
        new Promise<string>((resolve) => {
          const look = (): void => {
            const stop = Array.from(document.querySelectorAll<HTMLButtonElement>('button')).find(
              (one) => one.textContent === 'Stop',
            );
            if (!stop) return void requestAnimationFrame(look);
            const words = document.querySelector('[data-testid=solution]')?.textContent ?? '';
            stop.click();
            resolve(words);
          };
          look();
        }),
    );
    expect(said).toMatch(/^Solving: /);
    expect(await model.until('solution', /Stopped/)).toBe('Stopped, not solved');
    await model.press('Solve');
    await model.until('solution', /^Solved/);
  });

  test('a faulty file is refused whole, with every fault', async () => {
    const model = await upload({ ...lintel, members: [{ id: 'a', start: '1', end: '9', section: 'none', material: 'steel' }] });
    const alert = await model.page.waitForSelector('[role=alert]');
    const words = await alert!.evaluate((element) => element.textContent);
    expect(words).toMatch(/no node “9”.*no section “none”/);
    expect(await model.page.$$eval('li h3', (all) => all.length)).toBe(7);
  });

  test('units are shown as chosen, and nothing else changes', async () => {
    const model = await ModelPage.open(application, 'Shelf in the fernery', '?stage=geometry&show=diagram');
    await model.until('extremes', /^8\.352 kN·m in b, sagging/);
    await model.unfold('Units and settings');
    await model.choose('Moments', 'kip·ft');
    await model.until('extremes', /^6\.16 kip·ft in b, sagging/);
    await model.choose('Lengths', 'ft');
    await model.place('Node 2 at 11.81 ft across');
    await model.undo();
    await model.undo();
    await model.until('extremes', /^8\.352 kN·m/);
    await model.stored();
  });

  test('sums and envelopes are made and changed', async () => {
    const model = await ModelPage.open(application, 'Shelf in the fernery', '?stage=combinations&show=diagram');
    await model.press('Add a sum');
    await model.until('extremes', /kN·m/);
    expect(model.page.url()).toMatch(/acting=U/);
    // All cases by 1.35 or 1.5, as C3 of the demo: the same moment.
    await model.until('extremes', /−56\.72 kN·m/);
    await model.press('Add an envelope');
    await model.until('extremes', /by C2.*by (C3|U)/);
    await model.press('Remove E');
    // A factor is typed into its cell; another one by the arrow key.
    await model.press('Let U act');
    const factor = await model.page.waitForSelector('[aria-label="Q1 in U"]');
    await factor!.focus();
    await model.typeOver('lots');
    await model.page.waitForFunction(() => document.body.textContent?.includes('Q1 in U is not a factor'));
    await model.typeOver('0');
    await model.page.keyboard.press('ArrowUp');
    await model.page.waitForFunction(() => document.activeElement?.getAttribute('aria-label') === 'Q1 in C3');
    await model.until('extremes', /^(?!.*−56\.72)/);
    await model.press('Remove U');
    await model.stored();
  });

  test('a spring, a slope and a settlement from the node’s card', async () => {
    const model = await ModelPage.open(application, 'Shelf in the fernery');
    const { page } = model;
    await model.act('Hanging baskets');
    const support = await model.place('Node 2 ');
    await page.mouse.click(support.x, support.y);
    await model.press('Change it');
    await model.fill('Settlement along Y in Q3 (mm)', '-10');
    // 6EI·δ/L₁L₂ … by the three-moment equation, plus the basket’s own moment at node 3: the hogging over node 3 stays statically determinate.
    await model.until('extremes', /−6 kN·m in [bc], hogging/);
    await model.until('extremes', /^[\d.]+ kN·m in [ab], sagging/);
    await model.choose('Along Y', 'Spring');
    await model.fill('Stiffness (kN/m)', '5 MN/m');
    await model.until('solution', /^Solved/);
    await model.fill('Turned by (°)', '10');
    await model.until('solution', /^Solved/);
    await model.stored();
    for (let i = 0; i < 4; i++) await model.undo();
    await model.stored();
  });

  test('a model is removed, brought back, and taken away for good only after asking', async () => {
    const page = await application.page();
    await application.visit(page);
    const press = (name: string): Promise<void> => page.locator(`::-p-named(${name})`).click();
    const titles = (count: number): Promise<unknown> =>
      page.waitForFunction((n: number) => document.querySelectorAll('li h3').length === n, {}, count);
    const choose = async (what: string): Promise<void> => {
      await press('More for Shelf in the fernery');
      await page.locator(`::-p-named([name="${what}"][role="menuitem"])`).click();
    };
    await choose('Remove');
    await titles(6);
    await press('1 removed');
    await press('Bring Shelf in the fernery back');
    await titles(7);
    await choose('Remove');
    await titles(6);
    await press('Remove Shelf in the fernery for good …');
    await press('Keep');
    await press('Remove Shelf in the fernery for good …');
    await press('Remove for good');
    await page.waitForFunction(() => !document.querySelector('main')?.textContent?.includes('removed'));
    const gone = await fetch(`${application.address}/models/nothing-here`);
    expect(await gone.text()).toContain('There is nothing at this address');
  });

  test('projects are made and numbered; a model is copied, renamed, moved and found', async () => {
    const page = await application.page();
    await application.visit(page);
    const press = (name: string): Promise<void> => page.locator(`::-p-named(${name})`).click();
    const model = new ModelPage(application, page);
    const seen = (words: string): Promise<unknown> =>
      page.waitForFunction((text: string) => document.querySelector('main')?.textContent?.includes(text), {}, words);
    await press('New project');
    await press('Rename New project');
    await model.fill('Project', 'Orangery');
    await model.fill('Number', '26-014');
    await press('Done');
    await seen('26-014 Orangery');
    const choose = async (title: string, what: string): Promise<void> => {
      await press(`More for ${title}`);
      await page.locator(`::-p-named([name="${what}"][role="menuitem"])`).click();
    };
    await choose('Glasshouse rib', 'Duplicate');
    await seen('Glasshouse rib, copy');
    await choose('Glasshouse rib, copy', 'Rename');
    await model.fill('Title', 'Orangery rib');
    await seen('Orangery rib');
    await choose('Orangery rib', 'Move to Orangery');
    await page.waitForSelector('::-p-xpath(//section[@aria-label="Orangery"]//h3[.="Orangery rib"])');
    await page.locator('::-p-named(Find a model)').fill('26-0');
    await page.waitForFunction(() => document.querySelectorAll('li h3').length === 1);
    // What was moved opens as ever, with its own history.
    await page.locator('::-p-text(Orangery rib)').click();
    await model.ready();
  });

  test('no page complained', () => expect(application.complaints).toEqual([]));
});
