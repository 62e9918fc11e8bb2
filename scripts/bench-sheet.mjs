import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { inBrowser, wait } from './bench-browser.mjs';

// How the real sheet keeps up with the pointer: medians of the time between frames, measured in the page.

/**
 * `models`: [name, model, drags] each; returns for each the milliseconds between frames while one hovers, pans, turns and, where it `drags`, drags a node,
 * and from the choice of another quantity, case, sum or envelope to its picture.
 */
export const sheetTimes = (port, models) => inBrowser(port, (place) => measured(place, models));

async function measured({ address, page, folder }, models) {
  const results = [];
  for (const [name, model, drags] of models) {
    const file = path.join(folder, 'model.rbm.json');
    writeFileSync(file, JSON.stringify(model));
    await page.goto(address, { waitUntil: 'networkidle0' });
    const [chooser] = await Promise.all([page.waitForFileChooser(), page.locator('::-p-aria(From a file)').click()]);
    await chooser.accept([file]);
    await page.waitForFunction(() => /\/models\//.test(window.location.pathname));
    // With diagrams, values and loads, as before there were stages.
    await page.goto(`${page.url().split('?')[0]}?stage=results&show=deflected`, { waitUntil: 'networkidle0' });
    await page.waitForFunction(() => /^Solved/.test(document.querySelector('[data-testid=solution]')?.textContent ?? ''), {
      timeout: 120_000,
    });
    await wait(4000);
    const hover = await frames(page, (i) => page.mouse.move(600 + i * 5, 250 + i * 3));
    const pan = await carried(page, 'middle');
    await wait(2500);
    const turn = await carried(page, 'right');
    await wait(2500);
    const result = { name, hover, pan, turn, ...(await chosen(page)), members: model.members.length };
    if (drags) result.drag = await dragged(page);
    // A page that is left before everything is stored asks whether to stay; what was drawn last is on its way only after a moment.
    await wait(1500);
    await page.waitForFunction(() => document.querySelector('[data-testid=storage]')?.textContent === 'Stored', {
      timeout: 60_000,
    });
    results.push({ ...result, ...(await bodies(page)) });
  }
  return results;
}

/** Members as solid bodies: how long it takes to build them, and the script of a frame while the look turns (median). */
async function bodies(page) {
  await page.goto(`${page.url().split('?')[0]}?stage=geometry&show=solids`, { waitUntil: 'networkidle0' });
  await page.waitForFunction(() => performance.getEntriesByName('solid picture').length > 0, { timeout: 60_000 });
  await wait(3000);
  await carried(page, 'right');
  return page.evaluate(() => {
    const of = (name) => performance.getEntriesByName(name).map(({ duration }) => duration);
    return {
      built: of('solid bodies')[0],
      script: of('solid picture').sort((a, b) => a - b)[Math.floor(of('solid picture').length / 2)],
    };
  });
}

/** The median time between frames while something is done 60 times. */
async function frames(page, act) {
  await page.evaluate(() => {
    window.times = [];
    window.counting = true;
    let last = performance.now();
    const tick = () => {
      const now = performance.now();
      window.times.push(now - last);
      last = now;
      if (window.counting) requestAnimationFrame(tick);
    };
    requestAnimationFrame(tick);
  });
  for (let i = 0; i < 60; i++) {
    await act(i);
    await wait(8);
  }
  return page.evaluate(() => {
    window.counting = false;
    const sorted = window.times.slice(2).sort((a, b) => a - b);
    return sorted[Math.floor(sorted.length / 2)];
  });
}

/**
 * Medians of the time from a choice to the frame that begins with its picture on the screen. Of another quantity, and again, for what was looked at last; of a quantity that is derived; of another case or
 * sum beside what acts, or far off in the strip; and of an envelope: all of which are drawn ahead.
 */
async function chosen(page) {
  await page.evaluate(() => {
    const { prototype } = CanvasRenderingContext2D;
    const fill = prototype.fillRect;
    // A picture begins with its paper.
    prototype.fillRect = function (...box) {
      if (this.canvas.isConnected && this.canvas.clientWidth > 600) window.painted = true;
      return fill.apply(this, box);
    };
  });
  const choose = async (group, k) => {
    // Found without the tree for screen readers, which the browser would keep up with the page from then on.
    const choices = await page.$$(group);
    return choices[k].evaluate(async (button) => {
      const frame = () => new Promise((resolve) => requestAnimationFrame(() => resolve(performance.now())));
      const begun = await frame();
      window.painted = false;
      button.click();
      let now = await frame();
      while (!window.painted && now < begun + 3000) now = await frame();
      const taken = now - begun;
      while (now < begun + 1500) now = await frame();
      return taken;
    });
  };
  const all = async (group, some) => {
    const times = [];
    for (const k of some) times.push(await choose(group, k));
    return times.sort((x, y) => x - y)[Math.floor(times.length / 2)];
  };
  // N, V, T and M: more than stay of what was looked at.
  const quantities = ':has(> [aria-label="Bending moment about y"]) > button';
  const cases = '[aria-label="Cases and combinations"] label input';
  const six = [1, 2, 3, 4, 5, 0];
  await all(quantities, six);
  const first = await all(quantities, six);
  const again = await all(quantities, [4, 5, 4, 5, 4, 5]);
  // The resultant moment, and movements along the structure's axes.
  const derived = await all(quantities, [6, 9, 10, 11, 6, 9, 10, 11]);
  await all(cases, six);
  const other = await all(cases, six);
  // The envelopes and the sums stand behind the cases.
  const both = [12, 13, 12, 13, 12];
  await all(cases, both);
  const envelope = await all(cases, both);
  const sums = six.map((k) => 6 + k);
  await all(cases, sums);
  const sum = await all(cases, sums);
  await all(cases, sums);
  return { first, again, derived, other, sum, far: await all(cases, [9, 3, 7, 1, 10, 4, 6]), envelope };
}

async function carried(page, button) {
  await page.mouse.move(700, 300);
  await page.mouse.down({ button });
  const time = await frames(page, (i) => page.mouse.move(700 + i * 2, 300 + i));
  await page.mouse.up({ button });
  return time;
}

async function dragged(page) {
  const { x, y } = await page.$$eval('main li > button[aria-label^="Node "]', (all) => {
    const box = all.at(-1).getBoundingClientRect();
    return { x: box.x + 13, y: box.y + 13 };
  });
  await page.mouse.move(x, y);
  await page.mouse.down();
  const time = await frames(page, (i) => page.mouse.move(x + i * 2, y - i));
  await page.mouse.up();
  return time;
}
