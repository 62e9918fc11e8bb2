import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { Application, PATIENCE } from './application';
import { openLintel, setForce as typeForce } from './lintel';
import { ModelPage } from './model-page';

// A part that fails on purpose, refused requests and a server that is away are what these journeys are about.
const application = new Application({ own: 'data', provoked: /Failed to load resource|made to fail|react\.dev\/errors/ });
beforeAll(() => application.start());
afterAll(() => application.close());

const lintel = (): Promise<ModelPage> => openLintel(application);

/** Changes the force at the tip of the overhang, whose moment over the support is one and a half times as large. */
async function setForce(page: ModelPage, kilonewtons: number): Promise<void> {
  await typeForce(page, `${kilonewtons} kN`);
  await moment(page, kilonewtons);
}
const moment = (page: ModelPage, kilonewtons: number): Promise<string> =>
  page.until('extremes', new RegExp(`−${String(1.5 * kilonewtons).replace('.', '\\.')} kN·m`));

describe('the browser’s own back', () => {
  test('brings the model as it stands, with what can be undone, and goes on from there', async () => {
    const page = await lintel();
    await setForce(page, 5);
    await page.stored();
    await page.page.locator('a[href="/"]').click();
    await page.page.waitForSelector('input[type=search]', { timeout: PATIENCE });
    await page.page.goBack();
    await page.ready();
    await moment(page, 5);
    await setForce(page, 6);
    await page.stored();
    for (const force of [5, 4]) {
      await page.undo();
      await moment(page, force);
    }
    await page.stored();
  });

  test('takes along edits that the server has not got yet', async () => {
    const page = await lintel();
    // Both pages are there already when the server goes.
    await page.page.locator('a[href="/"]').click();
    await page.page.waitForSelector('input[type=search]', { timeout: PATIENCE });
    await page.page.goBack();
    await page.ready();
    await application.end('SIGTERM');
    await setForce(page, 7);
    await page.until('storage', /does not answer/);
    await page.page.goForward();
    await page.page.waitForSelector('input[type=search]', { timeout: PATIENCE });
    await page.page.goBack();
    await page.ready();
    await moment(page, 7);
    await application.start();
    await page.stored();
    await page.page.reload({ waitUntil: 'networkidle0' });
    await moment(page, 7);
  });
});

test('an edit of 40,000 letters beyond ASCII is stored', async () => {
  const page = await ModelPage.empty(application);
  const post = { bytes: 0, letters: 0 };
  page.page.on('request', (request) => {
    if (!request.url().endsWith('/revisions')) return;
    post.letters = request.postData()?.length ?? 0;
    post.bytes = Buffer.byteLength(request.postData() ?? '');
  });
  const rows = Array.from({ length: 700 }, (_, i) => `${'é'.repeat(50)}${i}\t${i}\t9`).join('\n');
  await page.command('open the schedule of nodes');
  await page.page.waitForSelector('[role=grid]', { timeout: PATIENCE });
  await page.page.$eval(
    '[role=grid]',
    (grid, text) => {
      const data = new DataTransfer();
      data.setData('text/plain', text);
      grid.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));
    },
    rows,
  );
  await page.counts(700, 0);
  await page.stored();
  expect(post.bytes).toBeGreaterThan(65_536);
});

test('what cannot be put on top of a newer state is told and kept for copying; the rest is put there', async () => {
  const [one, two] = [await lintel(), await lintel()];
  await one.page.bringToFront();
  await setForce(one, 9);
  await one.stored();
  await two.page.bringToFront();
  // Two changes are there before the first is answered: the force that was changed elsewhere too, and a group.
  await two.page.setRequestInterception(true);
  const held: (() => void)[] = [];
  two.page.on('request', (request) => {
    const go = (): void => void request.continue();
    if (request.url().endsWith('/revisions') && held.length === 0) held.push(go);
    else go();
  });
  await setForce(two, 10);
  await two.command('select everything');
  await two.command('group the selection all of it');
  held.forEach((go) => go());
  await two.until('conflict', /another window/);
  await two.press('Put my change on top of it');
  expect(await two.until('clashes', /could not be put on top/)).toMatch(/Load 6 was changed in both windows/);
  await moment(two, 9);
  const groups = await two.file<{ groups: { id: string }[] }>();
  expect(groups.groups.map(({ id }) => id)).toContain('all of it');
  await two.page.evaluate(() => {
    Object.defineProperty(navigator.clipboard, 'writeText', {
      value: (text: string) => Promise.resolve(void (document.title = text)),
    });
  });
  await two.press('Copy what was changed');
  await two.page.waitForFunction(() => /-10000/.test(document.title) && /"label"/.test(document.title), { timeout: PATIENCE });
  await two.press('Discard');
  await setForce(two, 11);
  await two.stored();
});

describe('what fails', () => {
  test('a card costs the card: the sheet goes on, and the card is shown again', async () => {
    const page = await lintel();
    await page.page.evaluate(() => {
      const create = document.createElement.bind(document);
      const failing = ((name: string, options?: ElementCreationOptions) => {
        if (name === 'table') throw new Error('made to fail');
        return create(name, options);
      }) as typeof document.createElement;
      document.createElement = failing;
    });
    await page.page.focus('main li > button[aria-label^="Node 1"]');
    await page.page.keyboard.press(' ');
    await page.until('failed', /This card could not be shown: made to fail/);
    expect(await page.text('solution')).toMatch(/^Solved/);
    await page.page.waitForSelector('[data-testid=sheet]');
    await page.page.evaluate(() => delete (document as Partial<Document>).createElement);
    await page.press('Show it again');
    await page.card('Node 1');
  });

  test('a solver that dies is started again: it is told, and the next change is solved', async () => {
    const page = await lintel();
    const workers = page.page.workers();
    expect(workers.length).toBeGreaterThan(0);
    for (const worker of workers) await worker.evaluate(() => void setTimeout(() => { throw new Error('made to fail'); })); // oxfmt-ignore
    await new Promise((resolve) => setTimeout(resolve, 500));
    await setForce(page, 3);
    await page.until('solution', /^Solved/);
    await page.stored();
  });
});

test('no page complained', () => expect(application.complaints).toEqual([]));
