import type { ChildProcess } from 'node:child_process';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { afterEach } from '@jest/globals';
import { connect, type Browser, type Page } from 'puppeteer-core';
import { freePort } from './free-port';
import { knowNames } from './named';
import { shared } from './shared';
import { emptyModel } from '@rigid-beam/core/model/model';

/** So long is waited for anything at most, in milliseconds: a busy machine must not fail a journey, only a wrong answer. */
export const PATIENCE = Number(process.env['PATIENCE'] ?? 180_000);

interface Running {
  readonly child: ChildProcess;
  readonly exited: Promise<number | null>;
}

interface Listed {
  readonly projects: readonly {
    readonly id: string;
    readonly models: readonly { readonly id: string; readonly title: string }[];
  }[];
}

interface Beginning {
  /** Complaints of the browser that a journey calls up on purpose, such as refused requests. */
  readonly provoked?: RegExp;
  /**
   * A server of its own, with data as they are after the first start, or with none, which it makes then. Otherwise the journey shares
   * one server with others, and works on copies of the demo's models.
   */
  readonly own?: 'data' | 'nothing';
}

/**
 * The built application, and a browser to look at it. The pages of a test are handed on to the next: a page that goes to another address
 * costs half of what a new one does, and its code is compiled already.
 */
export class Application {
  private running: Running | undefined;
  private browser: Browser | undefined;
  private readonly pages = new Set<Page>();
  private isForgotten = false;
  private readonly copies: string[] = [];
  /** Whatever the pages complained of; a journey ends with none. */
  readonly complaints: string[] = [];
  readonly data = mkdtempSync(path.join(tmpdir(), 'rigid-beam-data-'));
  port = 0;

  constructor(private readonly beginning: Beginning = {}) {
    afterEach(() => this.handOn());
  }

  get address(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  async start(): Promise<void> {
    const { own } = this.beginning;
    if (own === undefined) {
      this.port = shared().port;
      return;
    }
    if (this.port === 0) {
      this.port = await freePort();
      if (own === 'data') cpSync(shared().data, this.data, { recursive: true });
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
    this.browser ??= await connect({ browserWSEndpoint: shared().browser, defaultViewport: null });
    // One profile for each of Jest's processes.
    const profile = this.browser
      .browserContexts()
      .find(({ id }) => id === shared().profiles[Number(process.env['JEST_WORKER_ID']) - 1])!;
    const free = (await profile.pages()).find((page) => !this.pages.has(page));
    const page = free ?? (await profile.newPage());
    if (!this.isForgotten) await this.forget(page);
    this.isForgotten = true;
    this.pages.add(page);
    await page.setViewport(size);
    await page.bringToFront();
    // Journeys run beside each other in one browser, and only one of its pages has the focus by itself.
    await page.emulateFocusedPage(true);
    page.setDefaultTimeout(PATIENCE);
    page.on('console', (message) => {
      if (message.type() === 'error' && !this.beginning.provoked?.test(message.text()))
        this.complaints.push(`${message.text()} ${message.location().url ?? ''}`);
    });
    page.on('pageerror', (error) => this.complaints.push(String(error)));
    // A page that is left with something not stored asks; journeys that are about it look at what it has kept.
    page.on('dialog', (dialog) => void dialog.accept());
    return page;
  }

  /** What the browser keeps of an earlier journey at this address. */
  private async forget(page: Page): Promise<void> {
    const client = await page.createCDPSession();
    await client.send('Storage.clearDataForOrigin', { origin: this.address, storageTypes: 'local_storage,indexeddb' });
    await client.detach();
  }

  /** The first page of a test that has ended becomes free, as a new one is. Others would stand before it: what is behind is drawn seldom. */
  private async handOn(): Promise<void> {
    const [page, ...others] = [...this.pages].filter((one) => !one.isClosed());
    for (const other of others) await other.close();
    if (page) {
      for (const event of ['console', 'pageerror', 'request', 'dialog'] as const) page.removeAllListeners(event);
      await page.setRequestInterception(false);
      await page.setCacheEnabled(true);
      await page.emulateMediaFeatures();
    }
    this.pages.clear();
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

  /** Asks the server as a program does that may. */
  async ask(path: string, { headers, ...options }: RequestInit = {}): Promise<Response> {
    const { keyIn } = await import('../scripts/server.mjs');
    const key = keyIn(this.beginning.own === undefined ? shared().data : this.data);
    return fetch(this.address + path, { ...options, headers: { Authorization: `Bearer ${key}`, ...headers } });
  }

  /** The address of the demo's model of this title; where the server is shared, of a copy that nobody else has. */
  async addressOf(title: string): Promise<string> {
    const original = shared().models.find((model) => this.beginning.own === undefined && model.title.includes(title));
    if (original) return this.made(await (await this.ask(`/api/models/${original.id}/file`)).text());
    const { projects } = (await (await this.ask('/api/projects')).json()) as Listed;
    const found = projects.flatMap(({ models }) => models).find((model) => model.title.includes(title));
    if (!found) throw new Error(`There is no model “${title}”.`);
    return `/models/${found.id}`;
  }

  /** Makes a model of a file’s content; its address. */
  async made(content: string): Promise<string> {
    return this.send(`/api/models?project=${await this.project()}&fileName=given.rbm.json`, 'text/plain', content);
  }

  /** Makes a plane model with nothing in it; its address. */
  async empty(): Promise<string> {
    // In a project that others use too, a new model would begin with the units of whatever was changed last.
    if (this.beginning.own === undefined) return this.made(JSON.stringify(emptyModel('New plane model')));
    const body = JSON.stringify({ project: await this.project(), title: 'New plane model' });
    return this.send('/api/models', 'application/json', body);
  }

  /** Where models are made: none of the demo's where the server is shared. */
  private async project(): Promise<string> {
    if (this.beginning.own === undefined) return shared().project;
    return ((await (await this.ask('/api/projects')).json()) as Listed).projects[0]!.id;
  }

  private async send(to: string, type: string, body: string): Promise<string> {
    const headers = { 'Content-Type': type, Origin: this.address };
    const made = (await (await this.ask(to, { method: 'POST', headers, body })).json()) as { readonly id?: string };
    if (made.id === undefined) throw new Error(JSON.stringify(made));
    this.copies.push(made.id);
    return `/models/${made.id}`;
  }

  async close(): Promise<void> {
    if (this.beginning.own === undefined)
      for (const id of this.copies) await this.ask(`/api/models/${id}`, { method: 'DELETE', headers: { Origin: this.address } });
    await this.browser?.disconnect();
    await this.end('SIGTERM');
    rmSync(this.data, { recursive: true, force: true });
  }
}
