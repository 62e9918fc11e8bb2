import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { Application } from './application';
import { ModelPage } from './model-page';

const application = new Application();
beforeAll(() => application.start());
afterAll(() => application.close());

interface Stored {
  readonly nodes: readonly { readonly id: string; readonly x: number; readonly y: number; readonly z?: number }[];
  readonly loads: readonly (Readonly<Record<string, unknown>> & { readonly type: string; readonly case: string })[];
  readonly cases: readonly { readonly id: string }[];
}

/** Clicks beside the middle of a member, by the items of its nodes. */
async function clickBetween(model: ModelPage, from: string, to: string): Promise<void> {
  const [a, b] = [await model.place(`Node ${from} `), await model.place(`Node ${to} `)];
  await model.page.mouse.move(a.x + 0.4 * (b.x - a.x), a.y + 0.4 * (b.y - a.y));
  await model.page.mouse.click(a.x + 0.45 * (b.x - a.x), a.y + 0.45 * (b.y - a.y));
}

/** Lets a case act, from the list of its bench. */
async function chooseCase(model: ModelPage, id: string): Promise<void> {
  const row = await model.page.waitForSelector(`[aria-label="Load cases"] [data-key="${id}"]`);
  await row!.click();
}

/** All that is applied in what acts, as the bench of results says it: X and Y in kN. */
async function applied(model: ModelPage): Promise<readonly string[]> {
  await model.command('go to results');
  await model.unfold('Balance');
  const row = await model.page.waitForSelector(
    '::-p-xpath(//tr[th[normalize-space()="Loads"] or td[normalize-space()="Loads"]])',
  );
  return row!.evaluate((one) =>
    Array.from(one.querySelectorAll('th, td'), (cell) => cell.textContent!.trim().replace('−', '-')).slice(1),
  );
}

describe('actions after the geometry stands, ten at most', () => {
  test('a two-span beam with a partial and a triangular load: 5', async () => {
    const beam = await ModelPage.empty(application);
    await beam.press('Continuous beam');
    await beam.fill('Spans (m)', '2×6');
    await beam.press('Place it');
    await beam.until('solution', /^Solved/);
    let actions = 0;
    const done = async (act: Promise<unknown>): Promise<void> => {
      actions++;
      await act;
    };
    await done(beam.press('Loads: 0 loads, nothing yet'));
    await done(beam.fill('What acts', '8 kN/m down between 1 m and 4 m'));
    await done(clickBetween(beam, '1', '2'));
    await done(beam.fill('What acts', '0 to 6 kN/m down'));
    await done(clickBetween(beam, '2', '3'));
    expect(actions).toBe(5);
    // By hand: the end of the first is drawn from 4 m to 5 m, and the ordinate there a little further out.
    await beam.page.keyboard.press('Escape');
    await beam.press('8 kN/m down between 1 m and 4 m · member a');
    await beam.card('Load');
    const [left, right] = [await beam.place('Node 1 '), await beam.place('Node 2 ')];
    const at = (metres: number): number => left.x + (metres / 6) * (right.x - left.x);
    await beam.page.mouse.move(at(4), left.y);
    await beam.page.mouse.down();
    await beam.page.mouse.move(at(4.7), left.y, { steps: 4 });
    await beam.page.mouse.move(at(5), left.y, { steps: 2 });
    await beam.page.mouse.up();
    await beam.page.waitForSelector('[aria-label="Undo: Set load 1"]');
    expect((await beam.file<Stored>()).loads[0]).toMatchObject({ from: { at: 1 }, to: { at: 5, wy: -8000 } });
    await beam.undo();
    const { loads } = await beam.file<Stored>();
    expect(loads).toMatchObject([
      { type: 'line', measure: 'length', from: { at: 1, wy: -8000 }, to: { at: 4, wy: -8000 } },
      { type: 'line', to: { wy: -6000 } },
    ]);
  });

  test('a pitched portal with wind on four faces: 9, and the wind pushes to the right', async () => {
    const portal = await ModelPage.portal(application);
    const nodes = (await portal.file<Stored>()).nodes;
    const byPlace = [...nodes].sort((a, b) => a.x - b.x || a.y - b.y);
    const [foot, eaves] = [byPlace[0]!, byPlace[1]!];
    const apex = byPlace[2]!;
    const [farFoot, farEaves] = [byPlace[3]!, byPlace[4]!];
    let actions = 0;
    const done = async (act: Promise<unknown>): Promise<void> => {
      actions++;
      await act;
    };
    await done(portal.command('go to loads'));
    for (const [words, a, b] of [
      ['0.8 kN/m2 right across over 5 m', foot, eaves],
      ['0.6 kN/m2 up across over 5 m', eaves, apex],
      ['0.4 kN/m2 up across over 5 m', apex, farEaves],
      ['0.3 kN/m2 right across over 5 m', farFoot, farEaves],
    ] as const) {
      await done(portal.fill('What acts', words));
      await done(clickBetween(portal, a.id, b.id));
    }
    expect(actions).toBe(9);
    const { loads } = await portal.file<Stored>();
    expect(loads.map(({ type, width }) => [type, width])).toEqual(Array.from({ length: 4 }, () => ['area', 5]));
    const rise = eaves.y - foot.y;
    const slope = apex.y - eaves.y;
    const [x, y] = await applied(portal);
    // The faces of the columns, and what of the roof is seen from the side: its suction pulls the windward half back.
    expect(Number(x)).toBeCloseTo(5 * ((0.8 + 0.3) * rise + (0.4 - 0.6) * slope), 2);
    expect(Number(y)).toBeGreaterThan(-100);
  });

  test('a floor grid of 4 by 3 bays with a pressure: 5, and its total is pressure times area', async () => {
    const floor = await ModelPage.empty(application);
    await floor.press('Space frame building');
    await floor.fill('Bays across (m)', '4×5');
    await floor.fill('Bays in depth (m)', '3×4');
    await floor.fill('Storey heights (m)', '3.5');
    await floor.press('Place it');
    await floor.until('solution', /^Solved/);
    let actions = 0;
    const done = async (act: Promise<unknown>): Promise<void> => {
      actions++;
      await act;
    };
    await done(floor.command('select everything'));
    await done(floor.command('go to loads'));
    await done(chooseCase(floor, 'Q'));
    await done(floor.fill('What acts', '3 kN/m2 down'));
    await done(floor.press('Put it on these 12 panels'));
    expect(actions).toBe(5);
    const { loads } = await floor.file<Stored>();
    expect(loads).toHaveLength(12);
    expect(loads.every(({ type, pressure }) => type === 'area' && pressure === 3000)).toBe(true);
    const [x, y] = await applied(floor);
    expect([Number(x), Number(y)]).toEqual([0, -3 * 20 * 12]);
  });
});

