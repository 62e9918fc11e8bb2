import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { Model, SumCombination } from '@rigid-beam/core/model/model';
import { Application } from './application';
import { byKeys, byPointer, byTouch } from './hands';
import { ModelPage } from './model-page';

const application = new Application();
beforeAll(() => application.start());
afterAll(() => application.close());

const wind = (id: string, title: string) => ({ id, title, category: 'wind' });
/** A portal of a potting shed with permanent, imposed and snow loads, and wind from two sides. */
const SHED = {
  format: 'rigid-beam/model', version: 1, title: 'Potting shed', space: 'plane',
  materials: [{ id: 'steel', E: 210e9, nu: 0.3, density: 7850 }],
  sections: [{ id: 'rafter', A: 39.1e-4, Iz: 3892e-8 }],
  nodes: [{ id: '1', x: 0, y: 0 }, { id: '2', x: 0, y: 3 }, { id: '3', x: 6, y: 3 }, { id: '4', x: 6, y: 0 }],
  members: [['a', '1', '2'], ['b', '2', '3'], ['c', '3', '4']].map(([id, start, end]) => ({ id, start, end, section: 'rafter', material: 'steel' })),
  supports: ['1', '4'].map((node) => ({ node, ux: 'fixed', uy: 'fixed' })),
  cases: [{ id: 'G', category: 'permanent', selfWeight: 1 }, { id: 'Q', category: 'imposed' }, { id: 'S', category: 'snow' }, wind('W1', 'Wind from the left'), wind('W2', 'Wind from the right')],
  loads: [
    ...['Q', 'S'].map((one) => ({ id: one, case: one, type: 'line', member: 'b', from: { wy: -3000 }, to: { wy: -3000 } })),
    { id: 'l', case: 'W1', type: 'line', member: 'a', from: { wx: 2000 }, to: { wx: 2000 } },
    { id: 'r', case: 'W2', type: 'line', member: 'c', from: { wx: -2000 }, to: { wx: -2000 } },
  ],
  combinations: [],
}; // oxfmt-ignore

/** A potting bench over three spans. */
const BEAM = {
  ...SHED, title: 'Potting bench',
  nodes: [0, 4, 9, 12].map((x, i) => ({ id: `${i + 1}`, x, y: 0 })),
  members: [['a', '1', '2'], ['b', '2', '3'], ['c', '3', '4']].map(([id, start, end]) => ({ id, start, end, section: 'rafter', material: 'steel' })),
  supports: [1, 2, 3, 4].map((node) => ({ node: `${node}`, uy: 'fixed', ...(node === 1 && { ux: 'fixed' }) })),
  cases: SHED.cases.slice(0, 2),
  loads: ['a', 'b', 'c'].map((member) => ({ id: member, case: 'Q', type: 'line', member, from: { wy: -3000 }, to: { wy: -3000 } })),
}; // oxfmt-ignore

const RULES = 'EN 1990 · 6.10: EN 1990:2002+A1:2005, recommended values for buildings';
const sumsOf = ({ combinations }: Model): SumCombination[] => combinations.filter((one) => one.type === 'sum');

