import { build } from 'esbuild';

/** Bundles the command into one file that Node runs without TypeScript. */
await build({
  entryPoints: ['cli/src/main.ts'],
  outfile: 'cli/dist/rigid-beam.mjs',
  bundle: true,
  loader: { '.csv': 'text' },
  platform: 'node',
  format: 'esm',
  target: 'node20',
  logLevel: 'warning',
  banner: { js: "import { createRequire } from 'node:module'; const require = createRequire(import.meta.url);" },
});

/** The threads in which the server draws and solves models for their tiles, and reads what somebody brings. */
for (const name of ['tile', 'reader'])
  await build({
    entryPoints: [`web/server/${name}.worker.ts`],
    outfile: `web/dist/${name}-worker.mjs`,
    bundle: true,
    loader: { '.csv': 'text' },
    platform: 'node',
    format: 'esm',
    target: 'node20',
    logLevel: 'warning',
  });
