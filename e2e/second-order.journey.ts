import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { Application } from './application';
import { ModelPage } from './model-page';

const application = new Application();
beforeAll(() => application.start());
afterAll(() => application.close());

const [EI, h, P, H] = [210e9 * 1.943e-5, 4, 200e3, 4e3];
/** A post of the canopy walk: clamped at its foot, pressed at its head and pushed aside. */
const post = {
  ...{ format: 'rigid-beam/model', version: 1, title: 'Post of the canopy walk', space: 'plane' },
  materials: [{ id: 'steel', E: 210e9 }],
  sections: [{ id: 'post', A: 28.48e-4, Iz: 1.943e-5 }],
  nodes: [{ id: '1', x: 0, y: 0 }, { id: '2', x: 0, y: h }],
  members: [{ id: 'post', start: '1', end: '2', section: 'post', material: 'steel' }],
  supports: [{ node: '1', ux: 'fixed', uy: 'fixed', rz: 'fixed' }],
  cases: [{ id: 'G', category: 'permanent' }, { id: 'W', category: 'wind' }],
  loads: [{ case: 'G', type: 'node', node: '2', fy: -P }, { case: 'W', type: 'node', node: '2', fx: H }],
  combinations: [{ id: 'U', type: 'sum', factors: { G: 1, W: 1 }, limitState: 'strength' }],
}; // oxfmt-ignore

const moment = (N: number): number => {
  const k = Math.sqrt(N / EI);
  return (H * Math.tan(k * h)) / k / 1e3;
};
const critical = (Math.PI ** 2 * EI) / (4 * h * h) / P;

describe.each(['pointer', 'keys'] as const)('second order and critical loads, by %s', (hands) => {
  test('are chosen under Combinations; the moment is that of theory, the critical load stands on the strip with its shape', async () => {
    const model = await ModelPage.given(application, post);
    const { page } = model;
    const choose = (label: string, option: string): Promise<void> => (hands === 'keys' ? model.chooseByKey(label, option) : model.choose(label, option)); // oxfmt-ignore
    await model.stage('Combinations');
    await model.unfold('Analysis');
    await choose('Equilibrium', 'Second order: combinations for strength');
    await model.stored();
    await choose('Critical loads of', 'U');
    await model.stored();
    await application.visit(page, `${new URL(page.url()).pathname}?stage=results&acting=U`);
    await model.ready();
    const said = await page.evaluate(() => document.querySelector('[aria-label="Is it right?"]')?.textContent ?? '');
    const [, times, now, before] = /([\d.]+) times that of the first \(([\d.]+) kN·m to ([\d.]+) kN·m\)/.exec(said)!;
    expect(Number(now)).toBeCloseTo(moment(P), 2);
    expect(Number(before)).toBeCloseTo((H * h) / 1e3, 2);
    expect(Number(times)).toBeCloseTo(moment(P) / ((H * h) / 1e3), 2);
    await page.waitForFunction(() =>
      document.querySelector('[aria-label="Title block"]')?.textContent?.includes('· second order'),
    );
    await application.visit(page, `${new URL(page.url()).pathname}?stage=results&acting=Buckling+1+of+U`);
    await model.ready();
    const words = await page.waitForFunction(() => /At ([\d.]+) times what acts in U/.exec(document.body.textContent ?? '')?.[1]);
    expect(Number(await words.jsonValue())).toBeCloseTo(critical, 2);
    // A free column is twice as long as it is.
    await page.waitForFunction(() => [...document.querySelectorAll('td')].some((cell) => cell.textContent === '8'));
    await model.command('find no critical loads');
    await model.command('analyse in the first order');
    await model.stored();
  });

  test('beyond the critical load it is said how much can be borne', async () => {
    const model = await ModelPage.given(application, {
      ...post,
      loads: [{ ...post.loads[0], fy: -2 * critical * P }, post.loads[1]],
    });
    await model.command('analyse in the second order ');
    await model.until(
      'hindrance',
      /U: the loads are beyond the critical load: 0\.500 of them can be borne, then members.*“post”.*give way/,
    );
    await model.undo();
    await model.until('solution', /^Solved, in balance/);
  });
});

test('sums of many posts are shared between threads; in each share the moment is that of theory', async () => {
  const [count, sums] = [60, 34];
  const each = <T>(make: (i: number) => T[]): T[] => Array.from({ length: count }, (_, i) => make(i)).flat();
  const model = await ModelPage.given(application, {
    ...post,
    title: 'Posts of the canopy walk',
    nodes: each((i) => [{ id: `${i}f`, x: 2 * i, y: 0 }, { id: `${i}h`, x: 2 * i, y: h }]),
    members: each((i) => [{ ...post.members[0], id: `post ${i}`, start: `${i}f`, end: `${i}h` }]),
    supports: each((i) => [{ ...post.supports[0], node: `${i}f` }]),
    loads: each((i) => post.loads.map((load) => ({ ...load, node: `${i}h` }))),
    combinations: Array.from({ length: sums }, (_, k) => ({ ...post.combinations[0], id: `U${k}`, factors: { G: 0.5 + k / 40, W: 1 } })),
    analysis: { secondOrder: { of: 'strength' } },
  }); // oxfmt-ignore
  const { page } = model;
  for (const k of [32, 33]) {
    await application.visit(page, `${new URL(page.url()).pathname}?stage=results&acting=U${k}`);
    await model.ready();
    const said = await page.evaluate(() => document.querySelector('[aria-label="Is it right?"]')?.textContent ?? '');
    const [, now] = /times that of the first \(([\d.]+) kN·m to [\d.]+ kN·m\)/.exec(said)!;
    expect(Number(now)).toBeCloseTo(moment((0.5 + k / 40) * P), 2);
  }
  const threads = await page.evaluate(() => navigator.hardwareConcurrency);
  expect(page.workers().length).toBeGreaterThanOrEqual(Math.min(threads, 4));
  await page.close();
});
