import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { inBrowser, wait } from './bench-browser.mjs';
import { root } from './steps.mjs';

/** From Enter in a load's field to the frame with the new diagram, on the glasshouse rib as it is, and with hundreds of sums. */
export const editToDiagram = (port) =>
  inBrowser(port, async (where) => ({ few: await measured(where, rib()), many: await measured(where, withSums()) }));

const rib = () => readFileSync(path.join(root, 'examples', 'glasshouse-rib.rbm.json'), 'utf8');

/** The rib with four imposed cases more, and all that EN 1990 asks for. */
function withSums() {
  const model = JSON.parse(rib());
  for (const n of [1, 2, 3, 4]) {
    model.cases.push({ id: `Q${n}`, category: 'imposed' });
    model.loads.unshift({
      id: `Q${n}`,
      case: `Q${n}`,
      type: 'line',
      member: model.members[n].id,
      from: { wy: -1e3 },
      to: { wy: -1e3 },
    });
  }
  const command = [path.join(root, 'cli', 'bin', 'rigid-beam.mjs'), 'combine', '-', '--rules', 'en1990-6.10'];
  return spawnSync(process.execPath, command, { input: JSON.stringify(model), encoding: 'utf8' }).stdout;
}

async function measured({ address, ask, page }, file) {
  const { projects } = await (await ask('/api/projects')).json();
  const made = await ask(`/api/models?project=${projects[0].id}&fileName=measured.rbm.json`, {
    method: 'POST',
    headers: { 'Content-Type': 'text/plain', Origin: address },
    body: file,
  });
  const { id } = await made.json();
  await page.goto(`${address}/models/${id}?stage=loads&acting=W&show=diagram,values`, { waitUntil: 'networkidle0' });
  await page.waitForFunction(() => /Solved/.test(document.querySelector('[data-testid=solution]')?.textContent ?? ''));
  // What is typed is written beside the load with the first picture that is drawn with it, and that is drawn with its results.
  await page.evaluate(() => {
    const { fillText } = CanvasRenderingContext2D.prototype;
    CanvasRenderingContext2D.prototype.fillText = function (text, ...more) {
      if (window.awaited && text === window.awaited) {
        window.awaited = undefined;
        // Behind the frame in which it is painted.
        const { port1, port2 } = new MessageChannel();
        port1.onmessage = () => window.painted(performance.now() - window.begun);
        port2.postMessage(0);
      }
      return fillText.call(this, text, ...more);
    };
    window.addEventListener('keydown', (event) => event.key === 'Enter' && (window.begun = performance.now()), { capture: true });
  });
  const times = [];
  for (let i = 0; i < 25; i++) {
    await page.focus('main li > button[tabindex="0"]');
    await page.keyboard.press('End');
    await page.keyboard.press('Enter');
    await page.waitForFunction(() => document.activeElement instanceof HTMLInputElement);
    const typed = (1.1 + i / 10).toFixed(1);
    await page.keyboard.type(typed);
    await page.evaluate((value) => {
      window.took = new Promise((resolve) => (window.painted = resolve));
      window.awaited = `${Number(value)} kN/m`;
    }, typed);
    await page.keyboard.press('Enter');
    times.push(await page.evaluate(() => window.took));
    await wait(120);
  }
  times.sort((a, b) => a - b);
  const sums = JSON.parse(file).combinations.filter(({ type }) => type === 'sum').length;
  return { sums, median: times[Math.floor(times.length / 2)], worst: times[times.length - 1] };
}
