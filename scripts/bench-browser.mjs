import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { launch } from 'puppeteer-core';
import { browserFlags, findBrowser } from './browser.mjs';
import { startServer } from './server.mjs';

export const wait = (ms) => new Promise((resolve) => setTimeout(resolve, ms));

/** Lets `work` measure the built application in the real browser, on data of its own: { address, browser, page, folder }. */
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
    return await work({ address: `http://127.0.0.1:${port}`, browser, page, folder });
  } finally {
    await browser.close();
    server.child.kill('SIGTERM');
    await server.exited;
    rmSync(folder, { recursive: true, force: true });
  }
}
