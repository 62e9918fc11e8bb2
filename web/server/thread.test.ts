import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { expect, jest, test } from '@jest/globals';
import { Thread } from './thread';

/** Takes longer to load than its work may take, then doubles what it is given; 0 is worked on for ever, −1 takes all the memory there is, and −2 fails once it has answered. */
const BUNDLE = `
import { parentPort } from 'node:worker_threads';
parentPort.on('message', (asked) => {
  while (asked === 0);
  for (const all = []; asked === -1; ) all.push(new Array(100_000).fill({}));
  parentPort.postMessage(2 * asked);
  if (asked === -2) setTimeout(() => { throw new Error('nobody waits for this'); }, 200);
});
for (const end = Date.now() + 1500; Date.now() < end; );
parentPort.postMessage('loaded');`;

test('what takes too long or too much is ended, and all else is answered in its order', async () => {
  const folder = mkdtempSync(path.join(tmpdir(), 'rigid-beam-thread-'));
  mkdirSync(path.join(folder, 'dist'));
  writeFileSync(path.join(folder, 'dist', 'doubling.mjs'), BUNDLE);
  jest.spyOn(process, 'cwd').mockReturnValue(folder);
  const thread = new Thread<number, number>({ bundle: 'doubling.mjs', limit: 1000, memory: 30 });
  expect(thread.isThere).toBe(true);
  let turns = 0;
  const others = setInterval(() => turns++, 10).unref();
  expect(await Promise.all([1, 0, 2, -1, 3].map((asked) => thread.ask(asked)))).toEqual([2, undefined, 4, undefined, 6]);
  clearInterval(others);
  expect(await thread.ask(-2)).toBe(-4);
  while ((thread as unknown as { readonly worker?: unknown }).worker) await new Promise((resolve) => setTimeout(resolve, 20));
  expect(await thread.ask(5)).toBe(10);
  expect(turns).toBeGreaterThan(20);
  await thread.stop();
  expect(await thread.ask(4)).toBeUndefined();
});
