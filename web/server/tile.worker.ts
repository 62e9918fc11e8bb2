import { answering } from './answering';
import { drawTile } from './draw-tile';

// Bundled by `scripts/build-command.mjs` into `web/dist/tile-worker.mjs`, which `tile-maker.ts` runs in a thread.

answering(drawTile);
