import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { launch } from 'puppeteer-core';
import { browserFlags, findBrowser } from './browser.mjs';
import { keyIn, startServer } from './server.mjs';

export const wait = (ms) => new Promise((resolve) => setTimeout(resolve, ms));

/** Lets `work` measure the built application in the real browser, on data of its own: { address, ask, browser, page, folder }; `ask` is fetch as the user. */
export async function inBrowser(port, work) {
  const folder = mkdtempSync(path.join(tmpdir(), 'rigid-beam-measured-'));
  const server = await startServer(port, { RIGID_BEAM_DATA: path.join(folder, 'data') });
  const browser = await launch({
    executablePath: findBrowser(),
    headless: true,
    userDataDir: path.join(folder, 'profile'),
    args: browserFlags,
  });
  const page = await browser.newPage();
  await page.setViewport({ width: 1280, height: 800 });
  try {
    const address = `http://127.0.0.1:${port}`;
    const own = { Authorization: `Bearer ${keyIn(path.join(folder, 'data'))}` };
    const ask = (to, options = {}) => fetch(address + to, { ...options, headers: { ...own, ...options.headers } });
    return await work({ address, ask, browser, page, folder });
  } finally {
    await browser.close();
    server.child.kill('SIGTERM');
    await server.exited;
    rmSync(folder, { recursive: true, force: true });
  }
}
