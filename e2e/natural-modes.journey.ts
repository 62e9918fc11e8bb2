import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { Application } from './application';
import { ModelPage } from './model-page';

const application = new Application();
beforeAll(() => application.start());
afterAll(() => application.close());

const [E, I, A, L, density, q] = [11e9, 2.4e-4, 0.06, 6, 420, 1500];
/** A plank of the canopy walk on two supports, with what grows on it. */
const plank = {
  ...{ format: 'rigid-beam/model', version: 1, title: 'Plank of the canopy walk', space: 'plane' },
  materials: [{ id: 'larch', E, density }],
  sections: [{ id: 'plank', A, Iz: I }],
  nodes: [{ id: '1', x: 0, y: 0 }, { id: '2', x: L, y: 0 }],
  members: [{ id: 'plank', start: '1', end: '2', section: 'plank', material: 'larch' }],
  supports: [{ node: '1', ux: 'fixed', uy: 'fixed' }, { node: '2', uy: 'fixed' }],
  cases: [{ id: 'G', category: 'permanent', selfWeight: 1 }, { id: 'Q', category: 'imposed' }],
  loads: [{ case: 'Q', type: 'line', member: 'plank', from: { wy: -q }, to: { wy: -q } }],
}; // oxfmt-ignore

const hertz = (share: number): number => (Math.PI / (2 * L * L)) * Math.sqrt((E * I) / (density * A + (share * q) / 9.80665));

describe.each(['pointer', 'keys'] as const)('natural modes, by %s', (hands) => {
  test('are chosen under Combinations with the usual masses; one member is exact, and a part of a case is typed', async () => {
    const model = await ModelPage.given(application, plank);
    const { page } = model;
    await model.stage('Combinations');
    await model.unfold('Analysis');
    const swing = 'Members swing between their nodes';
    await (hands === 'keys' ? model.chooseByKey('Natural modes', swing) : model.choose('Natural modes', swing));
    await model.stored();
    const frequency = async (): Promise<number> => {
      await application.visit(page, `${new URL(page.url()).pathname}?stage=results&acting=Mode+1`);
      await model.ready();
      const words = await page.waitForFunction(() =>
        [...document.querySelectorAll('[role=status]')]
          .map((one) => /^([\d.]+) Hz: it swings to and fro/.exec(one.textContent ?? '')?.[1])
          .find(Boolean),
      );
      return Number(await words.jsonValue());
    };
    expect(await frequency()).toBeCloseTo(hertz(0.3), 2);
    const said = await page.evaluate(() => document.body.textContent ?? '');
    expect(said).toMatch(/Nodes hardly move: plank swings between them/);
    expect(said).toMatch(/81 % of the mass takes part along Y/);
    await model.stage('Combinations');
    await model.unfold('Analysis');
    await (hands === 'keys' ? model.fillByKey('Part of Q (usual: 0.3)', '1') : model.fill('Part of Q (usual: 0.3)', '1'));
    await model.stored();
    expect(await frequency()).toBeCloseTo(hertz(1), 2);
    await model.unfold('A force that swings');
    const machine = 'A machine: m·e·ω² of what turns off its axis';
    await (hands === 'keys' ? model.chooseByKey('Driven by', machine) : model.choose('Driven by', machine));
    await model.stored();
    await page.waitForFunction(() =>
      /At most [\d.]+ m\/s² at [\d.]+ Hz|a support holds there/.test(document.body.textContent ?? ''),
    );
    await model.command('find no natural modes');
    await model.stored();
    await page.waitForFunction(() => !document.body.textContent?.includes('Mode 1'));
  });
});
