import { bundle } from './bundle.mjs';

/** Bundles the command into one file that Node runs without TypeScript. */
await bundle('cli/src/main.ts', 'cli/dist/rigid-beam.mjs', {
  target: 'node20',
  // Under a name that no library takes for itself.
  banner: { js: "import { createRequire as requireFrom } from 'node:module'; const require = requireFrom(import.meta.url);" },
});

/** The threads in which the server draws and solves models for their tiles, and reads what somebody brings. */
for (const name of ['tile', 'reader'])
  await bundle(`web/server/${name}.worker.ts`, `web/dist/${name}-worker.mjs`, { target: 'node20' });
