import { bundle } from './bundle.mjs';

/** Bundles the command into one file that Node runs without TypeScript. */
const withRequire = {
  target: 'node20',
  // Under a name that no library takes for itself.
  banner: { js: "import { createRequire as requireFrom } from 'node:module'; const require = requireFrom(import.meta.url);" },
};
await bundle('cli/src/main.ts', 'cli/dist/rigid-beam.mjs', withRequire);

/** The threads in which the server draws and solves models for their tiles, reads what somebody brings, and makes files that are asked for. */
for (const name of ['tile', 'reader'])
  await bundle(`web/server/${name}.worker.ts`, `web/dist/${name}-worker.mjs`, { target: 'node20' });
await bundle('web/server/work.worker.ts', 'web/dist/work-worker.mjs', withRequire);
