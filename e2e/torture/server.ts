import type { ChildProcess } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';

interface Running {
  readonly child: ChildProcess;
  readonly exited: Promise<number | null>;
}

/** Milliseconds after which what has not answered hangs, however slow the machine is; the slowest ones are told besides. */
export const HANGS = 120_000;

/** The built server on data of its own, started and ended as often as one likes; counts what is promised of it. */
export class Tortured {
  private running: Running | undefined;
  /** It is being ended: requests on their way may get no answer. */
  private isEnding = false;
  starts = 0;
  slowestStart = 0;
  requests = 0;
  slowestRequest = 0;
  /** Bytes of memory at most. */
  memory = 0;
  readonly troubles: string[] = [];

  constructor(
    private readonly start: (port: number, environment: object) => Promise<Running>,
    private readonly port: number,
    readonly data: string,
  ) {}

  async begin(): Promise<void> {
    const begun = performance.now();
    this.running = await this.start(this.port, { RIGID_BEAM_DATA: this.data, RIGID_BEAM_LOG: 'silent' });
    this.isEnding = false;
    this.starts++;
    const took = performance.now() - begun;
    this.slowestStart = Math.max(this.slowestStart, took);
    if (took > HANGS) this.troubles.push(`a start took ${took.toFixed(0)} ms`);
  }

  async end(signal: 'SIGKILL' | 'SIGTERM'): Promise<void> {
    this.weigh();
    this.isEnding = true;
    const begun = performance.now();
    this.running?.child.kill(signal);
    await this.running?.exited;
    if (performance.now() - begun > HANGS) this.troubles.push(`${signal} was not followed for ${HANGS} ms`);
    this.running = undefined;
  }

  /** The largest memory of the process so far, as the system counts it; unknown where it does not. */
  weigh(): void {
    try {
      const status = readFileSync(`/proc/${this.running?.child.pid}/status`, 'utf8');
      this.memory = Math.max(this.memory, 1024 * Number(/VmHWM:\s*(\d+)/.exec(status)?.[1] ?? 0));
    } catch {
      // There is no such file here.
    }
  }

  /** An answer; undefined when the server was killed meanwhile. `mayFail`: a full disk is told with 503. */
  async ask(
    path: string,
    options: RequestInit = {},
    mayFail?: 'full disk',
  ): Promise<{ status: number; body: unknown } | undefined> {
    const begun = performance.now();
    try {
      // On a connection of its own: an idle one may be closed at the very moment that it is used again.
      const key = { Authorization: `Bearer ${readFileSync(join(this.data, 'command.key'), 'utf8')}` };
      const headers = { ...key, ...(options.headers as Record<string, string>), Connection: 'close' };
      const response = await fetch(`http://127.0.0.1:${this.port}${path}`, { ...options, headers });
      const text = await response.text();
      const took = performance.now() - begun;
      this.requests++;
      this.slowestRequest = Math.max(this.slowestRequest, took);
      const what = `${options.method ?? 'GET'} ${path.slice(0, 80)} ${String(options.body ?? '').slice(0, 300)}`;
      if (took > HANGS) this.troubles.push(`${took.toFixed(0)} ms for ${what}`);
      if (response.status >= 500 && !(mayFail && response.status === 503)) this.troubles.push(`${response.status} for ${what}`);
      if (response.status >= 400 && text === '') this.troubles.push(`${response.status} without words for ${what}`);
      return { status: response.status, body: text.startsWith('{') ? JSON.parse(text) : text };
    } catch (error) {
      if (!this.isEnding)
        this.troubles.push(`no answer to ${options.method ?? 'GET'} ${path}: ${String((error as Error).cause ?? error)}`);
      return undefined;
    }
  }
}
