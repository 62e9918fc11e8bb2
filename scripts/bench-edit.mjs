import { inBrowser, wait } from './bench-browser.mjs';

/** From Enter in a load's field to the frame with the new diagram, on the glasshouse rib; the median of some edits. */
export const editToDiagram = (port) => inBrowser(port, measured);

async function measured({ address, page }) {
  await page.goto(address, { waitUntil: 'networkidle0' });
  const rib = await page.$$eval('li a', (links) =>
    links.find((link) => /Glasshouse/.test(link.textContent)).getAttribute('href'),
  );
  await page.goto(`${address}${rib}?stage=loads&acting=W&show=diagram,values`, { waitUntil: 'networkidle0' });
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
  return { median: times[Math.floor(times.length / 2)], worst: times[times.length - 1] };
}
