import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { Application } from './application';
import { ModelPage } from './model-page';

const application = new Application();
beforeAll(() => application.start());
afterAll(() => application.close());

interface Stored {
  readonly loads: readonly Readonly<Record<string, unknown>>[];
  readonly supports: readonly Readonly<Record<string, unknown>>[];
  readonly cases: readonly Readonly<Record<string, unknown>>[];
}

/** A finger on what has this accessible name. */
async function tap(model: ModelPage, name: string): Promise<void> {
  const one = await model.page.waitForSelector(`::-p-named(${name})`);
  await one!.tap();
}

test('by touch: a support, a line load and a force, each put by a tap', async () => {
  const portal = await ModelPage.portal(application);
  await tap(portal, 'Supports: 2 supports, in order');
  const foot = await portal.place('Node 1 ');
  await tap(portal, 'Fixed');
  await portal.page.touchscreen.tap(foot.x, foot.y);
  await tap(portal, 'Loads: 0 loads, nothing yet');
  await tap(portal, 'Line load');
  const [eaves, ridge] = [await portal.place('Node 2 '), await portal.place('Node 5 ')];
  await portal.page.touchscreen.tap((eaves.x + ridge.x) / 2, (eaves.y + ridge.y) / 2);
  await tap(portal, 'Force');
  await portal.page.touchscreen.tap(eaves.x, eaves.y);
  await portal.page.waitForSelector('[aria-label^="Undo: Put"]');
  const { loads, supports } = await portal.file<Stored>();
  expect(supports.find(({ node }) => node === '1')).toMatchObject({ ux: 'fixed', uy: 'fixed', rz: 'fixed' });
  expect(loads.map(({ type }) => type)).toEqual(['line', 'node']);
});

test('by touch: a couple, a temperature on a side, a lack of fit, a pressure over a width and a settlement, in a case of their own', async () => {
  const portal = await ModelPage.portal(application);
  await tap(portal, 'Loads: 0 loads, nothing yet');
  await tap(portal, 'Add a case');
  await tap(portal, 'Imposed');
  const [eaves, foot] = [await portal.place('Node 2 '), await portal.place('Node 1 ')];
  const column = { x: eaves.x, y: (eaves.y + foot.y) / 2 };
  const put = async (instrument: string, at: { readonly x: number; readonly y: number }, words: string): Promise<void> => {
    await tap(portal, instrument);
    if (instrument === 'Temperature') await tap(portal, 'on the right');
    await portal.page.touchscreen.tap(at.x, at.y);
    await portal.page.waitForSelector(`[aria-label^="Undo: Put ${words}"]`);
  };
  await put('Couple', eaves, '10 kN·m anticlockwise on');
  await put('Temperature', column, '20 K warmer on the right on');
  await put('Lack of fit', column, '10 mm too long on');
  await put('Pressure on an area', column, '2 kN/m² down over 5 m on');
  await put('Settlement of a support', foot, '10 mm down on');
  const { loads, cases } = await portal.file<Stored>();
  const added = cases.at(-1)!.id;
  expect(loads).toMatchObject([
    { type: 'node', node: '2', mz: 10e3, case: added },
    { type: 'thermal', case: added },
    { type: 'strain', elongation: 0.01, case: added },
    { type: 'area', width: 5, pressure: 2000, case: added },
    { type: 'settlement', node: '1', uy: -0.01, case: added },
  ]);
  // The column stands upright: its local y looks to the left, and its section is deeper than 0.1 m.
  expect(loads[1]!.gradientY).toBeLessThan(0);
  expect(Math.abs(loads[1]!.gradientY as number)).toBeLessThan(200);
});

test('by keys: a load on what is selected, in a case with a colour of its own', async () => {
  const portal = await ModelPage.portal(application);
  await portal.command('go to loads');
  await portal.command('select member b, c');
  await portal.bench();
  await portal.fillByKey('What acts', '3 kN/m down on plan');
  await portal.pressByKey('Put it on the 2 selected members');
  await portal.chooseByKey('Colour', 'indigo');
  const { loads, cases } = await portal.file<Stored>();
  expect(loads).toMatchObject([
    { type: 'line', axes: 'projected', to: { wy: -3000 } },
    { type: 'line', axes: 'projected' },
  ]);
  // On its card the load is said again, and stays the same one.
  await portal.pressByKey('3 kN/m down on plan · member b');
  await portal.card('Load');
  await portal.fillByKey('What acts', '4 to 2 kN/m down');
  await portal.page.waitForFunction(() => /4\skN\/m to 2\skN\/m down/.test((document.querySelector('aside input') as HTMLInputElement).value)); // oxfmt-ignore
  expect((await portal.file<Stored>()).loads[0]).toMatchObject({ id: loads[0]!['id'], from: { wy: -4000 }, to: { wy: -2000 } });
  expect(cases.map(({ colour }) => colour)).toContain('indigo');
});

test('no page complained', () => expect(application.complaints).toEqual([]));
