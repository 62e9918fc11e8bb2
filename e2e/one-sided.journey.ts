import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { Application } from './application';
import { ModelPage } from './model-page';

const application = new Application();
beforeAll(() => application.start());
afterAll(() => application.close());

/** A bay of the rain-tank tower, all hinged: two posts, a beam, crossed ties; wind from either side. */
const bay = {
  ...{ format: 'rigid-beam/model', version: 1, title: 'Bay of the rain-tank tower', space: 'plane' },
  materials: [{ id: 'steel', E: 210e9, density: 7850, fy: 235e6 }],
  sections: [{ id: 'post', catalogue: 'HEA 120' }, { id: 'rod', shape: { type: 'round', d: 0.02 } }], // oxfmt-ignore
  nodes: [{ id: '1', x: 0, y: 0 }, { id: '2', x: 0, y: 3 }, { id: '3', x: 3, y: 3 }, { id: '4', x: 3, y: 0 }], // oxfmt-ignore
  members: [
    { id: 'left', start: '1', end: '2', section: 'post', material: 'steel', behaviour: 'truss' },
    { id: 'beam', start: '2', end: '3', section: 'post', material: 'steel', behaviour: 'truss' },
    { id: 'right', start: '4', end: '3', section: 'post', material: 'steel', behaviour: 'truss' },
    { id: 'up', start: '1', end: '3', section: 'rod', material: 'steel', behaviour: 'tensionOnly' },
    { id: 'down', start: '2', end: '4', section: 'rod', material: 'steel', behaviour: 'truss' },
  ],
  supports: [{ node: '1', ux: 'fixed', uy: 'fixed' }, { node: '4', ux: 'fixed', uy: 'fixed' }], // oxfmt-ignore
  cases: [{ id: 'W', category: 'wind' }, { id: 'V', category: 'wind' }], // oxfmt-ignore
  loads: [{ case: 'W', type: 'node', node: '2', fx: 9000 }, { case: 'V', type: 'node', node: '3', fx: -9000 }], // oxfmt-ignore
};

/** A sill of the potting shed over two spans, of which the first is loaded. */
const sill = {
  ...{ format: 'rigid-beam/model', version: 1, title: 'Sill of the potting shed', space: 'plane' },
  materials: [{ id: 'steel', E: 210e9 }],
  sections: [{ id: 'sill', A: 28.48e-4, Iz: 1.943e-5 }],
  nodes: [{ id: '1', x: 0, y: 0 }, { id: '2', x: 5, y: 0 }, { id: '3', x: 10, y: 0 }], // oxfmt-ignore
  members: [{ id: 'a', start: '1', end: '2', section: 'sill', material: 'steel' }, { id: 'b', start: '2', end: '3', section: 'sill', material: 'steel' }], // oxfmt-ignore
  supports: [{ node: '1', ux: 'fixed', uy: 'fixed' }, { node: '2', uy: 'fixed' }, { node: '3', uy: 'fixed' }], // oxfmt-ignore
  cases: [{ id: 'Q', category: 'imposed' }],
  loads: [{ case: 'Q', type: 'line', member: 'a', from: { wy: -12000 }, to: { wy: -12000 } }],
};