describe.each([
  { hands: 'by pointer', handsOf: byPointer },
  { hands: 'by keys', handsOf: byKeys },
])('$hands', ({ handsOf }) => {
  test('strength and service of four kinds of loads in four actions; a changed case is told and taken; an edited line is typed', async () => {
    const model = await ModelPage.given(application, SHED);
    const { page } = model;
    const hands = handsOf(model);
    await hands.stage('Combinations');
    await hands.press('one at a time');
    await hands.press(RULES);
    const offered = await page.waitForSelector('::-p-xpath(//button[starts-with(., "Take all ")])');
    const count = Number(/\d+/.exec(await offered!.evaluate((button) => button.textContent ?? ''))![0]);
    await hands.press(`Take all ${count}`);
    await page.waitForFunction(() => /In step with EN 1990 · 6\.10/.test(document.body.innerText));
    const made = await model.file<Model>();
    expect(sumsOf(made)).toHaveLength(count);
    expect(sumsOf(made).some(({ factors }) => 'W1' in factors && 'W2' in factors)).toBe(false);
    expect(made.combinations.slice(-2)).toMatchObject([{ id: 'Strength', type: 'envelope' }, { id: 'Service', type: 'envelope' }]);
    await model.until('solution', /^Solved/);

    // Each says why.
    const leading = sumsOf(made).find(({ factors: { G, Q, S, W1 } }) => G === 1.35 && Q === 1.05 && S === 0.75 && W1 === 1.5)!;
    await hands.press(`Let ${leading.id} act`);
    const reason = await page.waitForSelector(`aside[aria-label="Why ${leading.id}"]`);
    expect(await reason!.evaluate((box) => (box as HTMLElement).innerText)).toMatch(
      /1\.35 G \+ 1\.05 Q \+ 0\.75 S \+ 1\.5 W1[\s\S]*Wind from the left leads \(γ 1\.5\); Q accompanies with ψ₀ = 0\.7; S accompanies with ψ₀ = 0\.5; permanent unfavourable[\s\S]*expression 6\.10/,
    );

    // What is typed over is typed, and asked for anew beside it.
    await hands.fill('Written as a sum', '1.35 G + 1.2 S');
    await page.waitForFunction((id) => document.querySelector(`aside[aria-label="Why ${id}"]`)?.textContent?.includes('Typed by hand'), {}, leading.id);
    await page.waitForFunction(() => /have changed: 1 new/.test(document.body.innerText));
    await hands.fill('Written as a sum', '1.35 G + 2 X');
    await page.waitForFunction(() => /“X” is no case and no sum/.test(document.querySelector('[role=alert]')?.textContent ?? ''));

    // An action stands wherever a case can: its sum is the envelope of its ways.
    await hands.press('Add a sum');
    // The field of the new one, not that of the last.
    await page.waitForFunction((id) => !new RegExp(`acting=${id}(&|$)`).test(location.search), {}, leading.id);
    await page.waitForFunction((id) => !document.querySelector(`aside[aria-label="Why ${id}"]`), {}, leading.id);
    await hands.fill('Written as a sum', '1.35 G + 1.5 Wind');
    await hands.stage('Results');
    await model.until('extremes', /U\d*, W[12]/);
    await hands.stage('Combinations');

    // A case that goes takes its lines along, and nothing that was typed.
    await model.command('go to loads');
    await model.command('go to case W2');
    await page.waitForFunction(() => /acting=W2/.test(location.search));
    await hands.press('Remove W2');
    await model.command('go to combinations');
    await hands.press('Take the changes');
    await page.waitForFunction(() => /In step with EN 1990 · 6\.10/.test(document.body.innerText));
    const after = await model.file<Model>();
    expect(after.combinations.find(({ id }) => id === leading.id)).toEqual({ id: leading.id, type: 'sum', factors: { G: 1.35, S: 1.2 }, limitState: 'strength' });
    expect(sumsOf(after).length).toBeLessThan(count);
  }); // oxfmt-ignore

  test('a case is loaded by its spans, follows them, and the strip tells which sums govern nothing', async () => {
    const model = await ModelPage.given(application, BEAM);
    const { page } = model;
    const hands = handsOf(model);
    const strip = (): Promise<string[]> => page.$$eval('[aria-label="Cases and combinations"] label', (all) => all.map((one) => one.getAttribute('aria-label') ?? one.textContent ?? '')); // oxfmt-ignore
    await hands.stage('Combinations');
    await hands.choose('Q acts', 'on some spans at a time');
    await page.waitForFunction(() => /5 ways: Q · spans 1, 3 · span 2 · spans 1, 2 · spans 2, 3/.test(document.body.innerText));
    await hands.press(RULES);
    const offered = await page.waitForSelector('::-p-xpath(//button[starts-with(., "Take all ")])');
    await hands.press(await offered!.evaluate((button) => button.textContent ?? ''));
    await page.waitForFunction(() => /In step with EN 1990 · 6\.10/.test(document.body.innerText));
    const made = await model.file<Model>();
    expect(made.actions).toEqual([{ id: 'Q by spans', type: 'pattern', of: ['Q'], by: 'spans' }]);
    expect(sumsOf(made).some(({ factors }) => factors['Q by spans'] === 1.5)).toBe(true);

    // What lies between others governs nothing, comes last among its kind, and can be left out.
    const idle = await page.waitForSelector('[aria-label="What the strip shows"] button[aria-label^="Govern nothing"]');
    const before = await strip();
    const name = await idle!.evaluate((button) => button.getAttribute('aria-label')!);
    await hands.press(name);
    await page.waitForFunction((count) => document.querySelectorAll('[aria-label="Cases and combinations"] label').length < count, {}, before.length); // oxfmt-ignore
    expect(`Govern nothing: ${before.length - (await strip()).length}`).toBe(name);

    // A support that goes makes one span of two.
    await hands.stage('Supports');
    await hands.use('Node 2');
    await hands.choose('Support', 'No support');
    await hands.stage('Combinations');
    await page.waitForFunction(() => /3 ways: Q · span 1 · span 2/.test(document.body.innerText));
    await model.until('solution', /^Solved/);

    // Own rules: copied, changed at one factor, and what they ask for is seen before it is taken; a factor that means nothing is refused with its place.
    await hands.press('Copy and change');
    await hands.press('Change “Own rules”');
    await hands.press('Persistent and transient');
    await hands.fill('Factor of term 1', '1.2');
    await page.waitForFunction(() => /1\.2 G/.test(document.body.innerText));
    await hands.fill('Term 1 is for', 'weather');
    await page.waitForFunction(() => /“weather” is neither a category nor a list of them/.test(document.querySelector('[role=alert]')?.textContent ?? '')); // oxfmt-ignore
    const own = (await model.file<Model>()).ruleSets!;
    expect(own.map(({ id }) => id)).toEqual(['own']);
    expect(JSON.stringify(own)).toContain('"factor":1.2');
    expect(JSON.stringify(own)).not.toContain('weather');
  });
});

test('no page complained', () => expect(application.complaints).toEqual([]));

test('by touch: some cases of a category act as one, the others by themselves; what is made of them is taken', async () => {
  const model = await ModelPage.given(application, { ...SHED, cases: [...SHED.cases, wind('W3', 'Wind along the ridge')] });
  const hands = byTouch(model);
  await hands.stage('Combinations');
  await hands.press('W1, Wind from the left');
  await hands.press('W2, Wind from the right');
  await hands.press('one at a time');
  await model.page.waitForFunction(() => /W1 or W2 · W3 by itself/.test(document.body.innerText));
  expect((await model.file<Model>()).actions).toEqual([{ id: 'Wind', type: 'either', of: ['W1', 'W2'] }]);
  await hands.press(RULES);
  const offered = await model.page.waitForSelector('::-p-xpath(//button[starts-with(., "Take all ")])');
  await offered!.tap();
  await model.page.waitForFunction(() => /In step with EN 1990 · 6\.10/.test(document.body.innerText));
});
