import { rmSync } from 'node:fs';
import { bundle } from './bundle.mjs';

/** Under a name that no library takes for itself. */
const withRequire = {
  target: 'node20',
  banner: { js: "import { createRequire as requireFrom } from 'node:module'; const require = requireFrom(import.meta.url);" },
};

/** Bundles the command so that Node runs it without TypeScript: in parts, since each command reads only what it needs. */
rmSync('cli/dist', { recursive: true, force: true });
await bundle('cli/src/main.ts', undefined, {
  ...withRequire,
  entryNames: 'rigid-beam',
  outdir: 'cli/dist',
  splitting: true,
  outExtension: { '.js': '.mjs' },
  // Names stay, for whoever reads where a fault is.
  minifyWhitespace: true,
});

/** The threads in which the server draws and solves models for their tiles, reads what somebody brings, and makes files that are asked for. */
for (const name of ['tile', 'reader'])
  await bundle(`web/server/${name}.worker.ts`, `web/dist/${name}-worker.mjs`, { target: 'node20' });
await bundle('web/server/work.worker.ts', 'web/dist/work-worker.mjs', withRequire);