describe.each(['pointer', 'keys'] as const)('members that act one way, by %s', (hands) => {
  test('a tie is chosen on its card; what is slack is told and drawn, and what cannot be let go is named', async () => {
    const model = await ModelPage.given(application, bay);
    const { page } = model;
    const choose = (option: string): Promise<void> => (hands === 'keys' ? model.chooseByKey('Behaviour', option) : model.choose('Behaviour', option)); // oxfmt-ignore
    const says = (words: RegExp): Promise<unknown> =>
      page.waitForFunction((source) => new RegExp(source).test(document.querySelector('[aria-label="Is it right?"]')?.textContent ?? ''), {}, words.source); // oxfmt-ignore
    await model.selectByKey('Member down');
    await choose('Tie: tension only');
    await page.keyboard.press('Escape');
    await model.command('results');
    await says(/Slack: “down”\. No member that acts one way has a force of the other way, (exactly|to 1\d digits)/);
    // 9 kN sideways at the head: √2 times that in the tie that holds it.
    await model.until('extremes', /12\.73 kN in up/);
    await model.stored();
    await application.visit(page, `${new URL(page.url()).pathname}?stage=results&acting=V`);
    await model.ready();
    await says(/Slack: “up”/);
    await model.command('geometry');
    await model.selectByKey('Member down');
    await choose('Strut: compression only');
    await model.until('hindrance', /V: member.*“down”.*cannot take the force.*without them the structure can move/);
    await model.undo();
    await model.until('solution', /^Solved, in balance/);
  });

  test('a foot that lifts is chosen on its node’s card; it is told, drawn in dashes, and stored with its gap', async () => {
    const model = await ModelPage.given(application, sill);
    const { page } = model;
    const label = 'Holds along Y';
    const only = 'towards +Y only';
    await model.command('geometry');
    await model.selectByKey('Node 3');
    await (hands === 'keys' ? model.chooseByKey(label, only) : model.choose(label, only));
    await (hands === 'keys' ? model.fillByKey('Gap (mm)', '2') : model.fill('Gap (mm)', '2'));
    await model.stored();
    expect((await model.file<{ supports: object[] }>()).supports[2]).toEqual({
      ...{ node: '3', uy: 'fixed' },
      oneWay: { uy: 'positive' },
      gaps: { uy: 0.002 },
    });
    await page.keyboard.press('Escape');
    await model.command('results');
    await page.waitForFunction(() =>
      document.querySelector('[aria-label="Is it right?"]')?.textContent?.includes('Lifted off the support at “3”.'),
    );
    // A span alone under its load: qL²/8.
    await model.until('extremes', /37\.5 kN·m in a/);
  });
});

test('a joint is given a spring and a gap on its card; it is told where it is within its gap, and where the gap has closed', async () => {
  const model = await ModelPage.given(application, {
    ...sill,
    supports: [{ node: '1', ux: 'fixed', uy: 'fixed', rz: 'fixed' }, ...sill.supports.slice(1)],
  });
  const { page } = model;
  const give = async (label: string, text: string): Promise<void> => {
    await model.command('geometry');
    await model.selectByKey('Member a');
    await model.unfold('Elastic joint');
    await model.fill(label, text);
    await model.stored();
    await page.keyboard.press('Escape');
    await model.command('results');
  };
  const says = (words: RegExp): Promise<unknown> =>
    page.waitForFunction((source) => new RegExp(source).test(document.querySelector('[aria-label="Is it right?"]')?.textContent ?? ''), {}, words.source); // oxfmt-ignore
  await give('Turns about z (kN·m/rad)', '800');
  await give('Gap about z (mrad)', '20');
  await says(/Within its gap the joint of “a”\. No joint bears anything within its gap, (exactly|to 1\d digits)/);
  const stored = await model.file<{ members: object[] }>();
  expect(stored.members[0]).toMatchObject({ releases: { start: { mz: 800e3 } }, gaps: { start: { mz: 0.02 } } });
  await give('Gap about z (mrad)', '0.5');
  await says(/No joint is within its gap\./);
  await give('Gap about z (mrad)', '0');
  await page.waitForFunction(
    () => !/within its gap/i.test(document.querySelector('[aria-label="Is it right?"]')?.textContent ?? ''),
  );
  expect((await model.file<{ members: object[] }>()).members[0]).not.toHaveProperty('gaps');
});

test('in second order what is slack is found for the displaced bay, and critical loads are those of what holds', async () => {
  const model = await ModelPage.given(application, {
    ...bay,
    members: bay.members.map((one) => (one.id === 'down' ? { ...one, behaviour: 'tensionOnly' } : one)),
    loads: [...bay.loads, ...['2', '3'].map((node) => ({ case: 'W', type: 'node', node, fy: -120e3 }))],
    analysis: { secondOrder: { of: 'everything' }, buckling: { of: ['W'], modes: 1 } },
  });
  const { page } = model;
  await model.command('results');
  await page.waitForFunction(() => {
    const said = document.querySelector('[aria-label="Is it right?"]')?.textContent ?? '';
    return [
      /Second order: the largest movement is 1\.\d+ times that of the first/,
      /Slack: “down”/,
      /Every member that is not slack carries something/,
    ].every((words) => words.test(said));
  });
  await model.act('Buckling 1 of W');
  await page.waitForFunction(() => /right swings between them/.test(document.body.innerText));
});