test('cases: copied by a factor, moved by keys, and what is worth a look is said with its remedy', async () => {
  const rib = await ModelPage.open(application, 'Glasshouse rib', '?stage=loads&acting=S');
  await rib.fill('Copied times', '0.5');
  await rib.press('Copy S');
  await rib.page.waitForSelector('[aria-label="Undo: Copy case S"]');
  const before = await rib.file<Stored>();
  const copy = before.cases.at(-1)!.id;
  expect(before.loads.filter((load) => load.case === copy)).toHaveLength(before.loads.filter((load) => load.case === 'S').length);
  // The keys of its handle: Enter takes it up, arrows choose the place, Enter lays it down.
  const handle = await rib.page.waitForSelector(`[aria-label="Load cases"] button[aria-label^="Move ${copy}"]`);
  await handle!.focus();
  await rib.page.keyboard.press('Enter');
  await rib.page.waitForFunction(() => /^Insert /.test(document.activeElement?.getAttribute('aria-label') ?? ''));
  await rib.page.keyboard.press('ArrowUp');
  await rib.page.keyboard.press('ArrowUp');
  await rib.page.keyboard.press('Enter');
  await rib.page.waitForSelector('[aria-label="Undo: Change the order of the cases"]');
  const after = await rib.file<Stored>();
  expect(after.cases.map(({ id }) => id).toSorted()).toEqual(before.cases.map(({ id }) => id).toSorted());
  expect(after.cases.map(({ id }) => id)).not.toEqual(before.cases.map(({ id }) => id));
  await rib.press('Add a case');
  await rib.press('Imposed');
  await rib.until('checks', /Case Q has no loads\./);
  await rib.press('Remove Q');
  await rib.page.waitForFunction(() => !/Case Q has no loads/.test(document.body.innerText));
});

test('a sway of the vertical loads follows them', async () => {
  const rib = await ModelPage.open(application, 'Glasshouse rib', '?stage=loads&acting=W');
  await rib.unfold('Sway from vertical loads');
  await rib.press('Put it into W');
  await rib.page.waitForSelector('[aria-label^="Undo: Add a load"]');
  expect((await rib.file<Stored>()).loads.at(-1)).toMatchObject({
    type: 'notional',
    case: 'W',
    of: 'G',
    direction: 'right',
    share: 0.005,
  });
  await rib.until('solution', /^Solved/);
});

test('no page complained', () => expect(application.complaints).toEqual([]));
