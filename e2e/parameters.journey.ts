import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { Application } from './application';
import { ModelPage } from './model-page';

const application = new Application();
beforeAll(() => application.start());
afterAll(() => application.close());

const [E, I] = [210e9, 8e-6];
/** A bench for seed trays: one span, and a load in its middle. */
const bench = {
  ...{ format: 'rigid-beam/model', version: 1, title: 'Bench', space: 'plane' },
  materials: [{ id: 'steel', E }],
  sections: [{ id: 'rail', A: 0.002, Iz: I }],
  nodes: [{ id: '1', x: 0, y: 0 }, { id: '2', x: 2, y: 0 }, { id: '3', x: 4, y: 0 }],
  members: [
    { id: 'a', start: '1', end: '2', section: 'rail', material: 'steel' },
    { id: 'b', start: '2', end: '3', section: 'rail', material: 'steel' },
  ],
  supports: [{ node: '1', ux: 'fixed', uy: 'fixed' }, { node: '3', uy: 'fixed' }],
  cases: [{ id: 'Q', category: 'imposed' }],
  loads: [{ id: 'trays', case: 'Q', type: 'node', node: '2', fy: -10000 }],
  combinations: [],
}; // oxfmt-ignore

interface Stored {
  readonly nodes: readonly { readonly x: number }[];
  readonly parameters?: readonly { readonly id: string; readonly value: number; readonly from?: number; readonly to?: number }[];
  readonly formulas?: readonly { readonly of: string; readonly is: string }[];
}

describe.each(['pointer', 'keys', 'touch'] as const)('parameters, by %s', (hands) => {
  test('a span is named, written into fields, moved on its slider, studied and sought', async () => {
    const model = await ModelPage.given(application, bench);
    const { page } = model;
    const fill = (label: string, text: string) => (hands === 'keys' ? model.fillByKey(label, text) : model.fill(label, text));
    const said = (): Promise<string> => page.evaluate(() => document.body.innerText);
    const until = (words: string): Promise<unknown> =>
      page.waitForFunction((text) => document.body.innerText.includes(text), {}, words);
    const press = async (name: string): Promise<void> => {
      const button = (await page.waitForSelector(`::-p-named(${name})`))!;
      if (hands === 'pointer') await button.click();
      else if (hands === 'touch') await button.tap();
      else {
        await button.focus();
        await page.keyboard.press('Enter');
      }
    };
    const file = async (): Promise<Stored> => {
      await model.stored();
      return model.file<Stored>();
    };

    await model.command('open the parameters');
    await fill('New parameter', 'span');
    await fill('Its value, as 12 m or span/5', '4 m');
    await until('gives nothing yet');
    await fill('Range of span', '2 to 6 by 0.5');
    await model.stored();

    // Expressions in the fields of nodes, shown with what they give.
    for (const [node, text] of [
      ['2', 'span/2'],
      ['3', 'span'],
    ] as const) {
      await model.command(`select node ${node}`);
      await fill('X (m)', text);
      await model.stored();
    }
    await until('= 4 m');
    await model.bench();
    await until('gives 2 numbers');
    expect((await file()).formulas).toEqual([
      { of: 'nodes/2/x', is: 'span/2' },
      { of: 'nodes/3/x', is: 'span' },
    ]);

    // The slider: what follows while it is moved is shown, and changed when it is let go.
    await model.stage('Results');
    await until('10 kN·m');
    const slider = (await page.waitForSelector('[role="group"][aria-label="Move span"] input[type="range"]'))!;
    if (hands === 'keys') {
      await slider.focus();
      await page.keyboard.press('ArrowRight');
      await page.keyboard.press('ArrowRight');
      await until('12.5 kN·m');
    } else {
      const place = await page.evaluate((input) => {
        const track = input.closest('[role="group"]')!.querySelector('[data-orientation="horizontal"] > *')!;
        const { left, top, width, height } = track.getBoundingClientRect();
        return [left, top + height / 2, width] as const;
      }, slider);
      const at = (value: number): [number, number] => [place[0] + (place[2] * (value - 2)) / 4, place[1]];
      if (hands === 'pointer') {
        await page.mouse.move(...at(4));
        await page.mouse.down();
        await page.mouse.move(...at(5), { steps: 4 });
        await until('12.5 kN·m');
        expect((await file()).nodes[2]!.x).toBe(4);
        await page.mouse.up();
      } else {
        const finger = await page.touchscreen.touchStart(...at(4));
        await finger.move(...at(5));
        await until('12.5 kN·m');
        await finger.end();
      }
    }
    await page.waitForFunction(() => document.querySelector<HTMLInputElement>('[aria-label="Value of span"]')?.value === '5 m');
    expect((await file()).nodes[2]!.x).toBe(5);
    await model.undo();
    if (hands === 'keys') await model.undo();
    await until('10 kN·m');
    expect((await file()).nodes[2]!.x).toBe(4);

    // A study, and a value of it taken.
    await press('Study');
    await page.waitForSelector('canvas[aria-label="Largest movement over span"]');
    const deflection = (L: number): number => (1e3 * 10000 * L ** 3) / (48 * E * I);
    await until(deflection(6).toPrecision(4).replace(/0+$/, ''));
    await press('Set span to 3 m');
    await until('7.5 kN·m');
    expect((await file()).parameters![0]!.value).toBe(3);

    // A seek, taken only when it is said so.
    await press('Seek');
    await fill('is to be (mm)', String(deflection(4.4)));
    await until('span = 4.4 m');
    expect((await file()).parameters![0]!.value).toBe(3);
    await press('Take this value');
    await until('11 kN·m');
    expect((await file()).nodes[1]!.x).toBeCloseTo(2.2, 6);

    // A number by hand lets the expression go, and what cannot be is refused at its field.
    await press('Values');
    await fill('Range of span', '');
    await fill('Value of span', '5 kN');
    expect(await said()).toContain('its unit is not one for m');
    await page.keyboard.press('Escape');
    await model.stage('Geometry');
    await model.command('select node 2');
    await fill('X (m)', '0 * span');
    await until('has no length');
    expect(await page.evaluate(() => document.activeElement?.getAttribute('aria-invalid'))).toBe('true');
    await page.keyboard.press('Escape');
    await fill('X (m)', '2');
    await until('node 2, x no longer follows “span/2”');
    expect((await file()).formulas).toEqual([{ of: 'nodes/3/x', is: 'span' }]);
  });
});

