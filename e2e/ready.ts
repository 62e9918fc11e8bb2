import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { launch, type Browser } from 'puppeteer-core';
import { freePort } from './free-port';

/** What all journeys share: data as they are after the first start, to be copied, and one browser in which each has a profile of its own. */
interface Shared {
  readonly folder: string;
  readonly browser: Browser;
}

/** Where Jest keeps them from before the first journey until after the last. */
const kept = globalThis as typeof globalThis & { rigidBeamShared?: Shared };

/** Makes them, and tells the journeys' processes where they are. */
export default async function makeReady(): Promise<void> {
  const { browserFlags, findBrowser, NO_BROWSER } = await import('../scripts/browser.mjs');
  const executablePath = findBrowser();
  if (executablePath === undefined) throw new Error(NO_BROWSER);
  const folder = mkdtempSync(path.join(tmpdir(), 'rigid-beam-journeys-'));
  const [data, profile] = [path.join(folder, 'data'), path.join(folder, 'profile')];
  const { startServer } = await import('../scripts/server.mjs');
  const { stop } = await startServer(await freePort(), { RIGID_BEAM_DATA: data });
  await stop();
  const browser = await launch({ executablePath, headless: true, userDataDir: profile, args: browserFlags });
  kept.rigidBeamShared = { folder, browser };
  process.env['RIGID_BEAM_READY_DATA'] = data;
  process.env['RIGID_BEAM_BROWSER'] = browser.wsEndpoint();
}

export async function clearAway(): Promise<void> {
  const shared = kept.rigidBeamShared;
  await shared?.browser.close();
  if (shared) rmSync(shared.folder, { recursive: true, force: true });
}
