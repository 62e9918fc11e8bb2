import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { Application } from './application';
import { keepsRules } from './keeps-rules';
import { givenFile } from './given-file';
import { ModelPage } from './model-page';

const application = new Application();
const folder = mkdtempSync(path.join(tmpdir(), 'rigid-beam-taken-'));
beforeAll(() => application.start());
afterAll(async () => {
  await application.close();
  rmSync(folder, { recursive: true, force: true });
});

const COMMAND = 'take tables or a drawing from a file';

/** Chooses a file with this content, by the command. */
async function taken(model: ModelPage, name: string, content: string): Promise<void> {
  const file = path.join(folder, name);
  writeFileSync(file, content);
  await givenFile(model.page, file, () => model.command(COMMAND));
  await model.page.waitForSelector(`[role=dialog][aria-label="From ${name}"]`);
}

const isAway = (model: ModelPage): Promise<unknown> => model.page.waitForFunction(() => !document.querySelector('[role=dialog]'));

describe('a file brings', () => {
  test('nodes: their columns are understood, a fault is told in its row, the rest is taken in one step', async () => {
    const model = await ModelPage.empty(application);
    await taken(model, 'survey.csv', 'Point;X coordinate;Height;Remark\n;mm;mm;\nA;0;0;\nB;3600,5;0;corner\nC;3600,5;far;\n');
    // The heads leave open what “Height” is: it is said, with its unit, by keys.
    await model.until('taken', /No table of the file is taken yet/);
    await model.chooseByKey('Rows are', 'Nodes');
    await model.until('taken', /3 rows cannot be taken/);
    await model.chooseByKey('Column Height', 'Y');
    await model.until('taken', /2 rows are new; 1 row cannot be taken/);
    expect(await model.page.$eval('tr[data-state=faulty]', (row) => row.textContent)).toMatch(/“far” is not a length/);
    await keepsRules('tables of a file', model.page);
    await model.pressByKey('Take 2 rows, leave out 1');
    await isAway(model);
    await model.counts(2, 0);
    const { nodes } = await model.file<{ nodes: { id: string; x: number }[] }>();
    expect(nodes).toEqual([
      { id: 'A', x: 0, y: 0 },
      { id: 'B', x: expect.closeTo(3.6005, 12), y: 0 },
    ]);
    await model.undo();
    await model.counts(0, 0);
  });

  test('a drawing: its layers are chosen, its lines are joined, or laid behind the drawing', async () => {
    const line = (layer: string, ends: readonly number[]): string =>
      [0, 'LINE', 8, layer, 10, ends[0], 20, ends[1], 11, ends[2], 21, ends[3], ''].join('\n');
    const lines = line('ribs', [0, 0, 0, 2400]) + line('ribs', [1, 2401, 6000, 2400]) + line('ribs', [3000, 2400, 3000, 0]);
    const drawing = `0\nSECTION\n2\nENTITIES\n${lines}${line('frame', [-500, -500, 7000, -500])}0\nENDSEC\n0\nEOF\n`;
    const model = await ModelPage.empty(application);
    await taken(model, 'rib.dxf', drawing);
    await model.until('taken', /5 members between 7 nodes.* 1 line is cut/);
    const tick = await model.page.waitForSelector('::-p-xpath(//label[normalize-space(.)="frame"])');
    await tick!.click();
    await model.until('taken', /4 members between 5 nodes.* 1 end joined, at most 1\.414 mm apart/);
    await model.press('Take 4 members');
    await isAway(model);
    await model.counts(5, 4);
    expect((await model.nodePlaces()).toSorted()).toEqual(['0 0', '0 2.4', '3 0', '3 2.4', '6 2.4']);
    await taken(model, 'rib.dxf', drawing);
    await model.until('taken', /5 members/);
    await model.pressByKey('Lay behind the drawing');
    await isAway(model);
    const { underlay } = await model.file<{ underlay: { x: number; y: number; width: number; metresPerPixel: number } }>();
    // 7.5 m of the frame and a hundredth of it on each side.
    expect([underlay.x, underlay.y, underlay.width * underlay.metresPerPixel]).toEqual([
      expect.closeTo(-0.575, 9),
      expect.closeTo(-0.575, 9),
      expect.closeTo(7.65, 9),
    ]);
  });

  test('nothing that can be read: it is said what and why', async () => {
    const model = await ModelPage.empty(application);
    await taken(model, 'fern.xlsx', 'no workbook');
    await model.page.waitForFunction(() => /no XLSX workbook that can be read/.test(document.querySelector('[role=dialog] [role=alert]')?.textContent ?? '')); // oxfmt-ignore
    await model.page.keyboard.press('Escape');
    await isAway(model);
  });

  test('a file that is let fall on the page is brought to it; one of another kind is told what it is for', async () => {
    const model = await ModelPage.empty(application);
    const letFall = (name: string, content: string): Promise<boolean> =>
      model.page.evaluate(
        (called, text) => {
          const dataTransfer = new DataTransfer();
          dataTransfer.items.add(new File([text], called));
          return document.body.dispatchEvent(new DragEvent('drop', { dataTransfer, bubbles: true, cancelable: true }));
        },
        name,
        content,
      );
    // The browser does not leave the page for it.
    expect(await letFall('fern.mp3', '…')).toBe(false);
    await model.page.waitForFunction(() => /fern\.mp3 brings neither tables nor a drawing/.test(document.body.textContent ?? ''));
    expect(await letFall('survey.csv', 'Node,X,Y\n1,0,0\n2,3,0\n')).toBe(false);
    await model.until('taken', /2 rows are new/);
    await model.press('Take 2 rows');
    await model.counts(2, 0);
  });
});

test('no page complained', () => expect(application.complaints).toEqual([]));