test('expressions are kept in settings of the analysis, in percent, and in one’s own reckoning', async () => {
  const model = await ModelPage.given(application, {
    ...bench,
    parameters: [{ id: 'xi', value: 3 }, { id: 'n', value: 2 }, { id: 'trays', unit: 'kN', value: 10000 }],
    analysis: { naturalModes: { cases: { Q: 0.3 } } },
  }); // oxfmt-ignore
  const { page } = model;
  await model.stage('Combinations');
  await model.unfold('Analysis');
  await model.choose('Earthquake, by a response spectrum', 'EN 1998-1, type 1: strong and distant');
  await model.stored();
  for (const [label, text] of [['Modes', 'n'], ['Damping (%)', 'xi %']] as const) {
    await model.fill(label, text);
    await model.stored();
  } // oxfmt-ignore
  await model.stage('Results');
  await model.command('select member a');
  await page.keyboard.press('Enter');
  await model.unfold('Check it by hand');
  await model.fill('Largest M in Q by one’s own reckoning (kN·m)', '-trays * 1 m');
  await page.waitForFunction(() => /Solved is 10 kN·m: the same/.test(document.body.innerText));
  const stored = await (async () => (
    await model.stored(),
    model.file<Stored & { readonly analysis: object; readonly expected: object[] }>()
  ))();
  expect(stored.formulas).toEqual([
    { of: 'analysis/naturalModes/modes', is: 'n' },
    { of: 'analysis/naturalModes/spectrum/damping', is: 'xi/100' },
    { of: 'expected/E1/value', is: 'trays * 1 m' },
  ]);
  expect(stored.analysis).toMatchObject({ naturalModes: { modes: 2, spectrum: { damping: 0.03 } } });
  expect(stored.expected).toMatchObject([{ member: 'a', quantity: 'Mz', value: 10000 }]);
});
