import { parentPort } from 'node:worker_threads';
import { readAsked, type AskedToRead } from './read-asked';

// Bundled by `scripts/build-command.mjs` into `web/dist/reader-worker.mjs`, which `reading.ts` runs in a thread.

parentPort!.on('message', (asked: AskedToRead) => void readAsked(asked).then((checked) => parentPort!.postMessage(checked)));
