import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { Application } from './application';
import { ModelPage } from './model-page';

const application = new Application();
beforeAll(() => application.start());
afterAll(() => application.close());

const [E, I, H, mass] = [210e9, 2e-5, 4, 3000];
/** The post of the rain tank, with the tank on it. */
const post = {
  ...{ format: 'rigid-beam/model', version: 1, title: 'Post of the rain tank', space: 'plane' },
  materials: [{ id: 'steel', E, density: 0 }],
  sections: [{ id: 'post', A: 0.005, Iz: I }],
  nodes: [{ id: '1', x: 0, y: 0 }, { id: '2', x: 0, y: H }],
  members: [{ id: 'post', start: '1', end: '2', section: 'post', material: 'steel' }],
  supports: [{ node: '1', ux: 'fixed', uy: 'fixed', rz: 'fixed' }],
  cases: [{ id: 'G', category: 'permanent' }],
  loads: [{ case: 'G', type: 'node', node: '2', fx: 100, fy: -mass * 9.80665 }],
  combinations: [{ id: 'all', type: 'envelope', of: ['G'] }],
}; // oxfmt-ignore
const period = 2 * Math.PI * Math.sqrt((mass * H ** 3) / (3 * E * I));
/** Ground B, agR = 1 m/s², q = 1.5 to begin with; behind T_C = 0.5 s. */
const push = (acceleration: number): number => (mass * acceleration * 1.2 * (2.5 / 1.5) * 0.5) / period / 1000;

describe.each(['pointer', 'keys'] as const)('an earthquake, by %s', (hands) => {
  test('is described under Analysis; base shear and moment are those by hand, with what acts beside it, in an envelope too', async () => {
    const model = await ModelPage.given(application, post);
    const { page } = model;
    const choose = (label: string, choice: string) => (hands === 'keys' ? model.chooseByKey(label, choice) : model.choose(label, choice));
    const fill = (label: string, text: string) => (hands === 'keys' ? model.fillByKey(label, text) : model.fill(label, text));
    const said = (): Promise<string> => page.evaluate(() => document.body.innerText);
    const look = async (acting: string): Promise<void> => {
      await application.visit(page, `${new URL(page.url()).pathname}?stage=results&acting=${encodeURIComponent(acting)}`);
      await model.ready();
    };
    expect(period).toBeGreaterThan(0.5);
    await model.stage('Combinations');
    await model.unfold('Analysis');
    await choose('Natural modes', 'Members swing between their nodes');
    await model.stored();
    await choose('Earthquake, by a response spectrum', 'EN 1998-1, type 1: strong and distant');
    await model.stored();
    await fill('Peak agR (m/s²)', '0.7 * 2 m/s2');
    await model.stored();
    await look('Earthquake right and left');
    await page.waitForFunction(() => /the ground pushes with/.test(document.body.textContent ?? ''));
    expect(await said()).toContain(`Along X the ground pushes with ${push(1.4).toPrecision(4)} kN; 100 % of the mass takes part in modes.`);
    expect(await said()).toMatch(/times q = 1.5 they are those to be expected/);
    expect(await said()).toContain(`${(H * push(1.4)).toPrecision(4)} kN·m`);
    await model.stage('Combinations');
    await model.unfold('Analysis');
    await model.press('Take 1 G');
    await model.stored();
    await look('Earthquake right and left with 1 G');
    expect(await said()).toContain(`${(H * (push(1.4) + 0.1)).toPrecision(4)} kN·m`);
    await look('all');
    await model.stage('Combinations');
    const encloses = `//label[contains(., "The earthquake, with what acts beside it")]`;
    if (hands === 'pointer') await page.locator(`::-p-xpath(${encloses})`).click();
    else {
      await (await page.waitForSelector(`::-p-xpath(${encloses}//input)`))!.focus();
      await page.keyboard.press('Space');
    }
    await model.stored();
    await look('all');
    await page.waitForFunction((moment) => document.body.textContent?.includes(moment), {}, `${(H * (push(1.4) + 0.1)).toPrecision(4)} kN·m`);
    await model.command('shake by no earthquake');
    await model.stored();
    const file = await model.file<{ combinations: { earthquake?: boolean }[] }>();
    expect(file.combinations[0]!.earthquake).toBeUndefined();
    await model.command('shake by an earthquake 1, b, 2.8, 1.5');
    await page.waitForFunction(
      (words) => document.body.innerText.includes(words),
      {},
      `the ground pushes with ${push(2.8).toPrecision(4)} kN`,
    );
    expect(await said()).toContain('EN 1998-1, type 1, ground B, agR = 2.8 m/s², γI = 1, q = 1.5. Modes by their correlation');
  });
}); // oxfmt-ignore
