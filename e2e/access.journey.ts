import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { Application } from './application';
import { keepsRules } from './keeps-rules';
import { ModelPage } from './model-page';

const application = new Application();
beforeAll(() => application.start());
afterAll(() => application.close());

const stages = ['geometry', 'sections', 'supports', 'loads', 'combinations', 'results'];

describe('for everyone', () => {
  test('the projects page keeps the rules by day and by night', async () => {
    const page = await application.page();
    await application.visit(page);
    await keepsRules('projects', page);
  });

  test('an empty sheet, a page that is not there and the diagrams of a member at their largest keep the rules too', async () => {
    const model = await ModelPage.empty(application);
    await keepsRules('empty', model.page);
    await application.visit(model.page, '/models/none');
    await keepsRules('not there', model.page);
    const rib = await ModelPage.open(application, 'Glasshouse rib', '?stage=results&acting=W');
    await rib.page.focus('main li > button[aria-label^="Member c "]');
    await rib.page.keyboard.press('Space');
    await rib.card('Member c');
    await rib.press('Read all its diagrams');
    await rib.page.waitForSelector('section[aria-label="Diagrams along members"] canvas');
    await keepsRules('charts', rib.page);
  });

  test('a model on paper keeps the rules by day and by night', async () => {
    const rib = await ModelPage.open(application, 'Glasshouse rib', '?stage=results&acting=U1');
    await rib.command('put on paper');
    await rib.page.waitForSelector('[role=dialog] img[data-going="false"]');
    await keepsRules('on paper', rib.page);
  });

  test('what is chosen by hand holds against what the system asks for', async () => {
    const page = await application.page();
    const paper = (): Promise<string> => page.evaluate(() => getComputedStyle(document.body).backgroundColor);
    await application.visit(page);
    const byDay = await paper();
    await page.setCookie({ name: 'appearance', value: 'night', url: application.address });
    await application.visit(page);
    expect(await paper()).not.toBe(byDay);
    await page.setCookie({ name: 'appearance', value: 'day', url: application.address });
    await page.emulateMediaFeatures([{ name: 'prefers-color-scheme', value: 'dark' }]);
    await application.visit(page);
    expect(await paper()).toBe(byDay);
    await page.deleteCookie({ name: 'appearance', url: application.address });
  });

  test('every stage keeps the rules by day and by night, with a card open', async () => {
    const rib = await ModelPage.open(application, 'Glasshouse rib');
    for (const stage of stages) {
      await application.visit(rib.page, `${new URL(rib.page.url()).pathname}?stage=${stage}&acting=W&quantity=Mz`);
      await rib.until('solution', /^Solved/);
      await rib.page.waitForSelector('main li > button[tabindex="0"]');
      await rib.page.focus('main li > button[tabindex="0"]');
      if (stage === 'sections') await rib.page.keyboard.press('End');
      if (stage === 'results') for (let i = 0; i < 14; i++) await rib.page.keyboard.press('ArrowRight');
      await keepsRules(stage, rib.page);
    }
  });

  test('a load’s card, a section of parts and the schedule of loads keep the rules by day and by night', async () => {
    const rib = await ModelPage.open(application, 'Glasshouse rib', '?stage=loads&acting=W');
    await rib.unfold('Sway from vertical loads');
    await keepsRules('sway', rib.page);
    await (await rib.page.waitForSelector('::-p-xpath(//button[contains(., "kN/m ") and contains(., " · ")])'))!.click();
    await rib.card('Load');
    await keepsRules('load', rib.page);
    await rib.command('open the schedule of loads');
    await rib.page.waitForSelector('[role=grid][aria-label*="oads"]');
    await keepsRules('schedule', rib.page);
    await rib.command('go to sections');
    await rib.press('Built of parts');
    await (await rib.page.waitForSelector('button[aria-label^="built-of-parts, "]'))!.click();
    await rib.unfold('Torsion, warping, shear centre');
    await keepsRules('parts', rib.page);
  });

  test('what is read of results keeps the rules by day and by night: schedules, cuts, joints, a check by hand, then and now', async () => {
    const rib = await ModelPage.open(application, 'Glasshouse rib', '?stage=results&acting=U2&quantity=Mz');
    const { page } = rib;
    await rib.unfold('Then and now');
    await rib.fill('Keep this state as', 'as it was');
    await page.keyboard.press('Enter');
    await rib.choose('Beside the model', 'as it was');
    await page.waitForSelector('table[aria-label="Then and now"]');
    await keepsRules('then and now', page);
    await rib.press('One drawing only');
    await rib.command('draw a case beside');
    await rib.press('Less the first');
    await rib.until('extremes-beside', /kN·m in/);
    await keepsRules('difference', page);
    await rib.press('One drawing only');
    await rib.command('open the schedule of extremes of members');
    await rib.fill('Show only rows where', '|M| > 5, nothing > 3');
    await page.waitForSelector('[role=grid][aria-label^="Extremes of members in U2"]');
    await keepsRules('schedule of results', page);
    await rib.press('Close the schedule');
    await rib.command('select node 3');
    await page.waitForFunction(() => /The joint cut free in U2/.test(document.body.innerText));
    await keepsRules('joint', page);
    await rib.command('select member tie');
    await rib.unfold('Check it by hand');
    await page.waitForFunction(() => /Nearest is a beam|No formula/.test(document.body.innerText));
    await keepsRules('check by hand', page);
    await rib.command('Cut the selected members');
    await page.waitForFunction(() => /Cut free in U2/.test(document.body.innerText));
    await keepsRules('cut', page);
    await rib.press('Put together again');
    await rib.press('Also show ▾');
    await rib.choose('Diagrams as', 'colour of the members');
    await keepsRules('drawn as colour', page);
  });

  test('parameters, a study, a seek and fields with expressions keep the rules by day and by night', async () => {
    const rib = await ModelPage.open(application, 'Glasshouse rib', '?stage=results&acting=U1');
    const { page } = rib;
    await rib.command('open the parameters');
    await page.waitForSelector('[role="group"][aria-label="Move rise"]');
    await rib.press('Select what hangs on rise');
    await page.waitForFunction(() => document.body.innerText.includes('node 7, y = rise'));
    await keepsRules('parameters', page);
    await rib.press('Study');
    await page.waitForSelector('button[aria-label="Set span to 9 m"]');
    await keepsRules('study', page);
    await rib.press('Seek');
    await rib.fill('is to be (mm)', '20');
    await page.waitForSelector('::-p-named(Take this value)');
    await keepsRules('seek', page);
    await rib.command('go to geometry');
    await rib.command('select node 5');
    await page.waitForFunction(() => document.body.innerText.includes('= 4 m'));
    await keepsRules('expression', page);
  });

  test('an influence line with a train, own rules, and sums that govern nothing keep the rules by day and by night', async () => {
    const lintel = await ModelPage.open(application, 'Lintel over the potting bench', '?stage=results&acting=C3');
    const { page } = lintel;
    await lintel.press('Influence line of the reaction along Y at node 2');
    await lintel.fill('New train, from the front', '2 × 9 kN at 1.2 m with 2 kN/m');
    await lintel.press('Show T1 where it is greatest');
    await keepsRules('influence', page);
    await lintel.press('Place for greatest: T1');
    await lintel.press('Heaviest axle 9 kN on the run of 3 members from a to c, case QT');
    await page.waitForSelector('aside[aria-label="Load"]');
    await keepsRules('train', page);
    await lintel.command('go to results');
    await lintel.press('Influence line of the reaction along Y at node 2');
    await lintel.press('Let it travel: T1');
    await page.waitForFunction(() => /axle \d in b at/.test(document.body.innerText));
    await keepsRules('travelling', page);
    await lintel.command('go to combinations');
    await lintel.press('Q1, Imposed, first span');
    await page.waitForFunction(() => /only Q1/.test(document.body.innerText));
    await keepsRules('some of a category', page);
    const rib = await ModelPage.open(application, 'Glasshouse rib', '?stage=combinations&acting=U2');
    await rib.press('EN 1990 · 6.10: EN 1990:2002+A1:2005, recommended values for buildings');
    const offered = await rib.page.waitForSelector('::-p-xpath(//button[starts-with(., "Take all ")])');
    await offered!.click();
    await rib.page.waitForSelector('[aria-label="What the strip shows"] button[aria-label^="Govern nothing"]');
    await rib.press('Copy and change');
    await rib.press('Change “Own rules”');
    await rib.press('Persistent and transient');
    await keepsRules('own rules', rib.page);
  });

  test('at twice the size everything is still there, below each other', async () => {
    const rib = await ModelPage.open(application, 'Glasshouse rib');
    await rib.page.setViewport({ width: 640, height: 400, deviceScaleFactor: 2 });
    // The drawing has taken the new size.
    await rib.page.waitForFunction(() => {
      const canvas = document.querySelector<HTMLCanvasElement>('[data-testid=sheet]')!;
      return window.innerWidth === 640 && canvas.clientWidth > 0 && canvas.width === 2 * canvas.clientWidth;
    });
    const widest = await rib.page.evaluate(() => document.documentElement.scrollWidth);
    expect(widest).toBeLessThanOrEqual(640);
    const sheet = await rib.page.$eval('[data-testid=sheet]', (canvas) => ({
      css: canvas.clientWidth,
      pixels: (canvas as HTMLCanvasElement).width,
    }));
    expect(sheet.css).toBeGreaterThan(500);
    // Crisp on a dense screen: two device pixels to one of the page's.
    expect(sheet.pixels).toBe(2 * sheet.css);
    await rib.press('Show the side panel');
    await rib.page.waitForSelector('table');
  });

  test('the whole way by keyboard: projects, model, case, quantity, member', async () => {
    const page = await application.page();
    await application.visit(page);
    const focused = (): Promise<string> =>
      page.evaluate(() => document.activeElement?.getAttribute('aria-label') ?? document.activeElement?.textContent ?? '');
    const tabTo = async (words: RegExp): Promise<void> => {
      for (let i = 0; i < 60; i++) {
        await page.keyboard.press('Tab');
        if (words.test(await focused())) return;
      }
      throw new Error(`Tab never came to ${words.source}`);
    };
    await tabTo(/Lintel over the potting bench/);
    await page.keyboard.press('Enter');
    const lintel = new ModelPage(application, page);
    await lintel.ready();
    await tabTo(/^Geometry/);
    while (!/^Results/.test(await focused())) await page.keyboard.press('ArrowRight');
    await page.keyboard.press('Enter');
    await page.waitForFunction(() => /stage=results/.test(window.location.search));
    await tabTo(/^(Node|Member|Support|Intensity|Force) /);
    await page.keyboard.press('Home');
    expect(await focused()).toMatch(/^Node 1 at 0 m across/);
    await tabTo(/^(Axial force|Bending moment)$/);
    await page.keyboard.press('Home');
    while (!/^Axial force$/.test(await focused())) await page.keyboard.press('ArrowLeft');
    await page.keyboard.press('Enter');
    await lintel.until('extremes', /kN in/);
    await page.focus('[role=radiogroup] input:checked');
    await page.keyboard.press('ArrowRight');
    await page.waitForFunction(() => /acting=Q1/.test(window.location.search));
  });

  test('Tab comes to every control of the geometry bench, in the order in which they stand', async () => {
    const walk = await ModelPage.open(application, 'Canopy walk');
    const { page } = walk;
    await walk.command('go to geometry');
    await walk.unfold('Select and show');
    // What can be reached, as it stands in the page; of a group of toggles or choices Tab comes to one.
    const names = await page.$$eval('section[aria-label=Geometry] :is(button, input, summary)', (all) =>
      all
        .filter((one) => (one as HTMLElement).tabIndex >= 0 && !(one as HTMLButtonElement).disabled && one.checkVisibility())
        .filter((one) => one.closest('[role=radiogroup], [role=toolbar]') === null)
        .map((one, i) => {
          one.setAttribute('data-order', String(i));
          return one.getAttribute('aria-label') ?? one.textContent ?? '';
        }),
    );
    expect(names.length).toBeGreaterThan(20);
    await page.focus('[data-order="0"]');
    const reached = new Set<number>([0]);
    let last = 0;
    for (let i = 0; i < 3 * names.length && last < names.length - 1; i++) {
      await page.keyboard.press('Tab');
      const at = await page.evaluate(() => Number(document.activeElement?.getAttribute('data-order') ?? -1));
      if (at < 0) continue;
      expect(at).toBeGreaterThanOrEqual(last);
      last = at;
      reached.add(at);
    }
    expect(names.filter((_, i) => !reached.has(i))).toEqual([]);
  });

  test('a node moves by the keyboard, and what has the focus is removed by Delete', async () => {
    const lintel = await ModelPage.open(application, 'Lintel over the potting bench');
    const { page } = lintel;
    await page.focus('main li > button[tabindex="0"]');
    await page.keyboard.press('Home');
    await page.keyboard.down('Alt');
    await page.keyboard.press('ArrowLeft');
    await page.keyboard.up('Alt');
    await page.waitForSelector('main li > button[aria-label^="Node 1 at −0."]');
    await page.keyboard.press('End');
    await page.waitForFunction(() => /case Q3/.test(document.activeElement?.getAttribute('aria-label') ?? ''));
    await page.keyboard.press('Delete');
    await page.waitForFunction(() => !document.querySelector('main li > button[aria-label*="case Q3"]'));
    await lintel.undo();
    await lintel.undo();
    await page.waitForSelector('main li > button[aria-label^="Node 1 at 0 m"]');
    await lintel.stored();
  });

  test('no page complained', () => expect(application.complaints).toEqual([]));
});
