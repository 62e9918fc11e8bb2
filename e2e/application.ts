import type { ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { launch, type Browser, type Page } from 'puppeteer-core';
import { knowNames } from './named';

const freePort = (): Promise<number> =>
  new Promise((resolve, reject) => {
    const probe = createServer();
    probe.once('error', reject);
    probe.listen(0, '127.0.0.1', () => {
      const address = probe.address();
      probe.close(() => resolve(typeof address === 'object' && address ? address.port : 0));
    });
  });

/** So long is waited for anything at most, in milliseconds: a busy machine must not fail a journey, only a wrong answer. */
export const PATIENCE = 90_000;

interface Running {
  readonly child: ChildProcess;
  readonly exited: Promise<number | null>;
}

/** The built application on a free port with data of its own, and a browser to look at it. */
export class Application {
  private running: Running | undefined;
  private browser: Browser | undefined;
  /** Whatever the pages complained of; a journey ends with none. */
  readonly complaints: string[] = [];
  readonly data = mkdtempSync(path.join(tmpdir(), 'rigid-beam-data-'));
  private readonly profile = mkdtempSync(path.join(tmpdir(), 'rigid-beam-profile-'));
  port = 0;

  /** `provoked`: complaints of the browser that a journey calls up on purpose, such as refused requests. */
  constructor(private readonly provoked?: RegExp) {}

  get address(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  async start(): Promise<void> {
    if (this.port === 0) this.port = await freePort();
    const { startServer } = await import('../scripts/server.mjs');
    this.running = await startServer(this.port, { RIGID_BEAM_DATA: this.data });
  }

  /** Ends the server: `SIGTERM` lets it close its database, `SIGKILL` does not. */
  async end(signal: 'SIGTERM' | 'SIGKILL'): Promise<void> {
    this.running?.child.kill(signal);
    await this.running?.exited;
    this.running = undefined;
  }

  async page(size = { width: 1280, height: 800 }): Promise<Page> {
    const { browserFlags, findBrowser, NO_BROWSER } = await import('../scripts/browser.mjs');
    knowNames();
    const executablePath = findBrowser();
    if (executablePath === undefined) throw new Error(NO_BROWSER);
    this.browser ??= await launch({ executablePath, headless: true, userDataDir: this.profile, args: browserFlags });
    const page = await this.browser.newPage();
    await page.setViewport(size);
    page.setDefaultTimeout(PATIENCE);
    page.on('console', (message) => {
      if (message.type() === 'error' && !this.provoked?.test(message.text()))
        this.complaints.push(`${message.text()} ${message.location().url ?? ''}`);
    });
    page.on('pageerror', (error) => this.complaints.push(String(error)));
    return page;
  }

  /** Goes to a page, and waits until its controls hear what is done with them. */
  async visit(page: Page, path = '/'): Promise<void> {
    await page.goto(this.address + path, { waitUntil: 'load' });
    // React leaves its properties on every element that it has taken over.
    await page.waitForFunction(() => {
      const controls = Array.from(document.querySelectorAll('button, a[href]'));
      return controls.length > 0 && controls.every((one) => Object.keys(one).some((key) => key.startsWith('__reactProps')));
    });
  }

  async close(): Promise<void> {
    await this.browser?.close();
    await this.end('SIGTERM');
    rmSync(this.data, { recursive: true, force: true });
    rmSync(this.profile, { recursive: true, force: true });
  }
}
