import { answering } from './answering';
import { readAsked } from './read-asked';

// Bundled by `scripts/build-command.mjs` into `web/dist/reader-worker.mjs`, which `reading.ts` runs in a thread.

answering(readAsked);
