import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { inBrowser, wait } from './bench-browser.mjs';

// How the real sheet keeps up with the pointer: medians of the time between frames, measured in the page.

/** `models`: [name, model] each; returns for each the milliseconds between frames while one hovers, pans, turns and drags a node, and while another quantity is chosen. */
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
    const { first, again } = await chosen(page);
    const result = { name, hover, pan, turn, first, again, members: model.members.length };
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
 * The median of the longest time between frames while another quantity is chosen: diagrams, places of texts, and paint. For the first time, after its script has
 * run a few times; and again, for what was looked at last.
 */
async function chosen(page) {
  // Found without the tree for screen readers, which the browser would keep up with the page from then on.
  const one = await page.waitForSelector('[aria-label="Bending moment about y"]');
  const names = await one.evaluate((button) =>
    Array.from(button.parentElement.querySelectorAll('button'), (each) => each.ariaLabel),
  );
  const choose = async (name) => {
    const toggle = await page.waitForSelector(`[aria-label="${name}"]`);
    return page.evaluate(async (button) => {
      const frame = () => new Promise((resolve) => requestAnimationFrame(() => resolve(performance.now())));
      let last = await frame();
      let longest = 0;
      button.click();
      for (const end = last + 1500; last < end;) {
        const now = await frame();
        longest = Math.max(longest, now - last);
        last = now;
      }
      return longest;
    }, toggle);
  };
  const all = async (some) => {
    const times = [];
    for (const name of some) times.push(await choose(name));
    return times.sort((x, y) => x - y)[Math.floor(times.length / 2)];
  };
  // N, V, T and M: more than a drawing keeps, so that none of them is known when its turn comes again.
  const six = names.slice(0, 6);
  await all(six);
  return { first: await all(six), again: await all([4, 5, 4, 5, 4, 5].map((k) => six[k])) };
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
