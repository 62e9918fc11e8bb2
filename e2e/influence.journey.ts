import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { TrainLoad } from '@rigid-beam/core/model/loads/train-load';
import type { Model } from '@rigid-beam/core/model/model';
import { Application } from './application';
import { byKeys, byPointer, byTouch } from './hands';
import { openLintel } from './lintel';

const application = new Application();
beforeAll(() => application.start());
afterAll(() => application.close());

describe.each([
  { hands: 'by pointer', handsOf: byPointer },
  { hands: 'by keys', handsOf: byKeys },
  { hands: 'by touch', handsOf: byTouch },
])('$hands', ({ handsOf }) => {
  test('a value leads to its influence line; a train is written, stands where it is worst, and follows the structure', async () => {
    const model = await openLintel(application);
    const { page } = model;
    const hands = handsOf(model);
    const said = (what: string): Promise<string> =>
      page
        .$eval('[role=region][aria-label="Influence line"]', (part) => (part as HTMLElement).innerText)
        .then((text) => {
          expect(text).toContain(what);
          return text;
        });
    const shows = (pattern: string) =>
      page.waitForFunction(
        (source) =>
          new RegExp(source).test(
            document.querySelector<HTMLElement>('[role=region][aria-label="Influence line"]')?.innerText ?? '',
          ),
        {},
        pattern,
      );
    await hands.stage('Results');
    await hands.press('Influence line of the reaction along Y at node 2');
    await shows('1 kN without effect');
    await said('Along a, b, c.');
    expect(await said('Reaction along Y at node 2')).toMatch(/1 kN, least\s+c at 1\.5 m/);

    // What means nothing is said at the field, and not taken.
    await hands.fill('New train, from the front', '2 × 9 kN');
    await page.waitForFunction(() => /how far apart/.test(document.body.innerText));
    await hands.fill('New train, from the front', '2 × 9 kN at 1.2 m with 2 kN/m');
    await hands.press('Show T1 where it is greatest');
    const before = await said('axle 1 in');
    expect((await model.file<Model>()).trains).toEqual([{ id: 'T1', axles: [9000, 9000], spacings: [1.2], uniform: 2000 }]);

    // The line is found anew when the structure changes.
    await model.undo();
    await page.waitForFunction(() => !/Train T1/.test(document.body.innerText));
    await model.redo();
    await shows('Train T1');
    expect(await said('axle 1 in')).toBe(before);
    await hands.stage('Geometry');
    await hands.use('Node 3');
    await hands.fill('X (m)', '9');
    await hands.stage('Results');
    await page.waitForFunction(
      (text) => {
        const now = document.querySelector<HTMLElement>('[role=region][aria-label="Influence line"]')?.innerText ?? '';
        return now.includes('axle 1 in') && now !== text;
      },
      {},
      before,
    );
    // Put on the structure, it acts as a load that is moved along it.
    await hands.press('Place for greatest: T1');
    await page.waitForFunction(() => /stage=loads/.test(location.search) && /acting=QT/.test(location.search));
    const standing = async () => (await model.file<Model>()).loads.find(({ type }) => type === 'train') as TrainLoad | undefined;
    const put = await standing();
    expect(put).toMatchObject({ case: 'QT', members: ['a', 'b', 'c'], axles: [9000, 9000], spacings: [1.2] });
    await hands.press('Heaviest axle 9 kN on the run of 3 members from a to c, case QT');
    await hands.fill('First axle stands at (m)', '5');
    expect((await standing())?.stands).toBe(5);
    await hands.stage('Results');
    await page.waitForFunction(() => /What governs in/.test(document.body.innerText));

    // It may travel instead: one envelope of all its places, whose values say where it stands.
    await hands.press('Influence line of the reaction along Y at node 2');
    await hands.press('Let it travel: T1');
    await page.waitForFunction(
      () => /acting=QT/.test(location.search) && /What governs in QT envelope/.test(document.body.innerText),
    );
    await page.waitForFunction(() => /in QT travelling, axle \d in b at/.test(document.body.innerText));
    expect((await model.file<Model>()).actions).toEqual([{ id: 'QT travelling', type: 'travelling', of: ['QT'] }]);
    await hands.stage('Combinations');
    await hands.choose('QT acts', 'everywhere at once');
    await page.waitForFunction(() => !/stands at the worst place/.test(document.body.innerText));
    expect((await model.file<Model>()).combinations.at(-1)).toMatchObject({ id: 'QT envelope', of: ['QT'] });
  });
});
