import { inBrowser, wait } from './bench-browser.mjs';

/**
 * How long the page of a model takes on a warm server, from asking for it: until there is something to look at, and until it is solved; the
 * medians of some visits. `models`: [name, model] each.
 */
export const pageTimes = (port, models) => inBrowser(port, (place) => measured(place, models));

async function measured({ address, ask, browser }, models) {
  const { projects } = await (await ask('/api/projects')).json();
  const results = [];
  for (const [name, model] of models) {
    const query = new URLSearchParams({ project: projects[0].id, fileName: 'model.rbm.json' });
    const sent = { method: 'POST', headers: { 'Content-Type': 'application/octet-stream' }, body: JSON.stringify(model) };
    const { id } = await (await ask(`/api/models?${query}`, sent)).json();
    // Its picture is being drawn and stored.
    await wait(3000);
    const visits = [];
    for (let i = 0; i < 6; i++) visits.push(await visit(browser, `${address}/models/${id}?stage=results`));
    // The first visit warms the server and the browser's cache.
    const median = (key) => visits.slice(1).map((one) => one[key]).sort((a, b) => a - b)[2]; // oxfmt-ignore
    results.push({ name, members: model.members.length, seen: median('seen'), solved: median('solved') });
  }
  return results;
}

async function visit(browser, address) {
  const page = await browser.newPage();
  await page.setViewport({ width: 1280, height: 800 });
  await page.evaluateOnNewDocument(() => {
    window.first = {};
    const look = () => {
      const now = performance.now();
      if (!window.first.seen && document.querySelector('[aria-busy] svg path, [data-testid=sheet]')) window.first.seen = now;
      const words = document.querySelector('[data-testid=solution]')?.textContent ?? '';
      if (/^Solved/.test(words)) window.first.solved = now;
      else setTimeout(look, 8);
    };
    look();
  });
  await page.goto(address, { waitUntil: 'domcontentloaded' });
  await page.waitForFunction(() => window.first.solved, { timeout: 120_000 });
  const times = await page.evaluate(() => window.first);
  await page.close();
  await wait(800);
  return times;
}
