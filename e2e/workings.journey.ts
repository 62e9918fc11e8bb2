import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { Application } from './application';
import { keepsRules } from './keeps-rules';
import { ModelPage } from './model-page';

const application = new Application();
beforeAll(() => application.start());
afterAll(() => application.close());

describe.each(['pointer', 'keys'] as const)('workings, by %s', (hands) => {
  test('go from freedoms on the sheet to the comparison, follow the selection and the acting case, and live with the model', async () => {
    const model = await ModelPage.open(application, 'Lintel over the potting bench');
    const { page } = model;
    const press = (name: string) => (hands === 'keys' ? model.pressByKey(name) : model.press(name));
    const drawer = (): Promise<string> => page.$eval('section[aria-label^="How "]', (one) => (one as HTMLElement).innerText);
    const reads = (words: string) =>
      page.waitForFunction(
        (text) => document.querySelector<HTMLElement>('section[aria-label^="How "]')?.innerText.includes(text),
        {},
        words,
      );
    if (hands === 'keys') await model.command('show how it comes about');
    else await model.press('How it comes about');
    await reads('All numbers in kN, m and rad.');
    await press('In EI');
    await reads('Stiffness and movement in EI of member a');
    await press('In EI');
    expect(await drawer()).toContain('9 held');
    await press('2 Members');
    await reads('Member b, L = 4.8 m');
    expect(await page.$$eval('section[aria-label^="How "] math', (all) => all.length)).toBeGreaterThan(4);
    // A member leads to the sheet, and then the workings are of it alone.
    await press('Select member b');
    await reads('Of what is selected: b.');
    expect(await drawer()).not.toContain('Member a');
    // They follow every edit.
    await model.command('split into 2');
    await reads('L = 2.4 m');
    await model.undo();
    await reads('L = 4.8 m');
    await press('8 End forces');
    await reads('k·d');
    await press('12 Comparison');
    await reads('All of it agrees with the analysis to');
    await keepsRules('workings', page);
    // The case that acts is the one that is worked out.
    await model.command('go to case Q1');
    await page.waitForSelector('section[aria-label="How Q1 comes about"]');
    // The pieces of its diagrams.
    await model.command('select node 4');
    await press('9 Along members');
    await reads('19.286 x − 6 x²');
    // A number is asked where it comes from, and the chain is gone down to K and its inverse.
    await model.command('select member a');
    await model.command('show where it comes from b:Mz@0m');
    await reads('M in b at x = 0');
    expect(await drawer()).toMatch(
      /Forces at the start[^]*Movements of the ends of b[^]*Displacements of the nodes[^]*Loads on the joints/,
    );
    await press('In full: 7 Displacements');
    await page.waitForSelector('section[aria-label^="How "] [role="region"][aria-label="Displacements"]');
    await press('Where from');
    await reads('M in b at x = 0');
    await keepsRules('where from', page);
    // The card of what is selected asks for its largest value, and so does a key on any figure.
    await press('Where it comes from');
    await reads('M in a at x = 1.607');
    const figure = (await page.$$('aside button[aria-label^="Influence line of"]'))[1]!;
    await figure.focus();
    await page.keyboard.press('w');
    await reads('V in a at x = 3.6');
    await press('In full: 8 End forces');
    await reads('k·d');
    await press('Close the workings');
    await page.waitForFunction(() => !document.querySelector('section[aria-label^="How "]'));
  });
});

/** A shed portal of relative stiffness, as it is worked out by hand. */
const portal = {
  ...{ format: 'rigid-beam/model', version: 1, title: 'Shed portal', space: 'plane' },
  materials: [{ id: 'steel', E: 210e9 }],
  sections: [{ id: 'I', relative: { I: 1 } }],
  nodes: [{ id: '1', x: 0, y: 0 }, { id: '2', x: 0, y: 4 }, { id: '3', x: 6, y: 4 }, { id: '4', x: 6, y: 0 }],
  members: [
    { id: 'a', start: '1', end: '2', section: 'I', material: 'steel' },
    { id: 'b', start: '2', end: '3', section: 'I', material: 'steel' },
    { id: 'c', start: '3', end: '4', section: 'I', material: 'steel' },
  ],
  supports: ['1', '4'].map((node) => ({ node, ux: 'fixed', uy: 'fixed', rz: 'fixed' })),
  cases: [{ id: 'W', category: 'wind' }],
  loads: [{ id: 'gust', case: 'W', type: 'node', node: '2', fx: 12000 }],
  combinations: [],
}; // oxfmt-ignore

test('axial deformation neglected: the eaves share the number of their sway, and axial forces follow from balance; a member on the sheet lights its matrices', async () => {
  const model = await ModelPage.given(application, portal);
  const { page } = model;
  const reads = (words: string) =>
    page.waitForFunction(
      (text) => document.querySelector<HTMLElement>('section[aria-label^="How "]')?.innerText.includes(text),
      {},
      words,
    );
  await model.stage('Geometry');
  await model.unfold('Units');
  await model.choose('Axial deformation', 'Neglected: lengths kept');
  await model.until('solution', /^Solved/);
  await model.stored();
  expect((await model.file<{ analysis: object }>()).analysis).toEqual({ axialDeformation: false });
  await model.stage('Results');
  await page.waitForFunction(() => document.body.innerText.includes('axially rigid'));
  await model.command('show how it comes about');
  await reads('Members keep their lengths');
  await model.press('9 Axial');
  await reads('Along the freedoms that follow');
  expect(await page.$eval('section[aria-label^="How "]', (one) => (one as HTMLElement).innerText)).toMatch(/a\s+3\.2\s+b\s+−6\s+c\s+−3\.2/); // oxfmt-ignore
  await model.press('3 Members');
  const [from, to] = [await model.place('Node 2 '), await model.place('Node 3 ')];
  await page.mouse.move((from.x + to.x) / 2 - 9, from.y);
  await page.mouse.move((from.x + to.x) / 2 - 5, from.y, { steps: 3 });
  await page.waitForFunction(() => document.querySelector('h4[data-lit]')?.textContent?.startsWith('Member b'));
  await page.mouse.move((from.x + to.x) / 2, from.y + 40, { steps: 3 });
  await page.waitForFunction(() => document.querySelector('h4[data-lit]') === null);
});
