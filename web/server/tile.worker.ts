import { parentPort } from 'node:worker_threads';
import type { Model } from '@rigid-beam/core/model/model';
import { drawTile } from './draw-tile';

// Bundled by `scripts/build-command.mjs` into `web/dist/tile-worker.mjs`, which `tile-maker.ts` runs in a thread.

parentPort!.on('message', (model: Model) => parentPort!.postMessage(drawTile(model)));
