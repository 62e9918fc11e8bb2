import { createWriteStream } from 'node:fs';
import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { once } from 'node:events';
import { parentPort } from 'node:worker_threads';
import { initWasm } from '@resvg/resvg-wasm';
import { portal } from '@rigid-beam/core/analysis/warm-up';
import { isRefusal, type Stage } from '@rigid-beam/core/formats/made-file';
import type { FilePart } from '@rigid-beam/core/formats/format';
import { reportFile } from '@rigid-beam/drawing/files/report-file';
import { familyFrom, type TypeFamily } from '@rigid-beam/drawing/paper/type-family';
import { doneWork } from './work/asked-work';
import { READY, type WorkOrder, type WorkReport } from './work/order';

// Bundled by `scripts/build-command.mjs` into `web/dist/work-worker.mjs`, which `work/jobs.ts` runs in a thread.

/** Milliseconds between two words on how much is written. */
const OFTEN = 200;

const packages = createRequire(import.meta.url);
const read = (name: string): Promise<Buffer> => readFile(packages.resolve(name));

let family: Promise<TypeFamily> | undefined;
let pictures: Promise<void> | undefined;

const say = (report: WorkReport): void => parentPort!.postMessage(report);

/** No faster than the disk takes it, so that a long file is never in memory as a whole. */
async function written(file: string, parts: Iterable<FilePart>): Promise<number> {
  const stream = createWriteStream(file, { mode: 0o600 });
  await once(stream, 'open');
  let last = performance.now();
  for (const part of parts) {
    if (!stream.write(part)) await once(stream, 'drain');
    if (performance.now() - last < OFTEN) continue;
    last = performance.now();
    say({ is: 'under way', stage: 'writing', bytes: stream.bytesWritten });
  }
  stream.end();
  await once(stream, 'close');
  return stream.bytesWritten;
}

/** Whether somebody has asked for a file: who does waits for nothing that is not theirs. */
let isAsked = false;

/** Files of a small structure, which nobody sees: what makes them is loaded and compiled then, as long as nobody asks for one. */
async function ready(): Promise<void> {
  const tools = { family: () => (family ??= familyFrom(read)), ready: () => Promise.resolve() };
  const asked = { kind: 'pdf', look: 'corner', inks: 'colour', said: {} } as const;
  const steps = [
    tools.family,
    ...(['plane', 'space'] as const).map((space) => async () => {
      const made = await reportFile(portal(space, 0), asked, tools);
      if (!isRefusal(made)) for (const _ of made.parts);
    }),
  ];
  for (const step of steps) {
    // What was sent meanwhile is heard between them.
    await new Promise((resolve) => setTimeout(resolve, 20));
    if (isAsked) return;
    await step();
  }
}

parentPort!.on('message', (order: WorkOrder | typeof READY) => {
  // What is not ready now is made ready by the first work.
  if (order === READY) return void ready().catch(() => undefined);
  isAsked = true;
  const { model, work, file } = order;
  const tools = {
    family: () => (family ??= familyFrom(read)),
    ready: () => (pictures ??= read('@resvg/resvg-wasm/index_bg.wasm').then((bytes) => initWasm(bytes))),
    told: (stage: Stage) => say({ is: 'under way', stage, bytes: 0 }),
  };
  const done = async (): Promise<void> => {
    const made = await doneWork(model, work, tools);
    if (isRefusal(made)) return say({ is: 'refused', refusal: made });
    const { mediaType, extension, notes } = made;
    say({ is: 'done', mediaType, extension, notes, bytes: await written(file, made.parts) });
  };
  done().catch((error: unknown) => say({ is: 'failed', message: (error as Error).stack ?? String(error) }));
});
