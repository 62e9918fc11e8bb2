import type { ChildProcess } from 'node:child_process';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { connect, type Browser, type BrowserContext, type Page } from 'puppeteer-core';
import { freePort } from './free-port';
import { knowNames } from './named';

/** So long is waited for anything at most, in milliseconds: a busy machine must not fail a journey, only a wrong answer. */
export const PATIENCE = Number(process.env['PATIENCE'] ?? 90_000);

interface Running {
  readonly child: ChildProcess;
  readonly exited: Promise<number | null>;
}

interface Beginning {
  /** Complaints of the browser that a journey calls up on purpose, such as refused requests. */
  readonly provoked?: RegExp;
  /** Without data: it makes them at its first start. Otherwise they are those after it, which takes seconds less. */
  readonly data?: 'none';
}

/** The built application on a free port with data of its own, and a browser's profile of its own to look at it. */
export class Application {
  private running: Running | undefined;
  private browser: Browser | undefined;
  private profile: BrowserContext | undefined;
  /** Whatever the pages complained of; a journey ends with none. */
  readonly complaints: string[] = [];
  readonly data = mkdtempSync(path.join(tmpdir(), 'rigid-beam-data-'));
  port = 0;

  constructor(private readonly beginning: Beginning = {}) {}

  get address(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  async start(): Promise<void> {
    if (this.port === 0) {
      this.port = await freePort();
      if (this.beginning.data !== 'none') cpSync(process.env['RIGID_BEAM_READY_DATA']!, this.data, { recursive: true });
    }
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
    knowNames();
    this.browser ??= await connect({ browserWSEndpoint: process.env['RIGID_BEAM_BROWSER']!, defaultViewport: null });
    this.profile ??= await this.browser.createBrowserContext();
    const page = await this.profile.newPage();
    await page.setViewport(size);
    // Journeys run beside each other in one browser, and only one of its pages has the focus by itself.
    await page.emulateFocusedPage(true);
    page.setDefaultTimeout(PATIENCE);
    page.on('console', (message) => {
      if (message.type() === 'error' && !this.beginning.provoked?.test(message.text()))
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
    await this.profile?.close();
    await this.browser?.disconnect();
    await this.end('SIGTERM');
    rmSync(this.data, { recursive: true, force: true });
  }
}
