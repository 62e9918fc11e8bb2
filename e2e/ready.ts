import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { launch } from 'puppeteer-core';
import { freePort } from './free-port';
import { share, type Shared } from './shared';

/** Where Jest keeps what ends all of it, from before the first journey until after the last. */
const kept = globalThis as typeof globalThis & { rigidBeamEnds?: () => Promise<void> };

/** Ends what was started. */
export const end = async (): Promise<void> => kept.rigidBeamEnds?.();

interface Settings {
  readonly maxWorkers: number;
}

/** The models of the demo on this server, and a new project beside theirs. */
async function contentOf(address: string, key: string): Promise<Pick<Shared, 'models' | 'project'>> {
  const at = `${address}/api/projects`;
  const own = { Authorization: `Bearer ${key}` };
  const { projects } = (await (await fetch(at, { headers: own })).json()) as {
    readonly projects: readonly Pick<Shared, 'models'>[];
  };
  const headers = { ...own, 'Content-Type': 'application/json', Origin: address };
  const made = await fetch(at, { method: 'POST', headers, body: JSON.stringify({ name: 'Trials', number: '' }) });
  const { id } = (await made.json()) as { readonly id: string };
  return { models: projects.flatMap(({ models }) => models.map((model) => ({ id: model.id, title: model.title }))), project: id };
}

/** Starts the server and the browser that all journeys share, and tells their processes where they are. */
export default async function makeReady({ maxWorkers }: Settings): Promise<void> {
  const { browserFlags, findBrowser, NO_BROWSER } = await import('../scripts/browser.mjs');
  const executablePath = findBrowser();
  if (executablePath === undefined) throw new Error(NO_BROWSER);
  const folder = mkdtempSync(path.join(tmpdir(), 'rigid-beam-journeys-'));
  const [data, written, profile] = ['data', 'written', 'profile'].map((name) => path.join(folder, name)) as [
    string,
    string,
    string,
  ];
  const { keyIn, startServer } = await import('../scripts/server.mjs');
  await (await startServer(await freePort(), { RIGID_BEAM_DATA: data })).stop();
  cpSync(data, written, { recursive: true });
  const port = await freePort();
  const server = await startServer(port, { RIGID_BEAM_DATA: written });
  const browser = await launch({ executablePath, headless: true, userDataDir: profile, args: browserFlags });
  const profiles = await Promise.all(Array.from({ length: maxWorkers }, async () => (await browser.createBrowserContext()).id!));
  share({ data, browser: browser.wsEndpoint(), profiles, port, ...(await contentOf(`http://127.0.0.1:${port}`, keyIn(data))) });
  kept.rigidBeamEnds = async () => {
    await browser.close();
    await server.stop();
    rmSync(folder, { recursive: true, force: true });
  };
}
