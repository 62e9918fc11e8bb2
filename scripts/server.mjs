import { spawn } from 'node:child_process';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { root } from './steps.mjs';

/** The key by which a program of the user asks a server that has its data there. */
export const keyIn = (data) => readFileSync(path.join(data, 'command.key'), 'utf8');

/** Milliseconds after which a server that was asked to stop is made to. */
const LONGEST_STOP = 4500;

/** The server has already said why it stopped. */
const EXIT_UNUSABLE = 9;

/**
 * Starts the built application on 127.0.0.1 and waits until it answers. Resolves to its process, the promise of its exit
 * code and what stops it; rejects when it ends before it answers.
 */
export async function startServer(port, environment = {}) {
  const child = spawn(process.execPath, [path.join(root, 'scripts', 'serve.mjs')], {
    cwd: path.join(root, 'web'),
    env: {
      ...process.env,
      PORT: String(port),
      NODE_ENV: 'production',
      NEXT_TELEMETRY_DISABLED: '1',
      NEXT_MANUAL_SIG_HANDLE: '1',
      ...environment,
    },
    // The channel tells the server when this process dies.
    stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
  });
  const exited = new Promise((resolve) => child.once('exit', (code) => resolve(code)));
  const stop = () => {
    child.kill('SIGTERM');
    setTimeout(() => child.kill('SIGKILL'), LONGEST_STOP).unref();
    return exited;
  };
  let ended = false;
  void exited.then(() => (ended = true));
  for (;;) {
    if (ended) {
      const code = await exited;
      throw new Error(code === EXIT_UNUSABLE ? 'Not started.' : `The server ended with code ${code} before it was ready.`);
    }
    try {
      const response = await fetch(`http://127.0.0.1:${port}/api/ready`);
      if (response.ok) return { child, exited, stop };
    } catch {
      // Not listening yet.
    }
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
}
